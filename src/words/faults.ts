import type {
  FaultAnswer,
  FaultCauseId,
  FaultCheckId,
  FaultEvidenceId,
  FaultRemedyId,
  FaultSignId,
} from '@/core/craft';
import type { FaultEvidence, FaultLine } from '@/core/faults';
import { formatDuration } from './figures';
import type { Wording } from './units';
import { said, say } from './say';

export const SIGN_WORDS: Readonly<Record<FaultSignId, { title: string; look: string }>> = said({
  'comes-off': { title: 'The picture comes off with the paper', look: 'Toner leaves with the fibres in sheets.' },
  'holes-round': { title: 'Round holes', look: 'Dots and islands without toner, from a pinhole to a coin.' },
  'holes-long': { title: 'Long holes, smears', look: 'Drawn out the way fingers went.' },
  veil: { title: 'A milky veil', look: 'It comes as the piece dries.' },
  'spot-stays': { title: 'A spot will not rub', look: 'Paper stays there, hard and smooth, pass after pass.' },
  wrinkles: { title: 'Wrinkles, creases', look: 'Lines where the paper folded under the coat.' },
  tacky: { title: 'Tacky, or white when wet', look: 'It takes a fingerprint, or blooms white under water.' },
  pale: { title: 'Pale and dull', look: 'All of it is there, and grey where it should be black.' },
  ghostly: { title: 'The subject vanishes', look: 'Grain or ground shows through what should stand out.' },
  bled: { title: 'Blurred, bled colours', look: 'Colours ran into each other, lines are soft.' },
  reversed: { title: 'Lettering is reversed', look: 'It reads as in a mirror.' },
  'white-rim': { title: 'A white rim', look: 'A white line or halo round the print.' },
  lip: { title: 'A raised outline', look: 'Its edge is felt, and shines from the side.' },
  crooked: { title: 'Off centre, crooked', look: 'All of it is there, in the wrong place.' },
  'wrong-size': { title: 'The wrong size', look: 'It falls short of its place, or hangs over.' },
  'edges-lift': { title: 'Edges and corners lift', look: 'The rim is frayed, or stands up.' },
  chips: { title: 'Chips', look: 'Hard flakes break off, with sharp edges.' },
  cloudy: { title: 'The top coat is cloudy', look: 'It was clear before it was sealed.' },
});

export const CAUSE_WORDS: Readonly<Record<FaultCauseId, { title: string; why: string }>> = said({
  'not-cured': {
    title: 'It was not cured',
    why: 'The gel or glue held the paper as well as the toner, and water loosened both.',
  },
  'washable-glue': { title: 'Washable glue', why: 'Water brings it back to glue: whatever it held comes off.' },
  'slick-ground': {
    title: 'A slick ground under it',
    why: 'Gloss, varnish and wax give the gel or glue nothing to hold.',
  },
  'tight-wood': { title: 'Bare hard wood', why: 'Its tight grain lets the toner go sooner than soft wood does.' },
  'unprimed-smooth': {
    title: 'Glass, glaze or metal without a base',
    why: 'A film on it has only its own stick, and chips off.',
  },
  bubbles: { title: 'Bubbles under the paper', why: 'Where air lay, no gel or glue touched the toner.' },
  'missed-medium': {
    title: 'Places without medium',
    why: 'The coat was thin or left gaps, and the toner went with the paper there.',
  },
  'rubbed-too-hard': {
    title: 'Rubbed too hard or too long',
    why: 'The paper was through, and the finger went on to the toner.',
  },
  'too-wet': { title: 'Rubbed too wet', why: 'Too much water lifts this gel or glue with its paper.' },
  'paper-left': { title: 'Paper is left in it', why: 'Wet fibres are invisible; dry ones scatter light.' },
  'heavy-paper': { title: 'Heavy paper', why: 'Every 15 g/m² more asks for about one more pass.' },
  'medium-on-back': {
    title: 'Medium on the back of the paper',
    why: 'It seals the paper: water does not get in, and nothing rolls off.',
  },
  'paper-soaked': {
    title: 'The paper was soaked before it lay',
    why: 'Wet paper grows by up to a hundredth, and folds.',
  },
  'pressed-too-hard': { title: 'Pressed too hard', why: 'The coat was driven out from under the paper.' },
  'not-dry': { title: 'It is not dry', why: 'In cold or damp air the water stays in it.' },
  'thick-coat': { title: 'The coat is too thick', why: 'It dries on top, and stays soft inside.' },
  'pale-binder': {
    title: 'A gel or glue that lands pale',
    why: 'Glue-sealers leave blacks some steps greyer than gel does.',
  },
  'dark-ground': {
    title: 'A dark ground',
    why: 'A clear gel or glue shows it: light parts are as dark as what lies under them.',
  },
  'slick-base-paint': { title: 'Gloss or pearl paint under it', why: 'It takes the transfer pale, and chips with it.' },
  'flat-picture': {
    title: 'A picture of little contrast',
    why: 'A transfer takes contrast away, and there was none to spare.',
  },
  'matte-sealer': { title: 'A matte sealer', why: 'Its rough face sends white light back over the blacks.' },
  'inkjet-pale': { title: 'An inkjet print', why: 'Less of its ink comes along than of toner.' },
  'inkjet-bleeds': { title: 'Inkjet ink ran', why: 'Its dye dissolves in the water of the coat.' },
  'slid-when-laid': { title: 'It slid as it was laid', why: 'Moved on the wet coat, the print smears.' },
  'not-mirrored': { title: 'Not mirrored', why: 'What lies face down lands reversed.' },
  'mirrored-twice': {
    title: 'Mirrored twice',
    why: 'The sheet was mirrored, and the printer’s own setting mirrored it back.',
  },
  'white-margin': {
    title: 'The white margin of the print',
    why: 'Paper past the picture was coated with it, and leaves its own veil.',
  },
  'opaque-beyond': { title: 'White medium past the print', why: 'It dries white wherever it is.' },
  'film-edge': { title: 'The edge of the film', why: 'The coat ends there, as thick as it is.' },
  'whites-over-grain': {
    title: 'White parts over strong grain',
    why: 'White is no toner: there is only the ground to see.',
  },
  'thick-sealer': { title: 'Thick glue-sealer on top', why: 'Laid on thick it stays cloudy and tacky.' },
  'sealed-damp': {
    title: 'Sealed while it was damp',
    why: 'Water under or in the sealer cannot get out, and clouds it.',
  },
  'edge-dried-first': { title: 'The edge dried before the paper lay', why: 'A thin rim dries on top within minutes.' },
  'no-marks': {
    title: 'Laid without marks',
    why: 'It grips as it touches: what is not marked before can’t be moved after.',
  },
  'printer-scales': { title: 'The printer scales', why: 'Fit to page, or a printer’s own error of some hundredths.' },
  'paper-stretched': {
    title: 'The paper stretched wet',
    why: 'By up to a hundredth, more across the sheet than along it.',
  },
});

export const CHECK_WORDS: Readonly<Record<FaultCheckId, { ask: string; how: string }>> = said({
  'wet-test': {
    ask: 'Wet it with a sponge: does the milky look vanish?',
    how: 'A damp sponge over a small place, seen at once.',
  },
  'wet-finger': {
    ask: 'A wet finger on a spare print: does the colour smear?',
    how: 'Rub once across a dark place of the same print.',
  },
  tape: {
    ask: 'Tape on the edge of a hole, pulled off: does picture come along?',
    how: 'Press clear tape down where it is dry, pull slowly.',
  },
  nail: { ask: 'A fingernail in a corner: does it dent?', how: 'Where it will not be seen, or on the overhang.' },
  'side-light': {
    ask: 'A lamp from the side: does the spot shine?',
    how: 'Look along the face, when the paper is dry.',
  },
  'spare-print': { ask: 'How does a spare of the same print read?', how: 'The paper itself, held in front of you.' },
  ruler: {
    ask: 'A ruler over the printed picture: is it off by more than 2 mm?',
    how: 'Measure a spare, or the proof’s bar.',
  },
});

export const ANSWER_WORDS: Readonly<Record<FaultAnswer, string>> = said({
  vanishes: 'It vanishes',
  stays: 'It stays',
  smears: 'It smears',
  holds: 'It holds',
  'picture-comes': 'Picture comes along',
  dents: 'It dents',
  hard: 'It is hard',
  shines: 'It shines',
  matt: 'It is matt',
  'reads-right': 'It reads right',
  mirrored: 'It is mirrored',
  'print-off': 'The print is off',
  'print-true': 'The print is true',
});

export const FAULT_REMEDY_WORDS: Readonly<Record<FaultRemedyId, string>> = said({
  'stop-and-dry': 'Stop rubbing, and let it dry through.',
  'wait-a-day': 'Wait another day before anything touches it.',
  'mend-holes': 'Mend the holes with thinned colour.',
  'cover-or-strip': 'It can’t be turned back: sand it off, or cover it and print again.',
  'call-it-distressed': 'Call it distressed: wear the edges to match.',
  'rub-again': 'Dampen lightly, and rub one more pass.',
  'wet-test': 'Do the wet test first: haze that vanishes goes under the sealer.',
  'gloss-seal': 'Seal it with gloss: it clears haze and deepens colour.',
  'scrape-spot': 'Scrape the spot gently with a fingernail until water gets in, then rub.',
  'slit-and-mend': 'Slit the fold with a sharp blade, cutting away from the hand, glue it down and mend it.',
  'warm-room': 'Bring it into a warm, dry room, with a fan.',
  'tint-by-hand': 'Tint the subject by hand with thinned colour.',
  'sand-rim': 'Sand the rim with 320 grit, dry, and with a mask.',
  'paint-rim': 'Sponge colour round the rim.',
  'sand-lip': 'Sand the lip outward with a 320 block, only when it is dry.',
  'wait-for-clear': 'Wait: what is damp clears as it dries. Scrape off what stays soft.',
  'glue-edge': 'Stick the edge down with a little gel or glue, under parchment and a weight.',
  'trim-crooked': 'Trim it straight, or balance it with lettering or a painted border.',
  'wait-in-full': 'Wait the full time by the clock.',
  'other-glue': 'Use wood glue, or gel: nothing that washes out.',
  'test-swatch': 'Try a swatch on the same ground first.',
  'scuff-or-prime': 'Scuff the gloss, or prime over it.',
  'base-coat': 'Give it a base coat of chalk-type paint.',
  degrease: 'Degrease it, and don’t touch the face again.',
  'coat-both-faces': 'Coat both faces.',
  'scrape-from-centre': 'Press out from the middle with a card.',
  'light-pressure': 'Light, even pressure: enough to touch, not to squeeze out.',
  'measure-medium': 'Measure the medium, and pour all of it.',
  'shorter-passes': 'Shorter passes, and one more of them.',
  'drier-sponge': 'A wrung sponge, no puddle.',
  'more-passes': 'Plan one more pass.',
  'thinner-paper': 'Print on plain 75–80 g paper.',
  'plastic-sheet': 'Plastic over the back while pressing, and clean hands.',
  'lay-faster': 'Coat, and lay at once, on dry paper.',
  'heavier-gel': 'Use a heavier gel: it soaks the paper less.',
  'thinner-coat': 'Lay a thinner coat.',
  'use-gel': 'Use a fluid gel.',
  'contrast-up': 'Raise the contrast by 15.',
  'white-wash': 'A thin white wash under it.',
  'opaque-medium': 'Use an opaque transfer medium: white parts stay white.',
  'gloss-seal-next': 'Plan a gloss sealer.',
  toner: 'Print with toner.',
  'heat-set': 'Set the ink with heat first.',
  'centre-marks': 'Crease the sheet’s centre and mark the object’s.',
  'mirror-check': 'Read the sheet before coating: it must read as in a mirror.',
  'driver-plain': 'Leave mirroring and scaling off in the printer’s own settings.',
  'trim-inside': 'Trim inside the picture’s edge.',
  fade: 'Fade the picture’s edge.',
  'coat-to-edge': 'Coat to the print’s edge, and wipe off what is past it.',
  'clear-medium': 'Use a clear transfer medium.',
  'whole-face': 'Coat the whole face, so that the film has no edge.',
  'torn-edge': 'Tear the edge: it hides better than a cut.',
  'smoother-blank': 'Choose something smoother.',
  'thin-sealer': 'Thin coats of sealer, as many as are usual.',
  'varnish-sealer': 'Seal with acrylic varnish.',
  'dry-before-seal': 'Let it dry overnight before it is sealed.',
  'measure-bar': 'Print the 100 mm bar, measure it, and let Fobbet correct.',
});

type Figures = (fact: FaultEvidence, units: Wording) => string;
const hours = (value: number | null): string => (value === null ? '' : formatDuration(value));
const percent = (share: number | null): string => `${Math.round((share ?? 0) * 100)} %`;
const volumes: Figures = ({ figure, of }, units) =>
  say`${units.volume(figure ?? 0)} for the ${units.volume(of ?? 0)} that were planned`;

const EVIDENCE: Readonly<Record<FaultEvidenceId, string | Figures>> = said({
  'rubbed-early': ({ figure, of }) => say`Rubbed after ${hours(figure)} of ${hours(of)}`,
  'waited-in-full': ({ figure }) => say`It waited in full: ${hours(figure)}`,
  cold: ({ figure }, units) =>
    figure === null ? say`Cold hours while it dried` : say`A cold room: ${units.temperature(figure)}`,
  'damp-air': ({ figure }) => say`Damp air: ${figure ?? 0} %`,
  'washable-glue': 'It is a washable glue',
  inkjet: 'The print is inkjet',
  toner: 'The print is toner',
  'heat-set': 'Its ink was set with heat',
  'slick-ground': 'Gloss, varnish or wax under it, and no base coat',
  'tight-grain': 'Bare, tight-grained wood',
  'holding-ground': 'The ground holds well',
  'rough-ground': ({ figure }, units) => say`A rough ground: ${units.length(figure ?? 0)} of texture`,
  'dark-ground': ({ figure }) => say`A dark ground, lightness ${Math.round(figure ?? 0)}`,
  'film-thin': volumes,
  'film-thick': volumes,
  'film-right': volumes,
  'one-face': 'Only one face was coated, where two are usual',
  'proof-mirrored': 'The proof was mirrored as it should be',
  'proof-right-way': 'The proof was not mirrored',
  'no-lettering': 'No lettering in the picture',
  'heavy-paper': ({ figure }) => `Paper of ${figure ?? 0} g/m²`,
  'few-passes': ({ figure, of }) => say`${figure ?? 0} of at least ${of ?? 0} passes`,
  'many-passes': ({ figure, of }) => say`${figure ?? 0} passes, where ${of ?? 0} are the most that is usual`,
  'long-rubbing': ({ figure, of }) =>
    say`${Math.round(figure ?? 0)} min of rubbing, where ${Math.round(of ?? 0)} were planned`,
  'damp-only': 'A gel or glue that is rubbed damp only',
  'pale-binder': 'A gel or glue that lands pale',
  'white-binder': 'A white gel or glue',
  'clear-binder': 'A clear gel or glue',
  'sealed-matte': 'Sealed matte',
  'sealed-gloss': 'Sealed with gloss',
  unsealed: 'It is not sealed',
  'thick-sealer': 'Sealed with glue-sealer',
  'sealed-soon': ({ figure, of }) =>
    say`Sealed ${hours((figure ?? 0) / 60)} after rubbing, of ${hours((of ?? 0) / 60)}`,
  'sealed-damp-air': ({ figure }) => say`Sealed in damp air: ${figure ?? 0} %`,
  'white-margin': 'The print is not trimmed inside its edge',
  'print-fills': 'The print fills the object',
  'coat-beyond': ({ figure }, units) => say`The coat goes ${units.length(figure ?? 0)} past the print`,
  'pale-picture': ({ figure }) => say`${percent(figure)} of the picture is near white`,
  'unprimed-smooth': 'Smooth and closed, without a base coat',
  'not-degreased': 'Degreasing is not ticked',
  'no-slide': 'It can’t be moved once it is down',
  'bar-measured': 'The printer’s size was measured',
  'bar-unmeasured': 'The printer’s size was never measured',
  'not-rubbed': 'It is not rubbed yet',
  'no-paper-rubbed': 'No paper is rubbed this way',
});

/** A line of the reckoning in words. */
export function faultLineWords(line: FaultLine, units: Wording): string {
  if (line.kind === 'sign')
    return line.seen ? say`Seen: ${SIGN_WORDS[line.sign].title}` : say`Not seen: ${SIGN_WORDS[line.sign].title}`;
  if (line.kind === 'answer') return `${CHECK_WORDS[line.check].ask} ${ANSWER_WORDS[line.answer]}`;
  const words = EVIDENCE[line.fact.id];
  return typeof words === 'string' ? words : words(line.fact, units);
}
