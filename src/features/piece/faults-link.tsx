'use client';
import Link from 'next/link';
import { useOpenPiece } from './piece-context';
import { say } from '@/words/say';

/** From a station to what may be wrong with this piece. */
export function FaultsLink() {
  const { piece } = useOpenPiece();
  return (
    <Link
      href={`/faults?piece=${encodeURIComponent(piece.id)}`}
      data-testid="to-faults"
    >{say`Something is wrong with it?`}</Link>
  );
}
