import fc from '@/testing/properties';
import Papa from 'papaparse';
import { drawsFor, bottlesToBuy, leftOfMaterial } from './draws';
import { needOf, planPiece } from '@/core/plan';
import { EMPTY_STASH, ITEM_KINDS, atHandOf, itemsOf, newItem, readStash, type StashItem } from '@/records';
import { NOW, PICTURE, readyPiece } from '@/testing/builders';
import { drawnFrom, leftOf } from '@/storage';
import { readStashCsv, writeStashCsv } from '@/storage/stash-csv';

const gel = newItem('gel', 'binder', 'Fluid gel', NOW, {
  material: 'fluid-gel',
  amount: 100,
  size: 240,
  price: 12,
  openedOn: '2026-01-02',
});
const older = newItem('old', 'binder', 'Old gel', NOW, {
  material: 'fluid-gel',
  amount: 8,
  size: 240,
  openedOn: '2025-06-02',
});
const user = (amount: number, at: number) => ({
  id: 'p',
  name: 'Map',
  work: { done: [], draws: [{ step: 'lay', item: 'gel', amount, at }] },
});
let count = 0;
const read = (text: string) => readStashCsv(new TextEncoder().encode(text), NOW, () => `new-${++count}`);

describe('what is left', () => {
  it('is what was counted, less what was drawn since, never below nothing', () => {
    expect(leftOf(gel, [user(30, NOW + 1), user(20, NOW - 1)])).toBe(70);
    expect(leftOf(gel, [user(300, NOW + 1)])).toBe(0);
    expect(leftOf({ ...gel, amount: null }, [])).toBeNull();
    expect(drawnFrom(gel, [user(30, NOW + 1)])).toEqual([{ pieceId: 'p', name: 'Map', amount: 30 }]);
  });
});

describe('what a step takes', () => {
  const piece = readyPiece();
  const plan = planPiece(piece, PICTURE, NOW);
  const lay = { kind: 'lay' } as const;
  const ml = plan.lay.laying?.coat.totalMl ?? 0;
  it('comes from what was opened first, then from the next', () => {
    const draws = drawsFor(lay, piece, plan, { ...EMPTY_STASH, items: [gel, older] }, []);
    expect(draws[0]).toEqual({ item: 'old', amount: 8 });
    expect(draws[1].item).toBe('gel');
    expect(draws[0].amount + draws[1].amount).toBeCloseTo(ml, 1);
    expect(itemsOf({ items: [gel, older] }, 'binder', 'fluid-gel').map(({ id }) => id)).toEqual(['old', 'gel']);
    expect(leftOfMaterial({ ...EMPTY_STASH, items: [gel, older] }, 'binder', 'fluid-gel', [])).toBe(108);
    expect(leftOfMaterial(EMPTY_STASH, 'binder', 'fluid-gel', [])).toBeNull();
  });
  it('is nothing where the stash has none, where the copy shop prints, and what was really used where that is known', () => {
    expect(drawsFor(lay, piece, plan, EMPTY_STASH, [])).toEqual([]);
    const paper = newItem('paper', 'paper', 'Paper', NOW, { material: 'laser-plain', amount: 10 });
    const print = { kind: 'print' } as const;
    expect(drawsFor(print, piece, plan, { ...EMPTY_STASH, items: [paper] }, [])).toEqual([]);
    expect(drawsFor(print, piece, plan, { ...EMPTY_STASH, printer: 'laser', items: [paper] }, [])).toEqual([
      { item: 'paper', amount: 1 },
    ]);
    expect(needOf(lay, { ...piece, lay: { ...piece.lay, mediumUsedMl: 33 } }, plan)?.amount).toBe(33);
    expect(needOf({ kind: 'coat', number: 1 }, piece, plan)).toMatchObject({ kind: 'sealer' });
    expect(needOf({ kind: 'mend', part: 'finish' }, piece, plan)).toBeNull();
  });
  it.each([
    [0, null],
    [-3, null],
    [1, { ml: 60, count: 1 }],
    [130, { ml: 240, count: 1 }],
    [9000, { ml: 3800, count: 3 }],
  ])('lacking %p ml buys %p', (lacking, buy) => expect(bottlesToBuy(lacking)).toEqual(buy));
});

describe('earlier stashes', () => {
  it('version 1: notes on binders become items with their labels and prices', () => {
    const { items: _, ...rest } = EMPTY_STASH;
    const read = readStash({
      ...rest,
      version: 1,
      binders: { 'fluid-gel': { label: { filmUm: 180, waitHours: null, openMinutes: null }, price: 12, ml: 240 } },
    });
    if (!read.ok) throw new Error(read.error.code);
    const stash = read.value;
    expect(stash.items).toHaveLength(1);
    expect(stash.items[0]).toMatchObject({ kind: 'binder', material: 'fluid-gel', size: 240, price: 12 });
    expect(atHandOf(stash)).toMatchObject({
      pricePerMl: { 'fluid-gel': 0.05 },
      labels: { 'fluid-gel': { filmUm: 180 } },
    });
  });
  it('version 2: a copy shop that nobody may have named is asked for, a printer of one’s own stays', () => {
    const printerOf = (printer: string) => {
      const read = readStash({ ...EMPTY_STASH, version: 2, printer });
      return read.ok ? read.value.printer : read.error.code;
    };
    expect(printerOf('copy-shop')).toBeNull();
    expect(printerOf('laser')).toBe('laser');
    expect(printerOf('inkjet')).toBe('inkjet');
  });
  it('the hottest oven counts', () =>
    expect(
      atHandOf({
        ...EMPTY_STASH,
        items: [newItem('a', 'oven', 'A', NOW, { limitC: 90 }), newItem('b', 'oven', 'B', NOW, { limitC: 120 })],
      }).ovenLimitC,
    ).toBe(120));
});

describe('a stash as a table', () => {
  const item = fc
    .record({
      kind: fc.constantFrom(...ITEM_KINDS),
      name: fc
        .oneof(
          fc.string({ minLength: 1, maxLength: 40 }),
          fc.constantFrom('=SUM(A1)', '+1', '-x', '@home', "'quoted", 'a,b', 'two\nlines', 'say "so"'),
        )
        .map((text) => text.trim())
        .filter((text) => text !== ''),
      amount: fc.option(fc.integer({ min: 0, max: 5000 })),
      price: fc.option(fc.double({ min: 0, max: 500, noNaN: true }).map((value) => Number(value.toFixed(2)))),
      note: fc.constantFrom('', '=1+1', 'half full'),
    })
    .map(({ kind, name, amount, price, note }): StashItem =>
      newItem(`item-${++count}`, kind, name, NOW, { amount, price, note }),
    );

  it('comes back as it went out, formulas disarmed on the way', () => {
    fc.assert(
      fc.property(fc.array(item, { minLength: 1, maxLength: 8 }), (items) => {
        const text = writeStashCsv(items, (one) => one.amount);
        for (const cell of Papa.parse<string[]>(text).data.flat()) expect(cell).not.toMatch(/^[=+@-]/);
        expect(read(text)).toMatchObject({ ok: true, value: { items, faults: [], unclear: null } });
      }),
    );
  });

  it('takes the good rows and names the bad ones by line and reason', () => {
    const text =
      'kind,name,left,unit,price\nbinder,Gel,100,ml,12\nspoon,Odd,1,,\nbinder,,1,,\nsealer,"Two\nlines",abc,,\n\n' +
      'brush,Foam,3,pieces,2\nbinder,Sour,5,litres,1\npaper,Copy,-4,,\n';
    const found = read(text);
    expect(found.ok && found.value.items.map(({ name }) => name)).toEqual(['Gel', 'Foam']);
    expect(found.ok && found.value.faults).toEqual([
      { line: 3, reason: expect.stringContaining('no kind of item') as string },
      { line: 4, reason: 'it has no name' },
      { line: 5, reason: expect.stringContaining('“abc”') as string },
      { line: 9, reason: expect.stringContaining('unit') as string },
      { line: 10, reason: expect.stringContaining('amount') as string },
    ]);
  });

  it.each([
    ['', 'csv-no-header'],
    ['a,b\n1,2', 'csv-no-header'],
    ['kind,name\n', 'csv-empty'],
    [`kind,name\n${'binder,x\n'.repeat(2001)}`, 'csv-too-large'],
    ['x'.repeat(2_000_001), 'csv-too-large'],
  ])('refuses %#', (text, code) => expect(read(text)).toMatchObject({ ok: false, error: { code } }));

  it('an id that stands twice is taken once', () => {
    const found = read('id,kind,name\na,binder,One\na,binder,Two\n');
    expect(found.ok && found.value).toMatchObject({ items: [{ id: 'a', name: 'One' }], faults: [{ line: 3 }] });
  });
});
