import type { CureWait } from '@/core/cure';
import { clockWait, type StepWait } from './station';

/** The wait of a laid print as its rule has it: by the room, by the clock, in an oven, or as a window. */
export function cureStepWait(wait: CureWait, window: boolean): StepWait {
  if (window) return { ...clockWait(wait.earliestHours), maxHours: wait.safeHours, place: 'bench' };
  if (wait.rule === 'oven') return { ...clockWait(wait.likelyHours), place: 'oven' };
  const byClock = clockWait(wait.likelyHours, wait.safeHours);
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
