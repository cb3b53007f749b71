/** Stands for a piece's id in the pages that are kept for when the server is away. */
export const ANY_PIECE = 'any-piece-at-all';

/** The page that says that an address leads nowhere. */
export const NOWHERE = '/nowhere';
/** Stands on each answer of this program's own server: nobody else's has it. */
export const OURS = 'x-fobbet';

/** The pages that are kept: every place, and every station of a piece, whichever it is. */
export const keptPages = (stations: readonly string[]): string[] => [
  ...['/', '/pieces', '/pieces/print', '/pieces/set', '/ahead', '/bench', '/stash', '/faults', '/kept', '/help'],
  ...stations.map((station) => `/piece/${ANY_PIECE}/${station}`),
];

/**
 * Whether what came for a page is the program's own: not the answer of a server in trouble, nor a network's page in its
 * place, nor its way there.
 */
export const isOurs = ({ status, headers }: Pick<Response, 'status' | 'headers'>): boolean =>
  status < 500 && headers.has(OURS);

const PIECE = /^\/piece\/([A-Za-z0-9-]{1,64})\/([a-z-]+)\/?$/;

/** Which kept page stands for an address, and what its placeholder becomes. */
export function keptPageFor(pathname: string): { page: string; id: string | null } {
  const [, id, station] = PIECE.exec(pathname) ?? [];
  if (id && station) return { page: `/piece/${ANY_PIECE}/${station}`, id };
  return { page: pathname.length > 1 ? pathname.replace(/\/$/, '') : pathname, id: null };
}
