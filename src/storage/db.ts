import Dexie, { type EntityTable, type Table, type Transaction } from 'dexie';
import {
  factsOf,
  type Agenda,
  type BenchTimer,
  type Piece,
  type RecordKind,
  type PictureFiles,
  type PictureRecord,
  type RoomRecord,
  type Settings,
  type Stash,
  type StoredPicture,
} from '@/records';
import { faultNames } from './failures';

/** One undoable change. `before` and `after` are whole pieces: a few kB, so that undo can't half apply. */
export interface HistoryEntry {
  pieceId: string;
  position: number;
  label: string;
  at: number;
  before: Piece;
  after: Piece;
}
export interface HistoryCursor {
  pieceId: string;
  position: number;
}
/** A record that could not be read, as it was, put aside so that a new one could be begun. */
export interface AsideRecord {
  number?: number;
  kind: string;
  at: number;
  data: unknown;
}
/** Never part of a copy: it speaks of this browser. */
export interface CopiesRecord {
  id: 'copies';
  /** Epoch ms of the last copy of everything; null for none. */
  madeAt: number | null;
  /** All changes of pieces that there were by then. */
  changes: number;
  /** A folder that copies go to by themselves; null for none. */
  folder: FileSystemDirectoryHandle | null;
}
/** One thing that changed: a key, or one of the things in the list that stands there. */
export interface VersionChange {
  key: string;
  /** Of a thing in a list. */
  id: string | null;
  /** Its place in the list, so that it comes back there. */
  at: number;
  /** Undefined where there was, or is, none. */
  before?: unknown;
  after?: unknown;
}
export interface VersionEntry {
  number?: number;
  kind: RecordKind;
  /** Epoch ms. */
  at: number;
  changes: VersionChange[];
  undone: boolean;
}
export interface RemovedPiece {
  id: string;
  removedAt: number;
  piece: Piece;
}

/**
 * Up to version 3 a picture's facts lay in the record of its files. They are written beside it; the record stays as it
 * is, so that no photo is copied while the disk may be full.
 */
async function writeFacts(transaction: Transaction): Promise<void> {
  const pictures = transaction.table<StoredPicture, string>('pictures');
  for (const id of await pictures.toCollection().primaryKeys()) {
    const stored = await pictures.get(id);
    if (stored) await transaction.table<PictureRecord>('pictureFacts').put(factsOf(stored));
  }
}

export class FobbetDatabase extends Dexie {
  /** May hold pieces of any version: read them through `readPiece`. */
  pieces!: EntityTable<Piece, 'id'>;
  /** The files themselves; what asks for a size reads `pictureFacts`. */
  pictures!: EntityTable<PictureFiles, 'id'>;
  pictureFacts!: EntityTable<PictureRecord, 'id'>;
  settings!: EntityTable<Settings, 'id'>;
  history!: Table<HistoryEntry, [string, number]>;
  cursors!: EntityTable<HistoryCursor, 'pieceId'>;
  removed!: EntityTable<RemovedPiece, 'id'>;
  stash!: EntityTable<Stash, 'id'>;
  agenda!: EntityTable<Agenda, 'id'>;
  room!: EntityTable<RoomRecord, 'id'>;
  timers!: EntityTable<BenchTimer, 'id'>;
  aside!: Table<AsideRecord, number>;
  /** Changes of stash, hours, room and settings that can be taken back. */
  versions!: Table<VersionEntry, number>;
  /** When the last copy of everything was made, and where copies go. */
  copies!: EntityTable<CopiesRecord, 'id'>;

  constructor(name = 'fobbet') {
    // Strict: a save counts as done only when it is on the disk, so that a crash right after it loses nothing.
    super(name, { chromeTransactionDurability: 'strict' });
    this.version(1).stores({
      pieces: 'id, updatedAt',
      pictures: 'id',
      settings: 'id',
      history: '[pieceId+position], pieceId',
      cursors: 'pieceId',
      removed: 'id',
    });
    this.version(2).stores({ stash: 'id' });
    this.version(3).stores({ agenda: 'id', room: 'id', timers: 'id' });
    // Facts of pictures apart from their files: what asks for a size never loads a photo.
    this.version(4).stores({ pictureFacts: 'id' }).upgrade(writeFacts);
    this.version(5).stores({ aside: '++number, kind' });
    this.version(6).stores({ versions: '++number, kind', copies: 'id' });
    // Which pieces changed is read from the index, without the pieces.
    this.version(7).stores({ pieces: 'id, updatedAt, [id+revision]' });
    this.version(8).stores({ pieces: 'id, updatedAt, [id+revision], set.id' });
  }
}

let opened: FobbetDatabase | null = null;

/** The page's one database. Opened on first use, never on the server. */
export const database = (): FobbetDatabase => (opened ??= new FobbetDatabase());

/** Why nothing can be kept in this browser: it has no store, forbids it, holds a newer program's, or fails at it. */
export type NoStorage = 'none' | 'forbidden' | 'newer' | 'broken';

/** Opens the database, so that what stands in the way is known before anything is asked of it. */
export async function openStorage(): Promise<NoStorage | null> {
  try {
    if (typeof indexedDB === 'undefined') return 'none';
    await database().open();
    return null;
  } catch (error) {
    const names = faultNames(error);
    if (names.includes('VersionError')) return 'newer';
    if (names.includes('MissingAPIError')) return 'none';
    return names.some((name) => name === 'SecurityError' || name === 'InvalidStateError') ? 'forbidden' : 'broken';
  }
}

/** Works on in memory: all of it is gone when the page is closed. */
export async function openInMemory(): Promise<void> {
  const { IDBFactory, IDBKeyRange } = await import('fake-indexeddb');
  // For all of Dexie: its live queries ask whether there is a store too.
  Object.assign(Dexie.dependencies, { indexedDB: new IDBFactory(), IDBKeyRange });
  opened = new FobbetDatabase();
  await opened.open();
}
