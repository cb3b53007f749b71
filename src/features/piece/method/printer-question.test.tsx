/** @jest-environment jsdom */
import '@/testing/browser';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { PrinterAtHand } from '@/core/at-hand';
import { planPiece } from '@/core/plan';
import { applyPatch, type JobPatch } from '@/core/stations';
import { StashProvider } from '@/features/at-hand';
import { ShelfProvider } from '@/features/shelf';
import type { Piece } from '@/records';
import { changeStash, database, storedStash } from '@/storage';
import { NOW, PICTURE, readyPiece } from '@/testing/builders';
import type * as next from '@/testing/next';
import { answerIn } from '@/testing/said';
import { PieceProvider, type OpenPiece } from '../piece-context';
import { MethodStation } from './method-station';

jest.mock('next/dynamic', () => jest.requireActual<typeof next>('@/testing/next').DYNAMIC);
jest.mock('next/navigation', () => jest.requireActual<typeof next>('@/testing/next').NAVIGATION);
jest.mock('next/link', () => jest.requireActual<typeof next>('@/testing/next').LINK);
jest.mock('@/workers/look/client', () => ({
  drawLook: () => ({ done: new Promise<null>(() => undefined), stop: () => undefined }),
}));

afterAll(() => database().close());

const UNCHOSEN: JobPatch = { method: { print: null, school: null, binder: null } };
const change = jest.fn();

async function shown(patch: JobPatch, printer: PrinterAtHand | null) {
  await changeStash(database(), () => ({ printer }));
  const piece: Piece = applyPatch(readyPiece(), patch);
  const open = {
    ...{ piece, plan: planPiece(piece, PICTURE, NOW), states: {}, picture: null, previewUrl: null, layers: [] },
    ...{ now: NOW, moved: [], change },
  } as unknown as OpenPiece;
  const { container } = render(
    <ShelfProvider>
      <StashProvider>
        <PieceProvider value={open}>
          <MethodStation />
        </PieceProvider>
      </StashProvider>
    </ShelfProvider>,
  );
  await act(() => new Promise((resolve) => setTimeout(resolve, 50)));
  return container;
}

const isRanked = () => screen.queryByTestId('compare') !== null;

it('what prints is asked before anything is ranked, once, and is kept', async () => {
  const container = await shown(UNCHOSEN, null);
  await waitFor(() => expect(answerIn(container)).toBe('What will print the picture?'));
  expect(isRanked()).toBe(false);
  expect(screen.queryByTestId('take-and-go-on')).toBeNull();
  fireEvent.click(screen.getByTestId('printer-inkjet'));
  await waitFor(() => expect(isRanked()).toBe(true));
  expect(await storedStash(database())).toMatchObject({ ok: true, value: { printer: 'inkjet' } });
  expect(screen.queryByTestId('printer-inkjet')).toBeNull();
});

it.each([
  ['the printer is known', UNCHOSEN, 'laser'],
  ['the kind of print is said', { method: { print: 'laser-plain', school: null, binder: null } }, null],
  ['a method is chosen', { method: { print: null } }, null],
] as [string, JobPatch, PrinterAtHand | null][])('nothing is asked where %s', async (_, patch, printer) => {
  await shown(patch, printer);
  await waitFor(() => expect(isRanked()).toBe(true));
  expect(screen.queryByTestId('printer-inkjet')).toBeNull();
});

it('the way that is taken says what it is printed with from then on', async () => {
  await shown(UNCHOSEN, 'laser');
  fireEvent.click(await screen.findByTestId('take-and-go-on'));
  expect(change).toHaveBeenCalledWith(
    'method',
    expect.objectContaining({ print: 'laser-plain', binder: expect.any(String) as string }),
    expect.any(String),
  );
});
