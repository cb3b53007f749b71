'use client';
import { usePlannedPieces } from '@/features/plans';
import { Place, Answer } from '@/ui';
import { say } from '@/words/say';

/** From so many on it is worth a word that they are being looked through. */
const MANY = 40;

/** What a place says while the plan of all pieces is made: nothing for a few, how far it is for very many. */
export function Gathering({ className }: { className: string | undefined }) {
  const { planned } = usePlannedPieces();
  return (
    <Place className={className} aria-busy="true">
      {planned.length > MANY && <Answer>{say`Looking through your pieces: ${planned.length} so far …`}</Answer>}
    </Place>
  );
}
