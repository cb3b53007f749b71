import { HOUR, NOW, readyPiece } from '@/testing/builders';
import type { Piece } from '@/records';
import { namedOf, rowsByClock, type PlanEntry } from './entries';
import { lateThings, thingsOf } from './things';
import type { PieceInPlan } from './use-schedule';

const member = (id: string, set: Piece['set'] = null): Piece => readyPiece({ id, name: `Piece ${id}`, set });
const cards = (at: number): Piece => member(`card-${at}`, { id: 'cards', name: 'Place cards', at });
const entry = (piece: Piece, minute: number, batch: string): PlanEntry =>
  ({
    key: `${piece.id}/print`,
    piece,
    step: { id: 'print', station: 'sheet' },
    minutes: 5,
    startAt: NOW + minute * 60_000,
    endAt: NOW + (minute + 5) * 60_000,
    batch,
  }) as unknown as PlanEntry;
const inPlan = (piece: Piece, patch: Partial<PieceInPlan> = {}): PieceInPlan =>
  ({
    planned: { piece, next: { station: 'sheet' } },
    finishAt: NOW + HOUR,
    safestAt: NOW + 2 * HOUR,
    dueAt: NOW + 3 * HOUR,
    lateMs: 0,
    ...patch,
  }) as unknown as PieceInPlan;

describe('a set as one', () => {
  it('stands in a row of the plan under its own name with its count; one alone under its own', () => {
    const all = [entry(cards(0), 0, 'a'), entry(member('x'), 5, 'a'), entry(cards(1), 10, 'a')];
    const [row, later] = rowsByClock([...all, entry(cards(2), 60, 'b')]);
    expect(row && namedOf(row).map(({ name, entries }) => [name, entries.length])).toEqual([
      ['Place cards (2)', 2],
      ['Piece x', 1],
    ]);
    expect(row && namedOf(row)[0]?.href).toBe('/pieces/set?id=cards');
    expect(later && namedOf(later)).toMatchObject([{ name: 'Piece card-2', href: '/piece/card-2/sheet' }]);
  });

  it('is finished when the last of it is, at the latest too; unsure while one has no place', () => {
    const [thing, other] = thingsOf([
      inPlan(cards(0)),
      inPlan(member('x')),
      inPlan(cards(1), { finishAt: NOW + 5 * HOUR, safestAt: NOW + 9 * HOUR, lateMs: 2 * HOUR }),
    ]);
    expect(thing).toMatchObject({
      name: 'Place cards',
      finishAt: NOW + 5 * HOUR,
      safestAt: NOW + 9 * HOUR,
      lateMs: 2 * HOUR,
    });
    expect(thing?.pieces).toHaveLength(2);
    expect(other).toMatchObject({ key: 'x', name: 'Piece x', href: '/piece/x/sheet' });
    expect(thingsOf([inPlan(cards(0)), inPlan(cards(1), { finishAt: null })])[0]?.finishAt).toBeNull();
  });

  it('is late once, the latest first', () => {
    const late = lateThings([
      inPlan(member('x'), { lateMs: HOUR }),
      ...[0, 1, 2].map((at) => inPlan(cards(at), { lateMs: (2 + at) * HOUR })),
      inPlan(member('y')),
    ]);
    expect(late.map(({ name, lateMs }) => [name, lateMs])).toEqual([
      ['Place cards', 4 * HOUR],
      ['Piece x', HOUR],
    ]);
  });
});
