import type { BlankShape, ShapeKind } from '@/core/shape';
import { useOpenPiece } from '../piece-context';

/** A shape of one kind, with what belongs to it. */
export type Of<K extends ShapeKind> = Extract<BlankShape, { kind: K }>;

/** Changes the open piece's shape by some of its own values. */
export function useShape<S extends BlankShape>(shape: S): (patch: Partial<S>, label: string) => void {
  const { change } = useOpenPiece();
  return (patch, label) => change('surface', { shape: { ...shape, ...patch } }, label);
}
