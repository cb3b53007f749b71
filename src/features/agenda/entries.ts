import { MS_PER_HOUR, MS_PER_MINUTE, groupsBy } from '@/core/shared';
import { OWN, batchesOf, handsMinutesOf, type Built, type Placed } from '@/core/schedule';
import type { Agenda, Piece } from '@/records';
import { setPath } from '@/features/shell/places';
import type { RunStep } from '@/core/plan';
import { say } from '@/words/say';

/** Hands at one step in one go, in the plan of all pieces. Instants epoch ms; null where it finds no place. */
export interface PlanEntry {
  /** The step's, or that of the part it ends with. */
  key: string;
  stepKey: string;
  piece: Piece;
  step: RunStep;
  /** Of hands, what is got ready included. */
  minutes: number;
  startAt: number | null;
  endAt: number | null;
  ripeAt: number | null;
  pinned: boolean;
  /** Whose hands: 0 the person's own, then the helpers'. */
  who: number[];
  /** A step in several sittings: which of how many, and the shares of it that are done before and after this one. */
  sitting: { number: number; of: number; fromShare: number; untilShare: number } | null;
  /** The entry that got ready what this one shares; its own key where it got it ready itself. */
  batch: string;
}

/** What hands do in one go: a step, or several that share what is got ready for them. */
export interface PlanRow {
  key: string;
  entries: readonly (PlanEntry & { startAt: number; endAt: number })[];
  startAt: number;
  minutes: number;
}

/** What is placed, in clock order, batches together. */
export function rowsByClock(entries: readonly PlanEntry[]): PlanRow[] {
  const placed = entries.flatMap(({ startAt, endAt, ...entry }) =>
    startAt === null || endAt === null ? [] : [{ ...entry, startAt, endAt }],
  );
  return [...groupsBy(placed, ({ batch }) => batch)]
    .map(([key, own]): PlanRow => {
      const sorted = own.sort((a, b) => a.startAt - b.startAt);
      return {
        key,
        entries: sorted,
        startAt: sorted[0]?.startAt ?? 0,
        minutes: sorted.reduce((sum, { minutes }) => sum + minutes, 0),
      };
    })
    .sort((a, b) => a.startAt - b.startAt);
}

/** The pieces of a row by name; several of one set as the set. */
export function namedOf({ entries }: PlanRow): { key: string; name: string; href: string; entries: PlanEntry[] }[] {
  const named = new Map<string, ReturnType<typeof namedOf>[number]>();
  for (const entry of entries) {
    const { piece, step } = entry;
    const others = entries.filter((one) => one.piece.set !== null && one.piece.set.id === piece.set?.id);
    const set = others.length > 1 ? piece.set : null;
    const key = set ? `set/${set.id}` : entry.key;
    const own = named.get(key);
    if (own) own.entries.push(entry);
    else
      named.set(key, {
        key,
        name: set ? `${set.name} (${others.length})` : piece.name,
        href: set ? setPath(set.id) : `/piece/${piece.id}/${step.station}`,
        entries: [entry],
      });
  }
  return [...named.values()];
}

/** Where a row is begun at the bench: one step, or a batch as one card. */
export const benchPath = ({ key, entries }: PlanRow): string =>
  `/bench?${entries.length > 1 ? 'batch' : 'step'}=${encodeURIComponent(key)}`;

/** Where the sheets of some pieces are printed together. */
export const printPath = (pieces: readonly Pick<Piece, 'id'>[]): string =>
  `/pieces/print?pieces=${pieces.map(({ id }) => encodeURIComponent(id)).join(',')}`;

/** Who does it, the person's own hands apart; null where it is only these. */
export function doersOf({ who }: PlanEntry, helpers: readonly { name: string }[]): string[] | null {
  const names = who.flatMap((one) => (one === 0 ? [] : [helpers[one - 1]?.name ?? '']));
  return names.length === 0 ? null : who.includes(0) ? [say`you`, ...names] : names;
}

/**
 * Where the steps of the plan stand: parts of one step that follow each other without a gap are one entry, and those
 * that share what is got ready are of one batch.
 */
export function entriesOf(built: Built, agenda: Agenda, pieces: ReadonlyMap<string, Piece>): PlanEntry[] {
  const { instance, steps } = built;
  const placed = storedPlaced(built, agenda);
  const minutesOf = (index: number) => handsMinutesOf(instance.tasks[index]!, placed.shared[index]!);
  const groups: number[][] = [];
  steps.forEach(({ key }, index) => {
    const last = groups.at(-1);
    const before = last?.at(-1);
    const goesOn =
      before !== undefined &&
      steps[before]!.key === key &&
      (placed.shared[index] === 1 || (placed.who[index] === 0 && placed.who[before] === 0));
    if (last && goesOn) last.push(index);
    else groups.push([index]);
  });
  const ofStep = groupsBy(groups, ([first]) => steps[first!]!.key);
  const gotReadyBy = new Map<number, number>();
  for (const batch of batchesOf(instance, placed)) for (const index of batch) gotReadyBy.set(index, batch[0]!);
  const entryKeys = new Map(
    groups.flatMap((group) => group.map((index) => [index, steps[group.at(-1)!]!.id] as const)),
  );
  return groups.flatMap((group): PlanEntry[] => {
    const [first, last] = [group[0]!, group.at(-1)!];
    const { id, key, pieceId, step, part } = steps[last]!;
    const piece = pieces.get(pieceId);
    if (!piece) return [];
    const stands = placed.who[first] !== 0 && placed.who[last] !== 0;
    const startAt = stands ? built.originAt + placed.starts[first]! * MS_PER_MINUTE : null;
    const endAt = stands ? built.originAt + (placed.starts[last]! + minutesOf(last)) * MS_PER_MINUTE : null;
    const isLast = part.number === part.of;
    const sittings = ofStep.get(key) ?? [];
    // What was done of it before counts as one more.
    const done = steps[sittings[0]![0]!]!.part.fromShare > 0 ? 1 : 0;
    return [
      {
        key: id,
        stepKey: key,
        piece,
        step,
        minutes: group.reduce((sum, index) => sum + minutesOf(index), 0),
        startAt,
        endAt,
        ripeAt: endAt === null ? null : endAt + (isLast ? step.waitHours : 0) * MS_PER_HOUR,
        pinned: agenda.pins[id] !== undefined,
        who: instance.hands.flatMap((_, one) => ((placed.who[last]! >> one) & 1 ? [one] : [])),
        sitting:
          sittings.length + done > 1
            ? {
                number: sittings.indexOf(group) + 1 + done,
                of: sittings.length + done,
                fromShare: steps[first]!.part.fromShare,
                untilShare: part.untilShare,
              }
            : null,
        batch: entryKeys.get(gotReadyBy.get(first) ?? first) ?? id,
      },
    ];
  });
}

export type StoredPlaced = Pick<Agenda, 'starts' | 'who' | 'shared'>;

/** How the tasks of a problem stand, as the agenda keeps it. */
export function storedPlaced({ steps, originAt }: Built, { starts, who, shared }: StoredPlaced): Placed {
  const ready = new Set(shared);
  return {
    starts: Float64Array.from(steps, ({ id }) =>
      starts[id] === undefined ? NaN : Math.round((starts[id] - originAt) / MS_PER_MINUTE),
    ),
    who: Uint8Array.from(steps, ({ id }) => (starts[id] === undefined ? 0 : (who[id] ?? OWN))),
    shared: Uint8Array.from(steps, ({ id }) => Number(ready.has(id))),
  };
}
