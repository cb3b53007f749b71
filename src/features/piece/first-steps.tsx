'use client';
import { useState } from 'react';
import { letteringOf, type PiecePlan, type StationId } from '@/core/stations';
import { useShelf } from '@/features/shelf';
import type { Piece } from '@/records';
import { Note } from '@/ui';
import { FIRST_RUBBING, FIRST_STEPS } from '@/words';
import { useOpenPiece } from './piece-context';

/** What its sentence tells somebody to do was done, so it goes. */
const IS_DONE: Readonly<Partial<Record<StationId, (piece: Piece, plan: PiecePlan, now: number) => boolean>>> = {
  picture: (piece) => letteringOf(piece) !== null,
  surface: (_, { surface }) => surface.blank !== null && surface.record !== null,
  method: (_, { method }) => method.binder !== null,
  sheet: ({ sheet }) => sheet.printedAt !== null,
  lay: ({ lay }) => lay.laidAt !== null,
  cure: (_, { cure: { clock } }, now) => clock !== null && now >= clock.readyAt,
  rub: ({ rub }) => rub.done.length > 0,
};

/**
 * Until a piece has been rubbed clear, each station says in one sentence what to do there, as long as it isn't done.
 */
export function FirstSteps({ station }: { station: StationId }) {
  const { piece, plan, now } = useOpenPiece();
  const shelf = useShelf();
  const [isFirst, setFirst] = useState<boolean | null>(null);
  if (isFirst === null && shelf)
    setFirst(shelf.pieces.every(({ rub }) => rub.finishedAt === null && rub.done.length === 0));
  const water = plan.rub.rubbing?.water;
  const words = station === 'rub' ? water && FIRST_RUBBING[water] : FIRST_STEPS[station];
  if (!words || !isFirst || IS_DONE[station]?.(piece, plan, now)) return null;
  return (
    <div data-testid="first-step">
      <Note apart>{words}</Note>
    </div>
  );
}
