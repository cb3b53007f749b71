/** @jest-environment jsdom */
import '@/testing/browser';
import { renderHook } from '@testing-library/react';
import { FAULT_SIGNS } from '@/core/craft';
import type { JobPatch } from '@/core/stations';
import type { PlannedPiece } from '@/features/plans';
import { MOST_FAULT_NOTES, type Piece } from '@/records';
import { addPieces, database } from '@/storage';
import { readyPiece } from '@/testing/builders';
import { fullDisk } from '@/testing/full-disk';
import { useFaultPress } from './use-fault-press';

const mockSaid: { text: string; tone?: string }[] = [];
jest.mock('@/features/shell', () => ({
  useNotice: () => (notice: { text: string }) => mockSaid.push(notice),
  useReport: () => (result: { ok: boolean }) => {
    if (!result.ok) mockSaid.push({ text: 'not kept', tone: 'error' });
    return result.ok;
  },
}));

const [SIGN] = FAULT_SIGNS;
const patch: JobPatch = { lay: { extendMm: 12 } };
const as = (piece: Piece) => ({ piece }) as PlannedPiece;
const stored = async (id: string) => (await database().pieces.get(id))!;
const pressing = () => renderHook(() => useFaultPress('bubbles', [SIGN])).result.current;

beforeEach(async () => {
  mockSaid.length = 0;
  await database().delete({ disableAutoOpen: false });
  await addPieces(database(), [readyPiece({ id: 'a', name: 'Sign' }), readyPiece({ id: 'b', name: 'Next' })]);
});
afterEach(() => jest.restoreAllMocks());
afterAll(() => database().close());

it('a change is made in the piece and noted there, in one step that undo takes back', async () => {
  const before = await stored('a');
  await pressing().change(as(before), patch, 'warm-room');
  const after = await stored('a');
  expect(after.lay.extendMm).toBe(12);
  expect(after.revision).toBe(before.revision + 1);
  expect(after.faults.notes).toMatchObject([{ cause: 'bubbles', signs: [SIGN], remedy: 'warm-room' }]);
  expect(await database().history.where({ pieceId: 'a' }).count()).toBe(1);
  expect(mockSaid).toHaveLength(1);
  expect(mockSaid[0].text).toMatch(/^In the plan of Sign: /);
});

it('what is learnt for the next piece changes that, and is noted with the one that taught it', async () => {
  const [taught, next] = [await stored('a'), await stored('b')];
  await pressing().changeOther(as(next), patch, as(taught), 'warm-room');
  expect((await stored('b')).lay.extendMm).toBe(12);
  expect((await stored('b')).faults.notes).toEqual([]);
  expect((await stored('a')).lay.extendMm).toBe(taught.lay.extendMm);
  expect((await stored('a')).faults.notes).toHaveLength(1);
  expect(mockSaid.map(({ text }) => text)).toEqual([expect.stringMatching(/^In the plan of Next: /)]);
});

it('a cause alone is noted without a remedy, and no more notes are kept than a piece may have', async () => {
  for (let times = 0; times < MOST_FAULT_NOTES + 3; times++) await pressing().note(as(await stored('a')), null);
  const { notes } = (await stored('a')).faults;
  expect(notes).toHaveLength(MOST_FAULT_NOTES);
  expect(notes.every(({ remedy }) => remedy === null)).toBe(true);
});

it('what can’t be kept is said, and nothing else is', async () => {
  const before = await stored('a');
  fullDisk();
  await pressing().change(as(before), patch, 'warm-room');
  expect(mockSaid).toEqual([{ text: 'not kept', tone: 'error' }]);
  jest.restoreAllMocks();
  expect(await stored('a')).toEqual(before);
});

it('where the next piece can’t be kept, nothing is noted with the first', async () => {
  const [taught, next] = [await stored('a'), await stored('b')];
  fullDisk();
  await pressing().changeOther(as(next), patch, as(taught), 'warm-room');
  jest.restoreAllMocks();
  expect((await stored('a')).faults.notes).toEqual([]);
  expect(mockSaid.map(({ text }) => text)).toEqual(['not kept']);
});
