/** @jest-environment jsdom */
import '@/testing/browser';
import { act, renderHook, waitFor } from '@testing-library/react';
import { useLayoutEffect } from 'react';
import { addPieces, database, savePiece } from '@/storage';
import { NOW, readyPiece, storedPicture } from '@/testing/builders';
import { fullDisk } from '@/testing/full-disk';
import { setUnkept, unkeptOf } from '@/features/shell/not-kept';
import { usePiece, type PieceAccess } from './use-piece';

beforeEach(async () => {
  setUnkept('piece-1', null);
  await database().delete();
  await database().open();
  await addPieces(database(), [readyPiece()], []);
});
afterAll(() => database().close());

async function opened(id = 'piece-1') {
  const { result } = renderHook(() => usePiece(id));
  await waitFor(() => expect(result.current.state).not.toBe('loading'));
  const access = (): PieceAccess => {
    if (result.current.state !== 'open') throw new Error(result.current.state);
    return result.current.access;
  };
  const saved = () => waitFor(() => expect(access().saving).toBe(false));
  return { result, access, saved };
}
const onDisk = async () => {
  const piece = await database().pieces.get('piece-1');
  if (!piece) throw new Error('no piece');
  return piece;
};

it('shows a change at once, and says while it is on its way to the disk', async () => {
  const { access, saved } = await opened();
  act(() => access().change('surface', { widthMm: 300 }, 'width'));
  expect(access().piece.surface.widthMm).toBe(300);
  expect(access().saving).toBe(true);
  await saved();
  expect((await onDisk()).surface.widthMm).toBe(300);
});

it('what was refused before it was ever drawn leaves nothing behind: the same, typed again, is no change already made', async () => {
  const { access } = await opened();
  const refusedAtOnce = () =>
    act(async () => {
      access().change('surface', { widthMm: -5 }, 'width');
      // React draws nothing of it before it is refused.
      await new Promise((resolve) => setTimeout(resolve, 100));
    });
  await refusedAtOnce();
  await waitFor(() => expect(access().trouble).not.toBeNull());
  expect(access().piece.surface.widthMm).toBe(240);
  act(() => access().settle('theirs'));
  expect(access().trouble).toBeNull();
  await refusedAtOnce();
  await waitFor(() => expect(access().trouble).not.toBeNull());
});

it('keeps a change that is made before the first paint', async () => {
  let made = false;
  const { result } = renderHook(() => {
    const loaded = usePiece('piece-1');
    useLayoutEffect(() => {
      if (loaded.state !== 'open' || made) return;
      made = true;
      loaded.access.change('keep', { rating: 4 }, 'rating');
    }, [loaded]);
    return loaded;
  });
  await waitFor(() => expect(result.current).toMatchObject({ state: 'open', access: { saving: false } }));
  await waitFor(async () => expect((await onDisk()).keep.rating).toBe(4));
});

it('saves changes that follow on each other’s heels in their order, each with its own undo', async () => {
  const { access, saved } = await opened();
  act(() => {
    access().change('surface', { widthMm: 300 }, 'width');
    access().change('surface', { heightMm: 210 }, 'height');
    access().rename({ name: 'Timetable' }, 'name');
  });
  expect(access().piece).toMatchObject({ name: 'Timetable', surface: { widthMm: 300, heightMm: 210 } });
  await saved();
  expect(await onDisk()).toMatchObject({ name: 'Timetable', revision: 4, surface: { widthMm: 300, heightMm: 210 } });
  await waitFor(() => expect(access().history).toEqual({ undo: 'name', redo: null }));
});

it('undoes and does again what was done last, step by step to the beginning', async () => {
  const { access, saved } = await opened();
  act(() => access().change('surface', { widthMm: 300 }, 'width'));
  act(() => access().changeAll({ surface: { heightMm: 210 }, lay: { extendMm: 7 } }, 'height and rim'));
  await saved();
  const before = readyPiece();
  act(() => access().undo());
  await waitFor(() => expect(access().piece.surface.heightMm).toBe(before.surface.heightMm));
  expect(access().piece.lay.extendMm).toBe(before.lay.extendMm);
  expect(access().piece.surface.widthMm).toBe(300);
  act(() => access().undo());
  await waitFor(() => expect(access().history).toEqual({ undo: null, redo: 'width' }));
  expect(access().piece.surface).toEqual(before.surface);
  act(() => access().undo());
  act(() => access().redo());
  await waitFor(() => expect(access().piece.surface.widthMm).toBe(300));
});

it('takes in what another window saves, and keeps its own change elsewhere', async () => {
  const { access, saved } = await opened();
  const base = await onDisk();
  await act(async () => {
    await savePiece(database(), { base, mine: { ...base, name: 'Departures' }, label: 'name', now: NOW });
    access().change('surface', { widthMm: 300 }, 'width');
  });
  await saved();
  await waitFor(() => expect(access().piece).toMatchObject({ name: 'Departures', surface: { widthMm: 300 } }));
});

it.each([
  ['theirs', 310],
  ['mine', 300],
] as const)('brings a clash to the person: %s holds', async (choice, widthMm) => {
  const { access, saved } = await opened();
  const base = await onDisk();
  await act(async () => {
    const mine = { ...base, surface: { ...base.surface, widthMm: 310 } };
    const other = savePiece(database(), { base, mine, label: 'width', now: NOW });
    access().change('surface', { widthMm: 300 }, 'width');
    await other;
  });
  await waitFor(() => expect(access().trouble?.error.code).toBe('piece-conflict'));
  expect(access().trouble?.change.label).toBe('width');
  act(() => access().settle(choice));
  await saved();
  await waitFor(() => expect(access().piece.surface.widthMm).toBe(widthMm));
  expect(access().trouble).toBeNull();
  expect((await onDisk()).surface.widthMm).toBe(widthMm);
});

it('refuses a change that no piece can hold, and shows what is stored', async () => {
  const { access } = await opened();
  act(() => access().change('surface', { widthMm: -4 }, 'width'));
  await waitFor(() => expect(access().trouble).not.toBeNull());
  expect(access().piece.surface.widthMm).toBe(readyPiece().surface.widthMm);
  expect((await onDisk()).revision).toBe(1);
});

it('says that a piece is gone, and that one can’t be read', async () => {
  const gone = await opened('nowhere');
  expect(gone.result.current.state).toBe('gone');
  await database().pieces.put({ ...readyPiece(), id: 'piece-2', version: 9999 as 13 });
  const unreadable = await opened('piece-2');
  expect(unreadable.result.current.state).toBe('unreadable');
});

describe('a full disk', () => {
  afterEach(() => jest.restoreAllMocks());

  it('leaves what was changed on the page, says so, and keeps all of it once there is room', async () => {
    const { access, saved } = await opened();
    fullDisk();
    act(() => access().change('surface', { widthMm: 300 }, 'width'));
    await waitFor(() => expect(access().trouble).toMatchObject({ error: { code: 'storage-full' }, again: true }));
    expect(access().saving).toBe(false);
    act(() => access().settle('later'));
    act(() => access().change('surface', { heightMm: 210 }, 'height'));
    await waitFor(() => expect(access().retry).not.toBeNull());
    expect(access().piece.surface).toMatchObject({ widthMm: 300, heightMm: 210 });
    expect((await onDisk()).surface.widthMm).toBe(240);
    jest.restoreAllMocks();
    act(() => access().retry?.());
    await saved();
    await waitFor(() => expect(access().retry).toBeNull());
    expect((await onDisk()).surface).toMatchObject({ widthMm: 300, heightMm: 210 });
    expect(access().trouble).toBeNull();
  });

  it('what is given up goes back to what is stored', async () => {
    const { access } = await opened();
    fullDisk();
    act(() => access().change('surface', { widthMm: 300 }, 'width'));
    await waitFor(() => expect(access().trouble).not.toBeNull());
    act(() => access().settle('theirs'));
    await waitFor(() => expect(access().piece.surface.widthMm).toBe(240));
    expect(access().retry).toBeNull();
  });
});

it('a failed undo stops nothing that follows', async () => {
  const { access, saved } = await opened();
  act(() => access().change('surface', { widthMm: 300 }, 'width'));
  await saved();
  await waitFor(() => expect(access().history.undo).toBe('width'));
  fullDisk();
  await act(async () => {
    access().undo();
    await new Promise((resolve) => setTimeout(resolve, 100));
  });
  expect((await onDisk()).surface.widthMm).toBe(300);
  jest.restoreAllMocks();
  act(() => access().change('surface', { heightMm: 210 }, 'height'));
  await saved();
  await waitFor(async () => expect((await onDisk()).surface.heightMm).toBe(210));
});

it('keeps the pictures of a change that overrules another window', async () => {
  const { access, saved } = await opened();
  const base = await onDisk();
  const theirs = { ...base, name: 'Departures', picture: { ...base.picture, pictureId: 'theirs' } };
  await act(async () => {
    const other = savePiece(database(), {
      base,
      mine: theirs,
      label: 'theirs',
      now: NOW,
      pictures: [storedPicture('theirs')],
    });
    access().change('picture', { pictureId: 'mine' }, 'picture', [storedPicture('mine')]);
    await other;
  });
  await waitFor(() => expect(access().trouble?.error.code).toBe('piece-conflict'));
  act(() => access().settle('mine'));
  await saved();
  await waitFor(() => expect(access().piece).toMatchObject({ name: 'Departures', picture: { pictureId: 'mine' } }));
  expect(await database().pictures.get('mine')).toBeDefined();
});

it('takes back one after the other what was done in a breath', async () => {
  const { access, saved } = await opened();
  act(() => {
    access().change('surface', { widthMm: 300 }, 'width');
    access().change('surface', { heightMm: 210 }, 'height');
    access().undo();
    access().undo();
  });
  await saved();
  await waitFor(() => expect(access().history).toEqual({ undo: null, redo: 'width' }));
  expect((await onDisk()).surface).toEqual(readyPiece().surface);
});

it('no later success answers a clash: an empty second save, another field, or a clash about something else', async () => {
  const { access, saved } = await opened();
  const base = await onDisk();
  await act(async () => {
    const mine = { ...base, surface: { ...base.surface, widthMm: 310, heightMm: 410 } };
    const other = savePiece(database(), { base, mine, label: 'both', now: NOW });
    access().change('surface', { widthMm: 300 }, 'width');
    // Enter moved the focus on, and leaving the field says the same once more.
    access().change('surface', { widthMm: 300 }, 'width');
    access().change('surface', { heightMm: 400 }, 'height');
    access().change('keep', { notes: 'kept' }, 'notes');
    await other;
  });
  await saved();
  await waitFor(() => expect(access().trouble?.change.label).toBe('width'));
  expect((await onDisk()).keep.notes).toBe('kept');
  act(() => access().settle('mine'));
  await saved();
  await waitFor(() => expect(access().trouble?.change.label).toBe('height'));
  act(() => access().settle('theirs'));
  await waitFor(() => expect(access().trouble).toBeNull());
  expect((await onDisk()).surface).toMatchObject({ widthMm: 300, heightMm: 410 });
});

it('what changes nothing is no change: one undo takes back one change', async () => {
  const { access, saved } = await opened();
  act(() => {
    access().change('surface', { widthMm: 300 }, 'width');
    access().change('surface', { widthMm: 300 }, 'width');
  });
  await saved();
  expect((await onDisk()).revision).toBe(2);
  await waitFor(() => expect(access().history.undo).toBe('width'));
  act(() => access().undo());
  await waitFor(() => expect(access().piece.surface.widthMm).toBe(240));
});

it('a change that could not be kept waits for whoever comes back to the piece', async () => {
  const { result, unmount } = renderHook(() => usePiece('piece-1'));
  await waitFor(() => expect(result.current.state).toBe('open'));
  fullDisk();
  act(() => {
    if (result.current.state === 'open') result.current.access.change('surface', { widthMm: 300 }, 'width');
  });
  await waitFor(() => expect(unkeptOf('piece-1')?.label).toBe('width'));
  unmount();
  const { access } = await opened();
  expect(access().piece.surface.widthMm).toBe(300);
  jest.restoreAllMocks();
  act(() => access().retry?.());
  await waitFor(async () => expect((await onDisk()).surface.widthMm).toBe(300));
  expect(unkeptOf('piece-1')).toBeNull();
});
