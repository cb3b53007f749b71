import type { Piece, StashItem } from '@/records';

/** What was drawn from an item, by piece. */
export interface ItemUse {
  pieceId: string;
  name: string;
  amount: number;
}

/** Draws from an item since it was last counted. Pieces that were removed count too: what they took is gone. */
export function drawnFrom(item: StashItem, pieces: readonly Pick<Piece, 'id' | 'name' | 'work'>[]): ItemUse[] {
  return pieces.flatMap(({ id, name, work }) => {
    const amount = (work?.draws ?? [])
      .filter((draw) => draw.item === item.id && draw.at > item.countedAt)
      .reduce((sum, draw) => sum + draw.amount, 0);
    return amount > 0 ? [{ pieceId: id, name, amount }] : [];
  });
}

/** What is left; null where nobody said how much there was. Never below nothing. */
export const leftOf = (item: StashItem, pieces: readonly Pick<Piece, 'id' | 'name' | 'work'>[]): number | null =>
  item.amount === null
    ? null
    : Math.max(0, item.amount - drawnFrom(item, pieces).reduce((sum, use) => sum + use.amount, 0));

/** Items with what these pieces drew taken off for good. */
export const withoutDraws = (
  items: readonly StashItem[],
  pieces: readonly Pick<Piece, 'id' | 'name' | 'work'>[],
): StashItem[] => items.map((item) => (item.amount === null ? item : { ...item, amount: leftOf(item, pieces) }));
