'use client';
import Link from 'next/link';
import { missingAt } from '@/core/plan';
import type { StationId } from '@/core/stations';
import { Part } from '@/ui';
import { useOpenPiece } from './piece-context';
import { MISSING_WORDS, STATION_NAMES } from '@/words';
import css from './piece-page.module.css';
import { say } from '@/words/say';

/** What this station can't do without, each with the way to where it is said. */
export function MissingList({ station }: { station: StationId }) {
  const { piece, plan } = useOpenPiece();
  const missing = missingAt(station, piece, plan);
  if (missing.length === 0) return null;
  return (
    <Part title={say`Still needed`}>
      <ul className={css.missing} data-testid="missing">
        {missing.map(({ code, at }) => (
          <li key={code}>
            {MISSING_WORDS[code].needed}
            {at !== station && (
              <>
                {' '}
                – <Link href={`/piece/${piece.id}/${at}`}>{STATION_NAMES[at]}</Link>
              </>
            )}
          </li>
        ))}
      </ul>
    </Part>
  );
}
