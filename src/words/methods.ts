import type { Candidate, ConditionCode, Gain, Reason, Refusal } from '@/core/method';
import { BINDER_WORDS, PRINT_WORDS, SCHOOL_NAMES, SCHOOL_WORDS, SURFACE_WORDS } from './craft';
import { said, say } from './say';
import { counted, sentences } from './text';

/**
 * What a pair of binder and school is called: the binder and the school, or the school alone where nothing wet is used.
 */
export const methodName = ({ binder, school }: Pick<Candidate, 'binder' | 'school'>): string =>
  binder.wet ? `${BINDER_WORDS[binder.id].name}, ${SCHOOL_NAMES[school.id].inText}` : SCHOOL_NAMES[school.id].name;

export const LANDS_WORDS = { crisp: say`crisp`, soft: say`soft`, distressed: say`worn` } as const;
const AS_WANTED = {
  crisp: say`Lands crisp, as you want it.`,
  soft: say`Lands soft, as you want it.`,
  distressed: say`Lands worn, as you want it.`,
} as const;

/** What a way has over the best one. */
export const GAIN_WORDS: Readonly<Record<Gain, string>> = said({
  sooner: 'sooner',
  'less-rubbing': 'less rubbing',
  'keeps-more': 'keeps more',
  cheaper: 'cheaper',
  washable: 'washable',
  dry: 'nothing to pour',
});

/** What a way asks for before it works. */
export const CONDITION_WORDS: Readonly<Record<ConditionCode, string>> = said({
  'scuff-slick-finish': 'Works if the slick finish is scuffed or stripped and primed first: nothing grips it as it is.',
  'scuff-wall-paint': 'Works if the wall paint is fully hard and scuffed matte.',
  'swatch-on-tight-grain': 'Works if a test swatch holds, or a base coat goes on: tight grain can let the toner go.',
  'degrease-and-base-coat': 'Works if it is degreased, and better with a base coat of chalk-type paint.',
  degrease: 'Works if it is degreased.',
  'light-base-coat':
    'Works if a light base coat goes on first: toner only darkens, so on dark ground the picture disappears.',
  'chalk-for-graphite':
    'Works if white or light transfer chalk takes the place of graphite: pencil does not show on dark ground.',
  'swatch-of-heat-set': 'Works if a swatch of the heat-set print does not bleed. Expect a paler picture.',
  'paler-ink': 'Works if a paler, softer picture will do: the dye runs a little before it is peeled.',
  'much-paler-ink':
    'Works if you accept a paler picture: water takes dye that nothing has set with every pass. Heat-setting it ' +
    'first, or the tacky peel, keeps more.',
  'coated-smooth-first':
    'Works if a base coat of chalk-type paint fills the weave first: the liner must touch everywhere.',
  'led-only': 'Works if it holds an LED: never on a candle that will burn.',
  'light-hidden': 'Works if no light need come through the picture: an opaque white coat hides it there.',
  'two-people':
    'Works if two people coat and lay together: this gel or glue dries on top before one pair of hands is round.',
  'in-parts': 'Works if it is laid in parts: these sheets are no larger than a page.',
  'smooth-first': 'Works if it is sanded and base-coated until it is smooth: the liner must touch everywhere.',
  'sand-really-smooth': 'Works if the wood is sanded really smooth, to 400: on rough wood a wet liner fails.',
});

export function refusalWords(refusal: Refusal): string {
  switch (refusal.code) {
    case 'glue-washes-out':
      return say`Water dissolves washable glue again: the picture would come off with the paper at the first pass.`;
    case 'clear-medium-on-cloth':
      return say`Clear transfer medium is not for cloth: it does not hold on threads and does not wash.`;
    case 'needs-opaque-medium':
      return say`${SURFACE_WORDS[refusal.surface].shortName} takes opaque photo-transfer medium only: a clear
        gel or glue cracks off and the picture does not show.`;
    case 'wrong-surface':
      return SCHOOL_WORDS[refusal.school].only ?? '';
    case 'needs-bare-face':
      return SCHOOL_WORDS[refusal.school].bareOnly ?? '';
    case 'wash-takes-it':
      return say`Cloth that is worn or washed needs opaque medium: everything else washes out.`;
    case 'inkjet-bleeds':
      return say`Inkjet dye dissolves in a wet gel or glue: it bleeds and fades. Take a toner copy of the print, or
        heat-set it and choose that kind.`;
    case 'paper-does-not-break-down':
      return `${PRINT_WORDS[refusal.print].name}: ${PRINT_WORDS[refusal.print].note}`;
    case 'needs-plain-paper':
      return sentences(
        `${PRINT_WORDS[refusal.print].name}: ${PRINT_WORDS[refusal.print].note}`,
        say`This way needs plain paper.`,
      );
    case 'photo-not-traced':
      return say`Only outlines can be traced: a photo has none to follow. Say at Picture that it is lettering or
        line art, or move it another way.`;
    case 'other-print':
      return say`Needs another print: ${PRINT_WORDS[refusal.needs].inText}.`;
  }
}

const percent = (share: number): number => Math.round(share * 100);

const hoursShown = (hours: number): string =>
  hours < 3 ? say`${Math.round(hours * 60)} min` : `${Math.round(hours)} h`;

export function reasonWords(reason: Reason): string {
  switch (reason.code) {
    case 'condition':
      return CONDITION_WORDS[reason.condition];
    case 'look-lands':
      return AS_WANTED[reason.wanted];
    case 'look-lands-not':
      return say`Lands another way than you want it. Wanted: ${LANDS_WORDS[reason.wanted]}; more like: ${LANDS_WORDS[reason.lands]}.`;
    case 'needs-toner':
      return say`Needs a toner print: a copy shop makes it.`;
    case 'needs-inkjet':
      return say`Needs an inkjet printer, which you did not name.`;
    case 'needs-paper':
      return say`Needs paper you do not have: ${PRINT_WORDS[reason.print].inText}.`;
    case 'comes-off-whole':
      return say`No rubbing: the sheet comes off whole.`;
    case 'costs':
      return say`Medium for about ${reason.cost.toFixed(2)} from your stash.`;
    case 'outlines-only':
      return say`Good for lettering and outlines; not for the rest of a picture.`;
    case 'white-stays':
      return say`White stays white, as you want it.`;
    case 'white-shows-surface':
      return say`White areas will show the surface; you want them white.`;
    case 'surface-shows':
      return say`The surface shows in the white parts, as you want it.`;
    case 'surface-hidden':
      return say`Hides the surface under white.`;
    case 'carries-on-dark':
      return say`Its white ground carries the picture on this dark surface.`;
    case 'dull-on-dark':
      return say`On this dark ground a clear gel or glue leaves the picture dull.`;
    case 'penetrates':
      return say`Penetrates well, into paper and surface alike.`;
    case 'fills-texture':
      return say`Its body fills grain and weave.`;
    case 'few-bubbles':
      return say`Fewer bubbles and wrinkles, but harder to spread.`;
    case 'made-for-paint':
      return say`Made for painted faces; hides the print’s outline.`;
    case 'meant-for-paint':
      return say`Meant for painted faces.`;
    case 'best-on-bare-wood':
      return say`At its best on bare soft wood.`;
    case 'bed-evens-ground':
      return say`The dried first coat evens out the ground.`;
    case 'lasts-on-fabric':
      return say`Bends and lasts on fabric.`;
    case 'keeps-toner':
      return reason.lettering
        ? say`Keeps about ${percent(reason.keptShare)} % of the toner: dark and clear, which lettering needs.`
        : say`Keeps about ${percent(reason.keptShare)} % of the toner: dark and clear.`;
    case 'loses-toner': {
      const kept = `${percent(reason.keptShare)} %`;
      return reason.lettering
        ? say`Loses toner in rubbing (keeps about ${kept}): thin strokes of lettering suffer.`
        : say`Loses toner in rubbing (keeps about ${kept}): a paler, more worn look.`;
    }
    case 'no-waiting':
      return say`No waiting: done at one sitting.`;
    case 'ready-after':
      return say`Ready to rub after about ${hoursShown(reason.hours)} in this room.`;
    case 'ready-in-time':
      return say`Ready to rub after about ${hoursShown(reason.hours)}: in time.`;
    case 'too-late':
      return say`Needs about ${hoursShown(reason.hours)} before rubbing, and about 12 h more to finish: later than the due date.`;
    case 'nothing-to-rub':
      return say`Nothing to rub.`;
    case 'rubbing':
      return say`About ${reason.minutes} min of rubbing in ${counted(reason.passes, 'pass', 'passes')}.`;
    case 'washable':
      return say`Washable on cloth.`;
    case 'soft-under-wear':
      return say`Stays soft: poor under wear.`;
    case 'hard-enough':
      return say`Hard enough for wear.`;
    case 'forgiving':
      return say`Forgiving for a first piece.`;
    case 'lacks-practice':
      return say`Asks for more practice than you say you have.`;
    case 'asks-for-practice':
      return say`Asks for practice.`;
  }
}

/** What a candidate is about: its binder’s character where many binders share its school, else the school’s own. */
export const essenceOf = ({ binder, school }: Candidate): string =>
  school.toldByBinder ? BINDER_WORDS[binder.id].character : SCHOOL_WORDS[school.id].essence;

/** A method as it was assumed for a piece: “dry and rub with fluid gel …”. */
export const assumedMethod = ({ binder, school }: Candidate): string =>
  say`${SCHOOL_NAMES[school.id].inText} with ${BINDER_WORDS[binder.id].inText}`;
