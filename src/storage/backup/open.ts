import { BlobReader, ZipReader, type FileEntry } from '@zip.js/zip.js';
import { fail, ok, type Failure, type Result } from '@/core/shared';
import { hashBytes } from '@/core/shared/hash';
import {
  picturesOf,
  readPiece,
  type BackupCode,
  type Piece,
  type StoredPicture,
  readStash,
  readAgenda,
  readRoom,
  readSettings,
  readTimer,
  type Stash,
  type Agenda,
  type RoomRecord,
  type Settings,
  type BenchTimer,
} from '@/records';
import type { AsideRecord, HistoryCursor, HistoryEntry, VersionEntry } from '../db';
import { TooLarge, beginsAsZip, contentOf } from '../zip';
import { MANIFEST, MOST_ENTRIES, MOST_RECORD_BYTES, RECORDS, readManifest, type ListedFile } from './format';

/** A state that a piece was in: what tells whether one piece came of another. */
export interface Mark {
  revision: number;
  updatedAt: number;
}
export const markOf = ({ revision, updatedAt }: Mark): string => `${revision}@${updatedAt}`;

export interface BackedUpPiece {
  piece: Piece;
  /** Every state its undo steps remember. */
  marks: ReadonlySet<string>;
  /** Read anew when they are written: they are large. */
  undo: () => Promise<{ history: HistoryEntry[]; cursor: HistoryCursor | null }>;
  /** Epoch ms; null for one on the shelf. */
  removedAt: number | null;
}
export interface OpenBackup {
  madeAt: number;
  pieces: BackedUpPiece[];
  /** Pieces in it that this program can't read: put aside as they are. */
  unreadable: unknown[];
  stash: Stash | null;
  agenda: Agenda | null;
  room: RoomRecord | null;
  settings: Settings | null;
  timers: BenchTimer[];
  aside: AsideRecord[];
  versions: VersionEntry[];
  /** Parts of the file: nothing is in memory before it is asked for. */
  pictures: StoredPicture[];
}

class Refused extends Error {
  constructor(readonly failure: Failure<BackupCode>) {
    super(failure.message);
  }
}
const refuse = (code: BackupCode, message: string): never => {
  throw new Refused({ code, message });
};

const LOCAL_HEADER_BYTES = 30;

/**
 * Reads a backup through and checks all of it – limits before content, then every entry by its SHA-256, then every
 * record – before anybody touches what is here.
 *
 * @param onProgress the share that is done, 0 to 1
 */
export async function openBackup(
  file: Blob,
  onProgress: (share: number) => void = () => undefined,
): Promise<Result<OpenBackup, BackupCode>> {
  const zip = new ZipReader(new BlobReader(file), { useWebWorkers: false });
  try {
    return ok(await read(file, zip, onProgress));
  } catch (error) {
    if (error instanceof Refused) return { ok: false, error: error.failure };
    if (error instanceof TooLarge) return fail('backup-too-large', error.message);
    const start = new Uint8Array(
      await file
        .slice(0, 2)
        .arrayBuffer()
        .catch(() => new ArrayBuffer(0)),
    );
    return fail(
      beginsAsZip(start) ? 'backup-damaged' : 'backup-foreign',
      error instanceof Error ? error.message : String(error),
    );
  } finally {
    await zip.close().catch(() => undefined);
  }
}

async function read(file: Blob, zip: ZipReader<Blob>, onProgress: (share: number) => void): Promise<OpenBackup> {
  const entries = new Map<string, FileEntry>();
  for await (const entry of zip.getEntriesGenerator()) {
    if (entries.size >= MOST_ENTRIES) refuse('backup-too-large', `more than ${MOST_ENTRIES} entries`);
    if (!entry.directory) entries.set(entry.filename, entry);
  }
  const listing = entries.get(MANIFEST);
  if (!listing) return refuse('backup-foreign', `expected ${MANIFEST}`);
  const manifest = readManifest(json(await contentOf(listing, MOST_RECORD_BYTES), MANIFEST));
  if (!manifest.ok) throw new Refused(manifest.error);
  const { files, pictures: facts, madeAt } = manifest.value;

  const whole = files.reduce((sum, { bytes }) => sum + bytes, 1);
  let read = 0;
  const checked = async (listed: ListedFile, bytes: Uint8Array<ArrayBuffer>) => {
    if (bytes.length !== listed.bytes || (await hashBytes(bytes)) !== listed.sha256)
      refuse('backup-damaged', `${listed.path} does not match its checksum`);
    read += bytes.length;
    onProgress(read / whole);
    return bytes;
  };
  const entryOf = ({ path }: ListedFile) => entries.get(path) ?? refuse('backup-damaged', `expected ${path}`);
  const record = async (listed: ListedFile) =>
    json(await checked(listed, await contentOf(entryOf(listed), MOST_RECORD_BYTES)), listed.path) as Record<
      string,
      unknown
    >;

  const opened: OpenBackup = { ...NOTHING, madeAt, pieces: [], unreadable: [], pictures: [] };
  const blobs = new Map<string, Blob>();
  for (const listed of files) {
    const { path } = listed;
    if (path === RECORDS) Object.assign(opened, recordsIn(await record(listed)));
    else if (path.startsWith('pictures/') || path.startsWith('previews/')) {
      const part = await stored(file, entryOf(listed));
      await checked(listed, new Uint8Array(await part.arrayBuffer()));
      blobs.set(path, part);
    } else {
      const data = await record(listed);
      const piece = readPiece(data.piece);
      if (!piece.ok) opened.unreadable.push(data.piece);
      else
        opened.pieces.push({
          piece: piece.value,
          marks: new Set(undoIn(data).history.flatMap(({ before, after }) => [markOf(before), markOf(after)])),
          undo: async () => undoIn(await record(listed)),
          removedAt: path.startsWith('removed/') && typeof data.removedAt === 'number' ? data.removedAt : null,
        });
    }
  }
  facts.forEach((record, index) => {
    const [bytes, preview] = [blobs.get(`pictures/${index}`), blobs.get(`previews/${index}`)];
    if (!bytes || !preview) return refuse('backup-damaged', `expected the picture ${record.name}`);
    if (bytes.size !== record.bytes) return refuse('backup-damaged', `${record.name} has another size`);
    opened.pictures.push({ ...record, file: typed(bytes, record.type), preview: typed(preview, 'image/jpeg') });
  });
  return opened;
}

const typed = (blob: Blob, type: string) => blob.slice(0, blob.size, type);

function json(bytes: Uint8Array, path: string): unknown {
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    return refuse('backup-damaged', `expected JSON at ${path}`);
  }
}

/** A file that lies uncompressed in the zip: that part of it. */
async function stored(file: Blob, entry: FileEntry): Promise<Blob> {
  if (entry.compressionMethod !== 0 || entry.compressedSize !== entry.uncompressedSize)
    refuse('backup-damaged', `expected ${entry.filename} uncompressed`);
  const head = new DataView(await file.slice(entry.offset, entry.offset + LOCAL_HEADER_BYTES).arrayBuffer());
  const from = entry.offset + LOCAL_HEADER_BYTES + head.getUint16(26, true) + head.getUint16(28, true);
  return file.slice(from, from + entry.compressedSize);
}

const NOTHING = {
  stash: null,
  agenda: null,
  room: null,
  settings: null,
  timers: [],
  aside: [],
  versions: [],
} satisfies Partial<OpenBackup>;

const listIn = (value: unknown): unknown[] => (Array.isArray(value) ? value : []);

/** What there is one of: read as it would be from the disk; one that can't be read is put aside as it is. */
function recordsIn(data: Record<string, unknown>): Partial<OpenBackup> {
  const aside = listIn(data.aside).filter(isAside);
  const one = <T>(kind: string, reader: (data: unknown) => Result<T, string>): T | null => {
    if (data[kind] == null) return null;
    const result = reader(data[kind]);
    if (result.ok) return result.value;
    aside.push({ kind, at: 0, data: data[kind] });
    return null;
  };
  return {
    stash: one('stash', readStash),
    agenda: one('agenda', readAgenda),
    room: one('room', readRoom),
    settings: data.settings == null ? null : readSettings(data.settings),
    timers: listIn(data.timers).flatMap((timer) => readTimer(timer) ?? []),
    aside,
    versions: listIn(data.versions).filter(isVersion),
  };
}

const isAside = (one: unknown): one is AsideRecord => {
  const { kind, at, data } = (one ?? {}) as Partial<AsideRecord>;
  return typeof kind === 'string' && typeof at === 'number' && data !== undefined;
};
const isVersion = (one: unknown): one is VersionEntry => {
  const { kind, at, changes, undone } = (one ?? {}) as Partial<VersionEntry>;
  return (
    ['stash', 'agenda', 'room', 'settings'].includes(kind ?? '') &&
    typeof at === 'number' &&
    typeof undone === 'boolean' &&
    Array.isArray(changes) &&
    changes.every((change) => typeof (change as { key?: unknown } | null)?.key === 'string')
  );
};

/** Enough of a piece to say what it refers to: whole it is checked when it is gone back to. */
function isState(state: Piece | undefined): boolean {
  try {
    return state !== undefined && picturesOf(state).every((id) => typeof id === 'string');
  } catch {
    return false;
  }
}

/** The undo steps of a piece, as far as their states look like pieces. */
function undoIn(data: Record<string, unknown>): { history: HistoryEntry[]; cursor: HistoryCursor | null } {
  const history = listIn(data.history).filter((one): one is HistoryEntry => {
    const { pieceId, position, label, at, before, after } = (one ?? {}) as Partial<HistoryEntry>;
    return (
      typeof pieceId === 'string' &&
      typeof position === 'number' &&
      typeof label === 'string' &&
      typeof at === 'number' &&
      isState(before) &&
      isState(after)
    );
  });
  const { position } = (data.cursor ?? {}) as { position?: unknown };
  const { id } = (data.piece ?? {}) as { id?: unknown };
  return {
    history,
    cursor: typeof position === 'number' && typeof id === 'string' ? { pieceId: id, position } : null,
  };
}
