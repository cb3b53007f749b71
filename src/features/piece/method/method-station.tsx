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
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { PRINTS, binderById, nominalFilmUm } from '@/core/craft';
import { formatDuration } from '@/words/figures';
import { START_POINTS, threeWays, type Candidate, type LookWanted, type Way } from '@/core/method';
import { runSteps } from '@/core/plan';
import { stageOptics, type RenderStage } from '@/core/render';
import {
  Answer,
  Because,
  ChoiceField,
  Fields,
  Part,
  SelectField,
  Steps,
  Wide,
  useUnits,
  TextButton,
  Unbroken,
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
  GAIN_WORDS,
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
  listOf,
} from '@/words';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

const WHITES = [
  { id: 'either', name: say`Either` },
  { id: 'surface-shows', name: say`Surface shows` },
  { id: 'stay-white', name: say`Stay white` },
] as const;
const LOOKS: { id: LookWanted; name: string }[] = [
  { id: 'any', name: say`Any` },
  { id: 'crisp', name: say`Crisp` },
  { id: 'soft', name: say`Soft` },
  { id: 'distressed', name: say`Worn` },
];
const STAGES: { id: RenderStage; name: string }[] = [
  { id: 'laid', name: say`Just laid` },
  { id: 'pass-1', name: say`After pass 1` },
  { id: 'hazy', name: say`Dry, with haze` },
  { id: 'wet', name: say`Wet` },
  { id: 'matte', name: say`Sealed matte` },
  { id: 'gloss', name: say`Sealed gloss` },
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
  const ways = threeWays(usable, chosen);
  const others = usable.filter((one) => ways.every(({ candidate }) => candidate !== one));
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
        {say`Shown`}
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
        aria-label={say`What is shown`}
        onChange={(_, next: string | null) => next && setBoard(next === 'board')}
      >
        <ToggleButton value="one">{say`This one`}</ToggleButton>
        <ToggleButton
          value="board"
          disabled={!plan.surface.blank || !plan.surface.record}
          data-testid="try-on-view"
        >{say`Try on`}</ToggleButton>
      </ToggleButtonGroup>
    </>
  );

  return (
    <StationLayout
      station="method"
      answer={<Answer stop={stop}>{answer()}</Answer>}
      act={best && !chosen && <TakeAndGoOn candidate={best} onTake={() => choose(best)} />}
      onward={<NextLink station="sheet" quiet={plan.method.binder === null} />}
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
                  ? say`The surface shows where the picture is white.`
                  : say`White stays white.`
                : say`Choose a method to see what becomes of the whites.`
            }
          />
        )
      }
    >
      {ways.length > 0 && <Ways ways={ways} chosen={chosen} onChoose={choose} />}
      {ways.some(({ candidate }) => candidate.conditions.length > 0) && (
        <ul className={css.conditions}>
          {ways.flatMap(({ candidate }) =>
            candidate.conditions.map((condition) => (
              <li key={`${methodName(candidate)} ${condition}`} className={css.condition}>
                <b>{wayName(candidate)}.</b> {CONDITION_WORDS[condition]}
              </li>
            )),
          )}
        </ul>
      )}
      {(chosen ?? best) && (
        <Because
          title={chosen ? say`Because` : say`Why the first`}
          reasons={(chosen ?? best)!.reasons.slice(0, LEADING_REASONS).map((reason) => ({
            figure: pointsShown(reason.points),
            text: reasonWords(reason),
          }))}
        />
      )}
      {board && (
        <Part title={say`Try on`}>
          <TryOnFields />
        </Part>
      )}
      <Part title={say`Change`}>
        <Fields>
          <Wide>
            <SelectField
              label={say`What the print is made with`}
              value={piece.method.print}
              options={PRINTS.map(({ id }) => ({ id, name: PRINT_WORDS[id].name }))}
              onCommit={(print) => change('method', { print }, say`kind of print`)}
              testId="print-kind"
            />
          </Wide>
          <Wide>
            <ChoiceField
              label={say`White parts of the picture`}
              value={piece.method.whites}
              options={WHITES}
              onCommit={(whites) => change('method', { whites }, say`white parts`)}
            />
          </Wide>
          <ChoiceField
            label={say`Look wanted`}
            value={piece.method.look}
            options={LOOKS}
            onCommit={(look) => change('method', { look }, say`look wanted`)}
          />
          <UseField at="method" testId="use" />
        </Fields>
        <details className={css.more}>
          <summary>{say`Printer, paper and practice at hand`}</summary>
          <AtHandFields />
        </details>
      </Part>
      {ways.length > 0 && (
        <Part title={say`Points of these`} folded={listOf(ways.map(({ candidate }) => String(candidate.score)))}>
          {ways.map(({ candidate }) => (
            <div key={methodName(candidate)} className={css.points}>
              <h4 className={css.name}>{methodName(candidate)}</h4>
              <p className={css.essence}>{essenceOf(candidate)}</p>
              <Points candidate={candidate} />
            </div>
          ))}
        </Part>
      )}
      {others.length > 0 && (
        <Part title={say`What else works`} folded={counted(others.length, 'way', 'ways')}>
          <ol className={css.list}>
            {others.map((one) => (
              <CandidateRow
                key={`${one.school.id}-${one.binder.id}`}
                candidate={one}
                chosen={one === chosen}
                onChoose={() => choose(one)}
              />
            ))}
          </ol>
        </Part>
      )}
      {chosen && chosen.binder.wet && (
        <Part
          title={say`On the label of your ${BINDER_WORDS[chosen.binder.id].inText}`}
          folded={say`as usual until you type it`}
        >
          <BottleFields binder={chosen.binder.id} usual={usualOf(chosen, units)} />
        </Part>
      )}
      {steps.length > 0 && (
        <Part title={say`In this order`} folded={counted(steps.length, 'step', 'steps')}>
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
        <Part title={say`Refused, and why`} folded={counted(refused.length, 'way', 'ways')}>
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
                        say`kind of print and method`,
                      )
                    }
                  >{say`Print it as: ${PRINT_WORDS[candidate.refusal.switchTo].inText}`}</TextButton>
                )}
              </li>
            ))}
          </ul>
        </Part>
      )}
      <MissingList station="method" />
      <StationCautions station="method" />
    </StationLayout>
  );

  function answer(): string {
    if (!plan.surface.record) return say`Methods are ranked once the surface is known.`;
    if (chosen?.verdict === 'refused') return say`${methodName(chosen)} cannot work here.`;
    if (usable.length === 0) return say`Nothing works with this print: change what it is made with.`;
    if (chosen) return `${methodName(chosen)}.`;
    return say`Best here: ${lowerFirst(methodName(best!))}.`;
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
    openMinutes: say`${record.openMinutes} min`,
  };
}

const LEADING_REASONS = 5;

/** Takes the best way and goes on, in one press. */
function TakeAndGoOn({ candidate, onTake }: { candidate: Candidate; onTake: () => void }) {
  const { piece } = useOpenPiece();
  const router = useRouter();
  return (
    <Button
      variant="contained"
      data-testid="take-and-go-on"
      onClick={() => {
        onTake();
        router.push(`/piece/${piece.id}/sheet`);
      }}
    >{say`Take ${lowerFirst(wayName(candidate))} and go on`}</Button>
  );
}

const wayName = ({ binder, school }: Candidate): string =>
  binder.wet ? BINDER_WORDS[binder.id].shortName : SCHOOL_NAMES[school.id].name;

/** The best way and two that trade its points for something else, side by side, each to be taken. */
function Ways({
  ways,
  chosen,
  onChoose,
}: {
  ways: readonly Way[];
  chosen: Candidate | null;
  onChoose: (candidate: Candidate) => void;
}) {
  const units = useUnits();
  const rows: [string, (candidate: Candidate) => string][] = [
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
  return (
    <Table className={css.compare} data-testid="compare">
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
      <TableBody>
        <TableRow>
          <TableCell component="td" />
          {ways.map(({ candidate }) => (
            <TableCell key={methodName(candidate)}>
              <ChooseButton candidate={candidate} chosen={candidate === chosen} onChoose={() => onChoose(candidate)} />
            </TableCell>
          ))}
        </TableRow>
        {rows.map(([name, show]) => (
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
  );
}

function CandidateRow({
  candidate,
  chosen,
  onChoose,
}: {
  candidate: Candidate;
  chosen: boolean;
  onChoose: () => void;
}) {
  const { binder, school, score, conditions } = candidate;
  return (
    <li className={css.candidate} data-chosen={chosen} data-binder={binder.id} data-school={school.id}>
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
      <ChooseButton candidate={candidate} chosen={chosen} onChoose={onChoose} />
    </li>
  );
}

const ChooseButton = ({
  candidate,
  chosen,
  onChoose,
}: {
  candidate: Candidate;
  chosen: boolean;
  onChoose: () => void;
}) => (
  <Button
    size="small"
    variant={chosen ? 'contained' : 'outlined'}
    onClick={onChoose}
    aria-pressed={chosen}
    aria-label={`${chosen ? say`Chosen` : say`Choose`}: ${methodName(candidate)}`}
  >
    {chosen ? say`Chosen` : say`Choose`}
  </Button>
);

const WhyPoints = ({ candidate }: { candidate: Candidate }) => (
  <details>
    <summary>{say`Why ${candidate.score} of 100`}</summary>
    <Points candidate={candidate} />
  </details>
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
