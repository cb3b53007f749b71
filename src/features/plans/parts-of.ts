import type { PlannedPiece } from './plans';

/** Those that belong to a set, in their order. */
export const partsOf = (planned: readonly PlannedPiece[], id: string): PlannedPiece[] =>
  planned
    .filter(({ piece }) => piece.set?.id === id)
    .sort((a, b) => (a.piece.set?.at ?? 0) - (b.piece.set?.at ?? 0) || a.piece.createdAt - b.piece.createdAt);
