'use client';
import Link from 'next/link';
import { missingAt } from '@/core/plan';
import type { Schedule } from '@/features/agenda';
import css from './today.module.css';
import { MISSING_WORDS, assumedMethod } from '@/words';

/** Pieces that are planned with something assumed, or not at all, until a question is answered. */
export function AtTheDesk({ schedule }: { schedule: Schedule }) {
  const open = schedule.pieces.filter(({ foreseen }) => foreseen.assumed !== null || foreseen.lacks.length > 0);
  if (open.length === 0) return null;
  return (
    <section className={css.spare}>
      <h2>At the desk</h2>
      <ul>
        {open.map(({ planned: { piece, plan }, foreseen }) => {
          const [first] = foreseen.lacks.length
            ? missingAt('lay', foreseen.job, foreseen.plan)
            : missingAt('method', piece, plan);
          const words = foreseen.lacks.length
            ? MISSING_WORDS[foreseen.lacks[0]!].todo
            : `choose its method${foreseen.assumed ? `: planned as ${assumedMethod(foreseen.assumed)}` : ''}`;
          return (
            <li key={piece.id}>
              <Link href={`/piece/${piece.id}/${first?.at ?? 'method'}`}>{piece.name}</Link>: {words}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
