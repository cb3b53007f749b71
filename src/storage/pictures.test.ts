import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { factsOf } from '@/records';
import { readyPiece, storedPicture as testPicture } from '@/testing/builders';
import { FobbetDatabase, addPieces, storedPicture } from './index';
import { pictureFacts } from './pictures';

let count = 0;
let db: FobbetDatabase;
const name = () => `pictures-${count}`;
beforeEach(() => {
  count++;
});
afterEach(() => db.close());

it('keeps pictures of a browser that stored facts and files as one record', async () => {
  const old = new Dexie(name());
  old.version(3).stores({
    pieces: 'id, updatedAt',
    pictures: 'id',
    settings: 'id',
    history: '[pieceId+position], pieceId',
    cursors: 'pieceId',
    removed: 'id',
    stash: 'id',
    agenda: 'id',
    room: 'id',
    timers: 'id',
  });
  const before = ['picture-1', 'picture-2'].map((id) => testPicture(id));
  await old.table('pictures').bulkPut(before);
  await old.table('pieces').put(readyPiece());
  old.close();

  db = new FobbetDatabase(name());
  expect(await pictureFacts(db, ['picture-2', 'picture-1'])).toEqual([factsOf(before[1]), factsOf(before[0])]);
  expect(await storedPicture(db, 'picture-1')).toMatchObject(factsOf(before[0]));
  expect((await storedPicture(db, 'picture-1'))?.file).toBeDefined();
  expect(await db.pieces.count()).toBe(1);
});

it('answers for sizes without reading a file', async () => {
  db = new FobbetDatabase(name());
  await addPieces(db, [readyPiece()], [testPicture('picture-1')]);
  const read = jest.fn();
  db.pictures.hook('reading', (files) => {
    read();
    return files;
  });
  expect(await pictureFacts(db, ['picture-1', 'missing'])).toEqual([factsOf(testPicture('picture-1'))]);
  expect(read).not.toHaveBeenCalled();
  expect(await storedPicture(db, 'picture-1')).toBeDefined();
  expect(read).toHaveBeenCalled();
});

it('gives no half picture: facts without their files are none', async () => {
  db = new FobbetDatabase(name());
  await db.pictureFacts.put(factsOf(testPicture('picture-1')));
  expect(await storedPicture(db, 'picture-1')).toBeUndefined();
});
