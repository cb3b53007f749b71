import type { Candidate, ConditionCode, Reason, Refusal } from '@/core/method';
import { BINDER_WORDS, PRINT_WORDS, SCHOOL_NAMES, SCHOOL_WORDS, SURFACE_WORDS } from './craft';

/**
 * What a pair of binder and school is called: the binder and the school, or the school alone where nothing wet is used.
 */
export const methodName = ({ binder, school }: Pick<Candidate, 'binder' | 'school'>): string =>
  binder.wet ? `${BINDER_WORDS[binder.id].name}, ${SCHOOL_NAMES[school.id].inText}` : SCHOOL_NAMES[school.id].name;

export const LANDS_WORDS = { crisp: 'crisp', soft: 'soft', distressed: 'worn' } as const;

/** "If …": stands after "Works – ". */
export const CONDITION_WORDS: Readonly<Record<ConditionCode, string>> = {
  'scuff-slick-finish': 'if the slick finish is scuffed or stripped and primed first: nothing grips it as it is.',
  'scuff-wall-paint': 'if the wall paint is fully hard and scuffed matte.',
  'swatch-on-tight-grain': 'if a test swatch holds, or a base coat goes on: tight grain can let the toner go.',
  'degrease-and-base-coat': 'if it is degreased, and better with a base coat of chalk-type paint.',
  degrease: 'if it is degreased.',
  'light-base-coat':
    'if a light base coat goes on first: toner only darkens, so on dark ground the picture disappears.',
  'chalk-for-graphite':
    'if white or light transfer chalk takes the place of graphite: pencil does not show on dark ground.',
  'swatch-of-heat-set': 'if a swatch of the heat-set print does not bleed. Expect a paler picture.',
  'paler-ink': 'if a paler, softer picture will do: the dye runs a little before it is peeled.',
  'much-paler-ink':
    'if you accept a paler picture: water takes dye that nothing has set with every pass. Heat-setting it first, or the tacky peel, keeps more.',
  'coated-smooth-first': 'if a base coat of chalk-type paint fills the weave first: the liner must touch everywhere.',
  'led-only': 'if it holds an LED: never on a candle that will burn.',
  'two-people': 'if two people coat and lay together: this binder skins before one pair of hands is round.',
  'in-parts': 'if it is laid in parts: these sheets are no larger than a page.',
  'smooth-first': 'if it is sanded and base-coated until it is smooth: the liner must touch everywhere.',
};

export function refusalWords(refusal: Refusal): string {
  switch (refusal.code) {
    case 'glue-washes-out':
      return 'Water dissolves washable glue again: the picture would come off with the paper at the first pass.';
    case 'clear-medium-on-cloth':
      return 'Clear transfer medium is not for cloth: it does not hold on threads and does not wash.';
    case 'never-on-candle':
      return 'An opaque white coat hides the light of an LED candle.';
    case 'needs-opaque-medium':
      return `${SURFACE_WORDS[refusal.surface].shortName} takes opaque photo-transfer medium only: a clear binder cracks off and the picture does not show.`;
    case 'wrong-surface':
      return SCHOOL_WORDS[refusal.school].only ?? '';
    case 'needs-bare-face':
      return SCHOOL_WORDS[refusal.school].bareOnly ?? '';
    case 'wash-takes-it':
      return 'Cloth that is worn or washed needs opaque medium: everything else washes out.';
    case 'inkjet-bleeds':
      return 'Inkjet dye dissolves in a wet binder: it bleeds and fades. Take a toner copy of the print, or heat-set it and choose that kind.';
    case 'paper-does-not-break-down':
      return `${PRINT_WORDS[refusal.print].name}: ${PRINT_WORDS[refusal.print].note}`;
    case 'needs-plain-paper':
      return `${PRINT_WORDS[refusal.print].name}: ${PRINT_WORDS[refusal.print].note} This way needs plain paper.`;
    case 'photo-not-traced':
      return 'Only outlines can be traced: a photo has none to follow. Say at Picture that it is lettering or line art, or move it another way.';
    case 'other-print':
      return `Needs another print: ${PRINT_WORDS[refusal.needs].inText}.`;
  }
}

const percent = (share: number): number => Math.round(share * 100);

const hoursShown = (hours: number): string => (hours < 3 ? `${Math.round(hours * 60)} min` : `${Math.round(hours)} h`);

export function reasonWords(reason: Reason): string {
  switch (reason.code) {
    case 'condition':
      return `I${CONDITION_WORDS[reason.condition].slice(1)}`;
    case 'look-lands':
      return `Lands ${LANDS_WORDS[reason.wanted]}, as you want it.`;
    case 'look-lands-not':
      return `Does not land ${LANDS_WORDS[reason.wanted]}: more ${LANDS_WORDS[reason.lands]}.`;
    case 'needs-toner':
      return 'Needs a toner print: a copy shop makes it.';
    case 'needs-inkjet':
      return 'Needs an inkjet printer, which you did not name.';
    case 'needs-paper':
      return `Needs paper you do not have: ${PRINT_WORDS[reason.print].inText}.`;
    case 'comes-off-whole':
      return 'No rubbing: the sheet comes off whole.';
    case 'costs':
      return `Medium for about ${reason.cost.toFixed(2)} from your stash.`;
    case 'outlines-only':
      return 'Good for lettering and outlines; not for the rest of a picture.';
    case 'white-stays':
      return 'White stays white, as you want it.';
    case 'white-shows-surface':
      return 'White areas will show the surface; you want them white.';
    case 'surface-shows':
      return 'The surface shows in the whites, as you want it.';
    case 'surface-hidden':
      return 'Hides the surface under white.';
    case 'carries-on-dark':
      return 'Its white ground carries the picture on this dark surface.';
    case 'dull-on-dark':
      return 'On this dark ground a clear binder leaves the picture dull.';
    case 'penetrates':
      return 'Penetrates well, into paper and surface alike.';
    case 'fills-texture':
      return 'Its body fills grain and weave.';
    case 'few-bubbles':
      return 'Fewer bubbles and wrinkles, but harder to spread.';
    case 'made-for-paint':
      return 'Made for painted faces; hides the print’s outline.';
    case 'meant-for-paint':
      return 'Meant for painted faces.';
    case 'best-on-bare-wood':
      return 'At its best on bare soft wood.';
    case 'bed-evens-ground':
      return 'The dried first coat evens out the ground.';
    case 'lasts-on-fabric':
      return 'Bends and lasts on fabric.';
    case 'keeps-toner':
      return `Keeps about ${percent(reason.keptShare)} % of the toner: dark and clear${reason.lettering ? ', which lettering needs' : ''}.`;
    case 'loses-toner': {
      const what = reason.lettering ? 'thin strokes of lettering suffer' : 'a paler, more worn look';
      return `Loses toner in rubbing (keeps about ${percent(reason.keptShare)} %): ${what}.`;
    }
    case 'no-waiting':
      return 'No waiting: done at one sitting.';
    case 'ready-after':
      return `Ready to rub after about ${hoursShown(reason.hours)} in this room.`;
    case 'ready-in-time':
      return `Ready to rub after about ${hoursShown(reason.hours)}: in time.`;
    case 'too-late':
      return `Needs about ${hoursShown(reason.hours)} before rubbing, and about 12 h more to finish: later than the due date.`;
    case 'nothing-to-rub':
      return 'Nothing to rub.';
    case 'rubbing':
      return `About ${reason.minutes} min of rubbing in ${reason.passes} ${reason.passes === 1 ? 'pass' : 'passes'}.`;
    case 'washable':
      return 'Washable on cloth.';
    case 'soft-under-wear':
      return 'Stays soft: poor under wear.';
    case 'hard-enough':
      return 'Hard enough for wear.';
    case 'forgiving':
      return 'Forgiving for a first piece.';
    case 'lacks-practice':
      return 'Asks for more practice than you say you have.';
    case 'asks-for-practice':
      return 'Asks for practice.';
  }
}

/** What a candidate is about: its binder’s character where many binders share its school, else the school’s own. */
export const essenceOf = ({ binder, school }: Candidate): string =>
  school.toldByBinder ? BINDER_WORDS[binder.id].character : SCHOOL_WORDS[school.id].essence;

/** A method as it was assumed for a piece: “dry and rub with fluid gel …”. */
export const assumedMethod = ({ binder, school }: Candidate): string =>
  `${SCHOOL_NAMES[school.id].inText} with ${BINDER_WORDS[binder.id].inText}`;
