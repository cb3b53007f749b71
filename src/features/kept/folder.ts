/**
 * A folder that copies go to by themselves, where the browser lets a page write to one. Each copy is written under
 * another name first and takes its own only when it is whole.
 */
import { format } from 'date-fns';
import { MS_PER_DAY } from '@/core/shared';

type Permission = 'granted' | 'denied' | 'prompt';
/** What the browser adds to a handle; the standard library of types does not know it yet. */
interface Asking {
  queryPermission?: (asked: { mode: 'readwrite' }) => Promise<Permission>;
  requestPermission?: (asked: { mode: 'readwrite' }) => Promise<Permission>;
}
interface Picker {
  showDirectoryPicker?: (asked: { id: string; mode: 'readwrite' }) => Promise<FileSystemDirectoryHandle>;
}
const WRITE = { mode: 'readwrite' } as const;

export const canChooseFolder = (): boolean => typeof window !== 'undefined' && 'showDirectoryPicker' in window;

/** Null where the person called it off. */
export async function chooseFolder(): Promise<FileSystemDirectoryHandle | null> {
  try {
    return (await (window as Picker).showDirectoryPicker?.({ id: 'fobbet', ...WRITE })) ?? null;
  } catch {
    return null;
  }
}

export const mayWrite = async (folder: FileSystemDirectoryHandle): Promise<boolean> =>
  ((await (folder as Asking).queryPermission?.(WRITE)) ?? 'granted') === 'granted';
export const askToWrite = async (folder: FileSystemDirectoryHandle): Promise<boolean> =>
  ((await (folder as Asking).requestPermission?.(WRITE)) ?? 'granted') === 'granted';

/** Copies in the folder that are kept. */
const KEPT_COPIES = 5;
const COPY = /^fobbet-\d{4}-\d\d-\d\d\.zip$/;

/** By the day here. */
export const copyName = (now: number): string => `fobbet-${format(now, 'yyyy-MM-dd')}.zip`;

/** Writes a copy into the folder; older ones than the last few go. @throws what the file system throws */
export async function writeInto(
  folder: FileSystemDirectoryHandle,
  now: number,
  write: (out: WritableStream<Uint8Array>) => Promise<boolean>,
): Promise<boolean> {
  const name = copyName(now);
  const isFirstToday = !(await copiesIn(folder)).includes(name);
  let isWhole = false;
  try {
    const file = await folder.getFileHandle(name, { create: true });
    // The browser swaps it in when it is closed: an old copy of the day stays until then.
    const out = await file.createWritable();
    isWhole = await write(out);
    if (!isWhole) await out.abort().catch(() => undefined);
  } finally {
    // An empty file is no copy, and would push an old one out.
    if (!isWhole && isFirstToday) await folder.removeEntry(name).catch(() => undefined);
  }
  if (!isWhole) return false;
  for (const old of (await copiesIn(folder)).slice(0, -KEPT_COPIES)) await folder.removeEntry(old);
  return true;
}

/** The copies' names, the oldest first. */
async function copiesIn(folder: FileSystemDirectoryHandle): Promise<string[]> {
  const names: string[] = [];
  for await (const name of (folder as unknown as { keys: () => AsyncIterable<string> }).keys())
    if (COPY.test(name)) names.push(name);
  return names.sort();
}

/** So many changes, or any after a day, are worth a copy. */
const CHANGES_FOR_COPY = 20;
export const copyIsDue = (changes: number, madeAt: number | null, now: number): boolean =>
  changes >= CHANGES_FOR_COPY || (changes > 0 && (madeAt === null || now - madeAt > MS_PER_DAY));
