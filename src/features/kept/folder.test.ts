import { MS_PER_DAY } from '@/core/shared';
import { NOW } from '@/testing/builders';
import { askToWrite, copyIsDue, copyName, mayWrite, writeInto } from './folder';

/** A folder in memory: a file stands from the moment it is asked for, and has its bytes once it is closed. */
function folderOf(
  names: readonly string[],
  { full = false, permission }: { full?: boolean; permission?: string } = {},
) {
  const files = new Map<string, string>(names.map((name) => [name, 'whole']));
  const handle = {
    keys: () => files.keys(),
    removeEntry: (name: string) =>
      files.delete(name) ? Promise.resolve() : Promise.reject(new DOMException(name, 'NotFoundError')),
    getFileHandle: (name: string) => {
      if (!files.has(name)) files.set(name, '');
      let written = '';
      return Promise.resolve({
        createWritable: () =>
          full
            ? Promise.reject(new DOMException('full', 'QuotaExceededError'))
            : Promise.resolve(
                new WritableStream<string>({
                  write: (part) => void (written += part),
                  close: () => void files.set(name, written),
                }),
              ),
      });
    },
    ...(permission && {
      queryPermission: () => Promise.resolve(permission),
      requestPermission: () => Promise.resolve(permission === 'prompt' ? 'granted' : permission),
    }),
  };
  return { files, folder: handle as unknown as FileSystemDirectoryHandle };
}
const whole = async (out: WritableStream): Promise<boolean> => {
  const writer = (out as WritableStream<string>).getWriter();
  await writer.write('copy');
  await writer.close();
  return true;
};
const half = async (out: WritableStream): Promise<boolean> => {
  const writer = (out as WritableStream<string>).getWriter();
  await writer.write('co');
  writer.releaseLock();
  return false;
};
const old = [1, 2, 3, 4, 5].map((days) => copyName(NOW - days * MS_PER_DAY));

describe('a copy in the chosen folder', () => {
  it('has the day’s name here, stands beside the last four, and leaves other files alone', async () => {
    const { files, folder } = folderOf(['holiday.zip', 'fobbet-notes.zip', ...old]);
    expect(await writeInto(folder, NOW, whole)).toBe(true);
    expect(copyName(NOW)).toBe('fobbet-2026-03-04.zip');
    // By the day here, not by Greenwich's.
    expect(copyName(new Date(2026, 2, 4, 0, 5).getTime())).toBe('fobbet-2026-03-04.zip');
    expect(copyName(new Date(2026, 2, 4, 23, 55).getTime())).toBe('fobbet-2026-03-04.zip');
    expect([...files.keys()].sort()).toEqual(
      ['holiday.zip', 'fobbet-notes.zip', ...old.slice(0, 4), copyName(NOW)].sort(),
    );
    expect(files.get(copyName(NOW))).toBe('copy');
  });

  it('of the same day takes the place of the one before', async () => {
    const { files, folder } = folderOf([copyName(NOW)]);
    expect(await writeInto(folder, NOW, whole)).toBe(true);
    expect([...files]).toEqual([[copyName(NOW), 'copy']]);
  });

  it('that is not written whole leaves nothing, and every old one', async () => {
    const { files, folder } = folderOf(old);
    expect(await writeInto(folder, NOW, half)).toBe(false);
    expect([...files.keys()].sort()).toEqual([...old].sort());
    const failing = () => Promise.reject(new Error('no room'));
    await expect(writeInto(folder, NOW, failing)).rejects.toThrow('no room');
    expect([...files.keys()].sort()).toEqual([...old].sort());
  });

  it('that is not written whole leaves the day’s earlier one as it was', async () => {
    const { files, folder } = folderOf([copyName(NOW)]);
    expect(await writeInto(folder, NOW, half)).toBe(false);
    expect(files.get(copyName(NOW))).toBe('whole');
  });

  it('on a full disk throws, and leaves no empty file', async () => {
    const { files, folder } = folderOf(old, { full: true });
    await expect(writeInto(folder, NOW, whole)).rejects.toThrow('full');
    expect([...files.keys()].sort()).toEqual([...old].sort());
  });
});

it('writing is allowed where the browser says so, asks for nothing where it does not ask, and asks when pressed', async () => {
  expect(await mayWrite(folderOf([]).folder)).toBe(true);
  for (const permission of ['granted', 'prompt', 'denied']) {
    const { folder } = folderOf([], { permission });
    expect(await mayWrite(folder)).toBe(permission === 'granted');
    expect(await askToWrite(folder)).toBe(permission !== 'denied');
  }
});

it('a copy is due after twenty changes, or after a day with any', () => {
  expect(copyIsDue(0, null, NOW)).toBe(false);
  expect(copyIsDue(1, null, NOW)).toBe(true);
  expect(copyIsDue(19, NOW - MS_PER_DAY, NOW)).toBe(false);
  expect(copyIsDue(20, NOW, NOW)).toBe(true);
  expect(copyIsDue(1, NOW - MS_PER_DAY - 1, NOW)).toBe(true);
  expect(copyIsDue(0, NOW - 9 * MS_PER_DAY, NOW)).toBe(false);
});
