import type { DisagreementId } from '@/core/craft';
import { said } from '../say';

/** Both sides in a sentence each, and what Fobbet takes by default, with why. */
interface DisagreementWords {
  question: string;
  oneSide: string;
  otherSide: string;
  taken: string;
}

export const DISAGREEMENT_WORDS: Readonly<Record<DisagreementId, DisagreementWords>> = said({
  'gel-body': {
    question: 'Thin or heavy gel?',
    oneSide: 'Fluid: it soaks into paper and surface, and lands clearer.',
    otherSide: 'Heavy: fewer bubbles and wrinkles, and it fills weave.',
    taken: 'fluid, which lands clearer; heavy where weave or coarse grain has given you bubbles.',
  },
  faces: {
    question: 'Coat the paper, the surface, or both?',
    oneSide: 'One face: half the medium, and less to go wrong.',
    otherSide: 'Both: every spot the one coat misses, the other has.',
    taken: 'what the binder’s makers and users mostly do; it can be changed here.',
  },
  pressure: {
    question: 'How hard to press?',
    oneSide: 'Light and even, with a card: pressed hard, the medium is driven out and leaves round holes.',
    otherSide: 'Firmly, with a roller: what does not touch does not hold.',
    taken: 'a card for paper on smooth grounds; a roller for stone, weave, heavy gel and liners.',
  },
  water: {
    question: 'Damp, or soaked?',
    oneSide: 'Damp only, with a wrung sponge: too much water lifts the film with the paper.',
    otherSide: 'Soaked: dry paper takes long to soften, and rubbing it dry wears the picture.',
    taken:
      'by what it is: gel and polyurethane that are fully dry are soaked, the others damped; a tacky peel sees no water.',
  },
  waiting: {
    question: 'By the clock or by the sign?',
    oneSide: 'By the clock: the full label time, always; nothing was ever spoiled by waiting.',
    otherSide: 'By the sign: dry is dry, evenly opaque and no longer cool.',
    taken: 'by the sign, with the full time as the safe figure; media with a floor go by the clock.',
  },
  'glue-top-coat': {
    question: 'Glue-sealer as a top coat?',
    oneSide: 'It seals with what is in the hand already.',
    otherSide: 'It dries cloudy, thick and tacky.',
    taken: 'offered for light use only, behind acrylic varnish.',
  },
  ground: {
    question: 'Bare or painted wood?',
    oneSide: 'Bare: the grain shows through, which is the charm of it.',
    otherSide: 'Painted: the picture stays even, light and whole.',
    taken: 'as you say it is; pale pictures and faces get a light base coat proposed.',
  },
  inkjet: {
    question: 'Prints from an inkjet?',
    oneSide: 'Heat-set them, or peel while tacky: they land, paler.',
    otherSide: 'Never: the dye runs in anything wet.',
    taken:
      'with gel on bare wood, canvas and stone if a much paler picture will do, refused elsewhere; ' +
      'set with heat, or peeled while tacky, it keeps more.',
  },
});
