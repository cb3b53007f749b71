/**
 * The scheduling problem as plain data: pieces of steps, one pair of hands with its free stretches, places where pieces
 * lie. Times are whole minutes from an origin (elapsed, not on the wall's clock). A wait begins when its step ends and
 * occupies its place until the piece is ripe; ripe, it can stand anywhere.
 */
export type PlaceId = 'bench' | 'rack' | 'oven';
export type Places = Readonly<Record<PlaceId, number>>;

export interface TaskWait {
  /** By the clock: floors, labels, ovens, minutes between passes. */
  minMinutes: number;
  /** Where waiting longer spoils it; null where it does not. */
  maxMinutes: number | null;
  /** By the room: the label's minutes to gather, and the factor without the room's air. Null by the clock only. */
  drying: { labelMinutes: number; still: number } | null;
  place: PlaceId | null;
}

export interface Task {
  /** `piece/step`, stable. */
  id: string;
  piece: number;
  minutes: number;
  /** Places of the steps before it in the list; each is over with its wait before this begins. */
  after: readonly number[];
  wait: TaskWait;
  /** Not before: what was done already is still drying, or the person said so. */
  notBefore: number;
  /** Where the person pinned it, or where it is under way; null to be placed. */
  pinnedAt: number | null;
  /** Somebody stays with it until its wait is over: an oven. */
  attended: boolean;
}

interface PieceDue {
  id: string;
  dueMinute: number | null;
}
export interface FreeWindow {
  from: number;
  until: number;
}
/** The room's vapour-pressure deficit through time, from the origin. */
interface RoomCourse {
  stepMinutes: number;
  vpdKpa: readonly number[];
}

export interface Instance {
  tasks: readonly Task[];
  pieces: readonly PieceDue[];
  windows: readonly FreeWindow[];
  /** Steps begin on multiples of it. */
  gridMinutes: number;
  places: Places;
  /** What is drying already holds its place from the origin on. */
  occupied: readonly { place: PlaceId; until: number }[];
  room: RoomCourse | null;
}

/** Start of each task in minutes; NaN for one that finds no place within the windows. */
export type Starts = Float64Array;

/** What a minute of lateness weighs against a minute of finishing sooner. */
export const LATE_WEIGHT = 10;

export interface Outcome {
  finishes: number[];
  tardiness: number[];
  cost: number;
  unplaced: number[];
}
