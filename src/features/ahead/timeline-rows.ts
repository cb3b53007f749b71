import { groupsBy } from '@/core/shared';
import { thingsOf, type PlanEntry, type Schedule } from '@/features/agenda';
import { say } from '@/words/say';

export type RowsBy = 'piece' | 'hands';

export interface Row {
  id: string;
  name: string;
  entries: PlanEntry[];
  /** What was done and is still drying. */ pending: { fromAt: number; untilAt: number; name: string } | null;
  dueAt: number | null;
  lateMs: number;
  /** From when it is finished as planned to when at the latest; null where both are one. */
  sure: { fromAt: number; untilAt: number } | null;
  waits: 'rack' | 'bench' | 'oven' | 'all' | 'none';
}

/** A row for each piece; or one for each pair of hands and each place of the rack. */
export function rowsOf({ pieces, entries, agenda }: Schedule, by: RowsBy): Row[] {
  if (by === 'piece') {
    // A set is one row: its pieces are done together.
    const ofPiece = groupsBy(entries, ({ piece }) => piece.id);
    const rows = thingsOf(pieces).map((thing): Row => {
      const { finishAt, safestAt } = thing;
      const pending = thing.pieces.flatMap((one) => one.pending ?? []);
      return {
        id: thing.key,
        name: thing.name,
        entries: thing.pieces.flatMap(({ planned: { piece } }) => ofPiece.get(piece.id) ?? []),
        pending: pending[0]
          ? {
              fromAt: Math.min(...pending.map(({ fromAt }) => fromAt)),
              untilAt: Math.max(...pending.map(({ untilAt }) => untilAt)),
              name: '',
            }
          : null,
        dueAt: thing.dueAt,
        lateMs: thing.lateMs,
        sure:
          finishAt !== null && safestAt !== null && safestAt > finishAt
            ? { fromAt: finishAt, untilAt: safestAt }
            : null,
        waits: 'all',
      };
    });
    const finish = (row: Row) => Math.max(0, ...row.entries.map(({ ripeAt }) => ripeAt ?? Infinity));
    return rows.sort((a, b) => finish(a) - finish(b));
  }
  const lies = (place: 'rack' | 'bench' | 'oven') => entries.filter((entry) => entry.step.wait.place === place);
  const lane = (id: Row['waits'], name: string, list: PlanEntry[]): Row => ({
    id,
    name,
    entries: list,
    pending: null,
    dueAt: null,
    lateMs: 0,
    sure: null,
    waits: id,
  });
  const racks = lanesOf(
    lies('rack'),
    pieces.map(({ pending, planned: { piece } }) => pending && { ...pending, name: piece.name }),
  );
  return [
    ...[say`Your hands`, ...agenda.helpers.map(({ name }) => name)].map((name, one) => ({
      ...lane(
        'none',
        name,
        entries.filter(({ who }) => who.includes(one)),
      ),
      id: `hands-${one}`,
    })),
    ...racks.map(({ list, pending }, index) => ({
      ...lane('rack', say`On the rack, ${index + 1}`, list),
      id: `rack-${index}`,
      pending,
    })),
    ...(lies('oven').length ? [lane('oven', say`In the oven`, lies('oven'))] : []),
  ];
}

/** Waits that overlap lie on different places; each takes the first that is free. */
function lanesOf(
  entries: readonly PlanEntry[],
  pending: readonly Row['pending'][],
): { list: PlanEntry[]; pending: Row['pending'] }[] {
  const lanes: { list: PlanEntry[]; pending: Row['pending']; until: number }[] = pending
    .filter((one) => one !== null)
    .map((one) => ({ list: [], pending: one, until: one.untilAt }));
  for (const entry of [...entries]
    .filter(({ endAt }) => endAt !== null)
    .sort((a, b) => (a.endAt ?? 0) - (b.endAt ?? 0))) {
    let lane = lanes.find(({ until }) => until <= (entry.endAt ?? 0));
    if (!lane) {
      lane = { list: [], pending: null, until: 0 };
      lanes.push(lane);
    }
    lane.list.push(entry);
    lane.until = entry.ripeAt ?? lane.until;
  }
  return lanes;
}
