/**
 * How much time really passed, whatever the machine's time of day says. Fobbet's own server counts seconds that nobody
 * sets, sleep included; held beside the time of day they tell a set clock from a sleeping machine, also over a reload.
 * Where it did not answer, or was started anew meanwhile, the page's own count tells what passed while it was awake; of
 * the rest nothing is known.
 */
import { MS_PER_MINUTE } from '@/core/shared';

/** What the server counts: seconds since a start of its machine, and which start that was. */
interface Counted {
  bootId: string;
  seconds: number;
}

/** A stretch in which nobody counted along, by the clock as it is now: from when, and how much of it is not accounted for. */
export interface Gap {
  fromMs: number;
  ms: number;
}

/** What this browser keeps of it: the time of day at which the server last counted, when it was last looked at, gaps. */
interface Note {
  wallMs: number;
  counted: Counted | null;
  seenMs: number;
  gaps: Gap[];
  /** How often windows looked: one that finds another number than its own knows that another has looked since. */
  looks: number;
}

/** A look: the time of day, the page's own count, the server's where it answered. */
interface Look {
  wallMs: number;
  runMs: number;
  counted: Counted | null;
  /** How far the two may be apart by the network alone, ms. */
  doubtMs: number;
}

/** How far the time of day was set ahead, ms, and how much time passed that nobody counted. */
interface Reckoned {
  setByMs: number;
  uncountedMs: number;
}

const MS_PER_SECOND = 1000;
/** Jumps shorter than this are the network's. */
const JUMP_MS = 2 * MS_PER_SECOND;
/** Less than this that nobody counted ends no wait that matters. */
const LEAST_GAP_MS = 15 * MS_PER_MINUTE;
const MOST_GAPS = 100;

/** @param before of this page; null where it was only just opened */
function reckon(note: Note | null, look: Look, before: Pick<Look, 'wallMs' | 'runMs'> | null): Reckoned {
  if (!note) return { setByMs: 0, uncountedMs: 0 };
  const { counted } = look;
  if (counted && note.counted?.bootId === counted.bootId) {
    const by = look.wallMs - note.wallMs - (counted.seconds - note.counted.seconds) * MS_PER_SECOND;
    return { setByMs: Math.abs(by) > JUMP_MS + look.doubtMs ? by : 0, uncountedMs: 0 };
  }
  const passed = look.wallMs - (before?.wallMs ?? note.seenMs);
  const awake = before ? look.runMs - before.runMs : 0;
  // A machine that slept is no machine whose clock was set back.
  if (passed - awake < -JUMP_MS) return { setByMs: passed - awake, uncountedMs: 0 };
  const sinceStart = counted ? counted.seconds * MS_PER_SECOND : 0;
  const left = passed - Math.max(awake, Math.min(passed, sinceStart));
  return { setByMs: 0, uncountedMs: left > LEAST_GAP_MS ? left : 0 };
}

/** What is kept after a look, by the clock as it is now. */
function noted(note: Note | null, look: Look, { setByMs, uncountedMs }: Reckoned): Note {
  const known = look.counted && note?.counted?.bootId === look.counted.bootId ? note.wallMs : Infinity;
  const gaps = (note?.gaps ?? [])
    // What the server counted after all is a gap no more.
    .filter(({ fromMs }) => fromMs < known)
    .map((gap) => ({ ...gap, fromMs: gap.fromMs + setByMs }));
  if (note && uncountedMs > 0) gaps.push({ fromMs: note.seenMs, ms: uncountedMs });
  return {
    wallMs: look.counted ? look.wallMs : (note?.wallMs ?? look.wallMs) + setByMs,
    counted: look.counted ?? note?.counted ?? null,
    seenMs: look.wallMs,
    gaps: gaps.slice(-MOST_GAPS),
    looks: (note?.looks ?? 0) + 1,
  };
}

/** Whether a wait that ends by the time of day might not be over: nobody counted through all of it. */
export const isDoubtful = (
  { fromAt, untilAt }: { fromAt: number; untilAt: number },
  gaps: readonly Gap[],
  now: number,
): boolean =>
  untilAt <= now && now - untilAt < gaps.reduce((sum, { fromMs, ms }) => sum + (fromMs >= fromAt ? ms : 0), 0);

const KEY = 'fobbet.clock-anchor';
const isNote = (data: unknown): data is Note =>
  typeof data === 'object' &&
  data !== null &&
  Number.isFinite((data as Note).wallMs) &&
  Number.isFinite((data as Note).seenMs) &&
  Array.isArray((data as Note).gaps);

function readNote(): Note | null {
  try {
    const data: unknown = JSON.parse(localStorage.getItem(KEY) ?? 'null');
    return isNote(data) ? data : null;
  } catch {
    return null;
  }
}

const LONGEST_ANSWER_MS = 4000;

async function asked(): Promise<Counted | null> {
  try {
    const answer = await fetch('/clock', { cache: 'no-store', signal: AbortSignal.timeout(LONGEST_ANSWER_MS) });
    const { bootId, seconds } = (await answer.json()) as Counted;
    return typeof bootId === 'string' && Number.isFinite(seconds) ? { bootId, seconds } : null;
  } catch {
    return null;
  }
}

/** One window at a time: two would both carry the same records along. */
const alone = async <T>(run: () => Promise<T>): Promise<T> =>
  typeof navigator !== 'undefined' && 'locks' in navigator ? await navigator.locks.request(KEY, run) : run();

/** Carries what was recorded along with a clock that was set; false where it could not be kept. */
type Follow = (byMs: number, untilMs: number) => Promise<boolean>;

export interface TrueTime {
  /** Whether the time of day jumped since the last look, as far as this page can tell; true before the first. */
  hasJumped: () => boolean;
  /** Looks, and carries along what has to be. @returns how far the clock was set ahead, ms */
  settle: (follow: Follow) => Promise<number>;
  /** Notes that the page is there: what passes from now on may have to be accounted for. */
  seen: () => void;
  gaps: () => readonly Gap[];
  /** A person has said it: the clock is right, or was set ahead by so much of what nobody counted, ms. */
  say: (setByMs: number, follow: Follow) => Promise<void>;
}

/** Of one page. */
export function trueTime(): TrueTime {
  let before: (Pick<Look, 'wallMs' | 'runMs'> & { looks: number }) | null = null;
  let under: Promise<number> | null = null;
  const offset = () => Date.now() - performance.now();
  const keep = (note: Note) => localStorage.setItem(KEY, JSON.stringify(note));

  async function look(follow: Follow): Promise<number> {
    const askedMs = performance.now();
    const counted = await asked();
    const doubtMs = (performance.now() - askedMs) / 2;
    const now: Look = { wallMs: Date.now() - doubtMs, runMs: performance.now() - doubtMs, counted, doubtMs };
    const note = readNote();
    const reckoned = reckon(note, now, before?.looks === note?.looks ? before : null);
    const setByMs = Math.round(reckoned.setByMs);
    if (setByMs !== 0 && !(await follow(setByMs, setByMs > 0 ? now.wallMs - setByMs : Infinity))) return 0;
    const kept = noted(note, now, reckoned);
    keep(kept);
    before = { ...now, looks: kept.looks };
    return setByMs;
  }

  return {
    hasJumped: () => before === null || Math.abs(offset() - (before.wallMs - before.runMs)) > JUMP_MS,
    settle: (follow) => {
      under ??= alone(() => look(follow)).finally(() => {
        under = null;
      });
      return under;
    },
    seen: () => {
      const note = readNote();
      if (note) keep({ ...note, seenMs: Date.now() });
    },
    gaps: () => readNote()?.gaps ?? [],
    say: (setByMs, follow) =>
      alone(async () => {
        const note = readNote();
        if (!note || (setByMs > 0 && !(await follow(setByMs, (note.gaps[0]?.fromMs ?? note.seenMs) + 1)))) return;
        keep({ ...note, wallMs: note.wallMs + setByMs, gaps: [], looks: note.looks + 1 });
      }),
  };
}
