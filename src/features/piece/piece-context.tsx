'use client';
import { createContext, useContext } from 'react';
import type { PiecePlan, StationId, StationState } from '@/core/plan';
import type { StoredPicture } from '@/records';
import type { PieceAccess } from './use-piece';

export interface OpenPiece extends PieceAccess {
  plan: PiecePlan;
  states: Record<StationId, StationState>;
  picture: StoredPicture | null;
  /** Object URL of the upright preview, null without a picture. */
  previewUrl: string | null;
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
