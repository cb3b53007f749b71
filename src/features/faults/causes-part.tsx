'use client';
import { Button } from '@mui/material';
import Link from 'next/link';
import { FAULT_CAUSES, FAULT_CHECKS, type FaultAnswer, type FaultCheckId, type FaultRemedyId } from '@/core/craft';
import {
  changeNext,
  changeNow,
  remediesNow,
  type FaultFinding,
  type FaultLine,
  type Observed,
  type WeighedCause,
} from '@/core/faults';
import { Fold, useUnits, TextButton, useClock } from '@/ui';
import {
  ANSWER_WORDS,
  CAUSE_WORDS,
  CHECK_WORDS,
  FAULT_REMEDY_WORDS,
  SIGN_WORDS,
  faultLineWords,
  sentences,
} from '@/words';
import type { PlannedPiece } from '@/features/plans';
import { useFaultPress } from './use-fault-press';
import css from './faults.module.css';
import { say } from '@/words/say';

const MOST_CAUSES = 4;
const MOST_LINES = 5;
const MOST_ASKED = 2;
/** A sign that a cause nearly always shows is worth looking for. */
const WORTH_LOOKING = 0.4;

interface Asking {
  finding: FaultFinding;
  observed: Observed;
  onObserved: (observed: Observed) => void;
}

/** The likely causes with their evidence, the check that tells most, and what is done about them. */
export function CausesPart({
  of,
  others,
  ...asking
}: Asking & { of: PlannedPiece | null; others: readonly PlannedPiece[] }) {
  const { finding } = asking;
  if (finding.causes.length === 0)
    return (
      <p className={css.empty}>
        {sentences(
          say`Press what you see, one sign or several. Likely causes stand here, each with what speaks for it and
            against it, what to do now, and what to do next time.`,
          of === null && say`Say which piece it is, and its record speaks too: waits, room, coat, paper, passes.`,
        )}
      </p>
    );
  return (
    <>
      <CheckPart {...asking} />
      <ol className={css.list}>
        {finding.causes.slice(0, MOST_CAUSES).map((cause, at) => (
          <Cause key={cause.id} cause={cause} open={at === 0} of={of} others={others} seen={asking.observed.seen} />
        ))}
      </ol>
      {finding.ruledOut.length > 0 && (
        <section>
          <h2>{say`Ruled out`}</h2>
          <ul className={css.out}>
            {finding.ruledOut.map(({ id, by }) => (
              <li key={id}>
                {CAUSE_WORDS[id].title}: <Line line={by} />
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

function Line({ line }: { line: FaultLine }) {
  const units = useUnits();
  return <>{faultLineWords(line, units)}</>;
}

/** The one check that tells most, and signs of the leading cause that nobody spoke of. */
function CheckPart({ finding, observed, onObserved }: Asking) {
  const answered = Object.entries(observed.answers) as [FaultCheckId, FaultAnswer][];
  const answer = (check: FaultCheckId, given: FaultAnswer | null) => {
    const { [check]: _, ...rest } = observed.answers;
    onObserved({ ...observed, answers: given === null ? rest : { ...rest, [check]: given } });
  };
  const leading = FAULT_CAUSES.find(({ id }) => id === finding.causes[0]?.id);
  const named = [...observed.seen, ...observed.notSeen];
  const asked = Object.entries(leading?.signs ?? {})
    .map(([sign, likelihood]) => ({ sign: sign as (typeof named)[number], likelihood: likelihood ?? 0 }))
    .filter(({ sign, likelihood }) => likelihood >= WORTH_LOOKING && !named.includes(sign))
    .sort((a, b) => b.likelihood - a.likelihood)
    .slice(0, MOST_ASKED);
  return (
    <section className={css.check}>
      {finding.check && (
        <div data-testid="fault-check">
          <h2>{CHECK_WORDS[finding.check].ask}</h2>
          <p>{CHECK_WORDS[finding.check].how}</p>
          <div className={css.answers}>
            {FAULT_CHECKS[finding.check].map((given) => (
              <Button key={given} size="small" variant="outlined" onClick={() => answer(finding.check!, given)}>
                {ANSWER_WORDS[given]}
              </Button>
            ))}
          </div>
        </div>
      )}
      {asked.map(({ sign }) => (
        <p key={sign} className={css.asked}>
          <span>{say`Do you see this too? ${SIGN_WORDS[sign].title}.`}</span>
          <TextButton
            onClick={() => onObserved({ ...observed, seen: [...observed.seen, sign] })}
          >{say`Yes`}</TextButton>
          <TextButton
            onClick={() => onObserved({ ...observed, notSeen: [...observed.notSeen, sign] })}
          >{say`No`}</TextButton>
        </p>
      ))}
      {answered.map(([check, given]) => (
        <p key={check} className={css.asked}>
          <span>
            {CHECK_WORDS[check].ask} {ANSWER_WORDS[given]}.
          </span>
          <TextButton onClick={() => answer(check, null)}>{say`Take it back`}</TextButton>
        </p>
      ))}
    </section>
  );
}

interface CauseProps {
  cause: WeighedCause;
  open: boolean;
  of: PlannedPiece | null;
  others: readonly PlannedPiece[];
  seen: Observed['seen'];
}

function Cause({ cause, open, of, others, seen }: CauseProps) {
  const { title, why } = CAUSE_WORDS[cause.id];
  const press = useFaultPress(cause.id, seen);
  const now = useClock()();
  const noted = of?.piece.faults.notes.filter((note) => note.cause === cause.id) ?? [];
  const isNoted = (remedy: FaultRemedyId | null) => noted.some((note) => note.remedy === remedy);
  return (
    <li data-testid="fault-cause" data-cause={cause.id}>
      <Fold
        open={open}
        summary={
          <>
            <b>{title}</b>
            <span className={css.share}>{Math.round(cause.share * 100)} %</span>
          </>
        }
      >
        <p>{why}</p>
        <Lines cause={cause} />
        <h3>{say`Now`}</h3>
        <ul className={css.remedies}>
          {remediesNow(cause.now, of?.plan ?? null).map((remedy) => {
            const patch = of && changeNow(remedy, of.piece, of.plan, now);
            return (
              <li key={remedy}>
                <span>{FAULT_REMEDY_WORDS[remedy]}</span>
                {patch && (
                  <Button
                    size="small"
                    variant="outlined"
                    onClick={() => void press.change(of, patch, remedy)}
                  >{say`Put it into the plan`}</Button>
                )}
              </li>
            );
          })}
        </ul>
        <h3>{say`Next time`}</h3>
        <NextTime cause={cause} of={of} others={others} press={press} isNoted={isNoted} />
        {of && (
          <p className={css.onward}>
            <TextButton onClick={() => void press.note(of, null)} disabled={isNoted(null)}>
              {isNoted(null) ? say`Noted as the cause` : say`It was this: note it in the record`}
            </TextButton>
            <Link href={`/piece/${of.piece.id}/mend`}>{say`To its mending`}</Link>
          </p>
        )}
      </Fold>
    </li>
  );
}

const Lines = ({ cause }: Pick<CauseProps, 'cause'>) => (
  <ul className={css.lines}>
    {cause.lines.slice(0, MOST_LINES).map((line, at) => (
      <li key={at} data-for={line.ratio > 1}>
        <span className={css.sign}>{line.ratio > 1 ? '+' : '−'}</span>
        <span>
          <Line line={line} />
        </span>
      </li>
    ))}
  </ul>
);

/** What is done otherwise next time: on pieces that are not so far yet, or noted. */
function NextTime({
  cause,
  of,
  others,
  press,
  isNoted,
}: Pick<CauseProps, 'cause' | 'of' | 'others'> & {
  press: ReturnType<typeof useFaultPress>;
  isNoted: (remedy: FaultRemedyId | null) => boolean;
}) {
  const now = useClock()();
  return (
    <ul className={css.remedies}>
      {cause.next.map((remedy) => (
        <li key={remedy}>
          <span>{FAULT_REMEDY_WORDS[remedy]}</span>
          {others
            .flatMap((other) => {
              const patch = changeNext(remedy, other.piece, other.plan, now);
              return patch ? [{ other, patch }] : [];
            })
            .slice(0, 2)
            .map(({ other, patch }) => (
              <Button
                key={other.piece.id}
                size="small"
                variant="text"
                onClick={() => void press.changeOther(other, patch, of, remedy)}
              >{say`On ${other.piece.name}`}</Button>
            ))}
          {of && (
            <TextButton onClick={() => void press.note(of, remedy)} disabled={isNoted(remedy)}>
              {isNoted(remedy) ? say`Noted` : say`Note it`}
            </TextButton>
          )}
        </li>
      ))}
    </ul>
  );
}
