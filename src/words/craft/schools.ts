import type { SchoolId } from '@/core/craft';
import { said } from '../say';

/** What a school is, and why it is not for all; its name stands apart, for the lists that show no more. */
interface SchoolWords {
  essence: string;
  /** Why it is for some surfaces only; null where it is for all. */
  only: string | null;
  /** Why it is for bare faces only, where it is. */
  bareOnly?: string;
}

export const SCHOOL_WORDS: Readonly<Record<SchoolId, SchoolWords>> = said({
  'dry-and-rub': {
    essence: 'Coat, lay, dry fully, dampen, rub in passes.',
    only: null,
  },
  'opaque-base': {
    essence: 'The same with a white medium: for dark surfaces and cloth.',
    only: null,
  },
  'varnish-bed': {
    essence: 'One coat dries first; the second, wet, takes the print.',
    only: null,
  },
  'quick-varnish': {
    essence: 'Acrylic varnish on bare soft wood; rub after an hour or two.',
    only: 'Quick varnish is rubbed after an hour or two only because bare soft wood drinks its water. Any other ground keeps it wet.',
    bareOnly:
      'Quick varnish is rubbed after an hour or two only because bare soft wood drinks its water. Any other ground keeps it wet.',
  },
  'tacky-peel': {
    essence:
      'Lay, wait a few minutes until the paper turns opaque again, peel slowly, roll off what is left; gloss varnish clears it.',
    only: 'The tacky peel needs a ground that holds on: from a slick face the picture comes away with the paper.',
  },
  'slip-paper': {
    essence: 'Print on slip-coated paper, lay it in medium, dry, wet it 15 to 30 s and peel it whole: no rubbing.',
    only: null,
  },
  'tape-decal': {
    essence: 'Clear tape over the print, burnish, soak, rub the paper off the tape, stick it on.',
    only: 'A tape decal holds on smooth hard faces only.',
  },
  'liner-peel': {
    essence:
      'Toner on release liner into a wet even coat over the whole surface; dry overnight, lift the liner: no rubbing.',
    only: 'The liner must touch everywhere: only smooth surfaces take it.',
  },
  'liner-heat': {
    essence: 'Toner on liner, taped face down on glass or glaze, ironed on low, burnished.',
    only: 'Heat lets go of toner onto glass and glaze only.',
  },
  'liner-press': {
    essence: 'Inkjet on liner stays wet: press it once on smooth wood or unglazed ceramic, lift.',
    only: 'Wet ink needs a bare smooth face that drinks it.',
    bareOnly: 'Wet ink has nothing to soak into under paint or finish: bare faces only.',
  },
  'film-bed': {
    essence: 'Inkjet on film, rough side down into a thin bed of gesso or gel; dry, lift the film.',
    only: 'The film needs a firm bed.',
  },
  trace: {
    essence: 'Print not mirrored, graphite behind, trace, fill with paint or marker: for lettering and accents.',
    only: 'A traced line needs a firm face.',
  },
});

/** What laying is called where nothing is coated, and taking the sheet off where nothing is rubbed. */
export const SCHOOL_TITLES: Readonly<Record<SchoolId, { lay: string; off: string }>> = said({
  'dry-and-rub': { lay: 'Coat and lay the print', off: 'Rub the paper off' },
  'opaque-base': { lay: 'Coat and lay the print', off: 'Rub the paper off' },
  'varnish-bed': { lay: 'Coat and lay the print', off: 'Rub the paper off' },
  'quick-varnish': { lay: 'Coat and lay the print', off: 'Rub the paper off' },
  'tacky-peel': { lay: 'Coat and lay the print', off: 'Peel the paper off' },
  'slip-paper': { lay: 'Coat and lay the print', off: 'Wet the sheet and peel it off' },
  'tape-decal': { lay: 'Tape over the print, cut it out and soak it', off: 'Take the paper off the tape' },
  'liner-peel': { lay: 'Coat and lay the liner', off: 'Lift the liner off' },
  'liner-heat': { lay: 'Iron the liner on', off: 'Lift the liner off' },
  'liner-press': { lay: 'Press the wet liner on', off: 'Lift the liner off' },
  'film-bed': { lay: 'Coat the bed and lay the film', off: 'Lift the film off' },
  trace: { lay: 'Trace and paint', off: 'Take the print off' },
});
