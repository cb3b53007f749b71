import { partsOf, type PlannedPiece } from '@/features/plans';
import type { Piece } from '@/records';

/** One piece, or a set as one: drawn as its first. */
export interface OnShelf extends PlannedPiece {
  parts: readonly PlannedPiece[];
  /** The set that it stands for; null for a piece alone. */
  set: Piece['set'];
}

/**
 * What stands on the shelf, of what was found. A set is one thing there, where the last changed of it stands; but where a
 * word leads to some of its pieces only, it is they that are looked for, each by its own name.
 * @param all of the shelf, found or not
 */
export function onShelf(found: readonly PlannedPiece[], all: readonly PlannedPiece[], text: string): OnShelf[] {
  const alone = (one: PlannedPiece): OnShelf => ({ ...one, parts: [one], set: null });
  const seen = new Set<string>();
  return found.flatMap((one) => {
    const { set } = one.piece;
    if (!set) return [alone(one)];
    if (seen.has(set.id)) return [];
    seen.add(set.id);
    const parts = partsOf(found, set.id);
    const isPart = text.trim() !== '' && parts.length < partsOf(all, set.id).length;
    return isPart || !parts[0] ? parts.map(alone) : [{ ...parts[0], parts, set }];
  });
}
