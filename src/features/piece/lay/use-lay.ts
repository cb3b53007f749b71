import type { PiecePlan } from '@/core/stations';
import { useOpenPiece } from '../piece-context';

export interface Lay {
  planned: PiecePlan['lay']['laying'];
  binder: PiecePlan['method']['binder'];
  /** Tape, heat or pencil: nothing is poured. */
  dry: boolean;
}

/** How the open piece is laid. */
export function useLay(): Lay {
  const { plan } = useOpenPiece();
  const { binder } = plan.method;
  return { planned: plan.lay.laying, binder, dry: binder?.wet === false };
}
