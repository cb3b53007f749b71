import { NOTHING_SAID } from '@/core/at-hand';
import { foresee, runSteps } from '@/core/plan';
import { applyPatch, stepKey, type JobPatch } from '@/core/stations';
import type { Piece } from '@/records';
import { HOUR, NOW, PICTURE, readyPiece } from '@/testing/builders';
import { WHOLE_RUNS } from '@/testing/whole-runs';
import { stepTitle, wordingIn } from '@/words';
import { pieceCard } from './card-of';

const units = wordingIn('metric');
const pace = {};
const cardOf = (piece: Piece, starts: Record<string, number> = {}) => {
  const { job, plan } = foresee(piece, PICTURE, NOW, NOTHING_SAID);
  return { card: pieceCard(piece, { job, plan }, { starts, pace, units }), steps: runSteps(job, plan, pace) };
};
const blankOf = (...patches: JobPatch[]) => {
  const piece = patches.reduce<Piece>((before, patch) => applyPatch(before, patch), readyPiece());
  return cardOf(piece).card.facts.find(({ name }) => name === 'Board or jar')?.value;
};

describe('a work card', () => {
  it('names the blank as it was entered, not as it lies flat', () => {
    expect(blankOf({ surface: { widthMm: 200, heightMm: 140 } })).toMatch(/^20 × 14 cm, [^,]+$/);
    const wrapped = WHOLE_RUNS.find(({ name }) => name.startsWith('Wrapped canvas'))!;
    expect(cardOf(wrapped.piece).card.facts[0]?.value).toMatch(/^20 × 20 cm, wrapped canvas, /);
    expect(
      blankOf({ surface: { shape: { kind: 'cylinder', coverDeg: 180 } as never, widthMm: 80, heightMm: 100 } }),
    ).toMatch(/^8 × 10 cm, cylinder, /);
    expect(blankOf({ surface: { shape: { kind: 'round' }, widthMm: 80, heightMm: null } })).toMatch(
      /^80 mm across, round, /,
    );
  });

  it('lists steps by time: done ones, planned ones by their hour, the rest in their order', () => {
    const piece = readyPiece();
    const { steps } = cardOf(piece);
    const open = steps.filter(({ doneAt }) => doneAt === null);
    const [first, second, third, ...rest] = open;
    const key = (step: (typeof open)[number]) => stepKey(piece.id, step.id);
    const starts = { [key(third)]: NOW + HOUR, [key(first)]: NOW + 2 * HOUR, [key(second)]: NOW + 3 * HOUR };
    const { card } = cardOf(piece, starts);
    expect(card.steps.map(({ text }) => text)).toEqual(
      [...steps.filter(({ doneAt }) => doneAt !== null), third, first, second, ...rest].map(({ title }) =>
        stepTitle(title),
      ),
    );
    expect(card.steps.filter(({ when }) => when !== '')).toHaveLength(3);
  });
});
