'use client';
import { useMemo } from 'react';
import { planPiece, planningPiece } from '@/core/plan';
import type { PiecePlan } from '@/core/stations';
import type { Piece, StoredPicture } from '@/records';
import { useStash } from '@/features/at-hand';
import { useFirst, useStoredPicture } from '@/features/shelf';
import { useNow } from '@/ui';

export interface Planned {
  plan: PiecePlan;
  picture: StoredPicture | null;
  /** When it was looked at, epoch ms: the page looks at the clock every half minute, only what counts down more often. */
  now: number;
}

/**
 * The open piece's plan: its first in slices, once its picture and what is at hand were read, and at once after each
 * change. Null until the first is there.
 */
export function usePlan(piece: Piece): Planned | null {
  const now = useNow();
  const read = useStoredPicture(piece.picture.pictureId);
  const picture = read ?? null;
  const { atHand, known } = useStash();
  const ready = known && read !== undefined;
  const planning = useMemo(
    () =>
      ready
        ? function* () {
            try {
              return { of: { piece, picture, now, atHand }, plan: yield* planningPiece(piece, picture, now, atHand) };
            } catch {
              // It fails again while the page is drawn, where that is caught and said.
              return { of: null, plan: null };
            }
          }
        : null,
    [ready, piece, picture, now, atHand],
  );
  const first = useFirst(planning);
  return useMemo(() => {
    if (!first) return null;
    const { of, plan } = first;
    const stands = of?.piece === piece && of.picture === picture && of.now === now && of.atHand === atHand;
    return { plan: (stands && plan) || planPiece(piece, picture, now, atHand), picture, now };
  }, [first, piece, picture, now, atHand]);
}
