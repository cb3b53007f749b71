'use client';
import Link from 'next/link';
import type { MissingCode } from '@/core/plan';
import { missingAt } from '@/core/plan';
import type { Schedule } from '@/features/agenda';
import css from './today.module.css';

const WORDS: Readonly<Partial<Record<MissingCode, string>>> = {
  picture: 'choose its picture', lettering: 'say whether it has lettering', 'surface-kind': 'say what it is made of', 'blank-size': 'measure the blank', 'margins-too-wide': 'make its margins smaller', method: 'choose its method',
  'method-refused': 'choose another method', 'shape-fault': 'mend its shape',
};

/** Pieces that are planned with something assumed, or not at all, until a question is answered. */
export function AtTheDesk({ schedule }: { schedule: Schedule }) {
  const open = schedule.pieces.filter(({ foreseen }) => foreseen.assumed !== null || foreseen.lacks.length > 0);
  if (open.length === 0) return null;
  return (
    <section className={css.spare}>
      <h2>At the desk</h2>
      <ul>
        {open.map(({ planned: { piece, plan }, foreseen }) => {
          const [first] = foreseen.lacks.length ? missingAt('lay', foreseen.job, foreseen.plan) : missingAt('method', piece, plan);
          const words = foreseen.lacks.length ? WORDS[foreseen.lacks[0]] ?? 'finish planning it' : `choose its method: planned as ${foreseen.assumed?.school.name.toLowerCase()} with ${foreseen.assumed?.binder.name.toLowerCase()}`;
          return <li key={piece.id}><Link href={`/piece/${piece.id}/${first?.at ?? 'method'}`}>{piece.name}</Link>: {words}</li>;
        })}
      </ul>
    </section>
  );
}
