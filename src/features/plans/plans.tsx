'use client';
import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import type { AtHand } from '@/core/at-hand';
import { nextStep, planningPiece, stationStates } from '@/core/plan';
import { MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';
import type { NextStep, PiecePlan, StationId, StationState } from '@/core/stations';
import type { PictureRecord, Piece } from '@/records';
import { useStash } from '@/features/at-hand';
import { useClock } from '@/ui';
import { useInSlices } from '@/features/shelf/in-slices';
import { useShelf } from '@/features/shelf/shelf';

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
  templates: readonly PlannedPiece[];
  /** Pieces whose plan failed: a fault of the program, named on the shelf. */
  unplanned: readonly Piece[];
  /** Whether all pieces are among them; with very many some follow in a moment. */
  whole: boolean;
  /** When they were looked at last, epoch ms. */
  now: number;
}

const PlansContext = createContext<Plans>({ planned: [], templates: [], unplanned: [], whole: false, now: 0 });

/** The plans of all pieces: each computed once a change of its piece, and when a wait is over. */
export const usePlannedPieces = (): Plans => useContext(PlansContext);

/** The plans are looked at anew so often, and whenever a piece's wait passes one of its marks. */
const LOOK_EVERY_MS = 5 * MS_PER_MINUTE;

interface PlanInput {
  piece: Piece;
  picture: PictureRecord | null;
  atHand: AtHand;
  /** When it is looked at, epoch ms. */
  at: number;
}
type PlanOutput = PlannedPiece | { unplanned: Piece };

export function PlansProvider({ children }: { children: ReactNode }) {
  const shelf = useShelf();
  const { atHand, known } = useStash();
  const clock = useClock();
  const [looked, setLooked] = useState(() => ({ shelf, atHand, clock, at: clock() }));
  // What was just done lies after the last look, and the demo's clock can be moved.
  if (looked.shelf !== shelf || looked.atHand !== atHand || looked.clock !== clock)
    setLooked({ shelf, atHand, clock, at: clock() });

  const inputs = useMemo(
    () =>
      (known ? [...(looked.shelf?.pieces ?? []), ...(looked.shelf?.templates ?? [])] : []).map((piece) => {
        const { pictureId } = piece.picture;
        const picture = pictureId ? (looked.shelf?.pictures.get(pictureId) ?? null) : null;
        return { id: piece.id, of: { piece, picture, atHand: looked.atHand, at: looked.at } };
      }),
    [looked, known],
  );
  const { results, whole } = useInSlices(inputs, isFresh, planOf);
  const plans = useMemo<Plans>(() => {
    const all = results.filter((result) => 'plan' in result);
    return {
      planned: all.filter(({ piece }) => !piece.template),
      templates: all.filter(({ piece }) => piece.template),
      unplanned: results.flatMap((result) => ('plan' in result ? [] : [result.unplanned])),
      whole: whole && known && looked.shelf !== undefined,
      now: looked.at,
    };
  }, [results, whole, known, looked]);

  useEffect(() => {
    const again = () => setLooked((last) => ({ ...last, at: last.clock() }));
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

/** Whether a wait is on its way, so that the clock alone changes what stands next. */
export const isWaiting = ({ cure, seal }: PiecePlan): boolean => cure.clock !== null || seal.clock?.nextCoatAt != null;

/** A piece that waits is looked at each time; for the others the hour in which they are looked at says little. */
function isFresh({ of: then, out }: { of: PlanInput; out: PlanOutput }, now: PlanInput): boolean {
  if (then.piece !== now.piece || then.picture !== now.picture || then.atHand !== now.atHand) return false;
  const passed = now.at - then.at;
  return 'plan' in out && isWaiting(out.plan) ? passed === 0 : passed >= 0 && passed < MS_PER_HOUR;
}

function* planOf({ piece, picture, atHand, at }: PlanInput): Generator<void, PlanOutput> {
  try {
    const plan = yield* planningPiece(piece, picture, at, atHand);
    yield;
    return { piece, plan, picture, next: nextStep(piece, plan, at), states: stationStates(piece, plan) };
  } catch (error) {
    // One that can't be planned takes none of the others with it.
    console.error(`no plan for ${piece.id}`, error);
    return { unplanned: piece };
  }
}

/** The next instant at which some piece is ripe, likely or safe, or its next coat may go on. */
function nextMark(planned: readonly PlannedPiece[], now: number): number {
  const marks = planned.flatMap(({ plan: { cure, seal } }) => [
    cure.clock?.earliestAt,
    cure.clock?.likelyAt,
    cure.clock?.readyAt,
    cure.clock?.safeAt,
    seal.clock?.nextCoatAt,
  ]);
  return Math.min(...marks.filter((at): at is number => at != null && at > now), Infinity);
}
