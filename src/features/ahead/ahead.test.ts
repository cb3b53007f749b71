import { MS_PER_MINUTE } from '@/core/shared';
import { demoPieces } from '@/demo/scenario';
import { benchPath, doersOf, namedOf, printPath, rowsByClock } from '@/features/agenda';
import { HOUR, NOW, readyPiece } from '@/testing/builders';
import { entriesOfPiece, plannedSchedule } from '@/testing/planned-schedule';
import { calendarOf } from './calendar-of';
import { datesAhead } from './dates-ahead';
import { rowsOf } from './timeline-rows';
import type { Schedule } from '@/features/agenda';

const helper = { name: 'Ivo', weekly: {}, days: [], can: ['rub', 'print'] };
const plain = plannedSchedule(demoPieces(NOW));
const asWhole = (schedule: ReturnType<typeof plannedSchedule>) => schedule as Schedule;

describe('where the steps of the plan stand', () => {
  it('each step that is left has one entry, or its sittings; ends after its minutes, ripe after its wait', () => {
    const left = plain.pieces.flatMap(({ steps }) => steps.filter(({ doneAt }) => doneAt === null));
    expect(new Set(plain.entries.map(({ stepKey }) => stepKey)).size).toBe(left.length);
    for (const { startAt, endAt, ripeAt, minutes } of plain.entries) {
      expect(startAt).not.toBeNull();
      expect(endAt! - startAt!).toBe(minutes * MS_PER_MINUTE);
      expect(ripeAt).toBeGreaterThanOrEqual(endAt!);
      expect(startAt! % (5 * MS_PER_MINUTE)).toBe(0);
    }
  });

  it('rows go by the clock; of a batch only the first gets ready, and all are begun as one card', () => {
    const rows = rowsByClock(plain.entries);
    expect(rows.map(({ startAt }) => startAt)).toEqual([...rows.map(({ startAt }) => startAt)].sort((a, b) => a - b));
    expect(rows.reduce((sum, { entries }) => sum + entries.length, 0)).toBe(plain.entries.length);
    const batches = rows.filter(({ entries }) => entries.length > 1);
    expect(batches.length).toBeGreaterThan(0);
    for (const row of batches) {
      expect(new Set(row.entries.map(({ step }) => step.work)).size).toBe(1);
      expect(benchPath(row)).toBe(`/bench?batch=${encodeURIComponent(row.key)}`);
      expect(row.minutes).toBe(row.entries.reduce((sum, { minutes }) => sum + minutes, 0));
    }
    const alone = rows.find(({ entries }) => entries.length === 1)!;
    expect(benchPath(alone)).toBe(`/bench?step=${encodeURIComponent(alone.key)}`);
    expect(namedOf(alone)).toMatchObject([{ name: alone.entries[0].piece.name }]);
  });

  it('what is pinned says so, and stands where it was put', () => {
    const [first] = plain.entries;
    const pinned = plannedSchedule(demoPieces(NOW), { pins: { [first.key]: first.startAt! } });
    expect(pinned.entries.filter(({ pinned }) => pinned).map(({ key }) => key)).toEqual([first.key]);
    expect(pinned.entries.find(({ key }) => key === first.key)!.startAt).toBe(first.startAt);
  });

  it('who does it is said only where it is somebody else too', () => {
    const by = (who: number[]) => doersOf({ ...plain.entries[0], who }, [helper, { name: 'Nell' }]);
    expect(by([0])).toBeNull();
    expect(by([])).toBeNull();
    expect(by([1])).toEqual(['Ivo']);
    expect(by([0, 2])).toEqual(['you', 'Nell']);
    // One who helps no more.
    expect(by([5])).toEqual(['']);
  });

  it('sheets to be printed together stand in the address, whatever their ids', () => {
    expect(printPath([{ id: 'a b' }, { id: 'ü/2' }])).toBe('/pieces/print?pieces=a%20b,%C3%BC%2F2');
  });
});

describe('rows of the timeline', () => {
  it('one for each piece, what is finished first above, with its date', () => {
    const rows = rowsOf(asWhole(plain), 'piece');
    expect(rows.map(({ id }) => id).sort()).toEqual(plain.pieces.map(({ planned }) => planned.piece.id).sort());
    const finishes = rows.map(({ entries }) => Math.max(0, ...entries.map(({ ripeAt }) => ripeAt ?? Infinity)));
    expect(finishes).toEqual([...finishes].sort((a, b) => a - b));
    for (const row of rows) {
      expect(row.entries).toEqual(entriesOfPiece(plain, row.id));
      if (row.sure) expect(row.sure.untilAt).toBeGreaterThan(row.sure.fromAt);
    }
    expect(rows.some(({ dueAt }) => dueAt !== null)).toBe(true);
  });

  it('a set is one row with the steps of all', () => {
    const set = (at: number) => readyPiece({ id: `card-${at}`, set: { id: 'cards', name: 'Place cards', at } });
    const schedule = plannedSchedule([set(0), readyPiece({ id: 'x' }), set(1)]);
    const rows = rowsOf(asWhole(schedule), 'piece');
    expect(rows.map(({ name }) => name).sort()).toEqual(['Place cards', 'Route map']);
    const cards = rows.find(({ name }) => name === 'Place cards')!;
    expect(new Set(cards.entries.map(({ piece }) => piece.id))).toEqual(new Set(['card-0', 'card-1']));
  });

  it('by hands: every step in the row of who does it, every wait on a place of its own', () => {
    const rows = rowsOf(asWhole(plain), 'hands');
    expect(rows[0]).toMatchObject({ id: 'hands-0', name: 'Your hands' });
    expect(rows[0].entries).toHaveLength(plain.entries.length);
    const racks = rows.filter(({ waits }) => waits === 'rack');
    const lying = plain.entries.filter(({ step }) => step.wait.place === 'rack');
    expect(racks.flatMap(({ entries }) => entries)).toHaveLength(lying.length);
    for (const { entries } of racks)
      entries.slice(1).forEach((entry, at) => expect(entry.endAt).toBeGreaterThanOrEqual(entries[at].ripeAt!));
    // No more places than ever lie there at once.
    const most = Math.max(
      ...lying.map(({ endAt }) => lying.filter((one) => one.endAt! <= endAt! && one.ripeAt! > endAt!).length),
    );
    expect(racks).toHaveLength(most);
  });

  it('what lies there already has the first place, and says whose it is', () => {
    const pending = { fromAt: NOW - HOUR, untilAt: NOW + 400 * HOUR };
    const [first, ...others] = plain.pieces;
    const rows = rowsOf({ ...asWhole(plain), pieces: [{ ...first, pending }, ...others] }, 'hands');
    const held = rows.filter((row) => row.pending !== null);
    expect(held).toMatchObject([{ id: 'rack-0', pending: { ...pending, name: first.planned.piece.name } }]);
    expect(held[0].entries.every(({ endAt }) => endAt! >= pending.untilAt)).toBe(true);
  });
});

describe('the plan as a calendar', () => {
  const now = NOW;
  const calendar = calendarOf(plain, now);

  it('has an event for each step, and each day to keep that is still to come; every id once', () => {
    const ids = calendar.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    const dates = datesAhead(plain, now).filter(({ at }) => at > now);
    expect(calendar).toHaveLength(plain.entries.length + dates.length);
    for (const { id, title, minutes, startsAt } of calendar) {
      expect(id).toMatch(/^[\w~-]+$/);
      expect(title).toMatch(/^.+: .+/);
      expect(minutes).toBeGreaterThan(0);
      expect(Number.isFinite(startsAt)).toBe(true);
    }
  });

  it('ids stay as they are when the plan moves', () => {
    const moved = plain.entries.map((entry) => ({
      ...entry,
      startAt: entry.startAt! + 24 * HOUR,
      endAt: entry.endAt! + 24 * HOUR,
    }));
    const later = calendarOf({ ...plain, entries: moved }, now);
    const ofSteps = (all: typeof calendar) => all.map(({ id }) => id).filter((id) => !/-seal-(?!\d)/.test(id));
    expect(ofSteps(later).sort()).toEqual(ofSteps(calendar).sort());
  });

  it('what has no place is left out', () => {
    const nowhere = plain.entries.map((entry) => ({ ...entry, startAt: null, endAt: null, ripeAt: null }));
    expect(calendarOf({ ...plain, entries: nowhere, pieces: [] }, now)).toEqual([]);
  });

  it('a set done in one go is one event of all its minutes, under the set’s name', () => {
    const set = (at: number) => readyPiece({ id: `card-${at}`, set: { id: 'cards', name: 'Place cards', at } });
    const schedule = plannedSchedule([set(0), set(1), set(2)]);
    const prints = calendarOf(schedule, now).filter(({ title }) => title.includes('print'));
    expect(prints.some(({ id, title }) => id === 'set-cards-print' && title.startsWith('Place cards (3): '))).toBe(
      true,
    );
  });
});

describe('days after the last coat', () => {
  it('come in their order, each once for a piece, after the coats as they are planned', () => {
    const dates = datesAhead(plain, NOW);
    expect(dates.length).toBeGreaterThan(0);
    expect(dates.map(({ at }) => at)).toEqual([...dates.map(({ at }) => at)].sort((a, b) => a - b));
    expect(dates.every(({ code }) => code !== 'coat')).toBe(true);
    const keys = dates.map(({ of, code }) => `${of.key} ${code}`);
    expect(new Set(keys).size).toBe(keys.length);
    for (const { of, at } of dates) {
      const coats = entriesOfPiece(plain, of.pieceId).filter(({ step }) => step.step.kind === 'coat');
      for (const coat of coats) expect(at).toBeGreaterThan(coat.startAt!);
    }
  });

  it('of a set are those of its last', () => {
    const set = (at: number) => readyPiece({ id: `card-${at}`, set: { id: 'cards', name: 'Place cards', at } });
    const schedule = plannedSchedule([set(0), set(1)]);
    const each = [0, 1].map((at) =>
      datesAhead({ ...schedule, pieces: [schedule.pieces[at]] }, NOW).map((date) => [date.code, date.at] as const),
    );
    for (const { code, at } of datesAhead(schedule, NOW))
      expect(at).toBe(Math.max(...each.flat().flatMap(([one, when]) => (one === code ? [when] : []))));
  });
});
