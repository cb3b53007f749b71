'use client';
import { Answer, afterTime, clockTime, span } from '@/ui';
import { DECISION_WORDS, sentences, stepTitle } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import type { Rub } from './use-rub';

export function RubAnswer({ rub }: { rub: Rub }) {
  const { piece, plan, now } = useOpenPiece();
  const { planned, done, total, next, early, finished, verdict, dryAt } = rub;
  const says = (): string => {
    if (!planned) return say`Passes follow from the gel or glue, the paper and the size.`;
    if (finished) return finishedWords(rub, now);
    if (early && plan.cure.clock)
      return sentences(
        say`Not yet: start ${afterTime(plan.cure.clock.likelyAt, now)}.`,
        rub.school?.removal === 'rub'
          ? say`Rubbed wet, the toner comes off.`
          : say`Too soon, the picture stays behind.`,
      );
    if (total === 0) return offWords(rub, now);
    if (done === 0)
      return piece.lay.laidAt === null
        ? say`${total} passes, about ${planned.minutesTotal} min of rubbing.`
        : say`Rub the first of ${total} passes: about ${next?.minutes} min.`;
    if (verdict !== null) return DECISION_WORDS[verdict.decision];
    if (dryAt !== null && now < dryAt)
      return say`Let it dry until ${clockTime(dryAt, now)}, ${span(dryAt - now)}, then look for haze.`;
    return say`Look for milky patches, then rub pass ${done + 1} of ${total}.`;
  };
  return <Answer stop={early}>{says()}</Answer>;
}

function finishedWords({ school, dryAt, verdict, isEndedByPhoto }: Rub, now: number): string {
  if (school?.removal === 'none') return say`Nothing to take off: the paint is dry.`;
  if (school?.sealsItself) return say`It is on. A decal needs no mending and no sealer.`;
  const waits =
    dryAt !== null && now < dryAt ? say`Let it dry until ${clockTime(dryAt, now)}, then mend.` : say`Mend it next.`;
  if (isEndedByPhoto && verdict) return sentences(DECISION_WORDS[verdict.decision], waits);
  return sentences(school?.removal === 'rub' ? say`Rubbed clear.` : say`The picture is free.`, waits);
}

function offWords({ school, open, dryAt }: Rub, now: number): string {
  if (school?.removal === 'none') return say`Nothing to take off: let the paint dry.`;
  if (open?.step.kind === 'stick' && dryAt !== null && now < dryAt)
    return say`Let it dry until ${clockTime(dryAt, now)}, ${span(dryAt - now)}: it must be tacky before it is stuck on.`;
  return open ? `${stepTitle(open.title)}.` : say`Take the sheet off.`;
}
