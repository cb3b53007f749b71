/** @jest-environment jsdom */
import '@/testing/browser';
import { act, render, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { AheadPage } from '@/features/ahead';
import { BenchPage } from '@/features/bench';
import { FaultsPage } from '@/features/faults';
import { KeptPage } from '@/features/kept';
import { PiecesPage } from '@/features/pieces';
import { StashPage } from '@/features/stash';
import { TodayPage } from '@/features/today';
import { benchOf, finishesIf, outcomeOf, repairSchedule, searchSchedule } from '@/core/schedule';
import { DEMO_AGENDA, demoPieces, demoStash } from '@/demo/scenario';
import { DEFAULT_SETTINGS, type Piece, type Settings } from '@/records';
import { addPieces, changeAgenda, changeStash, database, changeSettings } from '@/storage';
import { PICTURE, readyPiece, storedPicture } from '@/testing/builders';
import type * as next from '@/testing/next';
import { answerIn, faultsOf, saidIn } from '@/testing/said';
import { Themed } from '@/ui';
import type { PlanAnswer, PlanOrder } from '@/workers/schedule/protocol';
import { Shell } from './shell';

jest.mock('next/dynamic', () => jest.requireActual<typeof next>('@/testing/next').DYNAMIC);
jest.mock('next/navigation', () => jest.requireActual<typeof next>('@/testing/next').NAVIGATION);
jest.mock('next/link', () => jest.requireActual<typeof next>('@/testing/next').LINK);
function mockIdle() {
  return { done: new Promise<null>(() => undefined), stop: () => undefined };
}
jest.mock('@/workers/look/client', () => ({ drawLook: mockIdle }));
jest.mock('@/workers/picture/client', () => ({ inspectPicture: mockIdle, mirrorPicture: mockIdle }));
jest.mock('@/workers/reading/client', () => ({}));
/** The worker's own work, in the test's thread. */
function mockPlan({ instance, before, safest }: PlanOrder): Promise<PlanAnswer> {
  const repaired = before && repairSchedule(instance, before, { tries: 5, seed: 1 });
  const placed = repaired?.placed ?? searchSchedule(instance, { tries: 5, seed: 1 }).placed;
  const { finishes, tardiness, cost } = outcomeOf(benchOf(instance), placed);
  return Promise.resolve({
    ...{ placed, finishes, tardiness, cost, moved: [], how: 'anew', violations: [], ms: 1 },
    safestFinishes: safest ? finishesIf(safest, placed) : finishes,
  });
}
jest.mock('@/workers/schedule/client', () => ({
  openScheduler: () => ({ plan: mockPlan, weigh: () => Promise.resolve(null), close: () => undefined }),
}));

const PLACES: Readonly<Record<string, () => ReactNode>> = {
  today: TodayPage,
  pieces: PiecesPage,
  ahead: AheadPage,
  bench: BenchPage,
  stash: StashPage,
  faults: FaultsPage,
  kept: KeptPage,
};
const place = Object.keys(PLACES).map((name) => [name] as const);

const NAMES = new Set(demoStash(0).items.map(({ name }) => name));

/** Opens a place with all that stands round it, and waits until it says something. */
async function shown(name: string) {
  const Page = PLACES[name];
  const { container, unmount } = render(
    <Themed>
      <Shell demo={false}>
        <Page />
      </Shell>
    </Themed>,
  );
  await waitFor(() => {
    const main = container.querySelector('main');
    expect(main).not.toBeNull();
    expect(main!.getAttribute('aria-busy')).not.toBe('true');
    expect(main!.textContent.length).toBeGreaterThan(40);
    expect(answerIn(container)).not.toMatch(/…$/);
  });
  await act(() => new Promise((resolve) => setTimeout(resolve, 50)));
  const [texts, answer] = [saidIn(container), answerIn(container)];
  unmount();
  return { texts, answer };
}
const pictures = (pieces: readonly Piece[]) =>
  [...new Set(pieces.flatMap(({ picture: { pictureId } }) => pictureId ?? []))].map((id) => ({
    ...storedPicture(id),
    ...PICTURE,
  }));
async function keep(pieces: readonly Piece[]): Promise<void> {
  const kept = await addPieces(database(), pieces, pictures(pieces));
  expect(kept).toMatchObject({ ok: true });
}
const settings = (patch: Partial<Settings>) => changeSettings(database(), DEFAULT_SETTINGS, patch);

beforeEach(async () => {
  Object.assign(window, {
    matchMedia: () => ({
      matches: false,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
      addListener: () => undefined,
      removeListener: () => undefined,
    }),
  });
  Object.assign(URL, { createObjectURL: () => 'blob:none', revokeObjectURL: () => undefined });
  await database().delete({ disableAutoOpen: false });
});
afterAll(() => database().close());

describe('with nothing kept', () => {
  it.each(place)('%s says what to do', async (name) => {
    const { texts } = await shown(name);
    expect(faultsOf(texts, 'metric')).toEqual([]);
  });
});

describe('with the example', () => {
  beforeEach(async () => {
    await keep(demoPieces(Date.now()));
    await changeStash(database(), () => demoStash(Date.now()));
    await changeAgenda(database(), () => DEMO_AGENDA);
  });
  it.each(place)('%s says something whole', async (name) => {
    const { texts, answer } = await shown(name);
    expect(faultsOf(texts, 'metric')).toEqual([]);
    // The shelf and the bench show their things; all others answer.
    if (name !== 'pieces' && name !== 'bench') expect(answer.length).toBeGreaterThan(5);
  });
  it.each(place)('%s has no metric unit in inches', async (name) => {
    await settings({ unitSystem: 'inch' });
    const { texts } = await shown(name);
    // What the example's people call their things stays as they typed it.
    expect(faultsOf(texts, 'inch').filter((text) => !NAMES.has(text))).toEqual([]);
  });
});

describe('with pieces that are odd', () => {
  it.each(place)('%s stands with a piece that lacks all, and dates that are none', async (name) => {
    await keep([
      { ...readyPiece({ id: 'bare', name: 'Bare' }), surface: { ...readyPiece().surface, kind: null, widthMm: null } },
      { ...readyPiece({ id: 'old', dueOn: '2000-01-01' }), createdAt: 1, updatedAt: 1 },
      { ...readyPiece({ id: 'far', dueOn: '2099-12-31' }) },
    ] as Piece[]);
    const { texts } = await shown(name);
    expect(faultsOf(texts, 'metric')).toEqual([]);
  });
});
