import 'fake-indexeddb/auto';
import fc from '@/testing/properties';
import { DEFAULT_SETTINGS, newItem } from '@/records';
import { NOW } from '@/testing/builders';
import {
  FobbetDatabase,
  changeAgenda,
  changeSettings,
  changeStash,
  stepSettings,
  stepSingle,
  storedAgenda,
  storedStash,
  versionsOf,
} from '@/storage';
import { MOST_VERSIONS, changesBetween, withChanges } from './versions';

let db: FobbetDatabase;
let count = 0;
beforeEach(() => {
  db = new FobbetDatabase(`versions-${count++}`);
});
afterEach(() => db.close());

const thing = fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd'), size: fc.integer({ min: 0, max: 3 }) });
const state = fc.record({
  mode: fc.constantFrom('soon', 'late'),
  hours: fc.array(fc.integer({ min: 0, max: 3 }), { maxLength: 3 }),
  items: fc.uniqueArray(thing, { selector: ({ id }) => id, maxLength: 4 }),
});
const sorted = <T extends { items: readonly { id: string }[] }>(of: T) => ({
  ...of,
  items: [...of.items].sort((a, b) => a.id.localeCompare(b.id)),
});

describe('changes of a record', () => {
  it('lead back and forth, whatever changed', () => {
    fc.assert(
      fc.property(state, state, (before, after) => {
        const changes = changesBetween(before, after);
        expect(sorted(withChanges(after, changes, 'undo') as never)).toEqual(sorted(before));
        expect(sorted(withChanges(before, changes, 'redo') as never)).toEqual(sorted(after));
      }),
    );
  });

  it('leave what changed beside them, and are refused where it was the same thing', () => {
    fc.assert(
      fc.property(state, state, state, (before, after, now) => {
        const changes = changesBetween(before, after);
        const back = withChanges(now, changes, 'undo') as typeof now | null;
        const untouched = !changes.some(({ key }) => key === 'mode');
        if (back && untouched) expect(back.mode).toBe(now.mode);
        if (changes.some(({ key }) => key === 'mode') && now.mode !== after.mode) expect(back).toBeNull();
      }),
    );
  });
});

const bottle = (id: string, amount: number) => newItem(id, 'binder', id, NOW, { amount, size: 240 });
const amounts = async () => {
  const stash = await storedStash(db);
  return stash.ok ? stash.value.items.map(({ id, amount }) => `${id} ${amount}`) : [];
};
const step = async (direction: 'undo' | 'redo') =>
  stepSingle(db, 'stash', direction, (await versionsOf(db, 'stash'))[direction]?.mark ?? -1);

describe('stash, hours and settings', () => {
  it('are taken back and done again step by step; a new change ends what could be done again', async () => {
    await changeStash(db, () => ({ items: [bottle('gel', 100), bottle('glue', 50)] }));
    await changeStash(db, ({ items }) => ({ items: items.filter(({ id }) => id !== 'gel') }));
    await changeStash(db, ({ items }) => ({ items: [...items, bottle('varnish', 9)] }));
    await step('undo');
    await step('undo');
    expect(await amounts()).toEqual(['gel 100', 'glue 50']);
    await step('redo');
    expect(await amounts()).toEqual(['glue 50']);
    await changeStash(db, () => ({ skill: 3 }));
    expect((await versionsOf(db, 'stash')).redo).toBeNull();
    await step('undo');
    await step('undo');
    await step('undo');
    expect(await amounts()).toEqual([]);
    expect(await step('undo')).toMatchObject({ ok: false, error: { code: 'versions-moved' } });
  });

  it('only what was named is taken back: not what another window changed since', async () => {
    await changeStash(db, () => ({ items: [bottle('gel', 100)] }));
    const shown = (await versionsOf(db, 'stash')).undo?.mark ?? -1;
    await changeStash(db, () => ({ items: [bottle('gel', 80)] }));
    expect(await stepSingle(db, 'stash', 'undo', shown)).toMatchObject({ ok: false });
    expect(await amounts()).toEqual(['gel 80']);
  });

  it('what the program writes by itself is no step, and stays when one is taken back', async () => {
    await changeAgenda(db, () => ({ mode: 'latest' }));
    await changeAgenda(db, () => ({ starts: { 'a/lay': NOW }, revision: 1 }));
    await changeAgenda(db, () => ({ pins: {} }), { remembered: false });
    const { undo, all } = await versionsOf(db, 'agenda');
    expect(all).toHaveLength(1);
    await stepSingle(db, 'agenda', 'undo', undo?.mark ?? -1);
    expect(await storedAgenda(db)).toMatchObject({
      value: { mode: 'earliest', starts: { 'a/lay': NOW }, revision: 1 },
    });
  });

  it('settings too; and no more are kept than can be looked through', async () => {
    for (let turn = 0; turn < MOST_VERSIONS + 20; turn++)
      await changeSettings(db, DEFAULT_SETTINGS, { unitSystem: turn % 2 === 0 ? 'inch' : 'metric' });
    const { undo, all } = await versionsOf(db, 'settings');
    expect(all).toHaveLength(MOST_VERSIONS);
    await stepSettings(db, 'undo', undo?.mark ?? -1);
    expect(await db.settings.get('settings')).toMatchObject({ unitSystem: 'inch' });
  });
});
