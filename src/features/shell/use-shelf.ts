'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { nextStep, planPiece, stationStates, type NextStep, type PiecePlan, type StationId, type StationState } from '@/core/plan';
import type { Piece, PictureRecord } from '@/records';
import { database, readShelf, type Shelf } from '@/storage';
import { useStash } from './use-stash';

export interface PlannedPiece { piece: Piece; plan: PiecePlan; next: NextStep; states: Record<StationId, StationState>; picture: PictureRecord | null }

interface ShelfData extends Shelf { pictures: Map<string, PictureRecord> }

/** All pieces with the facts of their pictures, live across windows; undefined while they are read. */
export function useShelf(): ShelfData | undefined {
  return useLiveQuery(async () => {
    const shelf = await readShelf(database());
    const ids = shelf.pieces.map((piece) => piece.picture.pictureId).filter((id) => id !== null);
    const pictures = await database().pictures.bulkGet(ids);
    return { ...shelf, pictures: new Map(pictures.filter((picture) => picture !== undefined).map((picture) => [picture.id, picture])) };
  });
}

/** The pieces of the shelf with their plans at a time, epoch ms. */
export function usePlannedPieces(shelf: ShelfData | undefined, now: number): PlannedPiece[] {
  const { atHand } = useStash();
  return useMemo(() => (shelf?.pieces ?? []).map((piece) => {
    const picture = piece.picture.pictureId ? shelf?.pictures.get(piece.picture.pictureId) ?? null : null;
    const plan = planPiece(piece, picture, now, atHand);
    return { piece, plan, picture, next: nextStep(piece, plan, now), states: stationStates(piece, plan) };
  }), [shelf, now, atHand]);
}
