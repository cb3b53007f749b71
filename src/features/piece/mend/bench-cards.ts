import { REPAIR_WORDS, stepTitle } from '@/words';
import type { RepairStage } from '@/core/mend';
import type { StepId } from '@/core/stations';
import { card, type BenchCards } from '../station-feature';

/** Which repairs a step of mending is about. */
function stagesOf(step: StepId): readonly RepairStage[] {
  if (step.kind !== 'mend') return ['trace'];
  return [step.part];
}

export const mendCards: BenchCards = ({ step, title }, _, { mend: { repairs } }) => {
  const first = title.code === 'mend' && title.wetTest;
  const stages = [...(first ? (['look'] as const) : []), ...stagesOf(step)];
  const here = repairs.filter(({ stage }) => stages.includes(stage));
  const shown = here.some(({ expected }) => expected) ? here.filter(({ expected }) => expected) : here;
  const cards = shown.map(({ id }) => card(id, `${REPAIR_WORDS[id].title}. ${REPAIR_WORDS[id].how}`));
  return cards.length > 0 ? cards : [card('mend', stepTitle(title))];
};
