'use client';
import { isSealed } from '@/core/stations';
import { Answer, clockTime, dayName, span, useUnits } from '@/ui';
import { SEALER_WORDS, counted, remarks } from '@/words';
import { formatDuration } from '@/words/figures';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';

export function SealAnswer() {
  const { piece, plan, now } = useOpenPiece();
  const units = useUnits();
  const { sealing, clock: times, choices } = plan.seal;
  const isBare = sealing?.sealer.bare ?? false;
  const sealed = isSealed(piece, plan);
  const says = (): string => {
    if (!sealing)
      return choices.some(({ suits }) => suits)
        ? say`The sealer follows from the object, the use and the sheen.`
        : say`No sealer suits this use in this sheen: change one of them.`;
    if (isBare && plan.method.school?.sealsItself) return say`No sealer: the decal lies under its own tape.`;
    if (isBare) return sealed ? say`Left unsealed, as it should be.` : say`No sealer needed here.`;
    if (sealing.tooCold)
      return say`Too cold to seal: below ${units.temperature(sealing.sealer.leastC ?? 0)} it does not harden. Warm the room first.`;
    if (sealed && times?.fullCureAt)
      return say`Sealed. Light use ${dayName(times.lightUseAt ?? times.fullCureAt, now)}, fully hard ${dayName(times.fullCureAt, now)}.`;
    if (times?.nextCoatAt)
      return now < times.nextCoatAt
        ? say`Next coat ${clockTime(times.nextCoatAt, now)}, ${span(times.nextCoatAt - now)}.`
        : say`Put coat ${piece.seal.coatsAt.length + 1} of ${sealing.coats} on now.`;
    return `${remarks(
      say`${counted(sealing.coats, 'coat', 'coats')} of ${SEALER_WORDS[sealing.sealer.id].inText}`,
      say`${units.volume(sealing.volumeMlPerCoat)} each`,
      sealing.coats > 1 && say`${formatDuration(sealing.betweenHours)} apart`,
    )}.`;
  };
  return <Answer stop={(sealing?.tooCold ?? false) && !isBare}>{says()}</Answer>;
}
