/**
 * What the person changed in stash, hours, room and settings, so that it can be taken back: the last changes of each, key
 * by key; lists of things with ids thing by thing. What the program writes itself is no change of the person's.
 */
import { equalData, fail, ok, type Result } from '@/core/shared';
import type { RecordKind, VersionsCode } from '@/records';
import type { FobbetDatabase, VersionChange, VersionEntry } from './db';

type Data = Readonly<Record<string, unknown>>;
interface Thing {
  id: string;
}

/** Changes of one kind that are kept. */
export const MOST_VERSIONS = 100;

/** Keys that the program writes: a change that touches one is its own. */
const OF_THE_PROGRAM = new Set(['starts', 'revision', 'running', 'readings', 'clockAheadMs', 'version', 'id']);

const isThings = (value: unknown): value is Thing[] =>
  Array.isArray(value) && value.every((one) => typeof (one as Partial<Thing> | null)?.id === 'string');

/** What differs between two states of a record. */
export function changesBetween(before: Data, after: Data): VersionChange[] {
  return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((key): VersionChange[] => {
    const [was, is] = [before[key], after[key]];
    if (equalData(was, is)) return [];
    if (!isThings(was) || !isThings(is)) return [{ key, id: null, at: 0, before: was, after: is }];
    const old = new Map(was.map((thing, at) => [thing.id, { thing, at }]));
    const fresh = new Map(is.map((thing, at) => [thing.id, { thing, at }]));
    return [...new Set([...old.keys(), ...fresh.keys()])]
      .filter((id) => !equalData(old.get(id)?.thing, fresh.get(id)?.thing))
      .map((id) => ({
        key,
        id,
        at: old.get(id)?.at ?? fresh.get(id)?.at ?? 0,
        before: old.get(id)?.thing,
        after: fresh.get(id)?.thing,
      }));
  });
}

/**
 * Lays changes over a record the one way or the other; null where what they changed is no longer as they left it.
 */
export function withChanges(record: Data, changes: readonly VersionChange[], direction: 'undo' | 'redo'): Data | null {
  const next: Record<string, unknown> = { ...record };
  // Things come back in the order in which they stood.
  for (const { key, id, at, before, after } of [...changes].sort((a, b) => a.at - b.at)) {
    const [from, to] = direction === 'undo' ? [after, before] : [before, after];
    if (id === null) {
      if (!equalData(next[key], from)) return null;
      next[key] = to;
      continue;
    }
    const things: readonly Thing[] = isThings(next[key]) ? next[key] : [];
    const place = things.findIndex((thing) => thing.id === id);
    if (!equalData(things[place], from)) return null;
    const rest = things.filter((thing) => thing.id !== id);
    next[key] = to === undefined ? rest : rest.toSpliced(place < 0 ? at : place, 0, to as Thing);
  }
  return next;
}

/** Remembers a change of the person's, inside the caller's transaction. */
export async function rememberVersion(db: FobbetDatabase, kind: RecordKind, before: Data, after: Data): Promise<void> {
  const changes = changesBetween(before, after);
  if (changes.length === 0 || changes.some(({ key }) => OF_THE_PROGRAM.has(key))) return;
  const entries = db.versions.where('kind').equals(kind);
  await entries.and(({ undone }) => undone).delete();
  await db.versions.add({ kind, at: Date.now(), changes, undone: false });
  const numbers = await db.versions.where('kind').equals(kind).primaryKeys();
  await db.versions.bulkDelete(numbers.slice(0, Math.max(0, numbers.length - MOST_VERSIONS)));
}

/** A change that can be taken back or done again: `mark` tells it from every other. */
export interface VersionStep {
  kind: RecordKind;
  mark: number;
  at: number;
  /** What it changed: keys, with the name of the thing where it was one. */
  what: { key: string; name: string | null }[];
}
export interface Versions {
  undo: VersionStep | null;
  redo: VersionStep | null;
  /** All that can be taken back, the latest first. */
  all: VersionStep[];
}

const nameIn = (value: unknown): string | null => {
  const { name, title } = (value ?? {}) as { name?: unknown; title?: unknown };
  const said = name ?? title;
  return typeof said === 'string' ? said : null;
};
const stepOf = ({ number = 0, kind, at, changes }: VersionEntry): VersionStep => ({
  kind,
  mark: number,
  at,
  what: changes.map(({ key, before, after }) => ({ key, name: nameIn(after ?? before) })),
});

/** What can be taken back of a record, and done again. */
export async function versionsOf(db: FobbetDatabase, kind: RecordKind): Promise<Versions> {
  const entries = await db.versions.where('kind').equals(kind).toArray();
  const all = entries
    .filter(({ undone }) => !undone)
    .map(stepOf)
    .reverse();
  const next = entries.find(({ undone }) => undone);
  return { undo: all[0] ?? null, redo: next ? stepOf(next) : null, all };
}

/**
 * The record as it stands once one change is taken back or done again, inside the caller's transaction.
 *
 * @param mark of the step that the person saw named
 * @returns `versions-moved` where another window changed the record since
 */
export async function steppedVersion(
  db: FobbetDatabase,
  kind: RecordKind,
  direction: 'undo' | 'redo',
  { mark, record }: { mark: number; record: Data },
): Promise<Result<Data, VersionsCode>> {
  const step = (await versionsOf(db, kind))[direction];
  const entry = await db.versions.get(mark);
  const next = entry && step?.mark === mark ? withChanges(record, entry.changes, direction) : null;
  if (!next) return fail('versions-moved', `expected step ${mark}, found ${step?.mark}`, { values: { kind } });
  await db.versions.update(mark, { undone: direction === 'undo' });
  return ok(next);
}
