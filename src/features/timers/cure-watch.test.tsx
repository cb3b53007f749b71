/** @jest-environment jsdom */
import '@/testing/browser';
import { render, waitFor } from '@testing-library/react';
import { planPiece } from '@/core/plan';
import { HOUR, PICTURE, readyPiece } from '@/testing/builders';
import { database } from '@/storage';
import type { Piece } from '@/records';
import { CureWatch } from './cure-watch';

let mockPlanned: object[] = [];
const mockNotice = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push: jest.fn() }) }));
jest.mock('@/features/shelf', () => ({ usePlannedPieces: () => ({ planned: mockPlanned }) }));
jest.mock('@/features/shell', () => ({ useNotice: () => mockNotice }));

beforeEach(async () => {
  localStorage.clear();
  mockNotice.mockClear();
  await database().delete();
  await database().open();
});
afterAll(() => database().close());

/** Laid two days ago: ripe since yesterday. */
const laid = (at: number, patch: Partial<Piece> = {}): Piece => {
  const piece = readyPiece({ id: `piece-${at}`, name: `Piece ${at}`, ...patch });
  return { ...piece, lay: { ...piece.lay, laidAt: 48 * HOUR * Math.floor(Date.now() / (48 * HOUR)) - 48 * HOUR + at } };
};
function watch(pieces: readonly Piece[]): () => void {
  mockPlanned = pieces.map((piece) => ({ piece, plan: planPiece(piece, PICTURE, Date.now()) }));
  return render(<CureWatch />).unmount;
}
const told = () => mockNotice.mock.calls.map(([{ text }]: [{ text: string }]) => text);

it('tells of each piece once, however many dry at a time and however often it looks', async () => {
  const many = Array.from({ length: 70 }, (_, at) => laid(at));
  const close = watch(many);
  await waitFor(() => expect(mockNotice).toHaveBeenCalledTimes(70));
  close();
  watch(many);
  await new Promise((resolve) => setTimeout(resolve, 300));
  expect(mockNotice).toHaveBeenCalledTimes(70);
  expect(told()[0]).toMatch(/^Piece 0: .* since /);
});

it('of a set once for all that was laid together', async () => {
  watch([0, 1, 2].map((at) => laid(at, { set: { id: 'cards', name: 'Place cards', at } })));
  await waitFor(() => expect(mockNotice).toHaveBeenCalled());
  await new Promise((resolve) => setTimeout(resolve, 200));
  expect(told()).toEqual([expect.stringMatching(/^Place cards: .* since /)]);
});
