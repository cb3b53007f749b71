/**
 * After a change: the schedule as it was, moved as little as the change asks for. Steps whose place still holds stay,
 * one that shared what is not got ready for it any more begins that much sooner; the others find the nearest later
 * place round them; only where a piece is late by that, those near by take turns with them, or all later steps are
 * pushed on in their order, or the whole is planned anew.
 */
import { endOf, handsMinutesOf, type Instance, type Placed } from './instance';
import { benchOf, type Bench } from './bench';
import { withPinned, type Placing, type Spot } from './placing';
import { outcomeOf } from './partial-schedule';
import { searchOn, type SearchLimits } from './search';

export interface Repaired {
  placed: Placed;
  moved: number[];
  how: 'kept' | 'fitted' | 'turned' | 'pushed' | 'anew';
}

/** @param before as it was; a step that is new stands nowhere */
export function repairSchedule(instance: Instance, before: Placed, search: SearchLimits): Repaired {
  const bench = benchOf(instance);
  const lateness = (placed: Placed) => {
    const { tardiness, unplaced } = outcomeOf(bench, placed);
    return tardiness.reduce((sum, late) => sum + late, 0) + unplaced.length * UNPLACED_MINUTES;
  };
  const asOption = (placed: Placed, how: Repaired['how']): Option => ({
    placed,
    moved: movedOf(placed, before),
    how,
    late: lateness(placed),
  });
  const order = inOrder(bench, before);
  const fitted = asOption(roundWhatStays(bench, before, order), 'fitted');
  if (fitted.moved.length === 0 && fitted.late === 0) return { ...fitted, how: 'kept' };
  const options = [fitted];
  const best = () => options.reduce((one, other) => (harmOf(other) < harmOf(one) ? other : one));
  const from = firstOf(before, fitted.moved);
  // What was late before is not the change's doing; where nothing has to move it is a date that changed.
  const given = fitted.moved.length > 0 ? lateBefore(bench, before) : 0;
  for (const minutes of TURNING) {
    if (best().late <= given) return best();
    const turned = roundWhatStays(bench, before, order, (at) => at >= from && at < from + minutes);
    if (keepsOrder(bench, turned)) options.push(asOption(turned, 'turned'));
  }
  options.push(asOption(pushedOn(bench, before, order), 'pushed'));
  const found = best();
  // A new plan moves many steps: where less is late than that is worth, it is not looked for.
  if (found.late - given <= WORTH_MINUTES + WORTH_EACH * LEAST_MOVED * before.starts.length) return found;
  const anew = asOption(searchOn(bench, search).placed, 'anew');
  return found.late - anew.late > WORTH_MINUTES + WORTH_EACH * anew.moved.length ? anew : found;
}

/** How late pieces were already, of those that stood as a whole. */
function lateBefore(bench: Bench, before: Placed): number {
  const { tardiness } = outcomeOf(bench, before);
  const stood = (piece: number) => bench.ofPiece[piece].every((index) => before.who[index] !== 0);
  return tardiness.reduce((sum, late, piece) => sum + (stood(piece) ? late : 0), 0);
}

/** When the first of some steps stood, or of all where none moved: then it is a date that changed. */
function firstOf({ starts }: Placed, moved: readonly number[]): number {
  const of = moved.length > 0 ? moved : [...starts.keys()];
  return of.reduce((first, index) => (starts[index] < first ? starts[index] : first), Infinity);
}

type Option = Repaired & { late: number };
/** What is late counts; the steps that move count for something too, all of them for half an hour at most. */
const harmOf = ({ late, moved }: Option): number => late + Math.min(WORTH_MINUTES, moved.length * MOVED_MINUTES);
const MOVED_MINUTES = 0.3;

/** For so long, minutes, from the first step that moves on, others take turns with it: an evening, two, most of a week, three. */
const TURNING = [1440, 2880, 8640, 20_160] as const;

/** Whether each step begins after what must come first. */
function keepsOrder({ instance: { tasks }, ripeness }: Bench, placed: Placed): boolean {
  const ripeAt = (index: number) => ripeness.ripeAt(tasks[index], endOf({ tasks }, placed, index));
  return tasks.every(
    ({ after }, index) =>
      placed.who[index] === 0 ||
      after.every((earlier) => placed.who[earlier] !== 0 && ripeAt(earlier) <= placed.starts[index]),
  );
}

const UNPLACED_MINUTES = 10_080;
/** Lateness that must be saved to be worth upsetting a plan, and for each step that moves. */
const WORTH_MINUTES = 30;
const WORTH_EACH = 5;
const LEAST_MOVED = 0.25;

const movedOf = ({ starts: after }: Placed, { starts: before }: Placed): number[] =>
  [...after.keys()].filter((index) => !Number.isNaN(before[index]) && before[index] !== after[index]);

/**
 * What can stay is booked first, in order; the rest finds the earliest place round it.
 *
 * @param order the steps as `inOrder` has them
 * @param turns whether what stood at a minute may take turns, and begin sooner too; what follows it stays where it is,
 *   and must be looked at afterwards
 */
function roundWhatStays(
  bench: Bench,
  before: Placed,
  order: readonly number[],
  turns: (minute: number) => boolean = () => false,
): Placed {
  const {
    instance: { tasks, gridMinutes },
    tied,
  } = bench;
  const isTied = (index: number) => tied[index] >= 0 || tasks[index].after.some((earlier) => tied[earlier] >= 0);
  const takesTurns = (index: number) => turns(before.starts[index]) && tasks[index].pinnedAt === null && !isTied(index);
  const isNoHindrance = (index: number) => stays[index] === 1 || takesTurns(index);
  // A step can stay if it stands alone where it stood: found by placing all in order and seeing who is not pushed.
  const stays = new Uint8Array(tasks.length);
  const trial = withPinned(bench);
  for (const index of bench.pinned) stays[index] = 1;
  for (const index of order) {
    if (trial.isPlaced(index) || !mayStand(index)) continue;
    const spot = whereItStood(index);
    if (!spot) continue;
    trial.book(index, spot);
    stays[index] = 1;
  }
  // What a step leans on may not have found its place: tied steps stay together or not at all.
  for (let settled = false; !settled;) {
    settled = true;
    for (const index of order) {
      if (!stays[index] || tasks[index].pinnedAt !== null) continue;
      const next = tied[index];
      const leans =
        tasks[index].after.every(isNoHindrance) &&
        (next < 0 || stays[next] === 1) &&
        (!trial.placed.shared[index] || trial.isReadied(index));
      if (leans) continue;
      trial.free(index);
      stays[index] = 0;
      settled = false;
    }
  }
  return placeRest(trial, bench, inTurn(), before, (index) => (takesTurns(index) ? 0 : readyBefore(index)));

  /** When it must begin to end as it did, should it have shared and now get ready itself. */
  function readyBefore(index: number): number {
    const { setUp } = tasks[index];
    if (before.shared[index] === 0 || !setUp || tied[index] >= 0) return before.starts[index];
    return Math.floor((before.starts[index] - setUp.minutes) / gridMinutes) * gridMinutes;
  }

  /** If it has to get ready itself now, sooner by that where it can be: what comes after it need not move. */
  function whereItStood(index: number): Spot | null {
    const stood = trial.spotAt(index, before.starts[index], before.who[index]);
    const sooner = readyBefore(index);
    if (stood?.shared === 1 || sooner === before.starts[index] || sooner < trial.lowerBound(index)) return stood;
    return trial.spotAt(index, sooner, before.who[index]) ?? stood;
  }

  /** Where steps take turns, what must be over the soonest comes first. */
  function inTurn(): readonly number[] {
    if (!order.some(takesTurns)) return order;
    const { followers, ripeness, instance } = bench;
    const latest = new Float64Array(tasks.length);
    for (let index = tasks.length - 1; index >= 0; index--) {
      const { minutes, piece } = tasks[index];
      const end = before.starts[index] + minutes;
      const wait = ripeness.ripeAt(tasks[index], end) - end;
      latest[index] = instance.pieces[piece].dueMinute ?? Infinity;
      for (const next of followers[index]) {
        const begins = stays[next] ? before.starts[next] : latest[next] - tasks[next].minutes;
        latest[index] = Math.min(latest[index], begins - wait);
      }
    }
    // What can't begin where it stood leaves its place to the others first.
    const isHeld = (index: number) => Number(tasks[index].notBefore > before.starts[index]);
    return [...order].sort((a, b) => (latest[a] === latest[b] ? isHeld(a) - isHeld(b) : latest[a] - latest[b]));
  }

  function mayStand(index: number): boolean {
    const wanted = before.starts[index];
    if (Number.isNaN(wanted) || wanted < 0 || takesTurns(index)) return false;
    if (!tasks[index].after.every(isNoHindrance)) return false;
    const tie = tasks[index].after.find((earlier) => tied[earlier] === index);
    if (tie !== undefined) {
      const { starts, shared } = trial.placed;
      const end = starts[tie] + handsMinutesOf(tasks[tie], shared[tie]);
      if (wanted > end + (tasks[tie].wait.maxMinutes ?? 0)) return false;
    }
    return trial.lowerBound(index) <= wanted;
  }
}

/**
 * When each piece is finished if its waits take other hours than the plan reckons with: all in their order, none sooner
 * than it stands.
 *
 * @param otherwise the same steps with those waits
 */
export function finishesIf(otherwise: Instance, placed: Placed): number[] {
  const bench = benchOf(otherwise);
  return outcomeOf(bench, pushedOn(bench, placed, inOrder(bench, placed))).finishes;
}

/** All in the order of their old starts, none sooner than it stood. */
const pushedOn = (bench: Bench, before: Placed, order: readonly number[]): Placed =>
  placeRest(withPinned(bench), bench, order, before);

/**
 * Places what is not placed yet, in an order, none before what must come first.
 *
 * @param soonest of a step that stood; where it is left out, not sooner than it did
 */
function placeRest(
  placing: Placing,
  { instance: { tasks } }: Bench,
  order: readonly number[],
  { starts }: Placed,
  soonest = (index: number): number => starts[index],
): Placed {
  const ready = (index: number) => tasks[index].after.every((earlier) => placing.isPlaced(earlier));
  for (const index of order)
    if (!placing.isPlaced(index) && ready(index))
      placing.placeFrom(index, Math.max(placing.lowerBound(index), Number.isNaN(starts[index]) ? 0 : soonest(index)));
  return placing.placed;
}

/**
 * By old start, but never before what must come first: new steps right after their predecessors, and of several new
 * pieces the first step of each before the second, so that they can share what is got ready.
 */
function inOrder({ instance: { tasks } }: Bench, { starts: before }: Placed): number[] {
  const at = new Float64Array(tasks.length);
  const depth = new Uint16Array(tasks.length);
  tasks.forEach((task, index) => {
    at[index] = Number.isNaN(before[index]) ? 0 : before[index];
    for (const earlier of task.after) {
      at[index] = Math.max(at[index], at[earlier]);
      depth[index] = Math.max(depth[index], depth[earlier] + 1);
    }
  });
  return [...tasks.keys()].sort((a, b) => at[a] - at[b] || depth[a] - depth[b] || a - b);
}
