import { MOST_FILES, droppedFiles, nameOf } from './dropped-files';

it.each([
  ['IMG_2041.heic', 'IMG 2041'],
  ['viaduct at dusk.jpg', 'viaduct at dusk'],
  ['a.b.c.png', 'a.b.c'],
  ['no-ending', 'no-ending'],
  ['.jpg', ''],
  [`${'x'.repeat(300)}.png`, 'x'.repeat(120)],
])('a piece begun with %s is called “%s”', (file, name) => expect(nameOf(file)).toBe(name));

interface Entry {
  name: string;
  isFile: boolean;
  isDirectory: boolean;
  file?: (done: (file: File) => void) => void;
  createReader?: () => { readEntries: (done: (entries: Entry[]) => void) => void };
}
const file = (name: string): Entry => ({
  name,
  isFile: true,
  isDirectory: false,
  file: (done) => done(new File(['x'], name)),
});
/** A folder is read in parts of two. */
const folder = (name: string, inside: Entry[]): Entry => ({
  name,
  isFile: false,
  isDirectory: true,
  createReader: () => {
    let at = 0;
    return { readEntries: (done) => done(inside.slice(at, (at += 2))) };
  },
});
const drop = (entries: Entry[]) =>
  ({
    items: entries.map((entry) => ({ kind: 'file', webkitGetAsEntry: () => entry })),
    files: entries.filter(({ isFile }) => isFile).map(({ name }) => new File(['x'], name)),
  }) as unknown as DataTransfer;

it('finds the files of folders in folders, by name, without what is hidden', async () => {
  const found = await droppedFiles(
    drop([
      folder('photos', [
        file('c.jpg'),
        file('.hidden'),
        folder('older', [file('a.jpg')]),
        file('b.jpg'),
        file('Thumbs.db'),
      ]),
      file('d.png'),
    ]),
  );
  expect(found.map(({ name }) => name)).toEqual(['a.jpg', 'b.jpg', 'c.jpg', 'd.png']);
});

it('stops soon after as many as are taken', async () => {
  const many = Array.from({ length: 500 }, (_, at) => file(`${at}.jpg`));
  expect((await droppedFiles(drop([folder('all', many)]))).length).toBe(MOST_FILES + 1);
  expect((await droppedFiles(drop(many))).length).toBe(MOST_FILES + 1);
});
