/** @jest-environment jsdom */
import '@/testing/browser';
import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import type { PlannedPiece } from '@/features/plans';
import type { Piece, PictureRecord } from '@/records';
import { addPieces, database } from '@/storage';
import { readyPiece } from '@/testing/builders';
import { fullDisk } from '@/testing/full-disk';
import { LetteringOnce } from './lettering-once';

const mockSaid: { text: string; action?: { run: () => void } }[] = [];
const mockNotice = (notice: { text: string }) => mockSaid.push(notice);
const mockReport = (result: { ok: boolean }) => {
  if (!result.ok) mockSaid.push({ text: 'not kept' });
  return result.ok;
};
jest.mock('@/features/shell/notices', () => ({ useNotice: () => mockNotice }));
jest.mock('@/features/shell/use-report', () => ({ useReport: () => mockReport }));

const one = (id: string, patch: Partial<Piece['picture']> = {}, laidAt: number | null = null): Piece => {
  const piece = readyPiece({ id, name: `Piece ${id}` });
  return { ...piece, picture: { ...piece.picture, lettering: null, ...patch }, lay: { ...piece.lay, laidAt } };
};
const planned = (pieces: readonly Piece[], reads: readonly string[] = []) =>
  pieces.map((piece) => ({ piece, picture: { reads: reads.includes(piece.id) } as PictureRecord }) as PlannedPiece);
const stored = async () =>
  Object.fromEntries((await database().pieces.toArray()).map((piece) => [piece.id, piece.picture.lettering]));

beforeEach(async () => {
  mockSaid.length = 0;
  await database().delete({ disableAutoOpen: false });
});
afterEach(() => jest.restoreAllMocks());
afterAll(() => database().close());

const THREE = [one('a'), one('b'), one('c')];

test('a folder is answered with one press, and taken back with one', async () => {
  await addPieces(database(), THREE);
  render(<LetteringOnce planned={planned(THREE)} />);
  expect(screen.getByText('Is there lettering on these 3 pieces, or will there be?')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'None has' }));
  await waitFor(async () => expect(await stored()).toEqual({ a: 'no', b: 'no', c: 'no' }));
  await waitFor(() => expect(mockSaid[0]?.text).toBe('Said of 3 pieces: 0 with lettering.'));
  act(() => mockSaid[0]?.action?.run());
  await waitFor(async () => expect(await stored()).toEqual({ a: null, b: null, c: null }));
});

test('what looks as if it can be read is ticked, and can be unticked', async () => {
  await addPieces(database(), THREE);
  render(<LetteringOnce planned={planned(THREE, ['a', 'b'])} />);
  expect(screen.getByTestId('lettering-once').textContent).toContain('Something can be read on 2 of them, it seems.');
  fireEvent.click(screen.getByTestId('lettering-some'));
  expect(screen.getAllByRole<HTMLInputElement>('checkbox').map(({ checked }) => checked)).toEqual([true, true, false]);
  fireEvent.click(screen.getByRole('checkbox', { name: 'Piece b' }));
  fireEvent.click(screen.getByRole('checkbox', { name: 'Piece c' }));
  fireEvent.click(screen.getByRole('button', { name: 'Right so: 2 with lettering, 1 without' }));
  await waitFor(async () => expect(await stored()).toEqual({ a: 'yes', b: 'no', c: 'yes' }));
});

test('asks of those alone that have a picture, no answer, and are not laid; one alone is not asked here', () => {
  const { rerender } = render(
    <LetteringOnce planned={planned([one('a'), one('b', { lettering: 'no' }), one('c', {}, 1)])} />,
  );
  expect(screen.queryByTestId('lettering-once')).toBeNull();
  rerender(<LetteringOnce planned={[...planned([one('a')]), { ...planned([one('b')])[0], picture: null }]} />);
  expect(screen.queryByTestId('lettering-once')).toBeNull();
  rerender(<LetteringOnce planned={planned([one('a'), one('d')])} />);
  expect(screen.getByText(/these 2 pieces/)).toBeTruthy();
});

test('a set with one picture is asked once, and follows its first; with pictures of their own each is asked', async () => {
  const inSet = (id: string, at: number, patch: Partial<Piece['picture']> = {}): Piece => ({
    ...one(id, patch),
    set: { id: 's', name: 'Tins', at },
  });
  const pieces = [inSet('a', 0), inSet('b', 1), one('c')];
  await addPieces(database(), pieces);
  const { unmount } = render(<LetteringOnce planned={planned(pieces, ['a'])} />);
  fireEvent.click(screen.getByTestId('lettering-some'));
  expect(screen.getAllByRole('checkbox')).toHaveLength(2);
  fireEvent.click(screen.getByRole('button', { name: 'Right so: 1 with lettering, 1 without' }));
  await waitFor(async () => expect(await stored()).toEqual({ a: 'yes', b: 'yes', c: 'no' }));
  unmount();
  render(<LetteringOnce planned={planned([inSet('a', 0), inSet('b', 1, { pictureId: 'other' })])} />);
  expect(screen.getByText(/these 2 pieces/)).toBeTruthy();
});

test('where there is no room nothing is said of any, and it can be pressed again', async () => {
  await addPieces(database(), THREE);
  fullDisk();
  render(<LetteringOnce planned={planned(THREE)} />);
  fireEvent.click(screen.getByRole('button', { name: 'All have' }));
  await waitFor(() => expect(mockSaid.map(({ text }) => text)).toEqual(['not kept']));
  jest.restoreAllMocks();
  expect(await stored()).toEqual({ a: null, b: null, c: null });
  fireEvent.click(screen.getByRole('button', { name: 'All have' }));
  await waitFor(async () => expect(await stored()).toEqual({ a: 'yes', b: 'yes', c: 'yes' }));
});
