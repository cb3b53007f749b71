import { recipeStepOf } from '@/core/craft';
import type { HandStep } from '@/core/craft';
import { formatDuration } from '@/words/figures';
import { judgePiece, lastPlaced, readKept } from '@/core/inspect';
import type { RubPlan, WorkMap } from '@/core/rub';
import type { Job, PiecePlan } from '@/core/stations';
import { HAND_STEPS, WATER_WORDS, areaWords, sectionPlace, stepTitle, type Wording, sentences } from '@/words';
import { card, cardTimer, type BenchCard, type BenchCards } from '../station-feature';
import { say } from '@/words/say';

const handCards = (hands: readonly HandStep[], id: string): BenchCard[] =>
  hands.map((hand) => card(`${id}-${hand}`, HAND_STEPS[hand]));

const ROLL = say`Roll the paper off with your fingertips in small circles. Brush the rolls aside.`;
const ROLL_DRY = say`Roll off what paper shows, with a dry fingertip. Brush the rolls aside.`;
/** Of a peel's hands, the one that rolls, after a minute or two. */
const ROLLING: HandStep = 'roll-fibres';
const ROLL_AFTER_MINUTES = 2;

/** One card for it all, or one a section: the next one softens under its cloth while this one is rubbed. */
function rubbingCards(pass: RubPlan['passes'][number], map: WorkMap | null): BenchCard[] {
  const sections = map?.sections ?? [];
  if (!map || sections.length < 2)
    return [
      card(
        'rub',
        sentences(ROLL, say`Don’t stay on one spot.`),
        say`${pass.minutes} min`,
        cardTimer(say`Rub, pass ${pass.number}`, pass.minutes),
      ),
    ];
  return sections.map((section, at) => {
    const next = sections[at + 1];
    const minutes = Math.max(1, Math.round(pass.number === 1 ? section.minutes : section.laterMinutes));
    const said = [
      section.breakBefore && say`Rest your fingertips first, or change hands.`,
      at > 0 && section.sitting !== sections[at - 1]?.sitting && say`A new sitting: wet it anew.`,
      next &&
        say`Lay the damp cloth on section ${next.number}, ${sectionPlace(next.box, map.box)}: it softens meanwhile.`,
      say`Section ${section.number}, ${sectionPlace(section.box, map.box)}.`,
      ROLL,
      section.darkShare > MOSTLY && say`It is dark: haze stays here longest.`,
      section.feelShare > MOSTLY && say`It is light: feel for paper that you can’t see.`,
    ].filter(Boolean);
    return card(
      `rub-${section.number}`,
      said.join(' '),
      say`${section.number} of ${sections.length}, ${minutes} min`,
      cardTimer(say`Rub section ${section.number}, pass ${pass.number}`, minutes),
      next ? cardTimer(say`Cloth on section ${next.number}`, pass.dampenMinutes) : null,
    );
  });
}

/** Where the last photo names areas, those alone are rubbed; null where it does not. */
function areaCards({ rub: { readings } }: Job, { rub: { verdict } }: PiecePlan, units: Wording): BenchCard[] | null {
  const last = lastPlaced(readings);
  if (!last || verdict?.decision !== 'areas') return null;
  const hazy = judgePiece(readKept(last)).areas.filter(({ kind }) => kind === 'haze');
  if (hazy.length === 0) return null;
  return hazy.slice(0, MOST_AREAS).map((area, at) => {
    const minutes = Math.max(1, Math.round(area.minutes));
    return card(
      `area-${at + 1}`,
      sentences(say`Only here: ${areaWords(area, units)}.`, ROLL, say`Leave the rest alone.`),
      say`${at + 1} of ${Math.min(MOST_AREAS, hazy.length)}, ${minutes} min`,
      cardTimer(say`Rub area ${at + 1}`, minutes),
    );
  });
}

/** A film that is minutes old sees no water: its recipe's hands, then a dry fingertip; what dries is the film. */
function dryCards(pass: RubPlan['passes'][number], { method: { school } }: PiecePlan, rubbing: RubPlan): BenchCard[] {
  const hands = (school && recipeStepOf(school, 'passes')?.does) ?? [];
  const at = hands.indexOf(ROLLING);
  const last = pass.number === rubbing.passes.length;
  const dries = formatDuration(pass.dryMinutes / 60);
  const timer = cardTimer(say`Rub, pass ${pass.number}`, pass.minutes);
  const figure = say`${pass.minutes} min`;
  const rolled =
    pass.number === 1
      ? [
          ...handCards(hands.slice(0, at), 'peel'),
          card('roll', HAND_STEPS[ROLLING], figure, cardTimer(say`Wait before rolling`, ROLL_AFTER_MINUTES), timer),
        ]
      : [card('roll', ROLL_DRY, figure, timer)];
  return [
    card('no-water', WATER_WORDS.none.bench),
    ...rolled,
    card('dry', say`Let it dry ${dries}. Nothing was wetted: only the thin film is still to dry.`, dries),
    ...(last ? handCards(hands.slice(at + 1), 'peel') : []),
  ];
}

const MOST_AREAS = 8;
const MOSTLY = 0.5;

export const rubCards: BenchCards = ({ step, title, wait }, job, plan, units) => {
  const {
    rub: { rubbing },
    method: { school },
  } = plan;
  const pass = step.kind === 'pass' ? rubbing?.passes.find(({ number }) => number === step.number) : undefined;
  if (!pass || !rubbing) {
    const recipe = school && recipeStepOf(school, step.kind === 'stick' ? 'stick' : 'remove');
    const cards = handCards(recipe?.does ?? [], step.kind === 'stick' ? 'stick' : 'off');
    if (cards.length === 0) return [card('off', stepTitle(title))];
    const dries = wait.hours > 0 ? formatDuration(wait.hours) : null;
    return dries === null ? cards : [...cards, card('off-wait', say`It dries ${dries} before the next step.`, dries)];
  }
  if (rubbing.water === 'none') return dryCards(pass, plan, rubbing);
  const last = pass.number === rubbing.passes.length;
  const between = formatDuration(rubbing.betweenMinutes / 60);
  return [
    card(
      'damp',
      WATER_WORDS[rubbing.water].bench,
      say`${pass.dampenMinutes} min`,
      cardTimer(say`Let it soften`, pass.dampenMinutes),
    ),
    ...(areaCards(job, plan, units) ?? rubbingCards(pass, plan.rub.map)),
    card(
      'dry',
      last
        ? say`Let it dry ${between} and look for milky patches: rub those once more. It is dry enough to mend
          after ${formatDuration(rubbing.dryOutMinutes / 60)}.`
        : say`Let it dry ${between} and look for milky patches. Wet paper is invisible: it looks done when it is not.
          A fan or hair dryer may help here, between passes only.`,
      between,
    ),
  ];
};
