import { layingGuide, type LayingGuide } from '@/core/coat';
import type { PiecePlan } from '@/core/stations';
import { useOpenPiece } from '../piece-context';

export interface Lay {
  planned: PiecePlan['lay']['laying'];
  binder: PiecePlan['method']['binder'];
  /** Tape, heat or pencil: nothing is poured. */
  dry: boolean;
  /** Where the sheet goes down, until it lies. */
  guide: LayingGuide | null;
}

/** How the open piece is laid. */
export function useLay(): Lay {
  const { piece, plan } = useOpenPiece();
  const { blank, print, record } = plan.surface;
  const { binder } = plan.method;
  const dry = binder?.wet === false;
  const isGuided = piece.lay.laidAt === null && !dry;
  return {
    planned: plan.lay.laying,
    binder,
    dry,
    guide: isGuided && blank && print && record ? layingGuide(blank, print.formed.landed, record) : null,
  };
}
