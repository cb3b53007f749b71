import { dayBetween } from '@/core/cure';
import { MS_PER_MINUTE } from '@/core/shared';
import { NOTHING_SAID, type AtHand } from '@/core/at-hand';
import { dueAt, type Job } from '@/core/stations';
import { demoPieces } from '@/demo/scenario';
import { EMPTY_AGENDA, buildInputOf, type Piece } from '@/records';
import { HOUR, PICTURE, readyPiece } from '@/testing/builders';
import {
  buildInstance,
  checkSchedule,
  finishesIf,
  remedyVariants,
  repairSchedule,
  searchSchedule,
  spareSteps,
  stepsOf,
  benchOf,
  outcomeOf,
  type BuildInput,
  type JobInPlan,
} from './index';

const NOW = new Date('2026-11-26T17:00:00Z').getTime();
const HOURS = buildInputOf(EMPTY_AGENDA).hours;
const SHELF_MM = { widthMm: 400, depthMm: 300 };
const ZONE = 'Europe/London';
const inPlan = (piece: Piece): JobInPlan => ({
  id: piece.id,
  name: piece.name,
  set: piece.set?.id ?? null,
  dueAt: dueAt(piece.dueOn),
  job: piece,
  picture: PICTURE,
});
const input = (patch: Partial<BuildInput> = {}): Omit<BuildInput, 'pieces'> => ({
  now: NOW,
  ...buildInputOf(EMPTY_AGENDA),
  timeZone: ZONE,
  air: null,
  ...patch,
});
const build = (pieces: Piece[], patch: Partial<BuildInput> = {}, atHand: AtHand = NOTHING_SAID) =>
  buildInstance({ ...input(patch), pieces: pieces.map((piece) => stepsOf(inPlan(piece), NOW, atHand, SHELF_MM)) });
const step = (built: ReturnType<typeof build>, id: string) => {
  const index = built.steps.findIndex((one) => one.id === id);
  return { index, task: built.instance.tasks[index] };
};

describe('the problem made from the pieces', () => {
  it('the example plans to its reopening day: every rule kept, every date made', () => {
    const pieces = demoPieces(NOW);
    expect(pieces).toHaveLength(8);
    const built = build(pieces, { air: { readings: [], profile: dayBetween(14, 20, 55) } });
    const { placed } = searchSchedule(built.instance, { tries: 150, seed: 1 });
    expect(checkSchedule(built.instance, placed)).toEqual([]);
    expect(outcomeOf(benchOf(built.instance), placed).tardiness.every((late) => late === 0)).toBe(true);
    // Printing stands beside preparing, not behind it; a laid print waits for its own clock.
    const route = step(built, 'demo-route-map/lay').task;
    expect(route.after.map((at) => built.steps[at].step.id).sort()).toEqual(['dust', 'print']);
    const board = step(built, 'demo-departures-board/pass-1').task;
    expect(board.after).toEqual([]);
    expect(board.notBefore).toBeGreaterThan(60);
  });

  it('how sure a finish is: with the safest waits nothing is sooner, and what dries longer moves what follows', () => {
    const [likely, safest] = [false, true].map((one) => build(demoPieces(NOW), { safest: one }).instance);
    const { placed } = searchSchedule(likely, { tries: 100, seed: 1 });
    const { finishes } = outcomeOf(benchOf(likely), placed);
    expect(finishesIf(likely, placed)).toEqual(finishes);
    const latest = finishesIf(safest, placed);
    latest.forEach((finish, piece) => expect(finish).toBeGreaterThanOrEqual(finishes[piece]));
    // Every piece has something that dries: two days later at the most, for eight pieces of a few waits each.
    const later = latest.map((finish, piece) => finish - finishes[piece]);
    expect(later.filter((minutes) => minutes > 0).length).toBeGreaterThan(4);
    expect(Math.max(...later)).toBeLessThan(7 * 1440);
  });

  it('what is done drops out, and what is drying holds back what follows', () => {
    const piece = readyPiece({
      sheet: { ...readyPiece().sheet, printedAt: NOW - HOUR },
      lay: { ...readyPiece().lay, laidAt: NOW - 2 * HOUR },
    });
    const built = build([piece]);
    expect(built.steps.map(({ step: one }) => one.id)).not.toContain('lay');
    // Sixteen hours from laying in the reference room, two of them over.
    expect(step(built, 'piece-1/pass-1').task.notBefore).toBe(14 * 60);
    expect(built.instance.occupied).toEqual([{ place: 'rack', until: 14 * 60, room: 30 }]);
    expect(step(built, 'piece-1/pass-2').task.wait).toMatchObject({ place: 'bench', minMinutes: 20 });
  });

  it('the safest waits are longer; floors and ovens are by the clock; a peel has its latest time', () => {
    const on = (
      patch: Partial<Job['method']>,
      surface: Partial<Job['surface']> = {},
      cure: Partial<Job['cure']> = {},
    ): Piece => {
      const piece = readyPiece();
      return {
        ...piece,
        method: { ...piece.method, ...patch },
        surface: { ...piece.surface, ...surface },
        cure: { ...piece.cure, ...cure },
      };
    };
    const lay = (piece: Piece, patch: Partial<BuildInput> = {}, atHand?: AtHand) =>
      step(build([piece], patch, atHand), 'piece-1/lay').task;
    expect(lay(on({})).wait).toMatchObject({ minMinutes: 16 * 60, place: 'rack', maxMinutes: null });
    expect(lay(on({}), { safest: true }).wait.minMinutes).toBe(24 * 60);
    expect(lay(on({ school: 'opaque-base', binder: 'opaque-medium' })).wait.minMinutes).toBe(24 * 60);
    expect(lay(on({ school: 'tacky-peel', binder: 'fluid-gel' })).wait).toMatchObject({
      maxMinutes: 5,
      place: 'bench',
    });
    expect(lay(on({}, {}, { oven: 'gentle' }))).toMatchObject({
      attended: true,
      wait: { place: 'oven', minMinutes: 75 },
    });
    const air = { readings: [], profile: dayBetween(10, 20, 60) };
    expect(lay(on({}, {}, { through: 'room' }), { air }, { ...NOTHING_SAID, air }).wait.drying).toMatchObject({
      labelMinutes: 960,
      still: 1,
    });
  });

  it('a piece without a method is planned with the best one; one without a blank has nothing for hands', () => {
    const piece = readyPiece({ method: { ...readyPiece().method, school: null, binder: null } });
    expect(build([piece]).steps.map(({ step: one }) => one.id)).toContain('lay');
    const bare = readyPiece({ surface: { ...readyPiece().surface, kind: null, widthMm: null } });
    expect(build([bare]).steps).toEqual([]);
  });

  it('pins and delays reach their step; a pin that is past is forgotten', () => {
    const at = NOW + 30 * HOUR;
    const built = build([readyPiece()], {
      pins: { 'piece-1/lay': at, 'piece-1/print': NOW - HOUR },
      notBefore: { 'piece-1/pass-1': NOW + 99 * HOUR },
    });
    expect(step(built, 'piece-1/lay').task.pinnedAt).toBe(30 * 60);
    expect(step(built, 'piece-1/print').task.pinnedAt).toBeNull();
    expect(step(built, 'piece-1/pass-1').task.notBefore).toBe(99 * 60);
  });

  it('follows the person’s own pace', () => {
    const minutes = (pace: Record<string, number>) =>
      step(build([readyPiece()], {}, { ...NOTHING_SAID, pace }), 'piece-1/pass-1').task.minutes;
    expect(minutes({ rub: 2 })).toBe(2 * minutes({}));
  });
});

describe('spare minutes', () => {
  it('names what can begin and end in them, without upsetting the rest', () => {
    const built = build(demoPieces(NOW));
    const { placed } = searchSchedule(built.instance, { tries: 60, seed: 1 });
    const found = spareSteps(built.instance, placed, 20);
    expect(found.length).toBeGreaterThan(0);
    for (const index of found) {
      const task = built.instance.tasks[index];
      expect(task.minutes).toBeLessThanOrEqual(20);
      expect(task.after).toEqual([]);
      const [own = []] = built.instance.hands;
      const moved = { ...built.instance, hands: [[{ from: 0, until: 20 }, ...own]] };
      const starts = placed.starts.map((start, at) => (at === index ? 0 : start));
      const shared = placed.shared.map((ready, at) => (at === index ? 0 : ready));
      // Taken out of its batch, it leaves the next one to get ready for itself.
      const broken = checkSchedule(moved, { ...placed, starts, shared });
      expect(broken.filter(({ rule }) => rule !== 'set-up')).toEqual([]);
    }
    expect(spareSteps(built.instance, placed, 2)).toEqual([]);
  });
});

describe('what would help', () => {
  const late = (patch: Partial<Piece> = {}) => readyPiece({ dueOn: '2026-11-28', ...patch });
  const variants = (pieces: Piece[], patch: Partial<BuildInput> = {}) =>
    remedyVariants({
      jobs: pieces.map(inPlan),
      late: [pieces[0].id],
      atHand: NOTHING_SAID,
      shelf: SHELF_MM,
      build: input(patch),
    });
  const finish = (built: ReturnType<typeof build>, id: string) => {
    const { placed } = searchSchedule(built.instance, { tries: 60, seed: 1 });
    return outcomeOf(benchOf(built.instance), placed).finishes[
      built.instance.pieces.findIndex((piece) => piece.id === id)
    ];
  };

  it('offers a quicker binder, a fan, one piece fewer and today, each a problem that can be solved', () => {
    const soft = late({ surface: { ...readyPiece().surface, kind: 'soft-wood', finish: 'bare' } });
    const other = readyPiece({ id: 'piece-2', name: 'Other' });
    const found = variants([soft, other], { hours: { ...HOURS, days: { '2026-11-26': [] } } });
    expect([...new Set(found.map(({ remedy }) => remedy.kind))]).toEqual(['binder', 'fan', 'fewer', 'today', 'hours']);
    // Two hours more on a day to come, beside what is free already.
    for (const { remedy } of found)
      if (remedy.kind === 'hours') {
        expect(remedy.minutes).toBe(120);
        remedy.spans.forEach(({ fromMinute }, index) =>
          expect(fromMinute).toBeGreaterThanOrEqual(remedy.spans[index - 1]?.untilMinute ?? 0),
        );
      }
    const plain = finish(build([soft, other], { hours: { ...HOURS, days: { '2026-11-26': [] } } }), soft.id);
    const binder = found.find(({ remedy }) => remedy.kind === 'binder');
    expect(binder && finish(binder.built, soft.id)).toBeLessThan(plain);
    const today = found.find(({ remedy }) => remedy.kind === 'today');
    expect(today && finish(today.built, soft.id)).toBeLessThanOrEqual(plain);
    expect(found.find(({ remedy }) => remedy.kind === 'fewer')?.built.instance.pieces.map(({ id }) => id)).toEqual([
      soft.id,
    ]);
  });

  it('a set is helped, and set aside, as a whole', () => {
    const set = (at: number) => ({ id: 'set', name: 'Set', at });
    const soft = { ...readyPiece().surface, kind: 'soft-wood', finish: 'bare' } as const;
    const pieces = [0, 1, 2].map((at) => late({ id: `part-${at}`, surface: soft, set: at < 2 ? set(at) : null }));
    const found = remedyVariants({
      jobs: pieces.map(inPlan),
      late: ['part-0', 'part-2'],
      atHand: NOTHING_SAID,
      shelf: SHELF_MM,
      build: input(),
    });
    const fewer = found.flatMap(({ remedy }) => (remedy.kind === 'fewer' ? [remedy.pieceIds] : []));
    expect(fewer).toEqual([['part-0', 'part-1'], ['part-2']]);
    const quicker = found.find(({ remedy }) => remedy.kind === 'binder' && remedy.pieceId === 'part-0');
    const waits = (id: string) => quicker?.built.instance.tasks.find((task) => task.id === `${id}/lay`)?.wait;
    expect(waits('part-1')).toEqual(waits('part-0'));
    expect(waits('part-1')).not.toEqual(waits('part-2'));
  });

  it('offers no binder to what is laid, no fan where one blows, no day that is free already', () => {
    const laid = late({ lay: { ...readyPiece().lay, laidAt: NOW - HOUR }, cure: { ...readyPiece().cure, air: 'fan' } });
    const free = { ...HOURS, days: { '2026-11-26': [{ fromMinute: 0, untilMinute: 1440 }] } };
    expect(variants([laid], { hours: free }).filter(({ remedy }) => remedy.kind !== 'hours')).toEqual([]);
  });
});

it('a step marked late moves its own piece alone where that makes nothing late', () => {
  const pieces = demoPieces(NOW);
  const built = build(pieces);
  const { placed } = searchSchedule(built.instance, { tries: 100, seed: 1 });
  const { starts } = placed;
  const { index } = step(built, 'demo-viaduct/lay');
  const later = build(pieces, {
    notBefore: { 'demo-viaduct/lay': built.originAt + (starts[index] + 1440) * MS_PER_MINUTE },
  });
  const mended = repairSchedule(later.instance, placed, { tries: 100, seed: 1 });
  expect(checkSchedule(later.instance, mended.placed)).toEqual([]);
  expect(mended.placed.starts[index]).toBeGreaterThanOrEqual(starts[index] + 1440);
  expect(mended.moved.every((at) => built.steps[at].pieceId === 'demo-viaduct')).toBe(true);
});
