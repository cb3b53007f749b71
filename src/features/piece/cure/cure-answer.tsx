'use client';
import { COLDEST_FILM_C, DAMPEST_PERCENT } from '@/core/cure';
import { Answer, afterTime, clockTime, isAtNight, span, useUnits } from '@/ui';
import { laterWords, remarks, sentences } from '@/words';
import { formatDuration } from '@/words/figures';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { useCoated } from './use-coated';

export function CureAnswer() {
  const { piece, plan, now } = useOpenPiece();
  const units = useUnits();
  const coated = useCoated();
  const { wait, clock: times, kind } = plan.cure;
  const isCold = wait?.warnings.includes('too-cold') ?? false;
  // In damp air the model knows only the least.
  const isAtLeast = coated && (wait?.warnings.includes('damp') ?? false);
  const says = (): string => {
    if (!wait) return say`The wait follows from the method and the room.`;
    if (isCold) return say`Do not lay or rub below ${units.temperature(COLDEST_FILM_C)}: the film may never form.`;
    if (piece.rub.done.length > 0) return say`Cured: rubbing has begun.`;
    if (wait.safeHours === 0) return say`No waiting: go on at once.`;
    if (kind === 'soak') return soakWords(wait.likelyHours);
    if (kind === 'window')
      return times && now > times.safeAt
        ? say`The time to peel is over, the paper holds: let it dry overnight, then damp it and rub.`
        : windowWords(wait.earliestHours, wait.safeHours);
    if (!times)
      return `${remarks(
        isAtLeast
          ? say`Wait at least ${formatDuration(wait.likelyHours)} after laying`
          : say`Wait ${formatDuration(wait.likelyHours)} after laying`,
        wait.safeHours > wait.likelyHours && say`${formatDuration(wait.safeHours)} to be safe`,
      )}.`;
    if (now >= times.safeAt) return sentences(say`The full time is over: rub.`, laterWords('dry', false));
    if (now >= times.likelyAt) return say`Start rubbing now, if the sign is right.`;
    if (now >= times.readyAt) return say`By its signs it is dry: start rubbing now.`;
    if (isAtLeast)
      return say`The air is above ${DAMPEST_PERCENT} %: it takes at least until ${clockTime(times.likelyAt, now)}.`;
    return sentences(
      say`Start rubbing ${afterTime(times.likelyAt, now)}, ${span(times.likelyAt - now)}.`,
      isAtNight(times.likelyAt) && laterWords('dry', true),
    );
  };
  return <Answer stop={isCold}>{says()}</Answer>;
}

/** A bath is neither shortened nor lengthened. */
const soakWords = (hours: number): string =>
  say`Soak it ${formatDuration(hours)} in warm water, then take the paper off.`;

/** A window rather than a wait: before it the picture comes along, after it the paper holds. */
const windowWords = (fromHours: number, toHours: number): string =>
  say`Peel ${formatDuration(fromHours)} to ${formatDuration(toHours)} after laying: earlier the picture comes
    along, later the paper holds.`;
