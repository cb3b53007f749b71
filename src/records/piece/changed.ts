import { applyPatch, type JobPatch } from '@/core/stations';
import { withVoided } from './field';
import { sectionsOf, type Piece } from './piece';

/**
 * A piece after a change: values laid over its sections. What was done for what it changes, and does not hold for what
 * it changes it to, is undone, but where the change says it itself.
 */
export function changedBy(piece: Piece, patch: JobPatch): Piece {
  const after = applyPatch(piece, patch);
  const sections = sectionsOf((id, fields) => {
    const said = patch[id];
    return said ? withVoided(fields, { ...piece[id] }, { ...after[id] }, Object.keys(said)) : after[id];
  });
  return { ...after, ...sections };
}
