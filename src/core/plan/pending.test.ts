import { SCHOOLS } from '@/core/craft';
import { NOTHING_SAID } from '@/core/at-hand';
import { buildInstance } from '@/core/schedule';
import { MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';
import { applyPatch, type Job, type JobPatch } from '@/core/stations';
import { EMPTY_AGENDA, buildInputOf, newPiece, type Piece } from '@/records';
import { WHOLE_RUNS } from '@/testing/whole-runs';
import { NOW, PICTURE, readyPiece } from '@/testing/builders';
import {
  completeStep,
  foresee,
  isInTurn,
  openWaits,
  pendingBefore,
  planPiece,
  plannedSteps,
  runSteps,
  stepsBefore,
  type RunStep,
} from './index';

const runOf = (job: Job, now: number) => {
  const plan = planPiece(job, PICTURE, now);
  return { plan, steps: runSteps(job, plan) };
};
const marked = (job: Piece, step: RunStep, at: number): Piece =>
  applyPatch<Piece>(job, completeStep(job, step, at, null));
const byId = (steps: readonly RunStep[], id: string): RunStep => {
  const step = steps.find((one) => one.id === id);
  if (!step) throw new Error(`no ${id} among ${steps.map((one) => one.id).join(', ')}`);
  return step;
};

describe.each(WHOLE_RUNS.map(({ name, piece }) => [name, piece] as const))('%s', (_, piece) => {
  it('at every point of its run, nothing that comes later begins before what is waited for', () => {
    let job: Piece = piece;
    let now = NOW;
    for (let turn = 0; turn < 60; turn++) {
      const { steps, plan } = runOf(job, now);
      const open = steps.find(({ doneAt }) => doneAt === null);
      if (!open) break;
      expect(pendingBefore(steps, open, plan, now)).toBeNull();
      expect(isInTurn(steps, open)).toBe(true);
      // All that follows the open step, through whatever stands between, is held while that step is not marked.
      for (const later of steps.filter((one) => one.doneAt === null && stepsBefore(steps, one).includes(open))) {
        expect([open.id, later.id, isInTurn(steps, later)]).toEqual([open.id, later.id, false]);
        if (open.holdsBack)
          expect([later.id, pendingBefore(steps, later, plan, now)]).toMatchObject([later.id, { readyAt: null }]);
      }
      job = marked(job, open, now);
      // Right after it, all that follows waits for it to be over, through steps that leave no wait of their own.
      const after = runOf(job, now + 1000);
      const done = byId(after.steps, open.id);
      if (done.ripeAt !== null && done.ripeAt > now + 1000)
        for (const later of after.steps.filter(
          (one) => one.doneAt === null && stepsBefore(after.steps, one).includes(done),
        ))
          expect([open.id, later.id, pendingBefore(after.steps, later, after.plan, now + 1000)]).not.toEqual([
            open.id,
            later.id,
            null,
          ]);
      now += open.handsMinutes * MS_PER_MINUTE + open.wait.hours * MS_PER_HOUR + 1;
    }
  });

  it('sealed, mended or painted before it is rubbed or lifted: held, though everything between is marked', () => {
    const { steps } = runOf(piece, NOW);
    const lay = steps.findIndex(({ step }) => step.kind === 'lay');
    let job: Piece = piece;
    for (const step of steps.slice(0, lay + 1)) job = marked(job, step, NOW);
    for (const late of steps.slice(lay + 1).filter(({ station }) => station === 'mend' || station === 'seal')) {
      const { steps: now, plan } = runOf(job, NOW + MS_PER_MINUTE);
      const pending = pendingBefore(now, byId(now, late.id), plan, NOW + MS_PER_MINUTE);
      const next = now.find(({ station, doneAt }) => doneAt === null && station === 'rub');
      if (next) expect([late.id, pending?.before.id]).toEqual([late.id, next.id]);
      else if (late.station === 'mend') expect([late.id, pending?.before.id]).toEqual([late.id, 'lay']);
      expect([late.id, pending]).not.toEqual([late.id, null]);
      // Done all the same it does not open the way for what comes after it.
      job = late.station === 'mend' ? { ...job, work: marked(job, byId(now, late.id), NOW).work } : job;
    }
  });
});

it('every school stands among the runs', () =>
  expect(new Set(WHOLE_RUNS.map(({ piece }) => piece.method.school))).toEqual(new Set(SCHOOLS.map(({ id }) => id))));

const board = WHOLE_RUNS.find(({ name }) => name.startsWith('Board'))!.piece;
const laid = (hoursAgo: number, patch: JobPatch = {}): Piece =>
  applyPatch<Piece>(applyPatch<Piece>(board, { lay: { laidAt: NOW - hoursAgo * MS_PER_HOUR } }), patch);
const pendingAt = (job: Job, id: string, now = NOW) => {
  const { steps, plan } = runOf(job, now);
  return pendingBefore(steps, byId(steps, id), plan, now);
};

describe('a print that is wet under its paper', () => {
  it('is neither repainted nor sealed, and repainting it all the same does not let it be sealed', () => {
    const wet = laid(0.1);
    for (const id of ['mend-sand', 'mend-repaint', 'mend', 'seal-1', 'seal-2'])
      expect(pendingAt(wet, id)).toMatchObject({ before: { id: 'pass-1' }, readyAt: null });
    const { steps } = runOf(wet, NOW);
    const painted = marked(wet, byId(steps, 'mend-repaint'), NOW - 2 * MS_PER_HOUR);
    expect(pendingAt(painted, 'seal-1')).toMatchObject({ before: { id: 'pass-1' }, readyAt: null });
  });
  it('is placed by the schedule after all of it, however far between what is done stands', () => {
    const wet = laid(0.1);
    const { steps } = runOf(wet, NOW);
    const painted = marked(wet, byId(steps, 'mend-repaint'), NOW - 2 * MS_PER_HOUR);
    const run = runOf(painted, NOW).steps;
    const { instance, steps: tasks } = buildInstance({
      pieces: [{ id: 'p', name: 'p', dueAt: null, steps: run, room: 1, set: null }],
      now: NOW,
      ...buildInputOf(EMPTY_AGENDA),
      timeZone: 'Europe/London',
      air: null,
    });
    const at = (id: string) => tasks.findIndex(({ step }) => step.id === id);
    const before = (index: number): number[] => instance.tasks[index].after.flatMap((one) => [one, ...before(one)]);
    expect(before(at('seal-1'))).toContain(at('pass-1'));
    expect(before(at('mend'))).toContain(at('pass-3'));
  });
});

describe('what is waited for', () => {
  const waits = (job: Piece) => openWaits(runOf(job, NOW).steps).map(({ step, fromAt }) => [step.id, fromAt]);
  const marking = (job: Piece, id: string, at: number) => marked(job, byId(runOf(job, NOW).steps, id), at);
  const painted = WHOLE_RUNS.find(({ piece }) => runOf(piece, NOW).steps.some(({ id }) => id === 'base-coat'))!;

  it('is a coat of paint as much as a laid print, from when it was done until the piece itself is worked on anew', () => {
    expect(waits(painted.piece)).toEqual([]);
    const coated = marking(painted.piece, 'base-coat', NOW - MS_PER_HOUR);
    expect(waits(coated)).toEqual([['base-coat', NOW - MS_PER_HOUR]]);
    const wet = laid(2);
    expect(waits(wet)).toContainEqual(['lay', NOW - 2 * MS_PER_HOUR]);
    const rubbed = marking(wet, 'pass-1', NOW - MS_PER_MINUTE);
    expect(waits(rubbed)).toEqual([['pass-1', NOW - MS_PER_MINUTE]]);
  });
  it('stays so when its time is over, and ends with what is done on time', () => {
    expect(waits(laid(60))).toContainEqual(['lay', NOW - 60 * MS_PER_HOUR]);
    const { steps } = runOf(laid(60), NOW);
    const done = steps.map((step) => ({ ...step, doneAt: step.doneAt ?? NOW }));
    expect(openWaits(done)).toEqual([]);
  });
});

describe('when a laid print may be rubbed', () => {
  const signs = (...ids: ('even' | 'corner-holds' | 'translucent')[]): JobPatch => ({
    cure: { signs: ids.map((id, at) => ({ id, at: NOW - 40 * MS_PER_MINUTE + at * 10 * MS_PER_MINUTE })) },
  });
  it('is one time at Cure, Rub, the bench and in the plan: likely, or sooner by all its signs', () => {
    const between = laid(9);
    const { plan, steps } = runOf(between, NOW);
    const { clock } = plan.cure;
    expect(clock!.earliestAt).toBeLessThan(NOW);
    expect(clock!.likelyAt).toBeGreaterThan(NOW);
    expect(pendingAt(between, 'pass-1')).toMatchObject({ readyAt: clock!.likelyAt });
    expect(byId(steps, 'lay').ripeAt).toBe(clock!.likelyAt);
    expect(pendingAt(laid(9, signs('even')), 'pass-1')).not.toBeNull();
    expect(pendingAt(laid(9, signs('even', 'corner-holds')), 'pass-1')).toBeNull();
    expect(runOf(laid(9, signs('even', 'corner-holds')), NOW).plan.cure.clock!.wetness).toBe('dry');
    // A sign against it since takes it back.
    expect(pendingAt(laid(9, signs('even', 'corner-holds', 'translucent')), 'pass-1')).not.toBeNull();
  });
  it('no sign shortens a wait by the clock', () => {
    const byClock = laid(9, { cure: { ...signs('even', 'corner-holds').cure, waitBy: 'clock' } });
    expect(pendingAt(byClock, 'pass-1')).not.toBeNull();
  });
});

describe('a print that is refused', () => {
  const printed = (barMeasuredMm: number | null): Piece =>
    applyPatch<Piece>(board, {
      surface: { prepared: ['sand', 'dust'] },
      sheet: { printedAt: NOW - MS_PER_HOUR, barMeasuredMm },
    });
  it('is printed anew: the reprint stands in the run, and laying waits for it', () => {
    expect(pendingAt(printed(100), 'lay')).toBeNull();
    expect(pendingAt(printed(null), 'lay')).toBeNull();
    expect(byId(runOf(printed(96), NOW).steps, 'print').doneAt).toBeNull();
    expect(pendingAt(printed(96), 'lay')).toMatchObject({ before: { id: 'print' }, readyAt: null });
    const again = marked(printed(96), byId(runOf(printed(96), NOW).steps, 'print'), NOW);
    expect(again.sheet).toMatchObject({ printedAt: NOW, barMeasuredMm: null });
    expect(pendingAt(again, 'lay')).toBeNull();
  });
});

describe('a piece with nothing in it', () => {
  const idea = (patch: JobPatch) => {
    const job = applyPatch<Piece>(readyPiece(), patch);
    return plannedSteps(foresee(job, job.picture.pictureId ? PICTURE : null, NOW, NOTHING_SAID));
  };
  it.each([
    ['no picture', { picture: { pictureId: null } }],
    ['no surface', { surface: { kind: null } }],
    ['no width', { surface: { widthMm: null } }],
    ['no height', { surface: { heightMm: null } }],
  ] as const)('%s: no work for hands', (_, patch) => expect(idea(patch)).toEqual([]));
  it('a new one has none; one that has all of it has its work; one that is laid keeps its own', () => {
    expect(plannedSteps(foresee(newPiece('n', 'n', NOW), null, NOW, NOTHING_SAID))).toEqual([]);
    expect(idea({}).length).toBeGreaterThan(5);
    expect(idea({ picture: { pictureId: null }, lay: { laidAt: NOW } }).length).toBeGreaterThan(0);
  });
});
