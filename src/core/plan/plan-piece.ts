import { NOTHING_SAID, type AtHand } from '@/core/at-hand';
import { STATIONS, STATION_REGISTRY, type Job, type PictureFacts, type PiecePlan } from '@/core/stations';

/**
 * The plan of one piece: every station's answer, computed from the job and the stations before it in one call, the same
 * in the page, in a test and in a worker.
 *
 * @param now epoch ms; @param atHand what the person has: decides ranks and label values
 */
export function planPiece(
  job: Job,
  picture: PictureFacts | null,
  now: number,
  atHand: AtHand = NOTHING_SAID,
): PiecePlan {
  const setting = { job, picture, now, atHand };
  const answered: Partial<PiecePlan> = {};
  for (const id of STATIONS) {
    // A station reads only what its type names, which the registry's order has answered by now.
    Object.assign(answered, { [id]: STATION_REGISTRY[id].answer(setting, answered as PiecePlan) });
  }
  return answered as PiecePlan;
}
