'use client';
import {
  Button,
  ToggleButton,
  ToggleButtonGroup,
  NativeSelect,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
} from '@mui/material';
import { useState } from 'react';
import { PRINTS, binderById, nominalFilmUm } from '@/core/craft';
import { formatDuration } from '@/core/measure';
import { START_POINTS, type Candidate, type LookWanted } from '@/core/method';
import { runSteps } from '@/core/plan';
import { stageOptics, type RenderStage } from '@/core/render';
import {
  Answer,
  Because,
  ChoiceField,
  Fields,
  NextRow,
  Note,
  Part,
  SelectField,
  Steps,
  Wide,
  useUnits,
  TextButton,
} from '@/ui';
import { LandingDrawing } from '../drawings/landing';
import { DisagreementNotes } from '../disagreement-notes';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { AtHandFields, BottleFields } from './at-hand';
import { TryOnBoard, TryOnFields } from './try-on';
import css from './method.module.css';
import { StationCautions } from '../station-cautions';
import { UseField } from '../use-field';
import {
  BINDER_WORDS,
  CONDITION_WORDS,
  LANDS_WORDS,
  PRINT_WORDS,
  SCHOOL_NAMES,
  essenceOf,
  lowerFirst,
  methodName,
  reasonWords,
  refusalWords,
  stepTime,
  stepTitle,
  type Wording,
  counted,
} from '@/words';

const WHITES = [
  { id: 'either', name: 'Either' },
  { id: 'surface-shows', name: 'Surface shows' },
  { id: 'stay-white', name: 'Stay white' },
] as const;
const LOOKS: { id: LookWanted; name: string }[] = [
  { id: 'any', name: 'Any' },
  { id: 'crisp', name: 'Crisp' },
  { id: 'soft', name: 'Soft' },
  { id: 'distressed', name: 'Worn' },
];
const STAGES: { id: RenderStage; name: string }[] = [
  { id: 'laid', name: 'Just laid' },
  { id: 'pass-1', name: 'After pass 1' },
  { id: 'hazy', name: 'Dry, with haze' },
  { id: 'wet', name: 'Wet' },
  { id: 'matte', name: 'Sealed matte' },
  { id: 'gloss', name: 'Sealed gloss' },
];

export function MethodStation() {
  const units = useUnits();
  const { piece, plan, change, changeAll, side } = useOpenPiece();
  const [board, setBoard] = useState(false);
  const [stage, setStage] = useState<RenderStage>('matte');
  const usable = plan.method.candidates.filter((candidate) => candidate.verdict !== 'refused');
  const refused = plan.method.candidates.filter((candidate) => candidate.verdict === 'refused');
  const best = usable[0];
  const {
    method: { chosen },
  } = plan;
  const choose = ({ school, binder }: Candidate) =>
    change(
      'method',
      { school: school.id, binder: binder.id },
      `${BINDER_WORDS[binder.id].inText}, ${SCHOOL_NAMES[school.id].inText}`,
    );
  const stop = chosen?.verdict === 'refused' || (plan.surface.record !== null && usable.length === 0);
  const steps = plan.method.binder ? runSteps(piece, plan) : [];

  const views = (
    <>
      <label className={css.stage}>
        Shown
        <NativeSelect
          value={stage}
          onChange={(event) => setStage(event.target.value as RenderStage)}
          inputProps={{ 'data-testid': 'stage' } as object}
        >
          {STAGES.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </NativeSelect>
      </label>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={board ? 'board' : 'one'}
        aria-label="What is shown"
        onChange={(_, next: string | null) => next && setBoard(next === 'board')}
      >
        <ToggleButton value="one">This one</ToggleButton>
        <ToggleButton value="board" disabled={!plan.surface.blank || !plan.surface.record} data-testid="try-on-view">
          Try on
        </ToggleButton>
      </ToggleButtonGroup>
    </>
  );

  return (
    <StationLayout
      specimen={
        board && side === 'landing' ? (
          <TryOnBoard optics={stageOptics(stage)} actions={views} />
        ) : (
          <LandingDrawing
            optics={stageOptics(stage)}
            actions={views}
            caption={
              plan.method.binder
                ? plan.method.binder.base === 'clear'
                  ? 'The surface shows where the picture is white.'
                  : 'White stays white.'
                : 'Choose a method to see what becomes of the whites.'
            }
          />
        )
      }
    >
      <Answer stop={stop}>{answer()}</Answer>
      {chosen && (
        <Because
          reasons={chosen.reasons.slice(0, LEADING_REASONS).map((reason) => ({
            figure: pointsShown(reason.points),
            text: reasonWords(reason),
          }))}
        />
      )}
      {board && (
        <Part title="Try on">
          <TryOnFields />
        </Part>
      )}
      <Part title="Change">
        <Fields>
          <Wide>
            <SelectField
              label="What the print is made with"
              value={piece.method.print}
              options={PRINTS.map(({ id }) => ({ id, name: PRINT_WORDS[id].name }))}
              onCommit={(print) => change('method', { print }, 'kind of print')}
              testId="print-kind"
            />
          </Wide>
          <Wide>
            <ChoiceField
              label="White parts of the picture"
              value={piece.method.whites}
              options={WHITES}
              onCommit={(whites) => change('method', { whites }, 'white parts')}
            />
          </Wide>
          <ChoiceField
            label="Look wanted"
            value={piece.method.look}
            options={LOOKS}
            onCommit={(look) => change('method', { look }, 'look wanted')}
          />
          <UseField at="method" testId="use" />
        </Fields>
        <details className={css.more}>
          <summary>Printer, paper and practice at hand</summary>
          <AtHandFields />
        </details>
      </Part>
      {usable.length > 0 && (
        <Part title="What works, best first">
          {usable.length > 1 && <ComparisonTable candidates={usable.slice(0, COMPARED)} />}
          <ol className={css.list}>
            {usable.map((one) => (
              <CandidateRow
                key={`${one.school.id}-${one.binder.id}`}
                candidate={one}
                chosen={one === chosen}
                best={one === best}
                onChoose={() => choose(one)}
              />
            ))}
          </ol>
        </Part>
      )}
      {chosen && chosen.binder.wet && (
        <Part title={`On the label of your ${BINDER_WORDS[chosen.binder.id].inText}`}>
          <BottleFields binder={chosen.binder.id} usual={usualOf(chosen, units)} />
        </Part>
      )}
      {steps.length > 0 && (
        <Part title="In this order">
          <Steps>
            {steps.map((step) => (
              <li key={step.id}>
                <span>
                  {stepTitle(step.title)} <span className={css.time}>{stepTime(step)}</span>
                </span>
              </li>
            ))}
          </Steps>
        </Part>
      )}
      <DisagreementNotes at="method" />
      {refused.length > 0 && (
        <Part title="Refused, and why">
          <ul className={css.refused} data-testid="refused">
            {refused.map((candidate) => (
              <li key={`${candidate.school.id}-${candidate.binder.id}`}>
                <b>{methodName(candidate)}</b>
                <span>{candidate.refusal && refusalWords(candidate.refusal)}</span>
                {candidate.refusal?.switchTo && candidate.refusal.switchTo !== piece.method.print && (
                  <TextButton
                    onClick={() =>
                      changeAll(
                        {
                          method: {
                            print: candidate.refusal?.switchTo ?? piece.method.print,
                            school: candidate.school.id,
                            binder: candidate.binder.id,
                          },
                        },
                        'kind of print and method',
                      )
                    }
                  >
                    Print it as: {PRINT_WORDS[candidate.refusal.switchTo].inText}
                  </TextButton>
                )}
              </li>
            ))}
          </ul>
        </Part>
      )}
      <MissingList station="method" />
      <StationCautions station="method" />
      <NextRow>
        <NextLink station="sheet" quiet={plan.method.binder === null} />
      </NextRow>
    </StationLayout>
  );

  function answer(): string {
    if (!plan.surface.record) return 'Methods are ranked once the surface is known.';
    if (chosen?.verdict === 'refused') return `${methodName(chosen)} cannot work here.`;
    if (usable.length === 0) return 'Nothing works with this print: change what it is made with.';
    if (chosen) return `${methodName(chosen)}.`;
    return `Best here: ${lowerFirst(methodName(best!))}.`;
  }
}

const pointsShown = (points: number): string => {
  if (points === 0) return '0';
  return points > 0 ? `+ ${points}` : `− ${Math.abs(points)}`;
};

/** The record's own figures, shown where the label's are not typed. */
function usualOf({ binder }: Candidate, units: Wording): { filmUm: string; waitHours: string; openMinutes: string } {
  const record = binderById(binder.id);
  const { min, max } = record.waitHours;
  return {
    filmUm: units.film(nominalFilmUm(record)),
    waitHours: min === max ? `${max} h` : `${min}–${max} h`,
    openMinutes: `${record.openMinutes} min`,
  };
}

const SHOWN_REASONS = 3;
const LEADING_REASONS = 5;
const COMPARED = 3;

/** The leading methods side by side. */
function ComparisonTable({ candidates }: { candidates: readonly Candidate[] }) {
  const units = useUnits();
  const rows: [string, (candidate: Candidate) => string][] = [
    ['Points of 100', ({ score }) => String(score)],
    ['Ready to rub', ({ figures }) => (figures?.waitHours ? formatDuration(figures.waitHours) : 'at once')],
    [
      'Rubbing',
      ({ figures }) =>
        figures?.passes ? `${figures.minutes} min, ${counted(figures.passes, 'pass', 'passes')}` : 'none',
    ],
    ['Toner kept', ({ figures }) => `${Math.round((figures?.kept ?? 0) * 100)} %`],
    ['Medium', ({ figures }) => (figures?.mediumMl ? units.volume(figures.mediumMl) : 'none')],
    ['Medium costs', ({ figures }) => (figures?.cost == null ? 'no price at hand' : figures.cost.toFixed(2))],
    ['Washable', ({ binder }) => (binder.washable ? 'yes' : 'no')],
    ['Lands', ({ school }) => school.looks.map((look) => LANDS_WORDS[look]).join(', ')],
  ];
  return (
    <Table className={css.compare} data-testid="compare">
      <TableHead>
        <TableRow>
          <TableCell component="td" />
          {candidates.map((candidate) => (
            <TableCell key={`${candidate.school.id}-${candidate.binder.id}`}>
              {candidate.binder.wet
                ? BINDER_WORDS[candidate.binder.id].shortName
                : SCHOOL_NAMES[candidate.school.id].name}
            </TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {rows.map(([name, show]) => (
          <TableRow key={name}>
            <TableCell component="th" scope="row">
              {name}
            </TableCell>
            {candidates.map((candidate) => (
              <TableCell key={`${candidate.school.id}-${candidate.binder.id}`}>{show(candidate)}</TableCell>
            ))}
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}

function CandidateRow({
  candidate,
  chosen,
  best,
  onChoose,
}: {
  candidate: Candidate;
  chosen: boolean;
  best: boolean;
  onChoose: () => void;
}) {
  const { binder, school, score, reasons, conditions } = candidate;
  const plain = reasons.filter(({ code }) => code !== 'condition');
  return (
    <li className={css.candidate} data-chosen={chosen} data-binder={binder.id} data-school={school.id}>
      <span className={css.score}>
        {score} <small>of 100</small>
      </span>
      <div>
        <h4 className={css.name}>{binder.wet ? BINDER_WORDS[binder.id].name : SCHOOL_NAMES[school.id].name}</h4>
        <p className={css.essence}>
          {SCHOOL_NAMES[school.id].name}. {essenceOf(candidate)}
        </p>
        {conditions.map((condition) => (
          <p key={condition} className={css.condition}>
            Works – {CONDITION_WORDS[condition]}
          </p>
        ))}
        {best && !chosen && <Note>{plain.slice(0, SHOWN_REASONS).map(reasonWords).join(' ')}</Note>}
        <details>
          <summary>Why {score} of 100</summary>
          <ul className={css.reasons}>
            <li>
              <span>{START_POINTS}</span>to begin with
            </li>
            {reasons.map((reason) => (
              <li key={reasonWords(reason)}>
                <span>{reason.points > 0 ? `+${reason.points}` : Math.round(reason.points) || 0}</span>
                {reasonWords(reason)}
              </li>
            ))}
          </ul>
        </details>
      </div>
      <Button
        size="small"
        variant={chosen ? 'contained' : 'outlined'}
        onClick={onChoose}
        aria-pressed={chosen}
        aria-label={`${chosen ? 'Chosen' : 'Choose'}: ${methodName(candidate)}`}
      >
        {chosen ? 'Chosen' : 'Choose'}
      </Button>
    </li>
  );
}
