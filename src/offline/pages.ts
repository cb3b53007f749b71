/** Stands for a piece's id in the pages that are kept for when the server is away. */
export const ANY_PIECE = 'any-piece-at-all';

/** The pages that are kept: every place, and every station of a piece, whichever it is. */
export const keptPages = (stations: readonly string[]): string[] => [
  ...['/', '/pieces', '/pieces/print', '/pieces/set', '/ahead', '/bench', '/stash', '/faults', '/kept', '/help'],
  ...stations.map((station) => `/piece/${ANY_PIECE}/${station}`),
];

const PIECE = /^\/piece\/([A-Za-z0-9-]{1,64})\/([a-z-]+)\/?$/;

/** Which kept page stands for an address, and what its placeholder becomes. */
export function keptPageFor(pathname: string): { page: string; id: string | null } {
  const [, id, station] = PIECE.exec(pathname) ?? [];
  if (id && station) return { page: `/piece/${ANY_PIECE}/${station}`, id };
  return { page: pathname.length > 1 ? pathname.replace(/\/$/, '') : pathname, id: null };
}
