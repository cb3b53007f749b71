/** @jest-environment jsdom */
import '@/testing/browser';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { planPiece, runSteps } from '@/core/plan';
import { StashProvider } from '@/features/at-hand';
import { ShelfProvider } from '@/features/shelf';
import { newItem, type Piece } from '@/records';
import { addPieces, changeAgenda, changeStash, database, storedAgenda } from '@/storage';
import { NOW, PICTURE, readyPiece } from '@/testing/builders';
import { useAgenda } from './use-agenda';
import type { StepToFinish } from './completion';
import { useFinishSitting, useFinishSteps } from './use-finish-step';
import type { PlanEntry } from './entries';

interface Said {
  text: string;
  action?: { run: () => void };
}
const mockSaid: Said[] = [];
jest.mock('@/features/shell/notices', () => ({ useNotice: () => (notice: Said) => mockSaid.push(notice) }));
jest.mock('@/features/shell/use-report', () => ({ useReport: () => (result: { ok: boolean }) => result.ok }));

const wrapper = ({ children }: { children: ReactNode }) => (
  <ShelfProvider>
    <StashProvider>{children}</StashProvider>
  </ShelfProvider>
);
const gel = newItem('gel', 'binder', 'Gel', NOW - 9e8, { material: 'fluid-gel', amount: 100, size: 237 });
const stored = async (id: string): Promise<Piece> => (await database().pieces.get(id))!;
const agenda = async () => {
  const read = await storedAgenda(database());
  if (!read.ok) throw new Error(read.error.code);
  return read.value;
};

/** A step of a piece as it is marked at the bench. */
const toFinish = (piece: Piece, id: string): StepToFinish => {
  const plan = planPiece(piece, PICTURE, NOW);
  const step = runSteps(piece, plan).find((one) => one.id === id);
  if (!step) throw new Error(`no step ${id}`);
  return { piece, job: piece, plan, step };
};
async function hooks() {
  const { result } = renderHook(() => ({ finish: useFinishSteps(), sitting: useFinishSitting(), own: useAgenda() }), {
    wrapper,
  });
  await waitFor(() => expect(result.current.own).toBeDefined());
  return result;
}

beforeEach(async () => {
  mockSaid.length = 0;
  await database().delete({ disableAutoOpen: false });
  await addPieces(database(), [readyPiece({ id: 'a', name: 'Sign' }), readyPiece({ id: 'b', name: 'Tray' })]);
});
// What is live follows the store by itself, outside of what a test does.
beforeAll(() => Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: false }));
afterAll(() => database().close());

it('a step that is done is kept with its minutes and its hour, and leaves the agenda; undo brings both back', async () => {
  const said = await changeAgenda(database(), () => ({
    pins: { 'a/lay': NOW, 'b/lay': NOW },
    notBefore: { 'a/lay': NOW },
    partly: { 'a/lay': 0.5 },
    running: { step: 'a/lay', startedAt: NOW },
  }));
  expect(said.ok).toBe(true);
  const result = await hooks();
  const before = await stored('a');
  await act(async () => {
    expect(await result.current.finish([toFinish(before, 'lay')], { minutes: 17, at: NOW - 60_000 })).toBe(true);
  });
  const after = await stored('a');
  expect(after.lay.laidAt).toBe(NOW - 60_000);
  expect(after.work.done).toMatchObject([{ minutes: 17, at: NOW - 60_000, early: false }]);
  expect(await agenda()).toMatchObject({ pins: { 'b/lay': NOW }, notBefore: {}, partly: {}, running: null });
  expect(mockSaid[0].text).toMatch(/^Sign: .*, done\.$/);
  act(() => mockSaid[0].action!.run());
  await waitFor(async () => expect((await stored('a')).lay.laidAt).toBeNull());
});

it('several in one go are said once, each kept by itself', async () => {
  const result = await hooks();
  const steps = [toFinish(await stored('a'), 'print'), toFinish(await stored('b'), 'print')];
  await act(async () => {
    expect(await result.current.finish(steps, { minutes: null })).toBe(true);
  });
  for (const id of ['a', 'b']) expect((await stored(id)).sheet.printedAt).not.toBeNull();
  expect(mockSaid.map(({ text }) => text)).toEqual([expect.stringMatching(/^2 pieces: /)]);
  act(() => mockSaid[0].action!.run());
  await waitFor(async () => {
    for (const id of ['a', 'b']) expect((await stored(id)).sheet.printedAt).toBeNull();
  });
});

it('what a step takes out of the stash is drawn once, from what is left', async () => {
  await changeStash(database(), () => ({ items: [gel] }));
  const result = await hooks();
  const all = ['a', 'b'];
  const steps = await Promise.all(all.map(async (id) => toFinish(await stored(id), 'lay')));
  await act(async () => {
    await result.current.finish(steps, { minutes: 10 });
  });
  for (const id of all) {
    const { draws } = (await stored(id)).work;
    expect(draws).toMatchObject([{ item: 'gel' }]);
    expect(draws[0].amount).toBeGreaterThan(0);
    expect(draws[0].amount).toBeLessThan(100);
  }
});

it('of no step nothing is said', async () => {
  const result = await hooks();
  await act(async () => {
    expect(await result.current.finish([], { minutes: null })).toBe(false);
  });
  expect(mockSaid).toEqual([]);
});

it('one sitting of a long step leaves its rest in the plan; undo takes the sitting back', async () => {
  await changeAgenda(database(), () => ({ partly: { 'b/pass-1': 0.3 }, pins: { 'a/pass-1~1': NOW } }));
  const result = await hooks();
  const piece = await stored('a');
  const entry = {
    ...{ piece, stepKey: 'a/pass-1', step: toFinish(piece, 'pass-1').step },
    sitting: { number: 1, of: 2, fromShare: 0, untilShare: 0.4 },
  } as unknown as PlanEntry;
  await act(async () => {
    expect(await result.current.sitting(entry)).toBe(true);
  });
  expect(await agenda()).toMatchObject({ partly: { 'a/pass-1': 0.4, 'b/pass-1': 0.3 }, pins: {} });
  expect((await stored('a')).revision).toBe(piece.revision);
  expect(mockSaid[0].text).toContain('sitting 1 of 2');
  act(() => mockSaid[0].action!.run());
  await waitFor(async () => expect((await agenda()).partly).toEqual({ 'b/pass-1': 0.3 }));
  await act(async () => {
    expect(await result.current.sitting({ ...entry, sitting: null })).toBe(false);
  });
});

it('many at once are all marked or none: one that was changed elsewhere leaves the others as they were', async () => {
  const result = await hooks();
  const [a, b] = [await stored('a'), await stored('b')];
  await database().pieces.update('b', { 'sheet.printedAt': NOW - 5, revision: b.revision + 1 });
  await act(async () => {
    const all = [toFinish(a, 'print'), toFinish(b, 'print')];
    expect(await result.current.finish(all, { minutes: null })).toBe(false);
  });
  expect((await stored('a')).sheet.printedAt).toBeNull();
  expect(await database().history.count()).toBe(0);
  expect(mockSaid).toEqual([]);
});

it('pressed twice in a breath they are done once, and one undo takes all of it back', async () => {
  const result = await hooks();
  const all = [toFinish(await stored('a'), 'print'), toFinish(await stored('b'), 'print')];
  await act(async () => {
    const [first, second] = [
      result.current.finish(all, { minutes: null, at: NOW }),
      result.current.finish(all, { minutes: null, at: NOW + 1 }),
    ];
    expect(await first).toBe(true);
    expect(await second).toBe(true);
  });
  for (const id of ['a', 'b']) {
    expect((await stored(id)).sheet.printedAt).toBe(NOW);
    expect((await stored(id)).work.done).toHaveLength(1);
  }
  expect(mockSaid).toHaveLength(1);
  act(() => mockSaid[0].action!.run());
  await waitFor(async () => expect((await stored('b')).sheet.printedAt).toBeNull());
  expect((await stored('a')).sheet.printedAt).toBeNull();
});
