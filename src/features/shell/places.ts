/** The places of the program, in the order of the top bar. */
import { say } from '@/words/say';
export const PLACES = [
  { href: '/', name: say`Today` },
  { href: '/pieces', name: say`Pieces` },
  { href: '/ahead', name: say`Ahead` },
  { href: '/bench', name: say`Bench` },
  { href: '/stash', name: say`Stash` },
  { href: '/faults', name: say`Faults` },
  { href: '/kept', name: say`Kept` },
];

/** Where pieces are looked for, and what of the address goes to its field. */
export const FIND_PATH = '/pieces';
export const FIND_HASH = '#find';

/** The page of a set. */
export const setPath = (id: string): string => `/pieces/set?id=${encodeURIComponent(id)}`;
