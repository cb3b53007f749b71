'use client';
import { Part, TextButton } from '@/ui';
import type { Candidate } from '@/core/method';
import {
  BINDER_WORDS,
  CONDITION_WORDS,
  PRINT_WORDS,
  SCHOOL_NAMES,
  counted,
  essenceOf,
  methodName,
  refusalWords,
} from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import css from './method.module.css';
import { WhyPoints } from './points';
import type { Method } from './use-method';
import { ChooseWay } from './ways';

/** Ways that work besides those side by side. */
export function OthersPart({ method }: { method: Method }) {
  const { others } = method;
  if (others.length === 0) return null;
  return (
    <Part title={say`What else works`} folded={counted(others.length, 'way', 'ways')}>
      <ol className={css.list}>
        {others.map((candidate) => (
          <CandidateRow key={methodName(candidate)} method={method} candidate={candidate} />
        ))}
      </ol>
    </Part>
  );
}

function CandidateRow({ method, candidate }: { method: Method; candidate: Candidate }) {
  const { binder, school, score, conditions } = candidate;
  return (
    <li
      className={css.candidate}
      data-chosen={candidate === method.chosen}
      data-binder={binder.id}
      data-school={school.id}
    >
      <span className={css.score}>
        {score} <small>{say`of 100`}</small>
      </span>
      <div>
        <h4 className={css.name}>{binder.wet ? BINDER_WORDS[binder.id].name : SCHOOL_NAMES[school.id].name}</h4>
        <p className={css.essence}>
          {SCHOOL_NAMES[school.id].name}. {essenceOf(candidate)}
        </p>
        {conditions.map((condition) => (
          <p key={condition} className={css.condition}>
            {CONDITION_WORDS[condition]}
          </p>
        ))}
        <WhyPoints candidate={candidate} />
      </div>
      <ChooseWay method={method} candidate={candidate} />
    </li>
  );
}

/** Ways that cannot work here, with what would make one of them work. */
export function RefusedPart({ method: { refused } }: { method: Method }) {
  if (refused.length === 0) return null;
  return (
    <Part title={say`Refused, and why`} folded={counted(refused.length, 'way', 'ways')}>
      <ul className={css.refused} data-testid="refused">
        {refused.map((candidate) => (
          <li key={methodName(candidate)}>
            <b>{methodName(candidate)}</b>
            <span>{candidate.refusal && refusalWords(candidate.refusal)}</span>
            <PrintItSo candidate={candidate} />
          </li>
        ))}
      </ul>
    </Part>
  );
}

/** Takes the kind of print that it wants, and it, at one press. */
function PrintItSo({ candidate: { refusal, school, binder } }: { candidate: Candidate }) {
  const { plan, changeAll } = useOpenPiece();
  const print = refusal?.switchTo;
  if (!print || print === plan.method.printKind.id) return null;
  return (
    <TextButton
      onClick={() =>
        changeAll({ method: { print, school: school.id, binder: binder.id } }, say`kind of print and method`)
      }
    >{say`Print it as: ${PRINT_WORDS[print].inText}`}</TextButton>
  );
}
