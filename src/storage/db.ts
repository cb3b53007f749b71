import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Agenda, BenchTimer, Piece, RoomRecord, Settings, Stash, StoredPicture } from '@/records';

/** One undoable change. `before` and `after` are whole pieces: a few kB, so that undo can't half apply. */
export interface HistoryEntry { pieceId: string; position: number; label: string; at: number; before: Piece; after: Piece }
export interface HistoryCursor { pieceId: string; position: number }
export interface RemovedPiece { id: string; removedAt: number; piece: Piece }

export class FobbetDatabase extends Dexie {
  /** May hold pieces of any version: read them through `readPiece`. */
  pieces!: EntityTable<Piece, 'id'>;
  pictures!: EntityTable<StoredPicture, 'id'>;
  settings!: EntityTable<Settings, 'id'>;
  history!: Table<HistoryEntry, [string, number]>;
  cursors!: EntityTable<HistoryCursor, 'pieceId'>;
  removed!: EntityTable<RemovedPiece, 'id'>;
  stash!: EntityTable<Stash, 'id'>;
  agenda!: EntityTable<Agenda, 'id'>;
  room!: EntityTable<RoomRecord, 'id'>;
  timers!: EntityTable<BenchTimer, 'id'>;

  constructor(name = 'fobbet') {
    // Strict: a save counts as done only when it is on the disk, so that a crash right after it loses nothing.
    super(name, { chromeTransactionDurability: 'strict' });
    this.version(1).stores({ pieces: 'id, updatedAt', pictures: 'id', settings: 'id', history: '[pieceId+position], pieceId', cursors: 'pieceId', removed: 'id' });
    this.version(2).stores({ stash: 'id' });
    this.version(3).stores({ agenda: 'id', room: 'id', timers: 'id' });
  }
}

let opened: FobbetDatabase | null = null;

/** The page's one database. Opened on first use, never on the server. */
export const database = (): FobbetDatabase => (opened ??= new FobbetDatabase());
