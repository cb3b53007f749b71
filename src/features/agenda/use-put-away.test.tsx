/** @jest-environment jsdom */
import '@/testing/browser';
import { act, renderHook, waitFor } from '@testing-library/react';
import { changeAgenda, database, storedAgenda } from '@/storage';
import { useAgenda } from './use-agenda';
import { usePutAway } from './use-put-away';

interface Said {
  text: string;
  action: { run: () => void };
}
const mockSaid: Said[] = [];
jest.mock('@/features/shell', () => ({
  useNotice: () => (notice: Said) => mockSaid.push(notice),
  useReport: () => (result: { ok: boolean }) => result.ok,
}));

const away = async () => {
  const read = await storedAgenda(database());
  return read.ok ? [...read.value.putAway].sort() : [];
};
async function opened(...before: string[]) {
  await database().delete({ disableAutoOpen: false });
  await changeAgenda(database(), () => ({ putAway: before }));
  const { result } = renderHook(() => ({ ...usePutAway(), known: useAgenda() !== undefined }));
  await waitFor(() => expect(result.current.known).toBe(true));
  expect([...result.current.away].sort()).toEqual(before);
  const pieces = (...ids: string[]) => ids.map((id) => ({ id, name: id.toUpperCase() }));
  return { result, put: (on: boolean, ...ids: string[]) => act(() => result.current.putAway(pieces(...ids), on)) };
}
const undone = async (left: readonly string[]) => {
  act(() => mockSaid.at(-1)!.action.run());
  await waitFor(async () => expect(await away()).toEqual(left));
};

beforeEach(() => {
  mockSaid.length = 0;
});
// What is live follows the store by itself, outside of what a test does.
beforeAll(() => Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: false }));
afterAll(() => database().close());

it('a piece is put away by name, and undo takes it out', async () => {
  const { put } = await opened();
  await put(true, 'a');
  expect(await away()).toEqual(['a']);
  expect(mockSaid.map(({ text }) => text)).toEqual(['A: put away, and out of the plan.']);
  await undone([]);
});

it('of several, those that were away before stay so when it is undone', async () => {
  const { put } = await opened('b', 'z');
  await put(true, 'a', 'b', 'c');
  expect(await away()).toEqual(['a', 'b', 'c', 'z']);
  expect(mockSaid[0].text).toContain('3 pieces');
  await undone(['b', 'z']);
});

it('of several, those that were out before stay so when taking out is undone', async () => {
  const { put } = await opened('b', 'z');
  await put(false, 'a', 'b');
  expect(await away()).toEqual(['z']);
  await undone(['b', 'z']);
});

it('twice is once', async () => {
  const { put } = await opened();
  await put(true, 'a');
  await put(true, 'a');
  expect(await away()).toEqual(['a']);
});
