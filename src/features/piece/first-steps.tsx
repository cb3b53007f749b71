'use client';
import { useState } from 'react';
import type { StationId } from '@/core/stations';
import { useShelf } from '@/features/shelf';
import { Note } from '@/ui';
import { FIRST_STEPS } from '@/words';

/**
 * Until a piece has been rubbed clear, each station says in one sentence what to do there. What it says while a station
 * stands stays: nothing moves under the finger.
 */
export function FirstSteps({ station }: { station: StationId }) {
  const shelf = useShelf();
  const [isFirst, setFirst] = useState<boolean | null>(null);
  const words = FIRST_STEPS[station];
  if (isFirst === null && shelf)
    setFirst(shelf.pieces.every(({ rub }) => rub.finishedAt === null && rub.done.length === 0));
  if (!words || !isFirst) return null;
  return (
    <div data-testid="first-step">
      <Note apart>{words}</Note>
    </div>
  );
}
