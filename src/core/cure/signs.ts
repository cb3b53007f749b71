/**
 * What is seen and felt on a drying piece corrects the estimate: a piece that is not dry when the model has it dry is
 * slower by so much, one that is dry sooner is faster. Each sign sets a bound on how many of the label's hours this
 * piece needs, as a share of the record's; the latest sign wins where two disagree. Source: signs from bench practice;
 * how far each moves the bound is judgement.
 */
import { MS_PER_MINUTE, clamp } from '@/core/shared';

export type SignId = 'translucent' | 'cool-edge' | 'corner-lifts' | 'even' | 'corner-holds';
export interface SeenSign {
  id: SignId;
  at: number;
}

/** Past what it has gathered, how much more such a piece still needs. */
const STILL_NEEDS: Readonly<Partial<Record<SignId, number>>> = {
  translucent: 0.5,
  'cool-edge': 0.12,
  'corner-lifts': 0.25,
};
const isDrySign = ({ id }: SeenSign): boolean => STILL_NEEDS[id] === undefined;
/** What has to be seen and felt before it is rubbed by the sign. */
const DRY_SIGNS: readonly SignId[] = ['even', 'corner-holds'];
/** Nothing dries or gets wet again within so long: one of two such signs is a mistake. */
const SAME_LOOK_MS = MS_PER_MINUTE;

/** Whether all that has to be seen was seen, and nothing against it since. */
export function signsSayDry(signs: readonly SeenSign[]): boolean {
  const lastWetAt = Math.max(0, ...signs.filter((sign) => !isDrySign(sign)).map(({ at }) => at));
  return DRY_SIGNS.every((id) => signs.some((sign) => sign.id === id && sign.at > lastWetAt));
}

/** Signs that say the opposite of another at the same look: one of them is to be taken back. */
export const signsAgainst = (signs: readonly SeenSign[], sign: SeenSign): SeenSign[] =>
  signs.filter((one) => isDrySign(one) !== isDrySign(sign) && Math.abs(one.at - sign.at) < SAME_LOOK_MS);

const SLOWEST = 4;
const FASTEST = 0.4;

/**
 * The share of the record's hours that this piece needs, 1 without signs.
 *
 * @param gathered label hours gathered at an instant; @param earliestLabelHours the record's shortest wait
 */
export function signShare(
  signs: readonly SeenSign[],
  earliestLabelHours: number,
  gathered: (at: number) => number,
): number {
  let share = 1;
  for (const sign of [...signs].sort((a, b) => a.at - b.at)) {
    const reached = gathered(sign.at) / earliestLabelHours;
    const more = STILL_NEEDS[sign.id];
    if (more !== undefined) share = Math.max(share, reached * (1 + more));
    else share = Math.min(share, reached);
  }
  return clamp(share, FASTEST, SLOWEST);
}
