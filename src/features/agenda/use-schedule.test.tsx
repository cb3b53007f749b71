/** @jest-environment jsdom */
import '@/testing/browser';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { StashProvider } from '@/features/at-hand';
import { PlansProvider } from '@/features/plans';
import { ShelfProvider } from '@/features/shelf';
import { addPieces, changeAgenda, database, readShelf, storedAgenda } from '@/storage';
import type * as storage from '@/storage';
import { readyPiece } from '@/testing/builders';
import type { PlanAnswer, PlanOrder } from '@/workers/schedule/protocol';
import { useSchedule } from './use-schedule';

jest.mock('@/storage', () => {
  const real = jest.requireActual<typeof storage>('@/storage');
  return { ...real, changeAgenda: jest.fn(real.changeAgenda), readShelf: jest.fn(real.readShelf) };
});
const mockOrders: PlanOrder[] = [];
jest.mock('@/workers/schedule/client', () => ({
  openScheduler: () => ({
    plan: (order: PlanOrder): Promise<PlanAnswer> => {
      mockOrders.push(order);
      // Where a step stood it stays; a new one stands at minute 600.
      const { tasks } = order.instance;
      const stood = (index: number) => (order.before?.who[index] ? order.before.starts[index] : 600);
      const placed = {
        starts: Float64Array.from(tasks, (_, index) => stood(index)),
        who: new Uint8Array(tasks.length).fill(1),
        shared: new Uint8Array(tasks.length),
      };
      const each = order.instance.pieces.map(() => 0);
      return Promise.resolve({
        placed,
        finishes: each,
        safestFinishes: each,
        tardiness: each,
        moved: [],
        how: 'kept',
        violations: [],
        cost: 1,
        ms: 1,
      });
    },
    weigh: () => Promise.resolve(null),
    close: () => undefined,
  }),
}));

const wrapper = ({ children }: { children: ReactNode }) => (
  <ShelfProvider>
    <StashProvider>
      <PlansProvider>{children}</PlansProvider>
    </StashProvider>
  </ShelfProvider>
);
const starts = async () => {
  const agenda = await storedAgenda(database());
  return agenda.ok ? agenda.value.starts : {};
};
const ofPieces = (all: Record<string, number>) => [...new Set(Object.keys(all).map((key) => key.split('/')[0]))].sort();

/** The next change of the agenda waits until what is returned is called. */
function holdNextChange(): () => void {
  const real = jest.requireActual<typeof storage>('@/storage').changeAgenda;
  let release = () => undefined as void;
  const held = new Promise<void>((resolve) => (release = resolve));
  jest.mocked(changeAgenda).mockImplementationOnce(async (...given) => {
    await held;
    return real(...given);
  });
  return release;
}

beforeEach(async () => {
  mockOrders.length = 0;
  jest.mocked(changeAgenda).mockClear();
  await database().delete({ disableAutoOpen: false });
});
afterAll(() => database().close());

it('where the steps stand outlives the opening of a place: nothing is planned before the pieces are read', async () => {
  await addPieces(database(), [readyPiece()], []);
  const { result, unmount } = renderHook(useSchedule, { wrapper });
  await waitFor(async () => expect(Object.keys(await starts()).length).toBeGreaterThan(3));
  await waitFor(() => expect(result.current?.busy).toBe(false));
  const before = await starts();
  unmount();
  mockOrders.length = 0;

  const real = jest.requireActual<typeof storage>('@/storage').readShelf;
  jest.mocked(readShelf).mockImplementationOnce(async (...given) => {
    await new Promise((resolve) => setTimeout(resolve, 150));
    return real(...given);
  });
  const again = renderHook(useSchedule, { wrapper });
  await waitFor(() => expect(again.result.current?.answer).toBeTruthy());
  await act(() => new Promise((resolve) => setTimeout(resolve, 100)));
  expect(mockOrders.length).toBeGreaterThan(0);
  expect(mockOrders.filter(({ instance }) => instance.pieces.length === 0)).toEqual([]);
  expect(Object.keys(await starts())).toEqual(Object.keys(before));
});

it('an answer that is overtaken while it is written leaves the newer one in place', async () => {
  await addPieces(database(), [readyPiece()], []);
  const release = holdNextChange();
  renderHook(useSchedule, { wrapper });
  await waitFor(() => expect(changeAgenda).toHaveBeenCalledTimes(1));

  await act(() => addPieces(database(), [{ ...readyPiece(), id: 'piece-2' }], []));
  await waitFor(async () => expect(ofPieces(await starts())).toEqual(['piece-1', 'piece-2']));
  await act(async () => {
    release();
    await new Promise((resolve) => setTimeout(resolve, 100));
  });
  expect(ofPieces(await starts())).toEqual(['piece-1', 'piece-2']);
});

it('steps are being placed until what was found is kept', async () => {
  await addPieces(database(), [readyPiece()], []);
  const release = holdNextChange();
  const seen: (boolean | undefined)[] = [];
  const { result } = renderHook(
    () => {
      const schedule = useSchedule();
      // No steps that stand nowhere are told of as placed.
      if (schedule && schedule.entries.every(({ startAt }) => startAt === null)) seen.push(schedule.placing);
      return schedule;
    },
    { wrapper },
  );
  await waitFor(() => expect(changeAgenda).toHaveBeenCalledTimes(1));
  await waitFor(() => expect(result.current?.answer).toBeTruthy());
  expect(result.current?.placing).toBe(true);
  await act(() => Promise.resolve(release()));
  await waitFor(() => expect(result.current?.placing).toBe(false));
  expect(result.current?.entries.some(({ startAt }) => startAt !== null)).toBe(true);
  expect(new Set(seen)).toEqual(new Set([true]));
});

it('a plan of no pieces says nothing of those that have come since; one that is set aside leaves an empty one', async () => {
  const lengths: (number | undefined)[] = [];
  const { result } = renderHook(
    () => {
      const schedule = useSchedule();
      lengths.push(schedule?.pieces.length);
      return schedule;
    },
    { wrapper },
  );
  await waitFor(() => expect(result.current?.pieces).toEqual([]));
  lengths.length = 0;
  await act(() => addPieces(database(), [readyPiece()], []));
  await waitFor(() => expect(result.current?.pieces).toHaveLength(1));
  await act(async () => {
    await result.current?.change({ aside: ['piece-1'] });
  });
  await waitFor(() => expect(result.current?.pieces).toEqual([]));
  await waitFor(() => expect(result.current).toMatchObject({ placing: false, aside: [{ id: 'piece-1' }] }));
});

it('after a change of the time zone all steps are placed anew: evenings are others', async () => {
  localStorage.setItem('fobbet.planned-in', 'Pacific/Auckland');
  await addPieces(database(), [readyPiece()], []);
  const { result, unmount } = renderHook(useSchedule, { wrapper });
  await waitFor(() => expect(result.current?.busy).toBe(false));
  await waitFor(async () => expect(Object.keys(await starts()).length).toBeGreaterThan(3));
  unmount();
  mockOrders.length = 0;
  const open = async () => {
    const again = renderHook(useSchedule, { wrapper });
    await waitFor(() => expect(mockOrders.length).toBeGreaterThan(0));
    await waitFor(() => expect(again.result.current?.busy).toBe(false));
    again.unmount();
    return mockOrders.splice(0)[0]?.before;
  };
  expect(await open()).not.toBeNull();
  localStorage.setItem('fobbet.planned-in', 'Pacific/Kiritimati');
  expect(await open()).toBeNull();
  expect(await open()).not.toBeNull();
});
