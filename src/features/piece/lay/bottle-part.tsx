'use client';
import { Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import { bottlesToBuy, leftOfMaterial, useStashUsers } from '@/features/agenda';
import { useStash } from '@/features/at-hand';
import { Note, Part, useUnits } from '@/ui';
import Link from 'next/link';
import { useOpenPiece } from '../piece-context';
import css from './lay.module.css';
import { BINDER_WORDS, sentences } from '@/words';
import { say } from '@/words/say';

const COMPARED = 6;

/** What the bottle still holds, what to buy, and what the piece would cost with each binder that works. */
export function BottlePart() {
  const { plan } = useOpenPiece();
  const { stash, atHand } = useStash();
  const users = useStashUsers();
  const units = useUnits();
  const {
    method: { binder },
    lay: { laying: lay },
  } = plan;
  if (!binder || !lay || !binder.wet) return null;
  const needed = lay.coat.totalMl;
  const left = leftOfMaterial(stash, 'binder', binder.id, users);
  const buy = bottlesToBuy(needed - (left ?? 0));
  const price = atHand.pricePerMl[binder.id];
  const others = plan.method.candidates.filter(
    (candidate) => candidate.verdict !== 'refused' && candidate.binder.wet && candidate.figures,
  );
  const seen = new Map(others.map((candidate) => [candidate.binder.id, candidate] as const).reverse());
  return (
    <Part
      title={say`The bottle`}
      folded={buy ? say`buy more` : left === null ? say`not counted` : say`${units.volume(left)} left`}
    >
      <p className={css.bottle} data-testid="bottle">
        {left === null
          ? say`Your stash does not count ${BINDER_WORDS[binder.id].inText}.`
          : say`${units.volume(left)} left, ${units.volume(Math.max(0, left - needed))} after this piece.`}{' '}
        {buy && (
          <b>
            {buy.count === 1
              ? say`Buy a bottle of ${units.volume(buy.ml)}.`
              : say`Buy ${buy.count} bottles of ${units.volume(buy.ml)}.`}{' '}
          </b>
        )}
        {price !== undefined && <>{say`Medium for ${(price * needed).toFixed(2)}.`} </>}
        <Link href="/stash">{say`Stash`}</Link>
      </p>
      {seen.size > 1 && (
        <Table className={css.costs}>
          <TableHead>
            <TableRow>
              <TableCell>{say`With`}</TableCell>
              <TableCell>{say`takes`}</TableCell>
              <TableCell>{say`costs`}</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {[...seen.values()]
              .sort(
                (a, b) =>
                  (a.figures?.cost ?? Infinity) - (b.figures?.cost ?? Infinity) ||
                  (a.figures?.mediumMl ?? 0) - (b.figures?.mediumMl ?? 0),
              )
              .slice(0, COMPARED)
              .map((candidate) => (
                <TableRow key={candidate.binder.id} data-chosen={candidate.binder.id === binder.id}>
                  <TableCell>{BINDER_WORDS[candidate.binder.id].name}</TableCell>
                  <TableCell>{units.volume(candidate.figures?.mediumMl ?? 0)}</TableCell>
                  <TableCell>
                    {candidate.figures?.cost == null ? say`price unknown` : candidate.figures.cost.toFixed(2)}
                  </TableCell>
                </TableRow>
              ))}
          </TableBody>
        </Table>
      )}
      <Note>
        {sentences(
          say`Dots in the drawing: pour at the blue one; hold at the green corners, never in the wet dark.`,
          say`Scrape in the order of the numbers.`,
        )}
      </Note>
    </Part>
  );
}
