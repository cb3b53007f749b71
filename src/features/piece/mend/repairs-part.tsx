'use client';
import { toggled } from '@/core/shared';
import type { Repair } from '@/core/mend';
import { Fold, Part, TickRow } from '@/ui';
import { REPAIR_WORDS, sentences } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import css from './mend.module.css';

const howWhy = (id: Repair['id']) => sentences(REPAIR_WORDS[id].how, REPAIR_WORDS[id].why);

/** Some of the piece's repairs, each to be ticked off. */
export function RepairsPart({
  title,
  repairs,
  inTurn = false,
}: {
  title: string;
  repairs: readonly Repair[];
  /** They are done one after the other: how the next is done stands with it. */
  inTurn?: boolean;
}) {
  const { piece, change } = useOpenPiece();
  if (repairs.length === 0) return null;
  const { done } = piece.mend;
  const next = inTurn ? (repairs.find(({ id }) => !done.includes(id))?.id ?? null) : null;
  const others = repairs.filter(({ id }) => id !== next);
  return (
    <Part title={title}>
      {repairs.map(({ id }) => {
        const toggle = () => change('mend', { done: toggled(done, id) }, REPAIR_WORDS[id].inText);
        return (
          <TickRow key={id} checked={done.includes(id)} onToggle={toggle}>
            {REPAIR_WORDS[id].title}
            {id === next && <small>{howWhy(id)}</small>}
          </TickRow>
        );
      })}
      {others.length > 0 && (
        <Fold summary={next ? say`How, for the others` : say`How and why`}>
          <dl className={css.hows}>
            {others.map(({ id }) => (
              <div key={id}>
                <dt>{REPAIR_WORDS[id].title}</dt>
                <dd>{howWhy(id)}</dd>
              </div>
            ))}
          </dl>
        </Fold>
      )}
    </Part>
  );
}
