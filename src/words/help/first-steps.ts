import type { BinderRecord } from '@/core/craft';
import type { StationId } from '@/core/stations';
import { said } from '../say';

/** What to do at a station when it is the first piece: one thing, and why. Nothing where the answer says it all. */
export const FIRST_STEPS: Readonly<Partial<Record<StationId, string>>> = said({
  picture:
    'Your first piece: say whether it has lettering, then go on. Crop and tone can wait; they can be changed until you print.',
  surface: 'Now the thing itself: what it is made of, and its size. The rest is filled in as usual and can be changed.',
  method: 'Three ways that work here, the best first. Take it, or weigh it against the two beside it.',
  sheet: 'Make the PDF and print it at 100 %. Then measure the bar on it.',
  lay: 'Read the steps once before you open the bottle: from the first stroke you have minutes.',
  cure: 'Nothing to do but wait. The sign on the piece counts more than the clock.',
});

/** The same of rubbing, which each binder wants its own way. */
export const FIRST_RUBBING: Readonly<Record<BinderRecord['water'], string>> = said({
  none: 'A dry fingertip, no water, and stop when in doubt: paper can be rolled off later, the picture not put back.',
  damp: 'Little water, soft pads of the fingers, and stop when in doubt: paper can be rubbed off later, toner not put back.',
  soak: 'Wet it well, then soft pads of the fingers, and stop when in doubt: paper can be rubbed off later, toner not put back.',
});
