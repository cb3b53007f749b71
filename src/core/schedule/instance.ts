/**
 * The scheduling problem as plain data: pieces of steps, pairs of hands with their free stretches, places where pieces
 * lie. Times are whole minutes from an origin (elapsed, not on the wall's clock). A wait begins when its step ends and
 * occupies its place until the piece is ripe; ripe, it can stand anywhere.
 */
export type PlaceId = 'bench' | 'rack' | 'oven';
/** Room of each: a step takes one of the bench, a wait its own `room` of the rack and the oven. */
export type Places = Readonly<Record<PlaceId, number>>;

export interface TaskWait {
  /** By the clock: floors, labels, ovens, minutes between passes. */
  minMinutes: number;
  /** Where waiting longer spoils it; null where it does not. */
  maxMinutes: number | null;
  /** By the room: the label's minutes to gather, and the factor without the room's air. Null by the clock only. */
  drying: { labelMinutes: number; still: number } | null;
  place: PlaceId | null;
  /** How much of its place it takes, in the place's own measure. */
  room: number;
  /** What lies in one place at a time has one heat; null where heat does not matter. */
  heat: number | null;
}

/** What is got ready before a step, the brush washed after it included. */
export interface SetUp {
  /** Steps of one kind share it. */
  kind: number;
  minutes: number;
}

export interface Task {
  /** `piece/step`, stable. */
  id: string;
  piece: number;
  /** Minutes of hands, what is got ready for it apart. */
  minutes: number;
  /** Not again where the same hands did a step of its kind right before. */
  setUp: SetUp | null;
  /** The pairs of hands that may do it, as bits, and how many it takes at once. */
  hands: number;
  people: 1 | 2;
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
  /** Pieces of one set, which people do together, step by step; null for one by itself. */
  set: string | null;
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
  /** Free stretches of each pair of hands; at most `MOST_HANDS`. */
  hands: readonly (readonly FreeWindow[])[];
  /** Steps begin on multiples of it. */
  gridMinutes: number;
  places: Places;
  /** What is drying already holds its place from the origin on. */
  occupied: readonly { place: PlaceId; until: number; room: number }[];
  room: RoomCourse | null;
}

/** As many pairs of hands as the bits of a step's doers hold. */
export const MOST_HANDS = 8;

/** What was got ready stays so for the same hands, if they do nothing else, minutes: a wet brush, an open pot. */
export const READY_MINUTES = 15;

/** Where the tasks stand. */
export interface Placed {
  /** Start of each in minutes; NaN for one that finds no place within the windows. */
  starts: Float64Array;
  /** The pairs of hands that do it, as bits; 0 where it is not placed. */
  who: Uint8Array;
  /** 1 where its set-up stands from the step before. */
  shared: Uint8Array;
}

export const nothingPlaced = (count: number): Placed => ({
  starts: new Float64Array(count).fill(NaN),
  who: new Uint8Array(count),
  shared: new Uint8Array(count),
});

/** Minutes of hands, with what is got ready for it unless that stands already. */
export const handsMinutesOf = ({ minutes, setUp }: Task, shared: number | boolean): number =>
  minutes + (setUp && !shared ? setUp.minutes : 0);

/** When the hands of a placed task end. */
export const endOf = ({ tasks }: Pick<Instance, 'tasks'>, { starts, shared }: Placed, index: number): number =>
  starts[index] + handsMinutesOf(tasks[index], shared[index]);

/** The last minute at which any hands are free. */
export const horizonOf = ({ hands }: Pick<Instance, 'hands'>): number =>
  Math.max(0, ...hands.map((windows) => windows.at(-1)?.until ?? 0));

/** What a minute of lateness weighs against a minute of finishing sooner. */
export const LATE_WEIGHT = 10;

/** What a minute of getting ready weighs: people do one kind of thing for several pieces at once. */
const READY_WEIGHT = 8;

/** What getting ready for a placed task costs, its minutes of hands apart. */
export const readyCost = ({ setUp }: Task, shared: number | boolean): number =>
  setUp && !shared ? READY_WEIGHT * setUp.minutes : 0;

export interface Outcome {
  finishes: number[];
  tardiness: number[];
  cost: number;
  unplaced: number[];
}
