import { groupsBy } from '@/core/shared';
import type { Instance } from './instance';
import { ripenessOf, type Ripeness } from './ripeness';

/** What stays the same over many schedules of one instance. */
export interface Bench {
  instance: Instance;
  ripeness: Ripeness;
  followers: readonly (readonly number[])[];
  /** The step that must follow within a step's latest wait, -1 for none. */
  tied: Int32Array;
  /** How many steps each waits for, and the steps that nothing holds back or that are pinned. */
  waitsFor: Int32Array;
  ofPiece: readonly (readonly number[])[];
  /** Pieces that are finished together: those of a set, any other by itself; and which of these each belongs to. */
  sets: readonly (readonly number[])[];
  setAt: Int32Array;
  /** When each set is due, its first date: Infinity for none. */
  dueOf: Float64Array;
  pinned: readonly number[];
  /** Who may do each step, as bits, those first who can do the least else. */
  teams: readonly (readonly number[])[];
  /** Steps with a set-up that others share, and those others of each. */
  sharing: readonly number[];
  kin: readonly (readonly number[])[];
  /** The least minutes from a step's end to its piece's end. */
  rest: Float64Array;
  unplaced: Float64Array;
}

export function benchOf(instance: Instance): Bench {
  const { tasks } = instance;
  const followers: number[][] = tasks.map(() => []);
  tasks.forEach((task, index) => task.after.forEach((before) => followers[before].push(index)));
  const tied = new Int32Array(tasks.length).fill(-1);
  tasks.forEach(({ wait }, index) => {
    if (wait.maxMinutes !== null && followers[index].length > 0) tied[index] = followers[index][0];
  });
  const ripeness = ripenessOf(instance);
  const ofKind = groupsBy(tasks.keys(), (index) => tasks[index].setUp?.kind ?? null);
  const kin = tasks.map(({ setUp }, index) =>
    setUp ? (ofKind.get(setUp.kind) ?? []).filter((other) => other !== index) : [],
  );
  const ofPiece = groupsBy(tasks.keys(), (index) => tasks[index].piece);
  const sets = setsOf(instance);
  const setAt = new Int32Array(instance.pieces.length);
  sets.forEach((set, at) => set.forEach((piece) => (setAt[piece] = at)));
  return {
    instance,
    ripeness,
    kin,
    sets,
    setAt,
    dueOf: Float64Array.from(sets, (set) =>
      Math.min(...set.map((piece) => instance.pieces[piece].dueMinute ?? Infinity)),
    ),
    sharing: [...tasks.keys()].filter((index) => kin[index].length > 0),
    rest: restOf(instance, followers, ripeness),
    followers,
    tied,
    waitsFor: Int32Array.from(tasks, (task) => task.after.length),
    pinned: [...tasks.keys()].filter((index) => tasks[index].pinnedAt !== null),
    ofPiece: instance.pieces.map((_, piece) => ofPiece.get(piece) ?? []),
    teams: teamsOf(instance),
    unplaced: new Float64Array(tasks.length).fill(NaN),
  };
}

const setsOf = ({ pieces }: Instance): number[][] => [
  ...groupsBy(pieces.keys(), (piece) => pieces[piece].set ?? piece).values(),
];

/** Sampled over some days: never much more than the least there is. */
function restOf({ tasks }: Instance, followers: readonly (readonly number[])[], { ripeAt }: Ripeness): Float64Array {
  const rest = new Float64Array(tasks.length);
  for (let index = tasks.length - 1; index >= 0; index--) {
    const task = tasks[index];
    let wait = task.wait.minMinutes;
    if (task.wait.drying) {
      let least = ripeAt(task, 0);
      for (let hour = 1; hour < SAMPLED_HOURS; hour++) least = Math.min(least, ripeAt(task, hour * 60) - hour * 60);
      wait = Math.max(wait, least - SAMPLE_SLACK);
    }
    let on = 0;
    for (const next of followers[index]) on = Math.max(on, tasks[next].minutes + rest[next]);
    rest[index] = wait + on;
  }
  return rest;
}
const SAMPLED_HOURS = 72;
const SAMPLE_SLACK = 30;

function teamsOf({ tasks, hands }: Instance): number[][] {
  const can = hands.map((_, one) => tasks.reduce((count, task) => count + ((task.hands >> one) & 1), 0));
  const pairs = [...hands.keys()].sort((a, b) => can[a] - can[b] || a - b);
  const known = new Map<string, number[]>();
  return tasks.map((task) => {
    const key = `${task.hands} ${task.people}`;
    let teams = known.get(key);
    if (!teams) {
      const able = pairs.filter((one) => (task.hands >> one) & 1);
      teams =
        task.people === 1
          ? able.map((one) => 1 << one)
          : able.flatMap((one, at) => able.slice(at + 1).map((other) => (1 << one) | (1 << other)));
      known.set(key, teams);
    }
    return teams;
  });
}
