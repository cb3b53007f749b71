'use client';
import { Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import { baseCoatById } from '@/core/craft';
import { CONDITIONS_MET_BY, isAsked, type Candidate, type ConditionCode, type Way } from '@/core/method';
import { ChooseButton, TextButton, Unbroken, useUnits } from '@/ui';
import {
  BINDER_WORDS,
  CONDITION_WORDS,
  GAIN_WORDS,
  LANDS_WORDS,
  SCHOOL_NAMES,
  counted,
  methodName,
  type Wording,
} from '@/words';
import { formatDuration } from '@/words/figures';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import css from './method.module.css';
import type { Method } from './use-method';

export const wayName = ({ binder, school }: Candidate): string =>
  binder.wet ? BINDER_WORDS[binder.id].shortName : SCHOOL_NAMES[school.id].name;

const rowsOf = (units: Wording): [string, (candidate: Candidate) => string][] => [
  [say`Points of 100`, ({ score }) => String(score)],
  [say`Ready to rub`, ({ figures }) => (figures?.waitHours ? formatDuration(figures.waitHours) : say`at once`)],
  [
    say`Rubbing`,
    ({ figures }) =>
      figures?.passes ? say`${figures.minutes} min, ${counted(figures.passes, 'pass', 'passes')}` : say`none`,
  ],
  [say`Toner kept`, ({ figures }) => `${Math.round((figures?.kept ?? 0) * 100)} %`],
  [say`Medium`, ({ figures }) => (figures?.mediumMl ? units.volume(figures.mediumMl) : say`none`)],
  [say`Medium costs`, ({ figures }) => (figures?.cost == null ? say`no price` : figures.cost.toFixed(2))],
  [say`Washable`, ({ binder }) => (binder.washable ? say`yes` : say`no`)],
  [say`Lands`, ({ school }) => school.looks.map((look) => LANDS_WORDS[look]).join(', ')],
];

/** The best way and two that trade its points for something else, side by side, each to be taken. */
export function Ways({ method }: { method: Method }) {
  const { ways, chosen } = method;
  const units = useUnits();
  if (ways.length === 0) return null;
  return (
    <>
      <Table className={css.compare} data-testid="compare">
        <Heads method={method} />
        <TableBody>
          <TableRow>
            <TableCell component="td" />
            {ways.map(({ candidate }) => (
              <TableCell key={methodName(candidate)}>
                <ChooseWay method={method} candidate={candidate} />
              </TableCell>
            ))}
          </TableRow>
          {rowsOf(units).map(([name, show]) => (
            <TableRow key={name}>
              <TableCell component="th" scope="row">
                {name}
              </TableCell>
              {ways.map(({ candidate }) => (
                <TableCell key={methodName(candidate)}>
                  <Unbroken>{show(candidate)}</Unbroken>
                </TableCell>
              ))}
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <Conditions ways={ways} chosen={chosen} />
    </>
  );
}

const Heads = ({ method: { ways, chosen } }: { method: Method }) => (
  <TableHead>
    <TableRow>
      <TableCell component="td" />
      {ways.map(({ candidate, gains }, at) => (
        <TableCell key={methodName(candidate)} data-chosen={candidate === chosen}>
          {wayName(candidate)}
          <small>
            {at === 0 ? say`best here` : gains.map((gain) => GAIN_WORDS[gain]).join(', ') || say`next best`}
          </small>
        </TableCell>
      ))}
    </TableRow>
  </TableHead>
);

/** What must hold for one of them to work. */
function Conditions({ ways, chosen }: { ways: readonly Way[]; chosen: Candidate | null }) {
  const lines = ways.flatMap(({ candidate }) => candidate.conditions.map((condition) => ({ candidate, condition })));
  if (lines.length === 0) return null;
  return (
    <ul className={css.conditions}>
      {lines.map(({ candidate, condition }) => (
        <li key={`${methodName(candidate)} ${condition}`} className={css.condition}>
          <b>{wayName(candidate)}.</b> {CONDITION_WORDS[condition]}{' '}
          {candidate === chosen && <MetBy condition={condition} />}
        </li>
      ))}
    </ul>
  );
}

/** A step of the run, a base coat to put on, or a question to answer: no condition hangs in the air. */
function MetBy({ condition }: { condition: ConditionCode }) {
  const { piece, plan, change } = useOpenPiece();
  const { kind } = piece.surface;
  const { settled } = piece.method;
  if (kind === null) return null;
  if (CONDITIONS_MET_BY[condition] === 'step') return <small>{say`It is a step of the run.`}</small>;
  if (!isAsked(condition))
    return (
      <TextButton
        onClick={() => change('surface', LIGHT_COAT, say`light base coat`)}
        testId={`meet-${condition}`}
      >{say`Put a light base coat on`}</TextButton>
    );
  const others = settled.filter((one) => one.condition !== condition);
  return plan.method.open.includes(condition) ? (
    <TextButton
      onClick={() => change('method', { settled: [...others, { condition, surface: kind }] }, say`answered: yes`)}
      testId={`meet-${condition}`}
    >{say`Yes, so it is`}</TextButton>
  ) : (
    <TextButton
      onClick={() => change('method', { settled: others }, say`not answered`)}
      testId={`meet-${condition}`}
    >{say`You said yes: take it back`}</TextButton>
  );
}

const LIGHT_COAT = { baseCoat: 'chalk-type-paint', baseColour: baseCoatById('chalk-type-paint').colour } as const;

export const ChooseWay = ({ method: { chosen, choose }, candidate }: { method: Method; candidate: Candidate }) => (
  <ChooseButton name={methodName(candidate)} isChosen={candidate === chosen} onChoose={() => choose(candidate)} />
);
