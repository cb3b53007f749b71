import { NOTHING_SAID } from '@/core/at-hand';
import type { TextLayer } from '@/core/picture';
import { EMPTY_STASH, atHandOf, newItem, readStash, type Piece } from '@/records';
import { NOW, PICTURE, readyPiece } from '@/testing/builders';
import { groundColourOf, printCurves, surfaceLook, type Job } from '@/core/stations';
import { stepTitle } from '@/words';
import { planPiece, runSteps, stationStates } from './index';

const text = (mode: TextLayer['mode'], box = { xMm: 20, yMm: 150, widthMm: 100, heightMm: 12 }): TextLayer => ({
  id: `text-${mode}`,
  kind: 'text',
  mode,
  text: 'Upper Wren',
  font: 'oswald',
  sizeMm: 10,
  colour: '#22303a',
  xMm: 70,
  yMm: 156,
  turnDeg: 0,
  arcRadiusMm: null,
  box,
});
const withLayers = (...layers: TextLayer[]): Job => {
  const piece = readyPiece();
  return { ...piece, picture: { ...piece.picture, layers } };
};
const plan = (job: Job) => planPiece(job, PICTURE, NOW);
const on = (patch: Partial<Piece['surface']>, method: Partial<Piece['method']> = {}): Piece => {
  const piece = readyPiece();
  return { ...piece, surface: { ...piece.surface, ...patch }, method: { ...piece.method, ...method } };
};

describe('several layers on one piece', () => {
  it('a traced layer is worked in where it belongs, and stays out of the print', () => {
    const job = withLayers(text('trace'));
    const ids = runSteps(job, plan(job)).map((step) => step.id);
    const order = ['print', 'lay', 'pass-1', 'pass-3', 'trace-text-trace', 'mend', 'seal-1', 'seal-2'].map((id) =>
      ids.indexOf(id),
    );
    expect(order.every((at, i) => at >= 0 && (i === 0 || at > order[i - 1]))).toBe(true);
    expect(plan(job).surface.print?.rect).toEqual(plan(withLayers()).surface.print?.rect);
    const print = runSteps(job, plan(job)).find((step) => step.id === 'print');
    expect(print && stepTitle(print.title)).toContain('unmirrored');
    expect(plan(job).mend.repairs.some((repair) => repair.id === 'trace')).toBe(true);
  });

  it('a moved layer widens the print as far as the blank goes', () => {
    const narrow: Job = { ...withLayers(text('transfer', { xMm: -30, yMm: 170, widthMm: 100, heightMm: 40 })) };
    const {
      surface: { print },
    } = plan(narrow);
    expect(print?.rect.xMm).toBe(0);
    expect(print && print.rect.yMm + print.rect.heightMm).toBe(180);
    expect(print?.picture).toEqual(plan(withLayers()).surface.print?.rect);
    expect(print?.ppi).toBe(plan(withLayers()).surface.print?.ppi);
  });
});

describe('shapes in the plan', () => {
  it('covers what there is: a disc takes less medium than its square', () => {
    const ml = (shape: Job['surface']['shape']) =>
      plan({
        ...on({ widthMm: 200, heightMm: 200, shape }),
        sheet: { ...readyPiece().sheet, margins: { topMm: 0, rightMm: 0, bottomMm: 0, leftMm: 0 } },
      }).lay.laying?.coat.totalMl ?? 0;
    expect(ml({ kind: 'round' }) / ml({ kind: 'rectangle' })).toBeCloseTo(Math.PI / 4, 3);
  });

  it('a shape that can’t be made is said, and stops what rests on it', () => {
    const job = on({ shape: { kind: 'slats', count: 5, gapMm: 100, run: 'vertical' } });
    const faulty = plan(job);
    expect(faulty.surface.shapeFault?.code).toBe('shape-gaps-too-wide');
    expect(faulty.surface.blank).toBeNull();
    expect(stationStates(job, faulty).surface).toBe('doubtful');
  });
});

describe('the ground', () => {
  it('a white wash lies between bare stuff and paint', () => {
    const look = (baseCoat: Job['surface']['baseCoat'], baseColour: string) => {
      const job = on({ kind: 'soft-wood', finish: 'bare', baseCoat, baseColour });
      const made = plan(job).surface.record;
      return made ? groundColourOf(surfaceLook(job.surface, made)) : '';
    };
    const red = (hex: string) => Number.parseInt(hex.slice(5, 7), 16);
    const [bare, washed, painted] = [
      look('none', '#f2ead9'),
      look('white-wash', '#f2ead9'),
      look('chalk-type-paint', '#f2ead9'),
    ].map(red);
    expect(washed).toBeGreaterThan(bare);
    expect(painted).toBeGreaterThan(washed);
  });
  it('compensation waits for a method', () => {
    expect(printCurves(plan(on({}, { school: null, binder: null })), 'matte')).toBeNull();
    expect(printCurves(plan(on({})), 'matte')?.red).toHaveLength(256);
  });
});

describe('the stash', () => {
  const gel = newItem('gel', 'binder', 'Gel', 1, {
    material: 'fluid-gel',
    price: 12,
    size: 240,
    label: { filmUm: 180, waitHours: null, openMinutes: null },
  });
  const stash = { ...EMPTY_STASH, items: [gel] };
  it('becomes what the ranking wants', () => {
    expect(atHandOf(stash)).toMatchObject({
      pricePerMl: { 'fluid-gel': 0.05 },
      labels: { 'fluid-gel': { filmUm: 180 } },
    });
    expect({ ...NOTHING_SAID, ...atHandOf(EMPTY_STASH) }).toEqual(NOTHING_SAID);
  });
  it('label values hold in the plan of every piece', () => {
    expect(planPiece(readyPiece(), PICTURE, NOW, { ...NOTHING_SAID, ...atHandOf(stash) }).lay.laying?.filmUm).toBe(180);
    expect(plan(readyPiece()).lay.laying?.filmUm).toBe(225);
  });
  it('is refused where it can’t be read', () => {
    expect(readStash(stash)).toEqual({ ok: true, value: stash });
    for (const broken of [undefined, null, 7, { ...stash, printer: 'press' }, { ...stash, version: 4 }])
      expect(readStash(broken)).toMatchObject({ ok: false });
  });
});
