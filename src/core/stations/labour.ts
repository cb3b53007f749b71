/**
 * What a step asks of the hands that do it: what kind of work it is, what is got ready for it and shared with others of
 * its kind, how many people it takes, and where it can be left and gone on with. Each station states it with its steps.
 * Source: bench practice.
 */
import { sum } from '@/core/shared';

/** Kinds of work that a pair of hands may do or leave to others. */
export const WORKS = [
  'print',
  'clean',
  'sand',
  'strip',
  'paint',
  'lay',
  'rub',
  'mend',
  'seal',
  'spray',
  'oven',
] as const;
export type Work = (typeof WORKS)[number];

interface SetUp {
  kind: string;
  minutes: number;
}

/** As a station states it. */
export interface StatedLabour {
  work: Work;
  /** What is got ready for it, and how many minutes that takes; steps of one kind share it. */
  setUp: SetUp | null;
  /** Two lift and turn it, or it skins before one pair of hands is round. */
  takesTwo?: boolean;
  /** What it may be left between, by how long each takes; absent where it is done in one go. */
  sections?: readonly number[];
  /** Of the oven it waits in, °C; null where it waits in none. */
  heatC?: number | null;
}

/** As the schedule takes it. */
export interface Labour {
  work: Work;
  setUp: SetUp | null;
  people: 1 | 2;
  /** Shares of its minutes that are done in one go, in order; one where it is never left half done. */
  parts: readonly number[];
  /** What to get ready again after it was left, minutes. */
  againMinutes: number;
  heatC: number | null;
}

/** Minutes: printer and programme; brush and pot, the brush washed after it; paper, mask and sheet on the floor. */
const SET_UP = { print: 3, paint: 4, sand: 2, clean: 1, lay: 3, mend: 3, seal: 4, spray: 5 } as const;
/** Cloth, bowl and sponge once more, and the piece wetted. */
const AGAIN_MINUTES = 3;
/** Shorter work is done in one go, and no part of longer work is shorter than this. */
const SPLIT_FROM_MINUTES = 40;
const PART_MINUTES = 20;

/** @param what is the same for all that share it: the paper, the paint, the binder */
export const setUpOf = (kind: keyof typeof SET_UP, what: string): SetUp => ({
  ...{ kind: `${kind} ${what}`, minutes: SET_UP[kind] },
});

/** Sections of one length: sheets of a print, or work that is left anywhere. */
export const likeSections = (count: number): readonly number[] => Array.from({ length: Math.max(1, count) }, () => 1);
export const anywhere = (minutes: number): readonly number[] => likeSections(Math.floor(minutes / PART_MINUTES));

/** @param minutes of the step, as usual */
export const labourOf = ({ work, setUp, takesTwo, sections, heatC }: StatedLabour, minutes: number): Labour => ({
  work,
  setUp: setUp && { ...setUp, minutes: Math.max(0, Math.min(setUp.minutes, Math.round(minutes) - 1)) },
  people: takesTwo ? 2 : 1,
  parts: sections && minutes >= SPLIT_FROM_MINUTES ? gathered(sections, minutes) : [1],
  againMinutes: AGAIN_MINUTES,
  heatC: heatC ?? null,
});

/** Neighbours put together until each part is long enough; shares of the whole. */
function gathered(weights: readonly number[], minutes: number): number[] {
  const total = sum(weights) || 1;
  const least = PART_MINUTES / minutes;
  const parts: number[] = [];
  let open = 0;
  for (const weight of weights) {
    open += weight / total;
    if (open < least - 1e-9) continue;
    parts.push(open);
    open = 0;
  }
  const last = parts.length - 1;
  if (open > 0 && last >= 0) parts[last] = (parts[last] ?? 0) + open;
  return parts.length > 0 ? parts : [1];
}
