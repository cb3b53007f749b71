import type { Candidate } from './candidates';

/** What a way has over the best one: sooner to rub, less rubbing, more toner kept, a cheaper medium, washable. */
export type Gain = 'sooner' | 'less-rubbing' | 'keeps-more' | 'cheaper' | 'washable' | 'dry';

export interface Way {
  candidate: Candidate;
  /** Against the best way; empty for that itself. */
  gains: readonly Gain[];
}

const SHOWN = 3;
/** What counts as a difference to a person: hours, minutes, a share of the toner, a share of the price. */
const LEAST_SHARE = 0.75;
const LEAST_MINUTES = 5;
const LEAST_KEPT = 0.03;
/** A way this far behind is no trade-off but a worse way. */
const MOST_BEHIND = 40;

/**
 * The best way and up to two that trade its points for something it lacks, each gaining what the ones before do not
 * have; filled up by rank where nothing more is to be gained. What is chosen is always among them.
 *
 * @param usable what works, best first
 * @param chosen what the person took, if it works
 */
export function threeWays(usable: readonly Candidate[], chosen: Candidate | null): Way[] {
  const [best] = usable;
  if (!best) return [];
  const ways: Way[] = [{ candidate: best, gains: [] }];
  const add = (candidate: Candidate) => ways.push({ candidate, gains: gainsOf(candidate, best) });
  if (chosen && chosen !== best && usable.includes(chosen)) add(chosen);
  const near = usable.filter(({ score }) => best.score - score <= MOST_BEHIND);
  const gained = new Set(ways.flatMap(({ gains }) => gains));
  while (ways.length < SHOWN) {
    const left = near.filter((one) => ways.every(({ candidate }) => candidate !== one));
    const next = left.find((one) => gainsOf(one, best).some((gain) => !gained.has(gain))) ?? left[0];
    if (!next) break;
    add(next);
    for (const gain of gainsOf(next, best)) gained.add(gain);
  }
  return ways;
}

function gainsOf(one: Candidate, best: Candidate): Gain[] {
  const [mine, its] = [one.figures, best.figures];
  if (!mine || !its) return [];
  const gains: [Gain, boolean][] = [
    ['sooner', mine.waitHours < its.waitHours * LEAST_SHARE],
    ['less-rubbing', mine.minutes <= its.minutes - LEAST_MINUTES],
    ['keeps-more', mine.kept >= its.kept + LEAST_KEPT],
    ['cheaper', mine.cost !== null && its.cost !== null && mine.cost < its.cost * LEAST_SHARE],
    ['washable', one.binder.washable && !best.binder.washable],
    ['dry', !one.binder.wet && best.binder.wet],
  ];
  return gains.filter(([, is]) => is).map(([gain]) => gain);
}
