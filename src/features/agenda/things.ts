import { setPath } from '@/features/shell/places';
import type { PieceInPlan } from './use-schedule';

/** One piece, or a set as one: finished when the last of it is. Instants epoch ms. */
interface Thing {
  key: string;
  name: string;
  href: string;
  pieces: PieceInPlan[];
  finishAt: number | null;
  safestAt: number | null;
  dueAt: number | null;
  lateMs: number;
}

type LateThing = Thing & { dueAt: number };

const latest = (one: number | null, other: number | null): number | null =>
  one === null || other === null ? null : Math.max(one, other);

/** What is made, as people speak of it: sets as one. */
export function thingsOf(pieces: readonly PieceInPlan[]): Thing[] {
  const things = new Map<string, Thing>();
  for (const inPlan of pieces) {
    const { piece, next } = inPlan.planned;
    const key = piece.set ? `set/${piece.set.id}` : piece.id;
    const known = things.get(key);
    things.set(key, {
      key,
      name: piece.set?.name ?? piece.name,
      href: piece.set ? setPath(piece.set.id) : `/piece/${piece.id}/${next.station}`,
      pieces: [...(known?.pieces ?? []), inPlan],
      finishAt: known ? latest(known.finishAt, inPlan.finishAt) : inPlan.finishAt,
      safestAt: known ? latest(known.safestAt, inPlan.safestAt) : inPlan.safestAt,
      dueAt: inPlan.dueAt,
      lateMs: Math.max(known?.lateMs ?? 0, inPlan.lateMs),
    });
  }
  return [...things.values()];
}

/** What will not make its date, the latest first. */
export const lateThings = (pieces: readonly PieceInPlan[]): LateThing[] =>
  thingsOf(pieces)
    .filter((thing): thing is LateThing => thing.lateMs > 0 && thing.dueAt !== null)
    .sort((a, b) => b.lateMs - a.lateMs);
