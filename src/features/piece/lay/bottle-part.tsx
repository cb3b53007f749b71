'use client';
import { binderById } from '@/core/craft';
import { bottlesToBuy, leftOfMaterial, useStashUsers } from '@/features/agenda';
import { useStash } from '@/features/shell';
import { Note, Part, useUnits } from '@/ui';
import Link from 'next/link';
import { useOpenPiece } from '../piece-context';
import css from './lay.module.css';

const COMPARED = 6;

/** What the bottle still holds, what to buy, and what the piece would cost with each binder that works. */
export function BottlePart() {
  const { plan } = useOpenPiece();
  const { stash, atHand } = useStash();
  const users = useStashUsers();
  const units = useUnits();
  const { binder, lay } = plan;
  if (!binder || !lay || binder.id === 'none') return null;
  const needed = lay.coat.totalMl;
  const left = leftOfMaterial(stash, 'binder', binder.id, users);
  const buy = bottlesToBuy(needed - (left ?? 0));
  const price = atHand.pricePerMl[binder.id];
  const others = plan.candidates.filter((one) => one.verdict !== 'refused' && one.binder.id !== 'none' && one.figures);
  const seen = new Map(others.map((one) => [one.binder.id, one] as const).reverse());
  return (
    <Part title="The bottle">
      <p className={css.bottle} data-testid="bottle">
        {left === null ? `Your stash does not count ${binder.name.toLowerCase()}. ` : `${units.volume(left)} left, ${units.volume(Math.max(0, left - needed))} after this piece. `}
        {buy && <b>Buy {buy.count === 1 ? `a bottle of ${units.volume(buy.ml)}` : `${buy.count} bottles of ${units.volume(buy.ml)}`}. </b>}
        {price !== undefined && `Medium for ${(price * needed).toFixed(2)}. `}<Link href="/stash">Stash</Link>
      </p>
      {seen.size > 1 && (
        <table className={css.costs}>
          <thead><tr><th>With</th><th>takes</th><th>costs</th></tr></thead>
          <tbody>
            {[...seen.values()].sort((a, b) => (a.figures?.cost ?? Infinity) - (b.figures?.cost ?? Infinity) || (a.figures?.mediumMl ?? 0) - (b.figures?.mediumMl ?? 0)).slice(0, COMPARED).map((one) => (
              <tr key={one.binder.id} data-chosen={one.binder.id === binder.id}><td>{binderById(one.binder.id).name}</td><td>{units.volume(one.figures?.mediumMl ?? 0)}</td><td>{one.figures?.cost == null ? 'price unknown' : one.figures.cost.toFixed(2)}</td></tr>
            ))}
          </tbody>
        </table>
      )}
      <Note>Dots in the drawing: pour at the blue one; hold at the green corners, never in the wet dark. Scrape in the order of the numbers.</Note>
    </Part>
  );
}
