'use client';
import { Answer, useUnits } from '@/ui';
import { SCHOOL_NAMES } from '@/words';
import { formatVolume } from '@/words/figures';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { useLay } from './use-lay';

export function LayAnswer() {
  const { piece, plan } = useOpenPiece();
  const { planned, dry } = useLay();
  const { system } = useUnits();
  const { school } = plan.method;
  const says = (): string => {
    if (!planned) return say`The amount follows from the print, the surface and the method.`;
    if (piece.lay.laidAt !== null)
      return dry ? say`That is done: on to the next station.` : say`The print is laid and drying.`;
    if (dry) return school ? say`Nothing to pour: ${SCHOOL_NAMES[school.id].inText}.` : say`Nothing to pour.`;
    const minutes = Math.floor(planned.openMinutes);
    return say`Pour ${formatVolume(planned.coat.totalMl, system)} and lay within ${minutes} min.`;
  };
  return <Answer>{says()}</Answer>;
}
