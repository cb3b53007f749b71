'use client';
import { Button, Checkbox } from '@mui/material';
import { useState } from 'react';
import { letteringOf } from '@/core/stations';
import type { PlannedPiece } from '@/features/plans';
import { useObjectUrl, useStoredPicture } from '@/features/shelf';
import { TextButton } from '@/ui';
import { sentences } from '@/words';
import { say } from '@/words/say';
import { useSayLettering } from './use-say-lettering';
import css from './pieces.module.css';

/** One alone is asked at its own Picture. */
const FEWEST = 2;
/** More are looked through in their own pieces. */
const MOST_SHOWN = 120;

/** Pieces that still have to say whether there is lettering on them are asked together: none, all, or those ticked. */
export function LetteringOnce({ planned }: { planned: readonly PlannedPiece[] }) {
  const sayLettering = useSayLettering();
  const [shown, setShown] = useState(false);
  const [ticks, setTicks] = useState<ReadonlyMap<string, boolean>>(new Map());
  const asked = askedOf(planned);
  if (asked.length < FEWEST) return null;
  const pieces = asked.map(({ piece }) => piece);
  const look = asked.filter(({ picture }) => picture?.reads).length;
  const isTicked = ({ piece, picture }: PlannedPiece) => ticks.get(piece.id) ?? picture?.reads ?? false;
  const withLettering = asked.filter(isTicked).map(({ piece }) => piece.id);
  const answer = (ids: readonly string[]) => void sayLettering(pieces, new Set(ids)).then(() => setShown(false));
  return (
    <section className={css.asked} aria-label={say`Lettering`} data-testid="lettering-once">
      <p>
        <b>{say`Is there lettering on these ${pieces.length} pieces, or will there be?`}</b>{' '}
        {sentences(
          say`Names, dates and numbers must not read backwards.`,
          look > 0 && say`Something can be read on ${look} of them, it seems.`,
        )}
      </p>
      <div className={css.answers}>
        {shown ? (
          <Button variant="contained" size="small" onClick={() => answer(withLettering)} data-testid="lettering-ticked">
            {say`Right so: ${withLettering.length} with lettering, ${pieces.length - withLettering.length} without`}
          </Button>
        ) : (
          <>
            <Button variant="outlined" size="small" onClick={() => answer([])}>{say`None has`}</Button>
            <Button
              variant="outlined"
              size="small"
              onClick={() => answer(pieces.map(({ id }) => id))}
            >{say`All have`}</Button>
            {pieces.length <= MOST_SHOWN && (
              <Button
                variant="outlined"
                size="small"
                onClick={() => setShown(true)}
                data-testid="lettering-some"
              >{say`Some have: show me`}</Button>
            )}
          </>
        )}
        {shown && <TextButton onClick={() => setShown(false)}>{say`Not now`}</TextButton>}
      </div>
      {shown && (
        <ul className={css.pictures}>
          {asked.map((one) => (
            <li key={one.piece.id}>
              <label>
                <Thumb pictureId={one.piece.picture.pictureId} />
                <span>
                  <Checkbox
                    size="small"
                    checked={isTicked(one)}
                    onChange={(event) => setTicks((before) => new Map(before).set(one.piece.id, event.target.checked))}
                  />
                  {one.piece.name}
                </span>
              </label>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** Those that have a picture, no answer, and are not laid; of a set with one picture the first, which the others follow. */
function askedOf(planned: readonly PlannedPiece[]): PlannedPiece[] {
  const open = planned.filter(
    ({ piece, picture }) => picture !== null && letteringOf(piece) === null && piece.lay.laidAt === null,
  );
  const keyOf = ({ piece: { id, set, picture } }: PlannedPiece) => (set ? `${set.id} ${picture.pictureId}` : id);
  const seen = new Set<string>();
  return open.filter((one) => {
    const isFirst = !seen.has(keyOf(one));
    seen.add(keyOf(one));
    return isFirst;
  });
}

function Thumb({ pictureId }: { pictureId: string | null }) {
  const url = useObjectUrl(useStoredPicture(pictureId)?.preview ?? null);
  return url ? <img src={url} alt="" loading="lazy" /> : <i />;
}
