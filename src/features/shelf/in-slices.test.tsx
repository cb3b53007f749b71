/** @jest-environment jsdom */
import '@/testing/browser';
import { act, renderHook, waitFor } from '@testing-library/react';
import { useFirst, useInSlices } from './in-slices';

interface Input {
  value: number;
}
const isFresh = ({ of }: { of: Input }, now: Input) => of === now;
const inputsOf = (values: readonly Input[]) => values.map((of, index) => ({ id: String(index), of }));

const busyFor = (ms: number) => {
  const until = performance.now() + ms;
  while (performance.now() < until);
};
/** Takes its time, as a plan does. */
function* slow({ value }: Input): Generator<void, number> {
  busyFor(1);
  yield;
  busyFor(1);
  return value * 2;
}
const many = Array.from({ length: 300 }, (_, value): Input => ({ value }));

it('a few are there at once', () => {
  const inputs = inputsOf(many.slice(0, 3));
  const { result } = renderHook(() => useInSlices(inputs, isFresh, slow));
  expect(result.current).toEqual({ whole: true, results: [0, 2, 4] });
});

it('very many come bit by bit, in their order, while the page answers', async () => {
  const inputs = inputsOf(many);
  let beats = 0;
  const heart = setInterval(() => beats++, 5);
  const { result } = renderHook(() => useInSlices(inputs, isFresh, slow));
  expect(result.current.whole).toBe(false);
  expect(result.current.results.length).toBeLessThan(100);
  await waitFor(() => expect(result.current.whole).toBe(true));
  clearInterval(heart);
  expect(result.current.results).toEqual(many.map(({ value }) => value * 2));
  expect(beats).toBeGreaterThan(10);
});

it('one that changes is computed alone; one that goes is forgotten', async () => {
  const compute = jest.fn(function* ({ value }: Input): Generator<void, number> {
    yield;
    return value * 2;
  });
  const first = inputsOf(many.slice(0, 50));
  const { result, rerender } = renderHook(({ inputs }) => useInSlices(inputs, isFresh, compute), {
    initialProps: { inputs: first },
  });
  expect(compute).toHaveBeenCalledTimes(50);
  await act(() =>
    Promise.resolve(rerender({ inputs: first.map((one, at) => (at === 7 ? { ...one, of: { value: 100 } } : one)) })),
  );
  expect(compute).toHaveBeenCalledTimes(51);
  expect(result.current.results[7]).toBe(200);
  await act(() => Promise.resolve(rerender({ inputs: first.slice(10) })));
  expect(compute).toHaveBeenCalledTimes(51);
  expect(result.current).toMatchObject({ whole: true, results: { length: 40 } });
});

it('one that takes long goes on where it was, and begins anew only where it changed meanwhile', async () => {
  const turns = jest.fn();
  const long = function* ({ value }: Input): Generator<void, number> {
    for (let turn = 0; turn < 10; turn++) {
      busyFor(10);
      turns();
      yield;
    }
    return value;
  };
  const first = inputsOf([{ value: 1 }]);
  const { result, rerender } = renderHook(({ inputs }) => useInSlices(inputs, isFresh, long), {
    initialProps: { inputs: first },
  });
  expect(result.current).toEqual({ whole: false, results: [] });
  await waitFor(() => expect(result.current).toEqual({ whole: true, results: [1] }));
  expect(turns).toHaveBeenCalledTimes(10);
  rerender({ inputs: inputsOf([{ value: 2 }]) });
  expect(result.current).toEqual({ whole: false, results: [1] });
  await act(() => Promise.resolve(rerender({ inputs: inputsOf([{ value: 3 }]) })));
  await waitFor(() => expect(result.current).toEqual({ whole: true, results: [3] }));
});

it('very many are not begun while the page is drawn', async () => {
  const compute = jest.fn(slow);
  const inputs = inputsOf(many.slice(0, 100));
  const { result } = renderHook(() => useInSlices(inputs, isFresh, compute));
  expect(compute).not.toHaveBeenCalled();
  expect(result.current).toEqual({ whole: false, results: [] });
  await waitFor(() => expect(result.current.whole).toBe(true));
  expect(compute).toHaveBeenCalledTimes(100);
});

it('a first result waits for what it takes, is made once, and stands', async () => {
  const of = (value: number) => jest.fn(() => slow({ value }));
  const [first, second] = [of(1), of(2)];
  const { result, rerender } = renderHook(({ compute }) => useFirst(compute), {
    initialProps: { compute: null as (() => Generator<void, number>) | null },
  });
  expect(result.current).toBeNull();
  rerender({ compute: first });
  await waitFor(() => expect(result.current).toBe(2));
  await act(() => Promise.resolve(rerender({ compute: second })));
  expect([first, second].map(({ mock }) => mock.calls.length)).toEqual([1, 0]);
  expect(result.current).toBe(2);
});
