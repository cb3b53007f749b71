'use client';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import type { AtHand } from '@/core/at-hand';
import { nextStep, planPiece, stationStates } from '@/core/plan';
import { MS_PER_MINUTE } from '@/core/shared';
import type { NextStep, PiecePlan, StationId, StationState } from '@/core/stations';
import type { PictureRecord, Piece } from '@/records';
import { useStash } from '@/features/at-hand';
import { useClock } from '@/ui';
import { useShelf, type Shelved } from './shelf';

/** A piece with its plan, as every place that shows several pieces reads it. */
export interface PlannedPiece {
  piece: Piece;
  plan: PiecePlan;
  next: NextStep;
  states: Record<StationId, StationState>;
  picture: PictureRecord | null;
}

interface Plans {
  planned: readonly PlannedPiece[];
  /** Pieces whose plan failed: a fault of the program, named on the shelf. */
  unplanned: readonly Piece[];
  /** When they were computed, epoch ms. */
  now: number;
}

const PlansContext = createContext<Plans>({ planned: [], unplanned: [], now: 0 });

/** The plans of all pieces: computed once a change, and when a wait is over. */
export const usePlannedPieces = (): Plans => useContext(PlansContext);

/** The plans are looked at anew so often, and whenever a piece's wait passes one of its marks. */
const LOOK_EVERY_MS = 5 * MS_PER_MINUTE;

export function PlansProvider({ children }: { children: ReactNode }) {
  const shelf = useShelf();
  const { atHand } = useStash();
  const clock = useClock();
  const [looked, setLooked] = useState(() => look(shelf, atHand, clock));
  // What was just done lies after the last look, and the demo's clock can be moved.
  if (looked.shelf !== shelf || looked.atHand !== atHand || looked.clock !== clock)
    setLooked(look(shelf, atHand, clock));
  const { plans } = looked;

  useEffect(() => {
    const again = () => setLooked((last) => look(last.shelf, last.atHand, last.clock));
    const at = nextMark(plans.planned, clock());
    const timer = setTimeout(again, Math.min(LOOK_EVERY_MS, Math.max(0, at - clock()) + 1));
    document.addEventListener('visibilitychange', again);
    return () => {
      clearTimeout(timer);
      document.removeEventListener('visibilitychange', again);
    };
  }, [plans, clock]);
  return <PlansContext.Provider value={plans}>{children}</PlansContext.Provider>;
}

/**
 * The plans as they stand now, with what they were computed from: kept as state, so that a change computes them once.
 */
function look(shelf: Shelved | undefined, atHand: AtHand, clock: () => number) {
  const now = clock();
  const planned: PlannedPiece[] = [];
  const unplanned: Piece[] = [];
  for (const piece of shelf?.pieces ?? []) {
    const { pictureId } = piece.picture;
    const picture = pictureId ? (shelf?.pictures.get(pictureId) ?? null) : null;
    try {
      const plan = planPiece(piece, picture, now, atHand);
      planned.push({ piece, plan, picture, next: nextStep(piece, plan, now), states: stationStates(piece, plan) });
    } catch (error) {
      // One that can't be planned takes none of the others with it.
      console.error(`no plan for ${piece.id}`, error);
      unplanned.push(piece);
    }
  }
  return { shelf, atHand, clock, plans: { planned, unplanned, now } satisfies Plans };
}

/** The next instant at which some piece is ripe, likely or safe, or its next coat may go on. */
function nextMark(planned: readonly PlannedPiece[], now: number): number {
  const marks = planned.flatMap(({ plan: { cure, seal } }) => [
    cure.clock?.earliestAt,
    cure.clock?.likelyAt,
    cure.clock?.safeAt,
    seal.clock?.nextCoatAt,
  ]);
  return Math.min(...marks.filter((at): at is number => at != null && at > now), Infinity);
}
