/**
 * The backup `fobbet-….zip`: all that is kept in one file. `backup.json` comes last and lists every other entry with its
 * size and SHA-256; `pieces/` and `removed/` hold a piece each with its undo steps, `records.json` what there is one of,
 * `pictures/` and `previews/` the files as they are, uncompressed.
 */
import Joi from 'joi';
import { checkRecord, pictureFields, type PictureRecord } from '@/records';
import { atFirstUse, fail, type Result } from '@/core/shared';
import type { BackupCode } from '@/records';

const BACKUP_FORMAT = 'fobbet-backup';
const BACKUP_VERSION = 1;
export const MANIFEST = 'backup.json';
export const RECORDS = 'records.json';

export interface ListedFile {
  path: string;
  bytes: number;
  sha256: string;
}
export interface BackupManifest {
  format: typeof BACKUP_FORMAT;
  backupVersion: typeof BACKUP_VERSION;
  /** Epoch ms. */
  madeAt: number;
  files: ListedFile[];
  /** Facts of the pictures; the n-th lies in `pictures/n` and `previews/n`. */
  pictures: PictureRecord[];
}

/** Every table of the database is on one of these lists: a later one is decided on when a test finds it on none. */
export const IN_BACKUP = [
  ...['pieces', 'pictures', 'pictureFacts', 'settings', 'history', 'cursors', 'removed'],
  ...['stash', 'agenda', 'room', 'timers', 'aside', 'versions'],
] as const;
export const NOT_IN_BACKUP = ['copies'] as const;

/** Larger ones are not read: a thousand pieces with all the pictures they can hold have 52 000 entries. */
export const MOST_ENTRIES = 100_000;
/** A motif of as many corners as a piece can have is some 20 MB, and each undo step may hold it twice. */
export const MOST_RECORD_BYTES = 256 * 2 ** 20;

const manifestSchema = atFirstUse(() =>
  Joi.object<BackupManifest>({
    format: Joi.string().valid(BACKUP_FORMAT).required(),
    backupVersion: Joi.number().valid(BACKUP_VERSION).required(),
    madeAt: Joi.number().integer().min(0).required(),
    files: Joi.array()
      .items(
        Joi.object<ListedFile>({
          path: Joi.string()
            .pattern(/^(records\.json|(pieces|removed|pictures|previews)\/\d+(\.json)?)$/)
            .required(),
          bytes: Joi.number().integer().min(0).required(),
          sha256: Joi.string().hex().length(64).required(),
        }),
      )
      .max(MOST_ENTRIES)
      .unique('path')
      .required(),
    pictures: Joi.array().items(Joi.object(pictureFields())).max(MOST_ENTRIES).unique('id').required(),
  }),
);

export const manifestOf = (madeAt: number, files: ListedFile[], pictures: PictureRecord[]): BackupManifest => ({
  format: BACKUP_FORMAT,
  backupVersion: BACKUP_VERSION,
  madeAt,
  files,
  pictures,
});

export function readManifest(data: unknown): Result<BackupManifest, BackupCode> {
  const { format, backupVersion } = (data ?? {}) as { format?: unknown; backupVersion?: unknown };
  if (format !== BACKUP_FORMAT) return fail('backup-foreign', `expected ${BACKUP_FORMAT}`);
  if (typeof backupVersion === 'number' && backupVersion > BACKUP_VERSION)
    return fail('backup-newer', `expected version up to ${BACKUP_VERSION}, got ${backupVersion}`);
  const checked = checkRecord(manifestSchema(), data);
  return checked.ok ? checked : { ok: false, error: { ...checked.error, code: 'backup-damaged' } };
}
