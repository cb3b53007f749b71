import type { CureWait } from './wait';

/**
 * A point of the drying curve: hours from laying, and the share of the safe wait's drying that is gathered, 0–1 and
 * past it.
 */
export interface CurvePoint {
  hours: number;
  share: number;
  remaining: number;
}

const POINTS = 96;

/**
 * How far a coat has dried through time, to a little past its safe time. `remaining` is the water still to leave,
 * falling as an exponential of the drying gathered (source: falling-rate drying).
 */
export function dryingCurve(wait: CureWait): CurvePoint[] {
  const whole = wait.baseHours.max * wait.signShare;
  const untilHours = Math.max(wait.safeHours, 0.05) * 1.15;
  return Array.from({ length: POINTS + 1 }, (_, index) => {
    const hours = (untilHours * index) / POINTS;
    const share =
      wait.rule === 'label' || wait.rule === 'oven' || whole <= 0
        ? hours / Math.max(wait.safeHours, 0.01)
        : wait.drying.gathered(hours) / whole;
    return { hours, share, remaining: Math.exp(-FALL * share) };
  });
}

/** At the safe time about a fiftieth of the water is left. */
const FALL = 3.9;
