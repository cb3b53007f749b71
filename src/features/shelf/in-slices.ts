'use client';
import { startTransition, useEffect, useState } from 'react';

/** A result with what it was computed from. */
interface Kept<In, Out> {
  of: In;
  out: Out;
}
export interface Sliced<Out> {
  /** In the order of what they were computed from; those that are still to come are left out. */
  results: readonly Out[];
  /** Whether none is still to come. */
  whole: boolean;
}

/** Work that is done at once, and in one go after that: the page answers in between. */
const AT_ONCE_MS = 24;
const SLICE_MS = 16;
/** What was found meanwhile is shown so often. */
const SHOW_EVERY_MS = 350;
/** So many are not begun while the page is drawn, which has enough to do. */
const VERY_MANY = 60;

/**
 * Works in slices between which the page answers.
 *
 * @param work does one slice; returns whether all is done
 * @returns ends it
 */
function sliceBySlice(work: () => boolean): () => void {
  let timer = setTimeout(function slice() {
    if (!work()) timer = setTimeout(slice, 0);
  }, 0);
  return () => clearTimeout(timer);
}

/** Goes on until a slice is over. @returns the result, or null where it is still to come */
function goOn<Out>(work: Generator<void, Out>, untilMs: number): { value: Out } | null {
  while (performance.now() <= untilMs) {
    const turn = work.next();
    if (turn.done) return { value: turn.value };
  }
  return null;
}

/**
 * A first result that is made in slices and then stands for good; what changes after that is computed at once by whoever
 * asks.
 *
 * @param compute bit by bit, null while what it takes is not there; made anew, it begins anew; must not throw
 */
export function useFirst<Out>(compute: (() => Generator<void, Out>) | null): Out | null {
  const [first, setFirst] = useState<{ value: Out } | null>(null);
  useEffect(() => {
    if (first || !compute) return;
    const work = compute();
    return sliceBySlice(() => {
      const made = goOn(work, performance.now() + SLICE_MS);
      if (made) startTransition(() => setFirst(made));
      return made !== null;
    });
  }, [first, compute]);
  return first && first.value;
}

/**
 * Computes something of each of many, keeping what is known: a few at once, as for one that changed, the rest in slices
 * between which the page answers. One that takes longer than a slice goes on in the next.
 *
 * @param inputs keyed by an id that stays
 * @param isFresh whether a result holds for its input as it is now
 * @param compute bit by bit; must not throw
 */
export function useInSlices<In, Out>(
  inputs: readonly { id: string; of: In }[],
  isFresh: (kept: Kept<In, Out>, of: In) => boolean,
  compute: (of: In) => Generator<void, Out>,
): Sliced<Out> {
  const [known] = useState(() => new Map<string, Kept<In, Out>>());
  const [begun] = useState<{ now: Kept<In, Generator<void, Out>> | null }>({ now: null });
  const [state, setState] = useState(() => ({ inputs, isFresh, compute, sliced: first() }));
  const current = state.inputs === inputs && state.isFresh === isFresh && state.compute === compute;
  if (!current) setState({ inputs, isFresh, compute, sliced: first() });

  useEffect(() => {
    if (state.sliced.whole) return;
    let shownAt = performance.now();
    return sliceBySlice(() => {
      const whole = work(SLICE_MS);
      if (whole || performance.now() - shownAt > SHOW_EVERY_MS) {
        shownAt = performance.now();
        // Drawn in slices too.
        startTransition(() =>
          setState((last) => (last.inputs === inputs ? { ...last, sliced: gathered(whole) } : last)),
        );
      }
      return whole;
    });
    // What is computed changes with the inputs, and these with it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [state.inputs, state.isFresh, state.compute, state.sliced.whole]);
  return state.sliced;

  function first(): Sliced<Out> {
    const ids = new Set(inputs.map(({ id }) => id));
    for (const id of known.keys()) if (!ids.has(id)) known.delete(id);
    return gathered(inputs.length - known.size > VERY_MANY ? false : work(AT_ONCE_MS));
  }

  /** @returns whether all is done */
  function work(ms: number): boolean {
    const until = performance.now() + ms;
    for (const { id, of } of inputs) {
      const kept = known.get(id);
      if (kept && isFresh(kept, of)) continue;
      if (begun.now?.of !== of) begun.now = { of, out: compute(of) };
      const made = goOn(begun.now.out, until);
      if (!made) return false;
      known.set(id, { of, out: made.value });
      begun.now = null;
    }
    return true;
  }

  /** What is known, an older result standing until its own is there. */
  function gathered(whole: boolean): Sliced<Out> {
    return { whole, results: inputs.flatMap(({ id }) => (known.has(id) ? [known.get(id)!.out] : [])) };
  }
}
