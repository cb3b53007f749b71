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
jest.mock('@/features/plans', () => ({ usePlannedPieces: () => ({ planned: mockPlanned }) }));
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
async function watch(pieces: readonly Piece[]): Promise<() => void> {
  await database().pieces.bulkPut([...pieces]);
  mockPlanned = pieces.map((piece) => ({ piece, plan: planPiece(piece, PICTURE, Date.now()) }));
  return render(<CureWatch />).unmount;
}
const told = () => mockNotice.mock.calls.map(([{ text }]: [{ text: string }]) => text);

it('tells of each piece once, however many dry at a time and however often it looks', async () => {
  const many = Array.from({ length: 70 }, (_, at) => laid(at));
  const close = await watch(many);
  await waitFor(() => expect(mockNotice).toHaveBeenCalledTimes(70));
  close();
  await watch(many);
  await new Promise((resolve) => setTimeout(resolve, 300));
  expect(mockNotice).toHaveBeenCalledTimes(70);
  expect(told()[0]).toMatch(/^Piece 0: .* since /);
});

it('of a set once for all that was laid together', async () => {
  await watch([0, 1, 2].map((at) => laid(at, { set: { id: 'cards', name: 'Place cards', at } })));
  await waitFor(() => expect(mockNotice).toHaveBeenCalled());
  await new Promise((resolve) => setTimeout(resolve, 200));
  expect(told()).toEqual([expect.stringMatching(/^Place cards: .* since /)]);
});

it('tells again what turned out to need longer, once it is so', async () => {
  const piece = laid(0);
  await database().pieces.put(piece);
  const plan = planPiece(piece, PICTURE, Date.now());
  const ripeAt = (at: number) => [
    { piece, plan: { ...plan, cure: { ...plan.cure, clock: { ...plan.cure.clock!, readyAt: at } } } },
  ];
  const open = (at: number) => {
    mockPlanned = ripeAt(at);
    return render(<CureWatch />).unmount;
  };
  const close = open(Date.now() - HOUR);
  await waitFor(() => expect(mockNotice).toHaveBeenCalledTimes(1));
  close();
  open(Date.now() + 5 * HOUR)();
  const closeAgain = open(Date.now() - HOUR);
  await waitFor(() => expect(mockNotice).toHaveBeenCalledTimes(2));
  closeAgain();
  // A few minutes more or less are no other answer.
  open(Date.now() + HOUR / 6)();
  open(Date.now() - HOUR);
  await new Promise((resolve) => setTimeout(resolve, 300));
  expect(mockNotice).toHaveBeenCalledTimes(2);
});

it('says nothing of what changed before it could be said: a clock that was set carries the wait along', async () => {
  const piece = laid(0);
  await database().pieces.put({ ...piece, revision: piece.revision + 1 });
  mockPlanned = [{ piece, plan: planPiece(piece, PICTURE, Date.now()) }];
  render(<CureWatch />);
  await new Promise((resolve) => setTimeout(resolve, 300));
  expect(mockNotice).not.toHaveBeenCalled();
});
