import { keepReading, type PieceReading } from '@/core/inspect';
import { remediesNow } from '@/core/faults';
import { MS_PER_HOUR } from '@/core/shared';
import { applyPatch, isRubbed, type Job } from '@/core/stations';
import type { Piece } from '@/records';
import { WHOLE_RUNS } from '@/testing/whole-runs';
import { NOW, PICTURE } from '@/testing/builders';
import { nextStep, planPiece, runSteps, stationStates } from './index';

const SIDE = 12;
/** A reading of cells of 4 mm: haze and toner kept of each, in shares. */
const reading = (haze: (at: number) => number, kept: (at: number) => number): PieceReading => {
  const map = (value: (at: number) => number) => Array.from({ length: SIDE * SIDE }, (_, at) => value(at));
  return {
    corners: [0, 1, 2, 3].map(() => ({ x: 0, y: 0 })),
    register: { rmsMm: 0.2, sure: 1 },
    cell: { widthMm: 4, heightMm: 4, columns: SIDE, rows: SIDE },
    haze: map(haze),
    kept: map(kept),
    seen: map(() => 1),
    clearsWet: null,
    colours: map(() => 0x202020),
    isWhitened: false,
  };
};
const photo = { width: 100, height: 100 };
const keptAt = (one: PieceReading, pass: number, at: number) =>
  keepReading(one, { at, pass, photo, photos: { dry: null, wet: null } });

const board = WHOLE_RUNS.find(({ name }) => name.startsWith('Board'))!.piece;
const done = (passes: number) =>
  Array.from({ length: passes }, (_, at) => ({ at: NOW - (40 - at) * MS_PER_HOUR, minutes: 9 }));
const rubbed = (passes: number, readings: Job['rub']['readings'], patch: Partial<Job['rub']> = {}): Piece =>
  applyPatch<Piece>(board, {
    surface: { prepared: ['sand', 'dust'] },
    sheet: { printedAt: NOW - 90 * MS_PER_HOUR },
    lay: { laidAt: NOW - 80 * MS_PER_HOUR },
    rub: { done: done(passes), readings, ...patch },
  });
const planned = (job: Job) => planPiece(job, PICTURE, NOW);
const openIds = (job: Job) =>
  runSteps(job, planned(job))
    .filter(({ doneAt }) => doneAt === null)
    .map(({ id }) => id);

const CLEAN = reading(
  () => 0.02,
  () => 0.98,
);
const HAZY = reading(
  () => 0.6,
  () => 0.98,
);
const CORNER = reading(
  (at) => (at % SIDE < 4 && at < 4 * SIDE ? 0.6 : 0.02),
  () => 0.98,
);
const HOLES = reading(
  () => 0.02,
  (at) => (at % SIDE < 3 && at < 3 * SIDE ? 0.1 : 0.98),
);

describe('what a photo says changes the run', () => {
  it('one whose place is in doubt changes nothing until somebody has looked', () => {
    const doubted = { ...keptAt(CLEAN, 2, NOW), sure: 0 };
    expect(openIds(rubbed(2, [doubted]))).toEqual(openIds(rubbed(2, [])));
    expect(openIds(rubbed(2, [{ ...doubted, sure: 1 }]))).not.toContain('pass-3');
  });
  it('without one the planned passes are left', () =>
    expect(openIds(rubbed(2, []))).toEqual(['pass-3', 'mend-sand', 'mend-repaint', 'mend', 'seal-1', 'seal-2']));

  it.each([
    ['clean: seal', CLEAN, 'seal'],
    ['holes: mend', HOLES, 'mend'],
  ] as const)('%s: no pass is left anywhere', (_, said, decision) => {
    const piece = rubbed(2, [keptAt(said, 2, NOW)]);
    const plan = planned(piece);
    expect(plan.rub.verdict?.decision).toBe(decision);
    expect(openIds(piece)).toEqual(['mend-sand', 'mend-repaint', 'mend', 'seal-1', 'seal-2']);
    expect(isRubbed(piece, plan)).toBe(true);
    expect(stationStates(piece, plan)).toMatchObject({ rub: 'done', mend: 'ready' });
    expect(nextStep(piece, plan, NOW).code).toBe('mend');
    expect(remediesNow(['rub-again', 'wet-test', 'gloss-seal'], plan)).toEqual(['wet-test', 'gloss-seal', 'rub-again']);
  });

  it('hazy all over: one more pass, also after the planned ones', () => {
    const piece = rubbed(3, [keptAt(HAZY, 3, NOW)]);
    expect(planned(piece).rub.verdict?.decision).toBe('pass');
    expect(openIds(piece)[0]).toBe('pass-4');
    expect(isRubbed(piece, planned(piece))).toBe(false);
    expect(remediesNow(['rub-again', 'wet-test'], planned(piece))).toEqual(['rub-again', 'wet-test']);
  });

  it('hazy in one corner: one more pass that takes as long as that corner', () => {
    const piece = rubbed(1, [keptAt(CORNER, 1, NOW)]);
    const plan = planned(piece);
    expect(plan.rub.verdict?.decision).toBe('areas');
    expect(openIds(piece).filter((id) => id.startsWith('pass'))).toEqual(['pass-2']);
    expect(plan.rub.rubbing!.passes.at(-1)!.minutes).toBeLessThan(plan.rub.rubbing!.passes[0].minutes / 2);
    expect(plan.rub.rubbing!.planned.passes).toBe(3);
  });

  it('more toner goes than paper: stop, though haze is left', () => {
    const [before, after] = [0.98, 0.5].map((kept) =>
      reading(
        () => 0.4,
        () => kept,
      ),
    );
    const piece = rubbed(2, [keptAt(before, 1, NOW - 1), keptAt(after, 2, NOW)]);
    expect(planned(piece).rub.verdict?.decision).toBe('stop');
    expect(openIds(piece)[0]).toBe('mend-sand');
  });

  it('is overruled by the person, and says nothing of a piece that was rubbed on since', () => {
    const said = keptAt(CLEAN, 2, NOW);
    expect(openIds(rubbed(2, [said], { overruledAt: NOW }))[0]).toBe('pass-3');
    expect(openIds(rubbed(2, [said], { overruledAt: NOW, passes: 4 })).slice(0, 2)).toEqual(['pass-3', 'pass-4']);
    expect(planned(rubbed(3, [said])).rub.verdict).toBeNull();
    expect(planned(rubbed(0, [keptAt(HAZY, 0, NOW)])).rub.verdict).toBeNull();
  });
});
