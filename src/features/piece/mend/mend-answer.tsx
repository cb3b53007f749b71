'use client';
import type { Repair } from '@/core/mend';
import { sum } from '@/core/shared';
import { passDryAt } from '@/core/stations';
import { Answer, clockTime } from '@/ui';
import { REPAIR_WORDS, counted } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import type { ReadHoles } from './use-holes';

export function MendAnswer({ read }: { read: ReadHoles | null }) {
  const { piece, plan, now } = useOpenPiece();
  const { repairs } = plan.mend;
  const dryAt = passDryAt(piece, plan);
  const says = (): string => {
    if (plan.method.school?.sealsItself) return say`A tape decal is not mended: it lies under its own tape.`;
    if (repairs.length === 0) return say`What can be mended follows from the surface and the method.`;
    if (piece.mend.finishedAt !== null) return say`Mended.`;
    if (dryAt !== null && now < dryAt)
      return say`Let it dry until ${clockTime(dryAt, now)}: faults show only when dry.`;
    if (read?.stop) return say`More is gone than mends well: see the ways out.`;
    if (read && read.holes.length > 0) {
      const minutes = Math.round(sum(read.holes.map((hole) => hole.minutes)));
      return say`${counted(read.holes.length, 'hole', 'holes')} to paint in, about ${minutes} min of hands.`;
    }
    return usualWords(repairs.filter(({ id, when }) => isUsual(when) && !piece.mend.done.includes(id)));
  };
  return <Answer>{says()}</Answer>;
}

/** Done without a look at the piece: expected on it, or chosen by the person. */
export const isUsual = (when: Repair['when']): boolean => when === 'expected' || when === 'chosen';

function usualWords([first, ...others]: readonly Repair[]): string {
  if (!first) return say`Look it over once more, then seal.`;
  const what = REPAIR_WORDS[first.id].inText;
  return others.length === 0
    ? say`One thing is usual here: ${what} first.`
    : say`${others.length + 1} things are usual here: ${what} first.`;
}
