'use client';
import type { Repair } from '@/core/mend';
import { Part, TickRow } from '@/ui';
import { REPAIR_WORDS } from '@/words';
import { useOpenPiece } from '../piece-context';

/** Some of the piece's repairs, each to be ticked off. */
export function RepairsPart({ title, repairs }: { title: string; repairs: readonly Repair[] }) {
  const { piece, change } = useOpenPiece();
  if (repairs.length === 0) return null;
  const { done } = piece.mend;
  return (
    <Part title={title}>
      {repairs.map(({ id }) => {
        const isDone = done.includes(id);
        const toggle = () =>
          change(
            'mend',
            { done: isDone ? done.filter((other) => other !== id) : [...done, id] },
            REPAIR_WORDS[id].inText,
          );
        return (
          <TickRow key={id} checked={isDone} onToggle={toggle}>
            {REPAIR_WORDS[id].title}
            <small>
              {REPAIR_WORDS[id].how} {REPAIR_WORDS[id].why}
            </small>
          </TickRow>
        );
      })}
    </Part>
  );
}
