'use client';
import Link from 'next/link';
import { missingAt } from '@/core/plan';
import { thingsOf, type Schedule } from '@/features/agenda';
import css from './today.module.css';
import { MISSING_WORDS, assumedMethod } from '@/words';
import { say } from '@/words/say';

/** Pieces that are planned with something assumed, or not at all, until a question is answered. */
export function AtTheDesk({ schedule }: { schedule: Schedule }) {
  // Of a set, once: it has one plan.
  const open = thingsOf(schedule.pieces).flatMap(({ name, pieces }) => {
    const lacking = pieces.filter(({ foreseen }) => foreseen.assumed !== null || foreseen.lacks.length > 0);
    const [first] = lacking;
    return first ? [{ ...first, name: lacking.length === pieces.length ? name : first.planned.piece.name }] : [];
  });
  if (open.length === 0) return null;
  return (
    <section className={css.spare}>
      <h2>{say`At the desk`}</h2>
      <ul>
        {open.map(({ planned: { piece, plan }, foreseen, name }) => {
          const [first] = foreseen.lacks.length
            ? missingAt('lay', foreseen.job, foreseen.plan)
            : missingAt('method', piece, plan);
          const words = foreseen.lacks.length
            ? MISSING_WORDS[foreseen.lacks[0]!].todo
            : foreseen.assumed
              ? say`choose its method: planned as ${assumedMethod(foreseen.assumed)}`
              : say`choose its method`;
          return (
            <li key={piece.id}>
              <Link href={`/piece/${piece.id}/${first?.at ?? 'method'}`}>{name}</Link>: {words}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
