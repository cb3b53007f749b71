/** @jest-environment jsdom */
import '@/testing/browser';
import { act, renderHook, waitFor } from '@testing-library/react';
import { useBeginLike } from '@/features/shelf/use-begin-like';
import type { Piece } from '@/records';
import { addPieces, database } from '@/storage';
import { NOW, readyPiece } from '@/testing/builders';
import { fullDisk } from '@/testing/full-disk';
import { useMakeSet } from './use-make-set';
import { useRemoveSeveral } from './use-remove-several';

interface Said {
  text: string;
  action?: { run: () => void };
}
const mockSaid: Said[] = [];
const mockWent: string[] = [];
const mockNotice = (notice: Said) => mockSaid.push(notice);
const mockReport = (result: { ok: boolean }) => {
  if (!result.ok) mockSaid.push({ text: 'not kept' });
  return result.ok;
};
jest.mock('@/features/shell/notices', () => ({ useNotice: () => mockNotice }));
jest.mock('@/features/shell/use-report', () => ({ useReport: () => mockReport }));
jest.mock('next/navigation', () => ({ useRouter: () => ({ push: (path: string) => mockWent.push(path) }) }));
jest.mock('next/dynamic', () => ({ __esModule: true, default: () => () => null }));

const stored = async (id: string): Promise<Piece> => (await database().pieces.get(id))!;
const ids = async () => (await database().pieces.orderBy('id').primaryKeys()).sort();

beforeEach(async () => {
  mockSaid.length = 0;
  mockWent.length = 0;
  await database().delete({ disableAutoOpen: false });
  await addPieces(database(), [
    readyPiece({ id: 'a', name: 'Sign' }),
    readyPiece({ id: 'b', name: 'Tray', surface: { ...readyPiece().surface, kind: 'hard-wood', widthMm: 111 } }),
    readyPiece({ id: 'c', name: 'Box' }),
  ]);
});
afterEach(() => jest.restoreAllMocks());
afterAll(() => database().close());

describe('pieces that become a set', () => {
  const make = async (...of: string[]) => {
    const pieces = await Promise.all(of.map(stored));
    const { result } = renderHook(() => useMakeSet());
    await act(() => result.current(pieces));
  };

  it('are planned as the first, in the order they were chosen; undo makes each what it was', async () => {
    const before = await stored('b');
    await make('a', 'b');
    const [a, b] = [await stored('a'), await stored('b')];
    expect(a.set).toMatchObject({ name: 'Sign', at: 0 });
    expect(b.set).toEqual({ ...a.set, at: 1 });
    expect(b.surface.kind).toBe(a.surface.kind);
    expect(b.name).toBe('Tray');
    expect((await stored('c')).set).toBeNull();
    expect(mockWent).toEqual([`/pieces/set?id=${a.set!.id}`]);
    expect(mockSaid[0].text).toBe('2 pieces are a set, planned as Sign.');
    mockSaid[0].action!.run();
    await waitFor(async () => {
      expect((await stored('a')).set).toBeNull();
      expect(await stored('b')).toMatchObject({ set: null, surface: before.surface });
    });
  });

  it('of none is none', async () => {
    await make();
    expect([mockSaid, mockWent]).toEqual([[], []]);
  });

  it('on a full disk are none, and nobody is told that they are', async () => {
    fullDisk();
    await make('a', 'b');
    jest.restoreAllMocks();
    expect(mockSaid).toEqual([{ text: 'not kept' }]);
    expect(mockWent).toEqual([]);
    for (const id of ['a', 'b']) expect((await stored(id)).set).toBeNull();
  });

  it('of which one can’t be kept are none: what was made of it is taken back', async () => {
    const [a, b] = [await stored('a'), { ...(await stored('b')), id: 'gone' }];
    const { result } = renderHook(() => useMakeSet());
    await act(() => result.current([a, b]));
    expect((await stored('a')).set).toBeNull();
    expect(mockSaid.map(({ text }) => text)).toEqual(['not kept']);
    expect(mockWent).toEqual([]);
  });
});

describe('pieces that are removed together', () => {
  const remove = async (...of: string[]) => {
    const { result } = renderHook(() => useRemoveSeveral());
    await act(() => result.current(of.map((id) => ({ id, name: id }))));
  };

  it('go into the bin, and come back together', async () => {
    await remove('a', 'c');
    expect(await ids()).toEqual(['b']);
    expect(mockSaid[0].text).toBe('2 pieces were removed.');
    mockSaid[0].action!.run();
    await waitFor(async () => expect(await ids()).toEqual(['a', 'b', 'c']));
  });

  it('one alone is named; none is nothing', async () => {
    await remove('a');
    expect(mockSaid.map(({ text }) => text)).toEqual(['a was removed.']);
    mockSaid.length = 0;
    await remove();
    expect(mockSaid).toEqual([]);
  });

  it('on a full disk stay, and it is said once', async () => {
    fullDisk();
    await remove('a', 'c');
    jest.restoreAllMocks();
    expect(await ids()).toEqual(['a', 'b', 'c']);
    expect(mockSaid).toEqual([{ text: 'not kept' }]);
  });
});

describe('another like one', () => {
  const like = async (piece: Piece, withoutPicture: boolean) => {
    const { result } = renderHook(() => useBeginLike());
    await act(() => result.current(piece, { withoutPicture }));
    return (await database().pieces.toArray()).find(({ id }) => !['a', 'b', 'c'].includes(id));
  };

  it('has all that was chosen, nothing that was done, a name and a life of its own', async () => {
    const done = { ...(await stored('a')), lay: { ...(await stored('a')).lay, laidAt: NOW } };
    const other = await like(done, false);
    expect(other).toMatchObject({ surface: done.surface, method: done.method, picture: done.picture });
    expect(other!.lay.laidAt).toBeNull();
    expect(other!.name).not.toBe('Sign');
    expect(mockWent).toEqual([`/piece/${other!.id}/surface`]);
  });

  it('with another picture begins at that', async () => {
    const other = await like(await stored('a'), true);
    expect(other!.picture.pictureId).toBeNull();
    expect(mockWent).toEqual([`/piece/${other!.id}/picture`]);
  });

  it('on a full disk is none', async () => {
    fullDisk();
    const other = await like(await stored('a'), false);
    expect(other).toBeUndefined();
    expect(mockWent).toEqual([]);
  });
});
