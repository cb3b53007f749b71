/**
 * How much longer or shorter than the label a water-borne coat dries: (film ÷ nominal film)^1.5 × (reference VPD ÷ VPD)
 * × surface factor × air factor × cover factor, within 0.4–4. The exponent lies between evaporation-limited (1) and
 * diffusion-limited (2) drying. Source: film-drying theory, simplified; surface and air factors from bench practice,
 * cover factors judged from it. Where the air changes, a coat gathers drying at the rate of each moment: it is dry when
 * the integral of 1 ÷ factor reaches the label's hours.
 */
import type { BinderRecord, Ground } from '@/core/craft';
import { clamp, MS_PER_DAY, MS_PER_HOUR } from '@/core/shared';
import type { AirCourse } from './course';
import { REFERENCE_VPD_KPA, vapourPressureDeficitKpa, type Cover, type Room } from './vapour';

export interface DryingFactor {
  film: number;
  room: number;
  surface: number;
  air: number;
  cover: number;
  /** The product, within its limits. */
  total: number;
  limited: boolean;
}

const FILM_EXPONENT = 1.5;
const FAN_FACTOR = 0.7;
/** A board with a weight on it loses water at its rim only in part; one that is covered or stacked hardly at all. */
const COVER_FACTORS: Readonly<Record<Cover, number>> = { open: 1, weighted: 1.3, covered: 1.8 };
const LEAST_FACTOR = 0.4;
const GREATEST_FACTOR = 4;
const SLOWEST_RATE = 1 / GREATEST_FACTOR;
const FASTEST_RATE = 1 / LEAST_FACTOR;

/** @param filmShare wet film ÷ nominal film; @param surfaceFactor 1 for painted wood */
export function dryingFactor(filmShare: number, room: Room, surfaceFactor: number): DryingFactor {
  const deficit = vapourPressureDeficitKpa(room);
  const film = filmShare ** FILM_EXPONENT;
  const roomFactor = deficit > 0 ? REFERENCE_VPD_KPA / deficit : Infinity;
  const air = room.air === 'fan' ? FAN_FACTOR : 1;
  const cover = COVER_FACTORS[room.cover ?? 'open'];
  const product = film * roomFactor * surfaceFactor * air * cover;
  const total = clamp(product, LEAST_FACTOR, GREATEST_FACTOR);
  return { film, room: roomFactor, surface: surfaceFactor, air, cover, total, limited: total !== product };
}

/** A first coat that dries in open air on its ground before the one that takes the print, hours; 0 without one. */
export const bedHours = (
  { bedCoat }: Pick<BinderRecord, 'bedCoat'>,
  room: Room,
  ground: Pick<Ground, 'dryingFactor'>,
): number => (bedCoat ? bedCoat.dryHours * dryingFactor(1, room, ground.dryingFactor).total : 0);

/**
 * A coat's drying through time: how many of the label's hours it has gathered, and when it will have gathered so many.
 * Hours from its start.
 */
export interface Drying {
  gathered: (hours: number) => number;
  hoursFor: (labelHours: number) => number;
}

/** Drying in a room that stays as it is. */
export const steadyDrying = ({ total }: DryingFactor): Drying => ({
  gathered: (hours) => hours / total,
  hoursFor: (labelHours) => labelHours * total,
});

/**
 * Drying in a room that changes.
 *
 * @param still the factor without the room's air: film × surface × air × cover
 * @param startAt epoch ms; before the course its first step goes on, after it its last day repeats on average
 */
export function changingDrying(course: AirCourse, still: number, startAt: number): Drying {
  const { fromAt, stepMs } = course;
  const { at, timeOf } = gatheredLine(gatheredOver(course, still), stepMs, Math.round(MS_PER_DAY / stepMs));
  const begun = at(startAt - fromAt);
  return {
    gathered: (hours) => at(startAt + hours * MS_PER_HOUR - fromAt) - begun,
    hoursFor: (labelHours) => (fromAt + timeOf(begun + labelHours) - startAt) / MS_PER_HOUR,
  };
}

/** What is gathered by a time from the table's start, and the time by which so much is gathered. */
export interface GatheredLine {
  at: (time: number) => number;
  timeOf: (total: number) => number;
}

/**
 * A table of sums read as a line: straight between its entries, before the first as in its first step, past the last as
 * on its last day on average.
 *
 * @param step between two entries, in the unit that times are given in; @param stepsPerDay how many entries make a day
 */
export function gatheredLine(table: Float64Array, step: number, stepsPerDay: number): GatheredLine {
  const last = table.length - 1;
  const day = Math.max(1, Math.min(last, stepsPerDay));
  const lateRate = (table[last]! - table[last - day]!) / (day * step);
  const earlyRate = table[1]! / step;
  return {
    at(time) {
      const at = time / step;
      if (at <= 0) return time * earlyRate;
      if (at >= last) return table[last]! + (time - last * step) * lateRate;
      const whole = Math.floor(at);
      return table[whole]! + (at - whole) * (table[whole + 1]! - table[whole]!);
    },
    timeOf(total) {
      if (total <= 0) return total / earlyRate;
      if (total >= table[last]!) return last * step + (total - table[last]!) / lateRate;
      let [low, high] = [0, last];
      while (high - low > 1) {
        const middle = (low + high) >> 1;
        if (table[middle]! <= total) low = middle;
        else high = middle;
      }
      return (low + (total - table[low]!) / (table[low + 1]! - table[low]!)) * step;
    },
  };
}

/**
 * Label hours gathered by the start of each step of a course, with one entry more for its end. The sum of the rate 1 ÷
 * factor.
 *
 * @param into filled and returned; made where it is not given: many long courses are faster in one
 */
export function gatheredOver(
  { vpdKpa, stepMs }: Pick<AirCourse, 'vpdKpa' | 'stepMs'>,
  still: number,
  into?: Float64Array,
): Float64Array {
  const gathered = into ?? new Float64Array(vpdKpa.length + 1);
  gathered[0] = 0;
  const stepHours = stepMs / MS_PER_HOUR;
  const rateOfDeficit = 1 / (REFERENCE_VPD_KPA * still);
  let total = 0;
  for (let step = 0; step < vpdKpa.length; step++) {
    const rate = vpdKpa[step]! * rateOfDeficit;
    total += stepHours * (rate < SLOWEST_RATE ? SLOWEST_RATE : rate > FASTEST_RATE ? FASTEST_RATE : rate);
    gathered[step + 1] = total;
  }
  return gathered;
}
