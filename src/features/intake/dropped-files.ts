/** As many as one drop may bring: a folder of a whole camera is a mistake. */
export const MOST_FILES = 60;
const DEEPEST = 4;

const isHidden = (name: string): boolean => name.startsWith('.') || name === 'Thumbs.db';

/** All files of a drop, those in its folders included, by name; no more than one over the most that are taken. */
export async function droppedFiles(data: DataTransfer): Promise<File[]> {
  // The entries are gone once the event is over: they are asked for before anything is awaited.
  const entries = [...data.items].map((item) => (item.kind === 'file' ? item.webkitGetAsEntry() : null));
  if (!entries.some((entry) => entry?.isDirectory)) return [...data.files].slice(0, MOST_FILES + 1);
  const found: File[] = [];
  for (const entry of entries) if (entry) await gather(entry, found, 0);
  return found.sort((a, b) => a.name.localeCompare(b.name));
}

async function gather(entry: FileSystemEntry, found: File[], depth: number): Promise<void> {
  if (found.length > MOST_FILES || isHidden(entry.name) || depth > DEEPEST) return;
  if (entry.isFile) {
    const file = await new Promise<File | null>((resolve) =>
      (entry as FileSystemFileEntry).file(resolve, () => resolve(null)),
    );
    if (file) found.push(file);
    return;
  }
  const reader = (entry as FileSystemDirectoryEntry).createReader();
  // A folder is read in parts, until a part is empty.
  for (;;) {
    const part = await new Promise<FileSystemEntry[]>((resolve) => reader.readEntries(resolve, () => resolve([])));
    if (part.length === 0) return;
    for (const one of part) await gather(one, found, depth + 1);
  }
}

/** "IMG_2041.heic" to "IMG 2041"; nothing where only signs are left. */
export const nameOf = (file: string): string =>
  file
    .replace(/\.[^.]{1,5}$/, '')
    .replace(/[_\s]+/g, ' ')
    .trim()
    .slice(0, 120);
