/**
 * When a laid print may be rubbed: earliest, likely and safe, in hours from laying. Two schools of waiting: by the sign
 * (evenly opaque, no cool patch, a corner that will not lift: earliest on) and by the clock (the full label time,
 * always; opaque and clear transfer media allow no other, with a floor of 24 h). Where the room's air is known through
 * time the hours follow it; signs seen on the piece correct them; an oven replaces them. What waits without a coat –
 * soaking, cooling, a thin thing in open air – is a wait of its own kind (`plainWait`).
 */
import { nominalFilmUm, type BinderRecord, type Ground } from '@/core/craft';
import { clamp, MS_PER_HOUR } from '@/core/shared';
import { changingDrying, dryingFactor, steadyDrying, type Drying, type DryingFactor } from './drying';
import type { AirCourse } from './course';
import { ovenHours, type OvenCycle } from './oven';
import { signShare, type SeenSign } from './signs';
import { REFERENCE_AIR, saturationPressureKpa, type Room } from './vapour';

/**
 * `sign` and `clock` are the schools of waiting; `soak`, `cool`, `open` and `none` have no coat under a sheet: a bath, a
 * hot piece, something thin in open air, nothing.
 */
export type WaitRule = 'sign' | 'clock' | 'clock-floor' | 'label' | 'oven' | 'soak' | 'cool' | 'open' | 'none';
type WaitWarning = 'too-cold' | 'damp' | 'cold-hours';

export interface CureWait {
  earliestHours: number;
  likelyHours: number;
  safeHours: number;
  rule: WaitRule;
  /** In the room as it is typed; where its air changes, the mean over the likely wait. */
  factor: DryingFactor;
  baseHours: { min: number; max: number };
  floorHours: number;
  warnings: readonly WaitWarning[];
  /** What the signs make of the record's hours: 1 as it says. */
  signShare: number;
  drying: Drying;
  /** Whether the room's air through time was used. */
  changing: boolean;
}

export interface CureInput {
  binder: BinderRecord;
  /** What the coat lies on; a bed has closed it. */
  ground: Pick<Ground, 'dryingFactor' | 'porous'>;
  filmUm: number | null;
  room: Room;
  waitBy: 'sign' | 'clock';
  /** Hours from the bottle's label or the person's own log: replaces the record's, and is not scaled. */
  labelHours: number | null;
  /** The room's air through time, and when the coat starts in it, epoch ms; null takes `room` throughout. */
  through?: { course: AirCourse; startAt: number } | null;
  signs?: readonly SeenSign[];
  oven?: OvenCycle | null;
}

const REFERENCE_ROOM: Room = { ...REFERENCE_AIR, air: 'still' };
/** A dried first coat has closed the ground. */
const BED = { dryingFactor: 1, porous: false };
const SOONEST_SIGN_FACTOR = 0.25;

export const COLDEST_FILM_C = 10;
export const DAMPEST_PERCENT = 85;

export function cureWait({
  binder,
  ground: under,
  filmUm,
  room,
  waitBy,
  labelHours,
  through = null,
  signs = [],
  oven = null,
}: CureInput): CureWait {
  const nominal = nominalFilmUm(binder);
  const ground = binder.bedCoat ? BED : under;
  const steady = dryingFactor(nominal > 0 ? (filmUm ?? nominal) / nominal : 1, room, ground.dryingFactor);
  const drying = through
    ? changingDrying(through.course, steady.film * steady.surface * steady.air * steady.cover, through.startAt)
    : steadyDrying(steady);
  const { min, max } = binder.waitHours;
  const floorHours = binder.clockFloorHours;
  const floored = (hours: number) => Math.max(hours, floorHours);
  const share =
    through && signs.length > 0 && min > 0
      ? signShare(signs, min, (at) => drying.gathered((at - through.startAt) / MS_PER_HOUR))
      : 1;
  const hoursFor = (labelled: number) => (labelled === 0 ? 0 : drying.hoursFor(labelled * share));
  const middle = (min + max) / 2;
  const likely = hoursFor(middle);
  const factor = through && middle > 0 ? meanFactor(steady, likely / (middle * share)) : steady;
  const shared = {
    factor,
    baseHours: binder.waitHours,
    floorHours,
    warnings: warningsOf(room, through, max > 0 ? hoursFor(min) : 0),
    signShare: share,
    drying,
    changing: through !== null && through.course.vpdKpa.some((kpa) => kpa !== through.course.vpdKpa[0]),
  };
  if (labelHours !== null) {
    const hours = floored(labelHours);
    return {
      ...shared,
      earliestHours: hours,
      likelyHours: hours,
      safeHours: hours,
      rule: hours > labelHours ? 'clock-floor' : 'label',
    };
  }
  if (oven) {
    const hours = ovenHours(oven, filmUm ?? nominal);
    return { ...shared, earliestHours: hours, likelyHours: hours, safeHours: hours, rule: 'oven' };
  }
  const safeHours = floored(hoursFor(max));
  if (floorHours > 0)
    return { ...shared, earliestHours: floored(hoursFor(min)), likelyHours: safeHours, safeHours, rule: 'clock-floor' };
  if (waitBy === 'clock')
    return { ...shared, earliestHours: safeHours, likelyHours: safeHours, safeHours, rule: 'clock' };
  const soonest = ground.porous ? hoursFor(binder.signHours ?? min) * deeperBy(factor) : hoursFor(min);
  return { ...shared, earliestHours: Math.min(soonest, likely), likelyHours: likely, safeHours, rule: 'sign' };
}

/** On ground that drinks, the sign of a thin coat in warm dry air comes sooner than the model is trusted for. */
const deeperBy = ({ film, room, surface, air, cover, total }: DryingFactor): number =>
  clamp(film * room * surface * air * cover, SOONEST_SIGN_FACTOR, total) / total;

/** A wait without a coat under a sheet: as long as it is, whatever dries. */
export function plainWait(rule: 'soak' | 'cool' | 'open' | 'none', hours: number, room: Room): CureWait {
  const factor = dryingFactor(1, rule === 'open' ? room : REFERENCE_ROOM, 1);
  const waited = rule === 'open' ? hours * factor.total : hours;
  return {
    earliestHours: waited,
    likelyHours: waited,
    safeHours: waited,
    rule,
    factor,
    baseHours: { min: hours, max: hours },
    floorHours: 0,
    warnings: [],
    signShare: 1,
    drying: steadyDrying(factor),
    changing: false,
  };
}

/** The steady factor with the room's part such that the whole is what the changing air came to. */
const meanFactor = (steady: DryingFactor, total: number): DryingFactor => ({
  ...steady,
  room: total / (steady.film * steady.surface * steady.air * steady.cover),
  total,
  limited: false,
});

function warningsOf(
  { temperatureC, humidityPercent }: Room,
  through: CureInput['through'],
  wetHours: number,
): WaitWarning[] {
  if (!through)
    return [
      ...(temperatureC < COLDEST_FILM_C ? (['too-cold'] as const) : []),
      ...(humidityPercent > DAMPEST_PERCENT ? (['damp'] as const) : []),
    ];
  const { course, startAt } = through;
  const from = Math.max(0, Math.floor((startAt - course.fromAt) / course.stepMs));
  const until = from + Math.max(1, Math.ceil((wetHours * MS_PER_HOUR) / course.stepMs));
  const wetC = course.temperatureC.subarray(from, until);
  const dampSteps = wetC.filter((celsius, step) => {
    const dryKpa = (course.vpdKpa[from + step] ?? 0) / saturationPressureKpa(celsius);
    return (1 - dryKpa) * 100 > DAMPEST_PERCENT + ROUNDING_PERCENT;
  }).length;
  const warnings: WaitWarning[] = [];
  if (wetC.some((celsius) => celsius < COLDEST_FILM_C))
    warnings.push(wetC[0]! < COLDEST_FILM_C ? 'too-cold' : 'cold-hours');
  if (dampSteps > wetC.length * DAMP_SHARE) warnings.push('damp');
  return warnings;
}

/** A room is damp where it was for so much of the wait. */
const DAMP_SHARE = 0.25;
const ROUNDING_PERCENT = 1e-6;
