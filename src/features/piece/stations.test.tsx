/** @jest-environment jsdom */
import '@/testing/browser';
import { act, render } from '@testing-library/react';
import { planPiece, stationStates } from '@/core/plan';
import { applyPatch, STATIONS, type JobPatch, type PiecePlan, type StationId } from '@/core/stations';
import { SURFACES, type SurfaceId } from '@/core/craft';
import type { UnitSystem } from '@/core/measure';
import { demoPieces } from '@/demo/scenario';
import { newPiece, type Piece, type StoredPicture } from '@/records';
import { NOW, PICTURE, readyPiece, storedPicture } from '@/testing/builders';
import type * as next from '@/testing/next';
import { BROKEN, METRIC, answerIn, faultsOf, saidIn } from '@/testing/said';
import { WHOLE_RUNS } from '@/testing/whole-runs';
import { UnitsProvider } from '@/ui';
import { CureStation } from './cure/cure-station';
import { KeepStation } from './keep/keep-station';
import { LayStation } from './lay/lay-station';
import { MendStation } from './mend/mend-station';
import { MethodStation } from './method/method-station';
import { PictureStation } from './picture/picture-station';
import { RubStation } from './rub/rub-station';
import { SealStation } from './seal/seal-station';
import { SheetStation } from './sheet/sheet-station';
import { SurfaceStation } from './surface/surface-station';
import { PieceProvider, type OpenPiece } from './piece-context';
import { ToneProvider } from './tone-context';

// The simulated browser has no workers, no canvas and no charts: what they draw stays empty, what is said is said.
jest.mock('next/dynamic', () => jest.requireActual<typeof next>('@/testing/next').DYNAMIC);
jest.mock('next/navigation', () => jest.requireActual<typeof next>('@/testing/next').NAVIGATION);
jest.mock('next/link', () => jest.requireActual<typeof next>('@/testing/next').LINK);
function mockIdle() {
  return { done: new Promise<null>(() => undefined), stop: () => undefined };
}
jest.mock('@/workers/analysis/client', () => ({
  openAnalyser: () => ({ analyse: () => new Promise(() => undefined), close: () => undefined }),
  findMotif: mockIdle,
}));
jest.mock('@/workers/look/client', () => ({ drawLook: mockIdle }));
jest.mock('@/workers/sheet/client', () => ({ makeSheet: mockIdle, makePagePng: mockIdle }));
jest.mock('@/workers/proof/client', () => ({ checkProof: mockIdle }));
jest.mock('@/workers/picture/client', () => ({ inspectPicture: mockIdle, mirrorPicture: mockIdle }));
jest.mock('@/workers/inspect/client', () => ({ prepareInspector: mockIdle }));
jest.mock('@/workers/trace/client', () => ({ traceBlank: mockIdle }));

const SCREENS: Record<StationId, () => React.ReactNode> = {
  picture: PictureStation,
  surface: SurfaceStation,
  method: MethodStation,
  sheet: SheetStation,
  lay: LayStation,
  cure: CureStation,
  rub: RubStation,
  mend: MendStation,
  seal: SealStation,
  keep: KeepStation,
};
const picture: StoredPicture = { ...storedPicture('picture-1'), ...PICTURE };

/** What stands at a station of a piece: its text, values of fields, and names that are only heard. */
async function shown(piece: Piece, plan: PiecePlan, own: StoredPicture | null, station: StationId, system: UnitSystem) {
  const never = () => undefined;
  const open = {
    ...{ piece, plan, states: stationStates(piece, plan), picture: own, previewUrl: null, layers: [], moved: [] },
    ...{ page: 0, showPage: never, side: 'landing', turnOver: never, now: NOW, saving: false, trouble: null },
    ...{ history: { undo: null, redo: null }, change: never, changeAll: never, rename: never, undo: never },
    ...{ redo: never, retry: null, settle: never },
  } as unknown as OpenPiece;
  const Screen = SCREENS[station];
  const { container, unmount } = render(
    <UnitsProvider value={system}>
      <PieceProvider value={open}>
        <ToneProvider kept={piece.picture.tone}>
          <Screen />
        </ToneProvider>
      </PieceProvider>
    </UnitsProvider>,
  );
  await act(() => new Promise((resolve) => setTimeout(resolve, 0)));
  const [texts, answer] = [saidIn(container), answerIn(container)];
  unmount();
  return { texts, answer };
}

async function faults(
  piece: Piece,
  system: UnitSystem,
  own: StoredPicture | null = picture,
  stations: readonly StationId[] = STATIONS,
): Promise<string[]> {
  const plan = planPiece(piece, own, NOW);
  const found = new Set<string>();
  for (const station of stations) {
    const { texts, answer } = await shown(piece, plan, own, station, system);
    if (answer === '') found.add(`${station}: no answer`);
    if (texts.length < 5) found.add(`${station}: says hardly anything`);
    for (const text of faultsOf(texts, system)) found.add(`${station}: ${text}`);
  }
  return [...found];
}

it('the check itself sees what is broken, and a unit nobody asked for', () => {
  expect(['NaN mm', 'about undefined', '∞ h', '{0} pages'].every((text) => BROKEN.test(text))).toBe(true);
  expect(['12 mm', '0.5 ml', 'at 21 °C'].every((text) => METRIC.test(text))).toBe(true);
  expect(METRIC.test('3 min, 4 h, 11 13/16 in')).toBe(false);
});

describe('every station says something whole, in the units that are wanted', () => {
  it.each(WHOLE_RUNS.map(({ name, piece }) => [name, piece] as const))('%s', async (_, piece) => {
    expect(await faults(piece, 'inch')).toEqual([]);
  });

  it.each(demoPieces(NOW).map((piece) => [piece.name, piece] as const))('the example: %s', async (_, piece) => {
    expect(await faults(piece, 'metric')).toEqual([]);
  });

  it.each(SURFACES.map(({ id }) => [id]))('bare, with nothing chosen but the surface: %s', async (kind: SurfaceId) => {
    const piece = newPiece('piece-1', 'Bare', NOW);
    expect(
      await faults({ ...piece, surface: { ...piece.surface, kind } }, 'inch', null, ['surface', 'method']),
    ).toEqual([]);
  });

  it('with nothing at all', async () => {
    expect(await faults(newPiece('piece-1', '', NOW), 'metric', null)).toEqual([]);
  });

  const odd: readonly (readonly [string, JobPatch])[] = [
    ['as small as can be', { surface: { widthMm: 10, heightMm: 10, thicknessMm: 1 } }],
    ['as large as can be', { surface: { widthMm: 3000, heightMm: 3000, thicknessMm: 300 } }],
    ['a long strip', { surface: { widthMm: 2400, heightMm: 20 } }],
    ['no thickness', { surface: { thicknessMm: null } }],
    ['no height', { surface: { heightMm: null } }],
  ];
  it.each(odd)('a blank that is odd: %s', async (_, patch) => {
    expect(await faults(applyPatch(readyPiece(), patch), 'metric')).toEqual([]);
  });

  it('a picture of one pixel', async () => {
    expect(await faults(readyPiece(), 'metric', { ...picture, widthPx: 1, heightPx: 1 })).toEqual([]);
  });
});
