'use client';
import { MS_PER_DAY } from '@/core/shared';
import { sealDatesOf } from '@/core/stations';
import { Part, clockTime, dayName } from '@/ui';
import { lowerFirst, sealDateName, upperFirst } from '@/words';
import { useOpenPiece } from '../piece-context';
import css from './seal.module.css';
import { say } from '@/words/say';

/** What happens when, from the next coat to the day it is hard. */
export function DatesPart() {
  const { piece, plan, now } = useOpenPiece();
  const dates = sealDatesOf(piece, plan, now).filter(({ at }) => at >= now - MS_PER_DAY);
  const last = dates.at(-1);
  if (!last) return null;
  return (
    <Part
      title={piece.seal.coatsAt.length > 0 ? say`When it may be what` : say`If it is sealed as soon as it may`}
      folded={`${lowerFirst(sealDateName(last))} ${dayName(last.at, now)}`}
    >
      <dl className={css.times} data-testid="seal-times">
        {dates.map((date) => (
          <div key={`${date.code} ${date.number}`}>
            <dt>{upperFirst(sealDateName(date))}</dt>
            <dd>{SHORT.has(date.code) ? clockTime(date.at, now) : dayName(date.at, now)}</dd>
          </div>
        ))}
      </dl>
    </Part>
  );
}

/** Told by the hour; the others by the day. */
const SHORT = new Set(['coat', 'touch', 'hang']);
