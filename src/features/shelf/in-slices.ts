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
  const [begun] = useState(() => new Map<string, Kept<In, Generator<void, Out>>>());
  const [state, setState] = useState(() => ({ inputs, isFresh, compute, sliced: first() }));
  const current = state.inputs === inputs && state.isFresh === isFresh && state.compute === compute;
  if (!current) setState({ inputs, isFresh, compute, sliced: first() });

  useEffect(() => {
    if (state.sliced.whole) return;
    let ended = false;
    let shownAt = performance.now();
    const slice = () => {
      if (ended) return;
      const whole = work(SLICE_MS);
      if (whole || performance.now() - shownAt > SHOW_EVERY_MS) {
        shownAt = performance.now();
        // Drawn in slices too.
        startTransition(() =>
          setState((last) => (last.inputs === inputs ? { ...last, sliced: gathered(whole) } : last)),
        );
      }
      if (!whole) setTimeout(slice, 0);
    };
    const timer = setTimeout(slice, 0);
    return () => {
      ended = true;
      clearTimeout(timer);
    };
    // What is computed changes with the inputs, and these with it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [state.inputs, state.isFresh, state.compute, state.sliced.whole]);
  return state.sliced;

  function first(): Sliced<Out> {
    const ids = new Set(inputs.map(({ id }) => id));
    for (const kept of [known, begun]) for (const id of kept.keys()) if (!ids.has(id)) kept.delete(id);
    return gathered(work(AT_ONCE_MS));
  }

  /** @returns whether all is done */
  function work(ms: number): boolean {
    const from = performance.now();
    for (const { id, of } of inputs) {
      const kept = known.get(id);
      if (kept && isFresh(kept, of)) continue;
      const half = begun.get(id);
      const going = half?.of === of ? half : { of, out: compute(of) };
      begun.set(id, going);
      for (let turn = null; !turn?.done;) {
        if (performance.now() - from > ms) return false;
        turn = going.out.next();
        if (turn.done) known.set(id, { of, out: turn.value });
      }
      begun.delete(id);
    }
    return true;
  }

  /** What is known, an older result standing until its own is there. */
  function gathered(whole: boolean): Sliced<Out> {
    return { whole, results: inputs.flatMap(({ id }) => (known.has(id) ? [known.get(id)!.out] : [])) };
  }
}
