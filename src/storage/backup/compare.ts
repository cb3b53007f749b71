import { equalData } from '@/core/shared';
import {
  readPiece,
  readSettings,
  withChoicesOf,
  type Agenda,
  type Piece,
  type RecordKind,
  type Settings,
} from '@/records';
import type { FobbetDatabase, HistoryEntry } from '../db';
import { setApart } from '../pictures';
import { storedAgenda, storedRoom, storedStash } from '../singles';
import { markOf, type BackedUpPiece, type OpenBackup } from './open';

/**
 * What a piece of a backup is to what is here: `new`; the `same`; changed since only `here` or only in the `file`;
 * changed in `both`; or `removed` here.
 */
type Fate = 'new' | 'same' | 'here' | 'file' | 'both' | 'removed';

export interface ComparedPiece {
  id: string;
  name: string;
  fate: Fate;
  /** Its revision here when it was compared; null where it is not here. */
  hereRevision: number | null;
  hereAt: number | null;
  fileAt: number;
}
interface ComparedRecord {
  kind: RecordKind;
  fate: 'new' | 'same' | 'both';
}
export interface Comparison {
  pieces: ComparedPiece[];
  records: ComparedRecord[];
  /** Removed pieces of the file that are nowhere here. */
  removed: number;
  /** Pictures whose files are lost here and are in the file. */
  mended: number;
}

/** Holds a backup against what is here, and touches nothing. */
export async function compareBackup(db: FobbetDatabase, backup: OpenBackup): Promise<Comparison> {
  const pieces: ComparedPiece[] = [];
  let removed = 0;
  for (const backed of backup.pieces) {
    const { id, name, updatedAt } = backed.piece;
    const here = await db.pieces.get(id);
    const gone = await db.removed.get(id);
    if (backed.removedAt !== null) {
      if (!here && !gone) removed++;
      continue;
    }
    pieces.push({
      id,
      name,
      fate: here || !gone ? await fateOf(db, backed, here) : 'removed',
      hereRevision: here?.revision ?? null,
      hereAt: here?.updatedAt ?? null,
      fileAt: updatedAt,
    });
  }
  const { lost } = await setApart(db, backup.pictures);
  return { pieces, records: await recordFates(db, backup), removed, mended: lost.size };
}

async function fateOf(db: FobbetDatabase, { piece, marks, undo }: BackedUpPiece, stored: unknown): Promise<Fate> {
  if (stored === undefined) return 'new';
  const here = readPiece(stored);
  if (!here.ok) return 'both';
  if (isState(piece)(here.value)) return 'same';
  if (marks.has(markOf(here.value))) return 'file';
  const mine = statesOf(await db.history.where('pieceId').equals(piece.id).toArray());
  // What another of its set chose left no undo step here: what is its own tells.
  const own = ownOf(here.value);
  const file = own(piece);
  if (isState(file)(here.value)) return here.value.updatedAt < piece.updatedAt ? 'file' : 'here';
  if (mine.map(own).some(isState(file))) return 'here';
  // One that was taken over from another browser has marks of its own: its content tells.
  return statesOf((await undo()).history)
    .map(own)
    .some(isState(here.value))
    ? 'file'
    : 'both';
}

/** A state of a piece, its set's plan apart; as it is where the piece is in none. */
const ownOf =
  (here: Piece) =>
  (state: Piece): Piece =>
    here.set !== null && state.set?.id === here.set.id
      ? { ...withChoicesOf(here, state), set: { ...state.set, name: here.set.name } }
      : state;

const statesOf = (history: readonly HistoryEntry[]) => history.flatMap(({ before, after }) => [before, after]);
/** The same but for when it was saved. */
const isState = (piece: Piece) => (state: Piece) =>
  markOf(state) === markOf(piece) ||
  equalData({ ...state, revision: 0, updatedAt: 0 }, { ...piece, revision: 0, updatedAt: 0 });

/** What the program works out itself is no difference. */
const ofThePerson = ({ starts: _s, revision: _r, running: _n, ...rest }: Agenda) => rest;
const settingsOf = ({ clockAheadMs: _c, ...rest }: Settings) => rest;

async function recordFates(db: FobbetDatabase, backup: OpenBackup): Promise<ComparedRecord[]> {
  const fate = async (kind: RecordKind, file: unknown, here: () => Promise<unknown>): Promise<ComparedRecord[]> => {
    if (file === null) return [];
    const none = (await db.table<unknown, string>(kind).get(kind)) === undefined;
    if (none) return [{ kind, fate: 'new' }];
    return [{ kind, fate: equalData(await here(), file) ? 'same' : 'both' }];
  };
  const [stash, agenda, room] = await Promise.all([storedStash(db), storedAgenda(db), storedRoom(db)]);
  return [
    ...(await fate('stash', backup.stash, () => Promise.resolve(stash.ok && stash.value))),
    ...(await fate('agenda', backup.agenda && ofThePerson(backup.agenda), () =>
      Promise.resolve(agenda.ok && ofThePerson(agenda.value)),
    )),
    ...(await fate('room', backup.room, () => Promise.resolve(room.ok && room.value))),
    ...(await fate('settings', backup.settings && settingsOf(backup.settings), async () =>
      settingsOf(readSettings(await db.settings.get('settings'))),
    )),
  ];
}
