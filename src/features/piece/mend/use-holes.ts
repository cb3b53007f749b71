'use client';
import { expectedBlank, isReadingOf, lastPlaced, readKept, type PieceReading } from '@/core/inspect';
import { holesOf, stopPoint, type Hole, type StopPoint } from '@/core/advice';
import { runSteps } from '@/core/plan';
import { letteringOf } from '@/core/stations';
import type { RectMm } from '@/core/shape';
import { sum } from '@/core/shared';
import { useKeyed } from '@/ui';
import { useOpenPiece } from '../piece-context';

export interface ReadHoles {
  reading: PieceReading;
  holes: readonly Hole[];
  /** The print's box on the face, which the reading's places are in. */
  box: RectMm;
  stop: StopPoint | null;
}

/** Holes as the last photo shows them; null where none was read. */
export function useHoles(): ReadHoles | null {
  const { piece, plan } = useOpenPiece();
  const last = lastPlaced(piece.rub.readings);
  const isPlaced = plan.surface.print !== null;
  return useKeyed(isPlaced, [last, piece.surface, piece.method], () => {
    const blank = last && expectedBlank(plan);
    if (!last || !blank?.ok) return null;
    const { white, ground, wetted, box } = blank.value;
    if (!isReadingOf(last, box)) return null;
    const reading = readKept(last);
    const holes = holesOf(reading, white ?? ground.map((light, channel) => light * (wetted[channel] ?? 1)));
    const again = runSteps(piece, plan).filter(({ station }) => AGAIN.has(station));
    return {
      reading,
      holes,
      box,
      stop: stopPoint(reading, Math.max(0, ...holes.map(({ areaCm2 }) => areaCm2)), letteringOf(piece) === 'yes', {
        handsMinutes: sum(again.map(({ usualMinutes }) => usualMinutes)),
        waitHours: sum(again.map(({ waitHours }) => waitHours)),
      }),
    };
  });
}

const AGAIN = new Set(['sheet', 'lay', 'cure', 'rub']);
