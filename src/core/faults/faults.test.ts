import {
  FAULT_CAUSES,
  FAULT_CAUSE_IDS,
  FAULT_REMEDIES,
  FAULT_SIGNS,
  type FaultCauseId,
  type FaultSignId,
} from '@/core/craft';
import { planPiece } from '@/core/plan';
import { applyPatch, type JobPatch } from '@/core/stations';
import { checkPiece } from '@/records';
import { HOUR, NOW, PICTURE, readyPiece } from '@/testing/builders';
import { changeNext, changeNow, faultEvidence, proposedSigns, weighFaults, type Observed } from './index';

interface Case {
  name: string;
  record: JobPatch;
  pale?: number;
  seen: FaultSignId[];
  answers?: Observed['answers'];
  cause: FaultCauseId;
}

const LAID = NOW - 60 * HOUR;
const laid = (patch: JobPatch = {}): JobPatch => ({ ...patch, lay: { laidAt: LAID, ...patch.lay } });
/** Rubbed so many hours after it was laid, in passes of so many minutes. */
const rubbed = (hours: number, passes: number[] = [7, 4, 4], patch: JobPatch = {}): JobPatch =>
  laid({
    ...patch,
    rub: {
      done: passes.map((minutes, at) => ({ at: LAID + (hours + at) * HOUR, minutes })),
      finishedAt: LAID + (hours + 4) * HOUR,
    },
  });
const sealed = (hours: number, patch: JobPatch = {}): JobPatch => ({
  ...rubbed(24, [7, 4, 4], patch),
  seal: { coatsAt: [LAID + (26 + hours) * HOUR], sheen: 'satin', sealer: 'acrylic-varnish', ...patch.seal },
});

/** What the figures were set by. */
const KNOWN: Case[] = [
  { name: 'rubbed at 6 h of 16, the picture came along', record: rubbed(6), seen: ['comes-off'], cause: 'not-cured' },
  { name: 'rubbed at 5 h, long smears', record: rubbed(5), seen: ['holes-long', 'comes-off'], cause: 'not-cured' },
  {
    name: 'a cold night, still tacky',
    record: rubbed(9, [7], { cure: { temperatureC: 11 } }),
    seen: ['comes-off', 'tacky'],
    cause: 'not-cured',
  },
  {
    name: 'washable glue',
    record: rubbed(24, [7], { method: { binder: 'school-glue', school: 'dry-and-rub' } }),
    seen: ['comes-off', 'tacky'],
    cause: 'washable-glue',
  },
  {
    name: 'washable glue, smears',
    record: rubbed(20, [7, 4], { method: { binder: 'school-glue', school: 'dry-and-rub' } }),
    seen: ['tacky', 'holes-long'],
    cause: 'washable-glue',
  },
  {
    name: 'gloss paint, waited in full',
    record: rubbed(30, [7], { surface: { finish: 'gloss-paint' } }),
    seen: ['comes-off'],
    cause: 'slick-ground',
  },
  {
    name: 'old varnish not scuffed',
    record: rubbed(30, [7], { surface: { kind: 'varnished-wood', finish: 'varnish' } }),
    seen: ['comes-off', 'edges-lift'],
    cause: 'slick-ground',
  },
  {
    name: 'waxed board',
    record: rubbed(26, [7, 4], { surface: { finish: 'wax-or-oil', kind: 'soft-wood' } }),
    seen: ['edges-lift', 'comes-off'],
    cause: 'slick-ground',
  },
  {
    name: 'bare oak',
    record: rubbed(28, [7, 4], { surface: { kind: 'hard-wood', finish: 'bare' } }),
    seen: ['comes-off', 'holes-long'],
    cause: 'tight-wood',
  },
  {
    name: 'glass without a base coat',
    record: rubbed(30, [7, 4], { surface: { kind: 'glass', finish: 'bare' } }),
    seen: ['chips'],
    cause: 'unprimed-smooth',
  },
  {
    name: 'tin without a base coat, edges',
    record: rubbed(30, [7, 4], { surface: { kind: 'metal', finish: 'bare' } }),
    seen: ['chips', 'edges-lift'],
    cause: 'unprimed-smooth',
  },
  {
    name: 'round holes, coat as planned',
    record: rubbed(24, undefined, { lay: { mediumUsedMl: 17 } }),
    seen: ['holes-round'],
    cause: 'bubbles',
  },
  { name: 'round holes, nothing measured', record: rubbed(24), seen: ['holes-round'], cause: 'bubbles' },
  {
    name: 'round holes, half the medium',
    record: rubbed(24, undefined, { lay: { mediumUsedMl: 7 } }),
    seen: ['holes-round'],
    cause: 'missed-medium',
  },
  {
    name: 'half the medium, edges too',
    record: rubbed(24, undefined, { lay: { mediumUsedMl: 8 } }),
    seen: ['holes-round', 'edges-lift'],
    cause: 'missed-medium',
  },
  {
    name: 'five long passes after a full wait',
    record: rubbed(30, [20, 15, 12, 12, 10]),
    seen: ['holes-long'],
    cause: 'rubbed-too-hard',
  },
  {
    name: 'rubbed twice as long as planned',
    record: rubbed(26, [18, 12, 10]),
    seen: ['holes-long'],
    cause: 'rubbed-too-hard',
  },
  {
    name: 'tape holds',
    record: rubbed(26),
    seen: ['holes-long'],
    answers: { tape: 'holds', nail: 'hard' },
    cause: 'rubbed-too-hard',
  },
  {
    name: 'soaked a clear transfer medium',
    record: rubbed(30, [7, 4], { method: { binder: 'clear-medium', school: 'dry-and-rub' } }),
    seen: ['comes-off', 'holes-long'],
    cause: 'too-wet',
  },
  { name: 'milky after two passes', record: rubbed(24, [6]), seen: ['veil'], cause: 'paper-left' },
  {
    name: 'milky, vanishes when wet',
    record: rubbed(24),
    seen: ['veil', 'pale'],
    answers: { 'wet-test': 'vanishes' },
    cause: 'paper-left',
  },
  {
    name: 'milky on 110 g paper, spots stay',
    record: rubbed(24, [7, 4, 4], { method: { print: 'laser-heavy' } }),
    seen: ['veil', 'spot-stays'],
    cause: 'heavy-paper',
  },
  { name: 'one spot will not rub', record: rubbed(24), seen: ['spot-stays'], cause: 'medium-on-back' },
  {
    name: 'spot shines in the side light',
    record: rubbed(24),
    seen: ['spot-stays', 'veil'],
    answers: { 'side-light': 'shines' },
    cause: 'medium-on-back',
  },
  { name: 'creases', record: laid(), seen: ['wrinkles'], cause: 'paper-soaked' },
  {
    name: 'tacky at 12 °C and 80 %',
    record: laid({ cure: { temperatureC: 12, humidityPercent: 82 } }),
    seen: ['tacky'],
    cause: 'not-dry',
  },
  {
    name: 'tacky, twice the medium',
    record: laid({ lay: { mediumUsedMl: 32, laidAt: LAID } }),
    seen: ['tacky'],
    cause: 'thick-coat',
  },
  {
    name: 'pale with glue-sealer',
    record: rubbed(24, undefined, { method: { binder: 'glue-sealer', school: 'dry-and-rub' } }),
    seen: ['pale'],
    cause: 'pale-binder',
  },
  {
    name: 'pale on dark slate',
    record: rubbed(24, undefined, { surface: { kind: 'stone', finish: 'bare', bareColour: '#3a3d40' } }),
    seen: ['pale'],
    cause: 'dark-ground',
  },
  {
    name: 'inkjet, pale',
    record: rubbed(24, undefined, { method: { print: 'inkjet-heat-set', binder: 'fluid-gel' } }),
    seen: ['pale'],
    cause: 'inkjet-pale',
  },
  {
    name: 'inkjet, bled',
    record: rubbed(24, undefined, { method: { print: 'inkjet-plain' } }),
    seen: ['bled'],
    cause: 'inkjet-bleeds',
  },
  {
    name: 'lettering reversed',
    record: rubbed(24, undefined, { picture: { lettering: 'yes' } }),
    seen: ['reversed'],
    cause: 'not-mirrored',
  },
  {
    name: 'white rim with opaque medium',
    record: rubbed(30, undefined, { method: { binder: 'opaque-medium', school: 'opaque-base' } }),
    seen: ['white-rim'],
    cause: 'opaque-beyond',
  },
  { name: 'white rim, clear gel', record: rubbed(24), seen: ['white-rim'], cause: 'white-margin' },
  { name: 'an outline is felt', record: sealed(24, { seal: { sheen: 'gloss' } }), seen: ['lip'], cause: 'film-edge' },
  {
    name: 'pale dress over pine grain',
    record: rubbed(24, undefined, { surface: { kind: 'soft-wood', finish: 'bare' } }),
    pale: 0.5,
    seen: ['ghostly'],
    cause: 'whites-over-grain',
  },
  {
    name: 'cloudy glue-sealer on top',
    record: sealed(40, { seal: { sealer: 'glue-sealer', use: 'wall' } }),
    seen: ['cloudy', 'tacky'],
    cause: 'thick-sealer',
  },
  { name: 'sealed within the hour', record: sealed(0.3), seen: ['cloudy'], cause: 'sealed-damp' },
  { name: 'laid askew', record: laid(), seen: ['crooked'], cause: 'no-marks' },
  { name: 'too small, bar never measured', record: laid(), seen: ['wrong-size'], cause: 'printer-scales' },
];

/** Written with them, and looked at only when those were set. */
const HELD_APART: Case[] = [
  {
    name: 'at 7 h the image lifts with the fibres',
    record: rubbed(7, [5]),
    seen: ['comes-off', 'tacky'],
    cause: 'not-cured',
  },
  {
    name: 'nail dents it',
    record: rubbed(10, [7]),
    seen: ['holes-long'],
    answers: { nail: 'dents', tape: 'picture-comes' },
    cause: 'not-cured',
  },
  {
    name: 'school glue, edges come up',
    record: rubbed(40, [7], { method: { binder: 'school-glue', school: 'dry-and-rub' } }),
    seen: ['edges-lift', 'comes-off'],
    cause: 'washable-glue',
  },
  {
    name: 'latex over gloss, tape lifts it',
    record: rubbed(28, [7, 4], { surface: { finish: 'gloss-paint' } }),
    seen: ['edges-lift'],
    answers: { tape: 'picture-comes' },
    cause: 'slick-ground',
  },
  {
    name: 'bare maple',
    record: rubbed(30, [7, 5, 4], { surface: { kind: 'hard-wood', finish: 'bare' } }),
    seen: ['holes-long'],
    answers: { tape: 'picture-comes' },
    cause: 'tight-wood',
  },
  {
    name: 'glazed tile chips',
    record: rubbed(30, [7, 4], { surface: { kind: 'glazed-ceramic', finish: 'bare' } }),
    seen: ['chips', 'comes-off'],
    cause: 'unprimed-smooth',
  },
  {
    name: 'pinholes all over',
    record: rubbed(20, undefined, { lay: { faces: ['surface'] } }),
    seen: ['holes-round'],
    cause: 'bubbles',
  },
  {
    name: 'starved corners',
    record: rubbed(24, undefined, { lay: { mediumUsedMl: 9 } }),
    seen: ['edges-lift', 'holes-round'],
    cause: 'missed-medium',
  },
  {
    name: 'six passes',
    record: rubbed(30, [8, 6, 6, 6, 6, 6]),
    seen: ['holes-long', 'pale'],
    cause: 'rubbed-too-hard',
  },
  { name: 'one pass only', record: rubbed(24, [8]), seen: ['veil', 'pale'], cause: 'paper-left' },
  {
    name: 'white bloom gone when wet',
    record: rubbed(24, [7, 4]),
    seen: ['veil'],
    answers: { 'wet-test': 'vanishes' },
    cause: 'paper-left',
  },
  {
    name: 'patch stays white and hard',
    record: rubbed(24, [7, 4, 4]),
    seen: ['spot-stays'],
    answers: { 'side-light': 'shines' },
    cause: 'medium-on-back',
  },
  {
    name: 'folds, thick wet coat',
    record: laid({ lay: { mediumUsedMl: 26, laidAt: LAID } }),
    seen: ['wrinkles'],
    cause: 'paper-soaked',
  },
  {
    name: 'damp cellar, white when touched',
    record: laid({ cure: { temperatureC: 15, humidityPercent: 84 } }),
    seen: ['tacky', 'cloudy'],
    cause: 'not-dry',
  },
  {
    name: 'pale tile on black',
    record: rubbed(24, undefined, {
      surface: { kind: 'painted-wood', finish: 'matte-paint', baseCoat: 'acrylic-paint', baseColour: '#22282c' },
    }),
    seen: ['pale', 'ghostly'],
    cause: 'dark-ground',
  },
  {
    name: 'inkjet smears under a wet finger',
    record: rubbed(24, undefined, { method: { print: 'inkjet-heat-set' } }),
    seen: ['bled', 'pale'],
    answers: { 'wet-finger': 'smears' },
    cause: 'inkjet-bleeds',
  },
  {
    name: 'sign reads backwards, spare reads right',
    record: rubbed(24, undefined, { picture: { lettering: 'yes' } }),
    seen: ['reversed'],
    answers: { 'spare-print': 'reads-right' },
    cause: 'not-mirrored',
  },
  {
    name: 'hazy white frame round the print',
    record: rubbed(30, undefined, {
      method: { binder: 'opaque-medium', school: 'opaque-base' },
      surface: { finish: 'matte-paint' },
    }),
    seen: ['white-rim', 'lip'],
    cause: 'opaque-beyond',
  },
  {
    name: 'varnish went milky in a wet week',
    record: sealed(40, { cure: { humidityPercent: 86 } }),
    seen: ['cloudy'],
    cause: 'sealed-damp',
  },
  {
    name: 'print came out 4 mm short',
    record: laid(),
    seen: ['wrong-size'],
    answers: { ruler: 'print-off' },
    cause: 'printer-scales',
  },
];

function ranked({ record, seen, answers = {}, pale }: Case): FaultCauseId[] {
  const job = applyPatch(readyPiece(), record);
  const plan = planPiece(job, { ...PICTURE, paleShare: pale ?? PICTURE.paleShare }, NOW);
  return weighFaults({ seen, notSeen: [], answers }, faultEvidence(job, plan)).causes.map(({ id }) => id);
}

describe.each([
  ['the cases it was set by', KNOWN],
  ['cases held apart', HELD_APART],
])('%s', (_, cases) => {
  it('puts the right cause first in four of five, and among the first two nearly always', () => {
    const places = cases.map((one) => ({ name: one.name, cause: one.cause, order: ranked(one).slice(0, 3) }));
    const missed = places.filter(({ cause, order }) => order[0] !== cause);
    const lost = places.filter(({ cause, order }) => !order.slice(0, 2).includes(cause));
    if (process.env.SHOW) console.log(missed, lost);
    expect(missed.length / cases.length).toBeLessThanOrEqual(0.2);
    expect(lost.length / cases.length).toBeLessThanOrEqual(0.05);
  });
});

it('sixty cases are written, a third of them held apart', () => {
  expect(KNOWN.length + HELD_APART.length).toBe(60);
  expect(HELD_APART).toHaveLength(20);
});

describe('weighing', () => {
  const weigh = (observed: Partial<Observed>, record: JobPatch = laid()) => {
    const job = applyPatch(readyPiece(), record);
    const plan = planPiece(job, PICTURE, NOW);
    return weighFaults({ seen: [], notSeen: [], answers: {}, ...observed }, faultEvidence(job, plan));
  };

  it('says nothing while nothing is seen, and has a cause for every sign', () => {
    expect(weigh({})).toEqual({ causes: [], ruledOut: [], together: null, check: null });
    for (const sign of FAULT_SIGNS) {
      const { causes } = weighFaults({ seen: [sign], notSeen: [], answers: {} }, []);
      expect(causes[0]?.share).toBeGreaterThan(0.15);
      expect(causes.reduce((sum, { share }) => sum + share, 0)).toBeLessThanOrEqual(1 + 1e-9);
    }
  });

  it('sees two faults where no one cause shows both signs, and one where one does', () => {
    expect(weigh({ seen: ['veil', 'reversed'] }, rubbed(24)).together).toEqual(
      expect.arrayContaining(['paper-left', 'not-mirrored']),
    );
    expect(weigh({ seen: ['veil', 'pale'] }, rubbed(24)).together).toBeNull();
    expect(weigh({ seen: ['veil'] }, rubbed(24)).together).toBeNull();
  });

  it('rules out what can’t be, and says by what', () => {
    const { causes, ruledOut } = weigh({ seen: ['bled', 'pale'] });
    expect(causes.map(({ id }) => id)).not.toContain('inkjet-bleeds');
    expect(ruledOut).toContainEqual(expect.objectContaining({ id: 'inkjet-bleeds' }));
    expect(ruledOut.find(({ id }) => id === 'inkjet-bleeds')?.by).toMatchObject({ fact: { id: 'toner' } });
  });

  it('an answer changes the order at once, and the check it proposes can change it', () => {
    const before = weigh({ seen: ['tacky'] }, laid({ cure: { temperatureC: 12 } }));
    expect(before.causes[0]?.id).toBe('not-dry');
    const open = weigh({ seen: ['holes-long'] }, rubbed(15));
    expect(['tape', 'nail']).toContain(open.check);
    const [comes, holds] = (['picture-comes', 'holds'] as const).map((tape) =>
      weigh({ seen: ['holes-long'], answers: { tape } }, rubbed(15)),
    );
    expect(holds?.causes[0]?.id).toBe('rubbed-too-hard');
    expect(comes?.causes[0]?.id).not.toBe('rubbed-too-hard');
    expect(holds?.check).not.toBe('tape');
  });

  it('a sign that is not there speaks against what would show it', () => {
    const share = (notSeen: FaultSignId[]) =>
      weigh({ seen: ['tacky'], notSeen }).causes.find(({ id }) => id === 'thick-coat')?.share ?? 0;
    expect(share(['wrinkles'])).toBeLessThan(share([]));
  });

  it('figures stand with the facts', () => {
    const [first] = weigh({ seen: ['comes-off'] }, rubbed(6)).causes;
    const early = first?.lines.find((line) => line.kind === 'fact' && line.fact.id === 'rubbed-early');
    expect(early).toMatchObject({ fact: { figure: 6 } });
    expect(early?.kind === 'fact' && early.fact.of).toBeGreaterThan(10);
  });
});

it('every cause has signs, and something for now or next time; every remedy belongs to one', () => {
  expect(FAULT_CAUSES.map(({ id }) => id).sort()).toEqual([...FAULT_CAUSE_IDS].sort());
  for (const { signs, now, next } of FAULT_CAUSES) {
    expect(Object.values(signs).some((likelihood) => likelihood >= 0.3)).toBe(true);
    expect(now.length + next.length).toBeGreaterThan(1);
  }
  const used = new Set(FAULT_CAUSES.flatMap(({ now, next }) => [...now, ...next]));
  expect([...used].sort()).toEqual([...FAULT_REMEDIES].sort());
});

it('what a remedy presses leaves a piece that can be kept and planned', () => {
  const piece = applyPatch(readyPiece(), rubbed(24));
  const fresh = readyPiece();
  let pressed = 0;
  for (const remedy of FAULT_REMEDIES) {
    for (const [of, patch] of [
      [piece, changeNow(remedy, piece, planPiece(piece, PICTURE, NOW), NOW)],
      [fresh, changeNext(remedy, fresh, planPiece(fresh, PICTURE, NOW), NOW)],
    ] as const) {
      if (!patch) continue;
      pressed++;
      const changed = applyPatch(of, patch);
      expect(checkPiece(changed)).toMatchObject({ ok: true });
      expect(planPiece(changed, PICTURE, NOW).method.candidates.length).toBeGreaterThan(0);
    }
    // What is laid can't be coated otherwise any more.
    expect(changeNext(remedy, piece, planPiece(piece, PICTURE, NOW), NOW)).toBeNull();
  }
  expect(pressed).toBeGreaterThan(25);
});

it('a reading proposes what it shows: a veil, round holes, drawn-out ones, none where it is clean', () => {
  const [columns, rows] = [40, 30];
  const reading = (haze: (at: number) => number, kept: (x: number, y: number) => number) => ({
    corners: [],
    register: { rmsMm: 0.2, sure: 0.9 },
    cell: { widthMm: 4, heightMm: 4, columns, rows },
    haze: Array.from({ length: columns * rows }, (_, at) => haze(at)),
    kept: Array.from({ length: columns * rows }, (_, at) => kept(at % columns, Math.floor(at / columns))),
    seen: new Array<number>(columns * rows).fill(1),
    clearsWet: null,
    colours: [],
    isWhitened: false,
  });
  expect(
    proposedSigns(
      reading(
        () => 0.02,
        () => 1,
      ),
    ),
  ).toEqual([]);
  expect(
    proposedSigns(
      reading(
        () => 0.3,
        () => 1,
      ),
    ),
  ).toEqual(['veil']);
  const inDisc = (x: number, y: number, cx: number, cy: number) => Math.hypot(x - cx, y - cy) < 2.5;
  expect(
    proposedSigns(
      reading(
        () => 0,
        (x, y) => (inDisc(x, y, 10, 10) || inDisc(x, y, 28, 18) ? 0.1 : 1),
      ),
    ),
  ).toEqual(['holes-round']);
  expect(
    proposedSigns(
      reading(
        () => 0,
        (x, y) => ((y === 8 || y === 20) && x > 8 && x < 24 ? 0.1 : 1),
      ),
    ),
  ).toEqual(['holes-long']);
  expect(
    proposedSigns(
      reading(
        () => 0,
        (x) => (x < 1 ? 0.1 : 1),
      ),
    ),
  ).toContain('edges-lift');
});
