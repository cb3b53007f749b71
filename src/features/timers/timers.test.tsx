/** @jest-environment jsdom */
import '@/testing/browser';
import { act, renderHook, waitFor } from '@testing-library/react';
import { MS_PER_MINUTE } from '@/core/shared';
import { database } from '@/storage';
import { TimerProvider, useTimers } from './timers';

jest.mock('./sound', () => ({ ring: jest.fn(), speak: jest.fn() }));

beforeEach(async () => {
  await database().delete();
  await database().open();
});
afterEach(() => jest.restoreAllMocks());
afterAll(() => database().close());

function bench() {
  const { result, unmount } = renderHook(useTimers, { wrapper: TimerProvider });
  const labels = () => result.current.timers.map(({ label }) => label);
  const start = async (label: string, minutes: number) => {
    act(() => result.current.start({ label, minutes }));
    await waitFor(() => expect(labels()).toContain(label));
  };
  const one = (label: string) => {
    const timer = result.current.timers.find((candidate) => candidate.label === label);
    if (!timer) throw new Error(`no timer ${label}`);
    return timer;
  };
  return { result, unmount, labels, start, one };
}

it('stands in the order in which they ring, and outlives a reload', async () => {
  const before = bench();
  await before.start('Soak', 20);
  await before.start('Time to lay it', 5);
  before.unmount();
  const after = bench();
  await waitFor(() => expect(after.labels()).toEqual(['Time to lay it', 'Soak']));
});

it('stops where it is and runs on from there', async () => {
  const { result, start, one } = bench();
  await start('Soak', 20);
  const setOff = Date.now();
  const clock = jest.spyOn(Date, 'now').mockReturnValue(setOff + 5 * MS_PER_MINUTE);
  act(() => result.current.toggle(one('Soak')));
  await waitFor(() => expect(one('Soak').pausedLeftMs).not.toBeNull());
  expect(Math.abs((one('Soak').pausedLeftMs ?? 0) - 15 * MS_PER_MINUTE)).toBeLessThan(MS_PER_MINUTE / 4);
  clock.mockReturnValue(setOff + 65 * MS_PER_MINUTE);
  act(() => result.current.toggle(one('Soak')));
  await waitFor(() => expect(one('Soak').pausedLeftMs).toBeNull());
  expect(Math.abs(one('Soak').endsAt - (setOff + 80 * MS_PER_MINUTE))).toBeLessThan(MS_PER_MINUTE / 4);
});

it('gets more time: from now where it has run out already', async () => {
  const { result, start, one } = bench();
  await start('Soak', 0);
  await waitFor(() => expect(one('Soak').rangAt).not.toBeNull());
  const now = Date.now();
  act(() => result.current.add(one('Soak'), 3));
  await waitFor(() => expect(one('Soak').rangAt).toBeNull());
  expect(one('Soak').endsAt).toBeGreaterThanOrEqual(now + 3 * MS_PER_MINUTE);
});

it('rings once in one window though two are open', async () => {
  const { ring } = jest.requireMock<{ ring: jest.Mock }>('./sound');
  ring.mockClear();
  const here = bench();
  const there = bench();
  await here.start('Soak', 0.005);
  await waitFor(() => expect(there.one('Soak').rangAt).not.toBeNull());
  await waitFor(() => expect(here.one('Soak').rangAt).not.toBeNull());
  expect(ring).toHaveBeenCalledTimes(1);
  await act(() => new Promise((resolve) => setTimeout(resolve, 50)));
  expect(ring).toHaveBeenCalledTimes(1);
});

it('does not ring while it is stopped, and is gone once it is removed', async () => {
  const { result, start, one, labels } = bench();
  await start('Soak', 10);
  act(() => result.current.toggle({ ...one('Soak'), endsAt: Date.now() + 50 }));
  await waitFor(() => expect(one('Soak').pausedLeftMs).not.toBeNull());
  await act(() => new Promise((resolve) => setTimeout(resolve, 200)));
  expect(one('Soak').rangAt).toBeNull();
  act(() => result.current.remove(one('Soak')));
  await waitFor(() => expect(labels()).toEqual([]));
});
