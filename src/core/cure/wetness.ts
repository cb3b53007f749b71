import { clamp, MS_PER_HOUR } from '@/core/shared';
import type { CureWait } from './wait';

/** How wet a piece is: the one mark that stands for it everywhere. */
export type Wetness = 'wet' | 'tacky' | 'dry' | 'cured' | 'sealed';

export interface CureClock {
  earliestAt: number;
  likelyAt: number;
  safeAt: number;
  /**
   * From when it may be worked on: likely, or as early as its signs say that it is dry. Desk, bench and plan ask this
   * and nothing else.
   */
  readyAt: number;
  wetness: Exclude<Wetness, 'sealed'>;
  /** 0 when laid, 1 when safe. */
  share: number;
}

/** By this share of the earliest time the coat has set enough to be tacky. */
const TACKY_SHARE = 0.35;

/**
 * @param laidAt and @param now epoch ms; @param soonest as early as can be: its signs say so, or its time is a window
 */
export function cureClock(wait: CureWait, laidAt: number, now: number, soonest = false): CureClock {
  const at = (hours: number) => laidAt + hours * MS_PER_HOUR;
  const [earliestAt, likelyAt, safeAt] = [at(wait.earliestHours), at(wait.likelyHours), at(wait.safeHours)];
  const readyAt = soonest ? earliestAt : likelyAt;
  return {
    earliestAt,
    likelyAt,
    safeAt,
    readyAt,
    wetness: wetness(),
    share: safeAt > laidAt ? clamp((now - laidAt) / (safeAt - laidAt), 0, 1) : 1,
  };

  function wetness(): CureClock['wetness'] {
    if (now >= safeAt) return 'cured';
    if (now >= readyAt) return 'dry';
    return now >= at(wait.earliestHours * TACKY_SHARE) ? 'tacky' : 'wet';
  }
}
