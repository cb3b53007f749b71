'use client';
import { START_POINTS, type Candidate } from '@/core/method';
import { Because, Fold, Part } from '@/ui';
import { sayWith } from '@/ui/say-with';
import { essenceOf, listOf, methodName, reasonWords } from '@/words';
import { say } from '@/words/say';
import css from './method.module.css';
import type { Method } from './use-method';

const LEADING_REASONS = 5;

const pointsShown = (points: number): string => {
  if (points === 0) return '0';
  return points > 0 ? `+ ${points}` : `− ${Math.abs(points)}`;
};

/** What decided most for the method that is taken, or for the first. */
export function LeadingReasons({ method: { chosen, best } }: { method: Method }) {
  const candidate = chosen ?? best;
  if (!candidate) return null;
  return (
    <Because
      title={chosen ? say`Because` : say`Why the first`}
      reasons={candidate.reasons.slice(0, LEADING_REASONS).map((reason) => ({
        figure: pointsShown(reason.points),
        text: reasonWords(reason),
      }))}
    />
  );
}

/** Every point of those that stand side by side. */
export function PointsPart({ method: { ways } }: { method: Method }) {
  if (ways.length === 0) return null;
  return (
    <Part title={say`Points of these`} folded={listOf(ways.map(({ candidate }) => String(candidate.score)))}>
      {ways.map(({ candidate }) => (
        <div key={methodName(candidate)} className={css.points}>
          <h4 className={css.name}>{methodName(candidate)}</h4>
          <p className={css.essence}>{essenceOf(candidate)}</p>
          <Points candidate={candidate} />
        </div>
      ))}
    </Part>
  );
}

export const WhyPoints = ({ candidate }: { candidate: Candidate }) => (
  <Fold summary={say`Why ${candidate.score} of 100`}>
    <Points candidate={candidate} />
  </Fold>
);

const Points = ({ candidate: { reasons } }: { candidate: Candidate }) => (
  <ul className={css.reasons}>
    <li>{sayWith`${(<span>{START_POINTS}</span>)}to begin with`}</li>
    {reasons.map((reason) => (
      <li key={reasonWords(reason)}>
        <span>{reason.points > 0 ? `+${reason.points}` : Math.round(reason.points) || 0}</span>
        {reasonWords(reason)}
      </li>
    ))}
  </ul>
);
