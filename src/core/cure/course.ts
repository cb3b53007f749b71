/**
 * The room's air over time, hour by hour or finer: readings of a sensor, a typed day that repeats, or one typed figure.
 * Between two readings the air is taken to run straight; a gap longer than `GAP_MINUTES` is bridged the same way and
 * said. Past the last reading the typed day goes on, or the last day of readings repeats. Known weakness: tomorrow is
 * taken to be like the day before.
 */
import { saturationPressureKpa, vapourPressureDeficitKpa, type Air } from './vapour';
import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';

export interface AirReading extends Air {
  at: number;
}
/** Twenty-four hours of a usual day, from midnight in local time. */
type DayProfile = readonly Air[];
export interface AirGap {
  fromAt: number;
  untilAt: number;
}

export interface AirCourse {
  fromAt: number;
  stepMs: number;
  /** At the start of each step. */
  temperatureC: Float64Array;
  vpdKpa: Float64Array;
  /** Where readings are missing inside the course. */
  bridged: readonly AirGap[];
}

export interface AirRecord {
  readings: readonly AirReading[];
  profile: DayProfile | null;
}

const GAP_MINUTES = 90;

/**
 * @param readings ascending; @param usual for times that nothing else tells; @param hourOf local hour of an instant,
 * 0–24 with its fraction
 */
export function airCourse(
  { readings, profile }: AirRecord,
  usual: Air,
  span: { fromAt: number; untilAt: number; stepMs?: number },
  hourOf: (at: number) => number = localHour,
): AirCourse {
  const { fromAt, untilAt, stepMs = MS_PER_HOUR / 4 } = span;
  const count = Math.max(1, Math.ceil((untilAt - fromAt) / stepMs));
  const temperatureC = new Float64Array(count);
  const vpdKpa = new Float64Array(count);
  const first = readings[0]?.at ?? Infinity;
  const last = readings.at(-1)?.at ?? -Infinity;
  let cursor = 0;
  const read = (at: number): Air => {
    while (cursor > 0 && readings[cursor]!.at > at) cursor--;
    while (cursor + 1 < readings.length && readings[cursor + 1]!.at <= at) cursor++;
    return between(readings, cursor, at);
  };
  const dayBefore = last - first >= MS_PER_DAY - MS_PER_HOUR;
  const airAt = (at: number): Air => {
    if (at >= first && at <= last) return read(at);
    if (profile) return profileAt(profile, hourOf(at));
    if (at > last && dayBefore) return read(at - Math.ceil((at - last) / MS_PER_DAY) * MS_PER_DAY);
    return at > last && readings.length > 0 ? read(last) : usual;
  };
  for (let step = 0; step < count; step++) {
    const air = airAt(fromAt + step * stepMs);
    temperatureC[step] = air.temperatureC;
    vpdKpa[step] = vapourPressureDeficitKpa(air);
  }
  return {
    fromAt,
    stepMs,
    temperatureC,
    vpdKpa,
    bridged: gapsOf(readings).filter((gap) => gap.untilAt > fromAt && gap.fromAt < untilAt),
  };
}

const localHour = (at: number): number => {
  const date = new Date(at);
  return date.getHours() + date.getMinutes() / 60;
};

function between(readings: readonly AirReading[], index: number, at: number): Air {
  const [a, b] = [readings[index]!, readings[index + 1]];
  if (!b || at <= a.at) return a;
  const share = Math.min(1, (at - a.at) / (b.at - a.at));
  return {
    temperatureC: a.temperatureC + share * (b.temperatureC - a.temperatureC),
    humidityPercent: a.humidityPercent + share * (b.humidityPercent - a.humidityPercent),
  };
}

function profileAt(profile: DayProfile, hour: number): Air {
  const [at, share] = [Math.floor(hour) % 24, hour % 1];
  const [a, b] = [profile[at]!, profile[(at + 1) % 24]!];
  return {
    temperatureC: a.temperatureC + share * (b.temperatureC - a.temperatureC),
    humidityPercent: a.humidityPercent + share * (b.humidityPercent - a.humidityPercent),
  };
}

function gapsOf(readings: readonly AirReading[]): AirGap[] {
  return readings
    .slice(1)
    .map((reading, index) => ({ fromAt: readings[index]!.at, untilAt: reading.at }))
    .filter((gap) => gap.untilAt - gap.fromAt > GAP_MINUTES * MS_PER_MINUTE);
}

/** A usual day from its extremes: coldest at six, warmest at fifteen, with as much water in the air all day. */
export function dayBetween(coldestC: number, warmestC: number, humidityPercent: number): Air[] {
  const mean = (coldestC + warmestC) / 2;
  const vapourKpa = saturationPressureKpa(mean) * (humidityPercent / 100);
  return Array.from({ length: 24 }, (_, hour) => {
    const rising = hour >= 6 && hour <= 15;
    const share = rising
      ? (1 - Math.cos((Math.PI * (hour - 6)) / 9)) / 2
      : (1 + Math.cos((Math.PI * ((hour + 24 - 15) % 24)) / 15)) / 2;
    const temperatureC = coldestC + share * (warmestC - coldestC);
    return { temperatureC, humidityPercent: Math.min(100, (100 * vapourKpa) / saturationPressureKpa(temperatureC)) };
  });
}
