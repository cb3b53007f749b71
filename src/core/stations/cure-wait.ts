import type { WaitKind } from '@/core/craft';
import type { CureWait } from '@/core/cure';
import { clockWait, type StepWait } from './station';

/** The wait of a laid print as its rule has it: by the room, by the clock, in an oven, or as a window. */
export function cureStepWait(wait: CureWait, kind: WaitKind): StepWait {
  if (kind === 'window') return { ...clockWait(wait.earliestHours, kind), maxHours: wait.safeHours, place: 'bench' };
  if (kind !== 'dry') return clockWait(wait.likelyHours, kind);
  if (wait.rule === 'oven') return { ...clockWait(wait.likelyHours, 'heat'), place: 'oven' };
  const byClock = clockWait(wait.likelyHours, kind, wait.safeHours);
  if (wait.rule === 'label' || wait.baseHours.max === 0 || !wait.changing) return byClock;
  const { film, surface, air, cover } = wait.factor;
  const { min, max } = wait.baseHours;
  const labelled = wait.rule === 'sign' ? (min + max) / 2 : max;
  return {
    ...byClock,
    drying: {
      labelHours: labelled * wait.signShare,
      safeLabelHours: max * wait.signShare,
      still: film * surface * air * cover,
      floorHours: wait.floorHours,
    },
  };
}
