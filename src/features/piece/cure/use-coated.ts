import { useOpenPiece } from '../piece-context';

/** A coat dries under its sheet: room, fan, label and oven have a say. Nothing else minds them. */
export function useCoated(): boolean {
  const { kind, wait } = useOpenPiece().plan.cure;
  return kind === 'dry' && wait?.rule !== 'open';
}
