import 'fake-indexeddb/auto';
import { NOW, readyPiece } from '@/testing/builders';
import { addPieces, changeCopies, changesOf, copiesOf, database, removePiece } from './index';

beforeEach(async () => {
  await database().delete({ disableAutoOpen: false });
});
afterAll(() => database().close());

const sinceCopy = async () => (await changesOf(database())).sinceCopy;
const copied = async () => changeCopies(database(), { madeAt: NOW, changes: (await changesOf(database())).all });

it('before the first copy all that was changed counts', async () => {
  expect(await sinceCopy()).toBe(0);
  await addPieces(database(), [readyPiece({ id: 'a', revision: 7 }), readyPiece({ id: 'b', revision: 3 })]);
  expect(await copiesOf(database())).toMatchObject({ madeAt: null, folder: null });
  expect(await sinceCopy()).toBe(10);
});

it('after a copy what was changed since counts, and what was thrown away', async () => {
  await addPieces(database(), [readyPiece({ id: 'a', revision: 40 }), readyPiece({ id: 'b', revision: 3 })]);
  await copied();
  expect(await sinceCopy()).toBe(0);
  await removePiece(database(), 'a', NOW);
  const binned = await sinceCopy();
  expect(binned).toBeGreaterThan(0);
  expect(binned).toBeLessThan(5);
  // A little is changed elsewhere: it counts on top, though a piece of many changes is gone from the shelf.
  await addPieces(database(), [readyPiece({ id: 'c', revision: 2 })]);
  expect(await sinceCopy()).toBe(binned + 2);
});

it('a piece that is gone for good is a change, never less than none', async () => {
  await addPieces(database(), [readyPiece({ id: 'a', revision: 40 })]);
  await copied();
  await database().pieces.delete('a');
  expect(await sinceCopy()).toBe(40);
});

it('a piece that can’t be read counts as none', async () => {
  await database().pieces.put({ id: 'odd', revision: 'many' } as never);
  await database().removed.put({ id: 'gone', piece: null, removedAt: NOW } as never);
  expect(await sinceCopy()).toBe(1);
});

it('what is said of copies is added to what is known of them', async () => {
  await changeCopies(database(), { madeAt: NOW });
  await changeCopies(database(), { changes: 4 });
  expect(await copiesOf(database())).toMatchObject({ madeAt: NOW, changes: 4, folder: null });
});
