import { LIKED_BY_PRESS, type LikedRepair } from '@/core/mend';
import { applyPatch, type JobPatch } from '@/core/stations';
import { stepTitle } from '@/words';
import type { Piece } from '@/records';
import { NOW, PICTURE, readyPiece } from '@/testing/builders';
import { planPiece, runSteps } from './index';

/** A thick pine board whose print leaves a rim. */
const board = (patch: JobPatch = {}) =>
  applyPatch<Piece>(
    applyPatch<Piece>(readyPiece(), {
      surface: { kind: 'soft-wood', baseCoat: 'none', thicknessMm: 30, finish: 'bare' },
    }),
    patch,
  );
const mending = (piece: Piece) =>
  runSteps(piece, planPiece(piece, PICTURE, NOW)).filter(({ station }) => station === 'mend');
const sums = (piece: Piece) => {
  const steps = mending(piece);
  return {
    minutes: steps.reduce((total, { handsMinutes }) => total + handsMinutes, 0),
    hours: steps.reduce((total, { waitHours }) => total + waitHours, 0),
    titles: steps.map(({ title }) => stepTitle(title)).join(' / '),
  };
};

describe('what is a matter of taste', () => {
  const plain = sums(board());

  it.each(LIKED_BY_PRESS)('%s has hands in the run once it is liked, and none before', (id: LikedRepair) => {
    const liked = board({ mend: { liked: [id] } });
    const offered = planPiece(board(), PICTURE, NOW).mend.repairs.find((repair) => repair.id === id);
    expect(offered?.when).toBe('if-liked');
    expect(planPiece(liked, PICTURE, NOW).mend.repairs.find((repair) => repair.id === id)?.when).toBe('chosen');
    expect(sums(liked).minutes).toBeGreaterThanOrEqual(plain.minutes + 3);
    expect(sums(liked).titles.length).toBeGreaterThan(plain.titles.length);
  });

  it('worn on purpose and stained count as well', () => {
    const stained = sums(board({ mend: { glaze: '#5a3b22' } }));
    expect(stained.minutes).toBeGreaterThan(plain.minutes + 5);
    expect(stained.titles).toContain('stain the bare wood');
    expect(sums(board({ mend: { wear: { share: 0.05, where: 'edges' } } })).minutes).toBeGreaterThan(plain.minutes + 3);
  });

  it('what is wiped or painted on dries before the sealer, the slowest of it', () => {
    const hoursOfLast = (patch: JobPatch) => mending(board(patch)).at(-1)?.waitHours ?? 0;
    expect(hoursOfLast({})).toBe(0);
    const antique = hoursOfLast({ mend: { liked: ['antique'] } });
    const stain = hoursOfLast({ mend: { glaze: '#5a3b22' } });
    expect(antique).toBeGreaterThan(0.5);
    expect(stain).toBeGreaterThan(antique);
    expect(hoursOfLast({ mend: { liked: ['antique'], glaze: '#5a3b22' } })).toBe(stain);
  });

  it('sanding for the look alone makes a step of its own where nothing else is sanded', () => {
    const faded = mending(board({ mend: { liked: ['fade-edge'] } }));
    expect(faded.some(({ step }) => step.kind === 'mend' && step.part === 'sand')).toBe(true);
  });

  it('a glaze goes over painted boards too; a stain only into bare wood', () => {
    const painted = board({ surface: { baseCoat: 'chalk-type-paint' } });
    const ids = planPiece(painted, PICTURE, NOW).mend.repairs.map(({ id }) => id);
    expect(ids).toContain('antique');
    expect(ids).not.toContain('stain');
  });

  it('cloth is neither glazed nor given a rim', () => {
    const cloth = board({ surface: { kind: 'cloth' } });
    const ids = planPiece(cloth, PICTURE, NOW).mend.repairs.map(({ id }) => id);
    expect(ids).not.toContain('antique');
    expect(ids).not.toContain('rim');
  });
});
