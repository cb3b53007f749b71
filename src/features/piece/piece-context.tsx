'use client';
import { createContext, useContext } from 'react';
import type { PiecePlan, StationId, StationState } from '@/core/stations';
import type { ReadyLayer } from '@/features/look';
import type { DrawnLayer } from '@/workers/layers';
import type { StoredPicture } from '@/records';
import type { PieceAccess } from './use-piece';

export interface OpenPiece extends PieceAccess {
  plan: PiecePlan;
  states: Record<StationId, StationState>;
  picture: StoredPicture | null;
  /** Object URL of the upright preview, null without a picture. */
  previewUrl: string | null;
  layers: readonly ReadyLayer[];
  /** Those of the layers that are printed with the picture. */
  moved: readonly DrawnLayer[];
  /** The page of the sheet that is shown, 0-based. */
  page: number;
  showPage: (page: number) => void;
  side: 'landing' | 'printed';
  turnOver: () => void;
  now: number;
}

const PieceContext = createContext<OpenPiece | null>(null);
export const PieceProvider = PieceContext.Provider;

export function useOpenPiece(): OpenPiece {
  const piece = useContext(PieceContext);
  if (!piece) throw new Error('useOpenPiece is used outside a piece');
  return piece;
}
