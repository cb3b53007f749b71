'use client';
import { useMemo } from 'react';
import { mixesFor } from '@/core/advice';
import { useStash } from '@/features/at-hand';
import { Note, Part, useUnits } from '@/ui';
import { STOP_POINT_WORDS, listOf, mixDoubt, mixWords, wayOutWords, sentences } from '@/words';
import type { ReadHoles } from './use-holes';
import css from './mend.module.css';
import { say } from '@/words/say';

const LETTERS = 'ABCDEFGH';

/** Holes that the last photo shows, by the mix they are painted with; or why painting them in does not pay. */
export function FromPhotoPart({ read: { holes, stop } }: { read: ReadHoles }) {
  const units = useUnits();
  const { atHand } = useStash();
  const { pigments } = atHand;
  const mixes = useMemo(() => mixesFor(holes, pigments), [holes, pigments]);
  if (holes.length === 0) return null;
  const inMixes = mixes.reduce((count, { holes: own }) => count + own.length, 0);
  return (
    <Part title={say`Holes, from the last photo`}>
      {stop && (
        <div className={css.stop} data-testid="stop-point">
          <b>{STOP_POINT_WORDS[stop.reason]}</b>
          <ul>
            {stop.ways.map((way) => (
              <li key={way.way}>{wayOutWords(way)}</li>
            ))}
          </ul>
        </div>
      )}
      <ul className={css.mixes} data-testid="mixes">
        {mixes.map((mix, at) => (
          <li key={mix.colour}>
            <svg
              className={css.swatch}
              viewBox="0 0 40 40"
              role="img"
              aria-label={say`wanted ${mix.colour}, mixed ${mix.mix.colour}`}
            >
              <rect width="40" height="20" fill={mix.colour} />
              <rect y="20" width="40" height="20" fill={mix.mix.colour} />
            </svg>
            <div>
              <b>
                {LETTERS[at]}: {mixWords(mix)}
              </b>
              <p>{say`${holesWords(mix.holes.map(({ number }) => `${number}`))},
                ${units.area(100 * mix.holes.reduce((sum, { areaCm2 }) => sum + areaCm2, 0))} in all. A brush
                about ${units.length(mix.brushMm)} wide, ${Math.round(mix.minutes)} min.`}</p>
              {mixDoubt(mix) && <p>{mixDoubt(mix)}</p>}
            </div>
          </li>
        ))}
      </ul>
      {inMixes < holes.length && (
        <Note>{say`${holes.length - inMixes} more are small, and of other colours: dab them.`}</Note>
      )}
      <Note>
        {sentences(
          say`The upper half of a patch is the picture’s colour there, the lower half what the mix gives.`,
          say`Thin it with water, dab it on, and let it dry 30 to 60 min.`,
          pigments.length < 4
            ? say`Mixed from a small set of usual pigments: put your own paints into the stash.`
            : say`Mixed from the paints in your stash.`,
        )}
      </Note>
    </Part>
  );
}

const MOST_NAMED = 6;

function holesWords(numbers: readonly string[]): string {
  const named = numbers.slice(0, MOST_NAMED);
  const more = numbers.length - named.length;
  if (more > 0) return say`Holes ${named.join(', ')} and ${more} more`;
  return numbers.length === 1 ? say`Hole ${named[0]}` : say`Holes ${listOf(named)}`;
}
