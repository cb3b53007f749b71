/** The places of the program, in the order of the top bar. */
export const PLACES = [
  { href: '/', name: 'Today' },
  { href: '/pieces', name: 'Pieces' },
  { href: '/ahead', name: 'Ahead' },
  { href: '/bench', name: 'Bench' },
  { href: '/stash', name: 'Stash' },
  { href: '/faults', name: 'Faults' },
  { href: '/kept', name: 'Kept' },
];
