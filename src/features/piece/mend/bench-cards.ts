import { judgePiece, lastPlaced, readKept } from '@/core/inspect';
import { sum } from '@/core/shared';
import { REPAIR_WORDS, counted, stepTitle, type Wording } from '@/words';
import type { RepairStage } from '@/core/mend';
import type { Job, StepId } from '@/core/stations';
import { card, type BenchCard, type BenchCards } from '../station-feature';
import { say } from '@/words/say';

/** Holes as the last photo shows them; null where none was read, or none is there. */
function holeCard({ rub: { readings } }: Job, units: Wording): BenchCard | null {
  const last = lastPlaced(readings);
  const holes = last ? judgePiece(readKept(last)).areas.filter(({ kind }) => kind === 'loss') : [];
  if (holes.length === 0) return null;
  return card(
    'holes-read',
    say`${counted(holes.length, 'hole', 'holes')},
      ${units.area(100 * sum(holes.map(({ areaCm2 }) => areaCm2)))} in all. Their mixes stand at Mend, by number:
      stir one, dab all of its holes, then the next.`,
    `${holes.length}`,
  );
}

/** Which repairs a step of mending is about. */
function stagesOf(step: StepId): readonly RepairStage[] {
  if (step.kind !== 'mend') return ['trace'];
  return [step.part];
}

export const mendCards: BenchCards = ({ step, title }, job, { mend: { repairs } }, units) => {
  const first = title.code === 'mend' && title.wetTest;
  const stages = [...(first ? (['look'] as const) : []), ...stagesOf(step)];
  // What is a matter of taste stands at Mend: it is no work until it is chosen.
  const here = repairs.filter(({ stage, when }) => stages.includes(stage) && when !== 'if-liked');
  const cards = here.map(({ id }) => card(id, `${REPAIR_WORDS[id].title}. ${REPAIR_WORDS[id].how}`));
  const holes = step.kind === 'mend' && step.part === 'repaint' ? holeCard(job, units) : null;
  if (holes) return [holes, ...cards];
  return cards.length > 0 ? cards : [card('mend', stepTitle(title))];
};
