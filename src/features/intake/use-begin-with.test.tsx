/** @jest-environment jsdom */
import '@/testing/browser';
import { act, renderHook } from '@testing-library/react';
import { fail, ok } from '@/core/shared';
import { addPieces, database } from '@/storage';
import { readyPiece } from '@/testing/builders';
import { fullDisk } from '@/testing/full-disk';
import { MOST_FILES } from './dropped-files';
import { addTaker, currentTaker } from './taker';
import { useBeginWith } from './use-begin-with';

interface Said {
  text: string;
  tone?: string;
  action?: { run: () => void };
}
const mockSaid: Said[] = [];
const mockWent: string[] = [];
jest.mock('@/features/shell', () => ({
  useNotice: () => (notice: Said) => mockSaid.push(notice),
  useReport: () => (result: { ok: boolean }) => {
    if (!result.ok) mockSaid.push({ text: 'not kept', tone: 'error' });
    return result.ok;
  },
}));
jest.mock('next/navigation', () => ({ useRouter: () => ({ push: (path: string) => mockWent.push(path) }) }));
/** A picture where the file's name ends in jpg; none, else; given up where it is called so. */
function mockInspect(file: File) {
  const found = {
    ...{ type: 'image/jpeg', sha256: '0'.repeat(64), widthPx: 40, heightPx: 30, paleShare: 0, darkShare: 0 },
    ...{ sketch: null, file, preview: file, remarks: file.name.startsWith('small') ? ['small'] : [] },
  };
  const answer = file.name.endsWith('.jpg') ? ok(found) : fail('picture-broken', 'no picture');
  return { done: Promise.resolve(file.name === 'stopped.jpg' ? null : answer), stop: () => undefined };
}
jest.mock('@/workers/picture/client', () => ({ inspectPicture: mockInspect }));

const file = (name: string) => new File(['picture'], name);
async function begin(...names: string[]): Promise<void> {
  const { result } = renderHook(() => useBeginWith());
  await act(() => result.current(names.map(file)));
}
const kept = () => database().pieces.orderBy('id').toArray();
const names = async () => (await kept()).map(({ name }) => name).sort();

beforeEach(async () => {
  mockSaid.length = 0;
  mockWent.length = 0;
  await database().delete({ disableAutoOpen: false });
});
afterEach(() => jest.restoreAllMocks());
afterAll(() => database().close());

describe('pictures that are dropped', () => {
  it('one begins one piece with it, under the file’s name, and opens that', async () => {
    await begin('Old mill.jpg');
    const [piece] = await kept();
    expect(piece).toMatchObject({ name: 'Old mill', sheet: { paper: 'a4' } });
    expect(await database().pictures.get(piece.picture.pictureId!)).toBeDefined();
    expect(mockWent).toEqual([`/piece/${piece.id}/picture`]);
    expect(mockSaid).toEqual([]);
  });

  it('several begin several, in one go; what is none is named, and all can be taken back', async () => {
    await begin('a.jpg', 'letter.txt', 'b.jpg');
    expect(await names()).toEqual(['a', 'b']);
    expect(mockWent).toEqual(['/pieces']);
    const last = mockSaid.at(-1)!;
    expect(last.text).toBe('2 pieces begun. Left out: letter.txt.');
    await act(async () => {
      last.action!.run();
      await new Promise((resolve) => setTimeout(resolve, 50));
    });
    expect(await names()).toEqual([]);
  });

  it('none among them says why, begins nothing and goes nowhere', async () => {
    await begin('letter.txt');
    expect([await names(), mockWent]).toEqual([[], []]);
    expect(mockSaid).toHaveLength(1);
    expect(mockSaid[0].tone).toBe('error');
    expect(mockSaid[0].text).toMatch(/\.$/);
  });

  it('one that is given up meanwhile is left out without a word', async () => {
    await begin('stopped.jpg');
    expect([await names(), mockWent, mockSaid]).toEqual([[], [], []]);
    await begin();
    expect([await names(), mockWent, mockSaid]).toEqual([[], [], []]);
  });

  it('more than can be looked after are refused before the first is read', async () => {
    await begin(...Array.from({ length: MOST_FILES + 1 }, (_, at) => `${at}.jpg`));
    expect(await names()).toEqual([]);
    expect(mockSaid).toEqual([expect.objectContaining({ tone: 'error' }) as Said]);
    expect(mockSaid[0].text).toContain(String(MOST_FILES));
  });

  it('on a full disk nothing is begun, and it is said', async () => {
    fullDisk();
    await begin('a.jpg', 'b.jpg');
    jest.restoreAllMocks();
    expect([await names(), mockWent]).toEqual([[], []]);
    expect(mockSaid.at(-1)).toEqual({ text: 'not kept', tone: 'error' });
  });

  it('a file without a name begins a piece that is numbered', async () => {
    await addPieces(database(), [readyPiece()]);
    await begin('.jpg');
    expect(await names()).toEqual([expect.stringMatching(/^(Piece 2|\.jpg|jpg)$/) as string, 'Route map']);
  });
});

describe('who takes what is dropped anywhere', () => {
  const taker = (what: string) => ({ what, take: () => undefined });

  it('is the newest on the screen, and the one before once that is gone, in whatever order they go', () => {
    expect(currentTaker()).toBeNull();
    const [first, second] = [taker('first'), taker('second')];
    const offFirst = addTaker(first);
    const offSecond = addTaker(second);
    expect(currentTaker()).toBe(second);
    offFirst();
    expect(currentTaker()).toBe(second);
    offSecond();
    offSecond();
    expect(currentTaker()).toBeNull();
  });
});
