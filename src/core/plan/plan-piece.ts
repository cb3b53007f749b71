import { NOTHING_SAID, type AtHand } from '@/core/at-hand';
import { inOneGo } from '@/core/shared';
import { answering, type Job, type PictureFacts, type PiecePlan } from '@/core/stations';

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
  return inOneGo(planningPiece(job, picture, now, atHand));
}

/** The plan of one piece bit by bit: between two stations whoever asks may do something else. */
export function* planningPiece(
  job: Job,
  picture: PictureFacts | null,
  now: number,
  atHand: AtHand,
): Generator<void, PiecePlan> {
  yield;
  return yield* answering({ job, picture, now, atHand });
}
