import type { PlannedPiece } from '@/features/plans';
import { readyPiece } from '@/testing/builders';
import { onShelf } from './on-shelf';

const one = (id: string, set: { id: string; at: number } | null = null): PlannedPiece =>
  ({ piece: readyPiece({ id, name: id, set: set && { id: set.id, name: 'Canisters', at: set.at } }) }) as PlannedPiece;
const SIGN = one('sign');
const TINS = ['tea', 'rice', 'salt'].map((id, at) => one(id, { id: 'tins', at }));
const ALL = [TINS[2], SIGN, TINS[0], TINS[1]];
const shown = (found: readonly PlannedPiece[], text = '') =>
  onShelf(found, ALL, text).map(({ piece, parts, set }) => `${set ? set.name : piece.name} ${parts.length}`);

test('a set is one thing, where the last changed of it stands, drawn as its first', () => {
  expect(shown(ALL)).toEqual(['Canisters 3', 'sign 1']);
  expect(onShelf(ALL, ALL, '')[0].piece.id).toBe('tea');
});

test('a word that leads to some of a set shows those by their own names', () => {
  expect(shown([TINS[1]], 'rice')).toEqual(['rice 1']);
  expect(shown([TINS[2], TINS[0]], 'a')).toEqual(['tea 1', 'salt 1']);
});

test('a word that leads to all of it, or a filter without a word, shows the set', () => {
  expect(shown(TINS, 'canisters')).toEqual(['Canisters 3']);
  expect(shown([TINS[1]])).toEqual(['Canisters 1']);
  expect(shown([TINS[1]], '  ')).toEqual(['Canisters 1']);
});

test('of nothing found nothing stands there', () => {
  expect(shown([], 'x')).toEqual([]);
});
