/**
 * What each sheen does to this piece: how much of its haze is left in sight, how dark its blacks look, and whether the
 * print's raised edge shows. Gloss takes haze away and shows the lip, matte the reverse. Source: bench practice; the wet
 * test says how much haze a sealer clears at all.
 */
import type { SheenId } from '@/core/craft';
import { lastPlaced, readKept } from '@/core/inspect';
import { stageOptics, type Optics } from '@/core/render';
import { sum } from '@/core/shared';
import type { Job } from '@/core/stations';

export interface HazeLeft {
  /** Mean haze of what is judged, 0–1, and the share of it that was gone when it was wet; null without a wet photo. */
  mean: number;
  clears: number | null;
}

/** Haze that goes when wet, and is still in sight under each sheen; of haze that stays when wet all is. */
const LEFT: Readonly<Record<SheenId, number>> = { matte: 0.45, satin: 0.25, gloss: 0.08 };
/** Where nobody took a wet photo, most of a little haze clears. */
const USUAL_CLEARS = 0.7;
const MUCH_HAZE = 0.07;
const LITTLE_HAZE = 0.03;

export function hazeLeft({ rub: { readings } }: Pick<Job, 'rub'>): HazeLeft | null {
  const last = lastPlaced(readings);
  if (!last) return null;
  const { haze, clearsWet } = readKept(last);
  const judged = haze.flatMap((value, at) =>
    value === null ? [] : [{ haze: value, clears: clearsWet?.[at] ?? null }],
  );
  if (judged.length === 0) return null;
  // Told by hand it is known of some areas only.
  const told = judged.filter((cell) => cell.clears !== null);
  const wetted = sum(told.map((cell) => cell.haze));
  const cleared = sum(told.map((cell) => cell.haze * (cell.clears ?? 0)));
  return { mean: sum(judged.map((cell) => cell.haze)) / judged.length, clears: wetted === 0 ? null : cleared / wetted };
}

export interface SheenView {
  sheen: SheenId;
  optics: Optics;
  /** Haze that is still in sight, 0–1. */
  hazeInSight: number;
  showsLip: boolean;
}

/** @param lip the print has an edge of its own on the face */
export function sheenViews(left: HazeLeft | null, lip: boolean): SheenView[] {
  return (['matte', 'satin', 'gloss'] as const).map((sheen) => {
    const optics = stageOptics(sheen);
    const clears = left?.clears ?? USUAL_CLEARS;
    const hazeInSight = left ? left.mean * (1 - clears + clears * LEFT[sheen]) : 0;
    return {
      sheen,
      hazeInSight,
      optics: { ...optics, haze: 1 - (1 - optics.haze) * (1 - hazeInSight) },
      showsLip: lip && sheen !== 'matte',
    };
  });
}

export type SheenReason = 'clears-haze' | 'hides-lip' | 'either';
/** The sheen that the haze and the edge ask for. */
export function sheenFor(left: HazeLeft | null, lip: boolean): { sheen: SheenId; reason: SheenReason } | null {
  if (!left) return null;
  if (left.mean > MUCH_HAZE) return { sheen: 'gloss', reason: 'clears-haze' };
  if (lip && left.mean < LITTLE_HAZE) return { sheen: 'matte', reason: 'hides-lip' };
  return { sheen: 'satin', reason: 'either' };
}
