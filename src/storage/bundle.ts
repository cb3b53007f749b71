/**
 * The bundle `.fobbet.zip`: piece.json and the picture files as they came. Reading checks limits before content:
 * entries, sizes, names; then the manifest, the versions, and each picture by its SHA-256. What is damaged or foreign
 * is refused with its reason.
 */
import { Uint8ArrayReader, Uint8ArrayWriter, ZipReader, ZipWriter, type FileEntry } from '@zip.js/zip.js';
import { fail, ok, type Result } from '@/core/shared';
import {
  BUNDLE_FORMAT,
  bundleSchema,
  BUNDLE_VERSION,
  MOST_PICTURES,
  checkRecord,
  picturesOf,
  readPiece,
  withPictures,
  type BundleManifest,
  type Piece,
  type BundleCode,
  type PictureRecord,
} from '@/records';
import { hashBytes } from '@/core/shared/hash';
import { TooLarge, beginsAsZip, contentOf, zipOptions } from './zip';

export interface BundledPicture {
  record: PictureRecord;
  bytes: Uint8Array<ArrayBuffer>;
}

const MANIFEST = 'piece.json';
/** What one piece can hold: the largest pictures, as many as it takes. Larger files are not even read. */
export const MAX_BUNDLE_BYTES = 1800 * 1024 * 1024;
const MAX_ENTRIES = MOST_PICTURES + 4;
/** A motif of as many corners as a piece can have is some 20 MB. */
const MAX_MANIFEST_BYTES = 64 * 1024 * 1024;
const MAX_PICTURE_ENTRY_BYTES = 64 * 1024 * 1024;
const EXTENSIONS: Readonly<Record<PictureRecord['type'], string>> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/webp': 'webp',
};

/**
 * The same piece gives the same bytes: entries carry the piece's own time. A picture that is not to be had is left out
 * of the piece too, so that the bundle opens.
 *
 * @returns `bundle-too-heavy` where it could not be opened again
 */
export async function writeBundle(
  piece: Piece,
  pictures: readonly BundledPicture[],
): Promise<Result<Uint8Array<ArrayBuffer>, 'bundle-too-heavy'>> {
  const listed = pictures.map(({ record }) => ({
    ...record,
    path: `pictures/${record.id}.${EXTENSIONS[record.type]}`,
  }));
  const whole = withPictures(piece, (id) => (listed.some((record) => record.id === id) ? id : null));
  const manifest: BundleManifest = {
    format: BUNDLE_FORMAT,
    bundleVersion: BUNDLE_VERSION,
    piece: whole,
    pictures: listed,
  };
  const text = new TextEncoder().encode(JSON.stringify(manifest));
  const bytes = pictures.reduce((total, picture) => total + picture.bytes.length, text.length);
  if (bytes > MAX_BUNDLE_BYTES)
    return fail('bundle-too-heavy', `expected at most ${MAX_BUNDLE_BYTES} bytes, got ${bytes}`, {
      values: { megabytes: Math.round(bytes / 2 ** 20), most: MAX_BUNDLE_BYTES / 2 ** 20 },
    });
  const zip = new ZipWriter(new Uint8ArrayWriter(), zipOptions(piece.updatedAt));
  await zip.add(MANIFEST, new Uint8ArrayReader(text), { level: 6 });
  for (const [index, { path }] of listed.entries())
    await zip.add(path, new Uint8ArrayReader(pictures[index]!.bytes), { level: 0 });
  return ok(await zip.close());
}

export async function openBundle(
  bytes: Uint8Array,
): Promise<Result<{ piece: Piece; pictures: BundledPicture[] }, BundleCode>> {
  if (bytes.length > MAX_BUNDLE_BYTES)
    return fail('bundle-too-large', `expected at most ${MAX_BUNDLE_BYTES} bytes, got ${bytes.length}`);
  const files = await unpack(bytes);
  if (!files.ok) return files;
  const manifest = readManifest(files.value.get(MANIFEST));
  if (!manifest.ok) return manifest;
  const piece = readPiece(manifest.value.piece);
  if (!piece.ok) {
    if (piece.error.code === 'record-newer') return { ok: false, error: { ...piece.error, code: 'bundle-newer' } };
    return fail('bundle-damaged', piece.error.message, { path: `piece.${piece.error.path ?? ''}` });
  }
  const pictures: BundledPicture[] = [];
  for (const { path, ...record } of manifest.value.pictures) {
    const content = files.value.get(path);
    if (!content) return fail('bundle-picture-missing', `expected ${path}`, { path, values: { name: record.name } });
    if ((await hashBytes(content)) !== record.sha256)
      return fail('bundle-picture-damaged', `${path} does not match its checksum`, {
        path,
        values: { name: record.name },
      });
    pictures.push({ record, bytes: content });
  }
  const lacking = picturesOf(piece.value).find((id) => !pictures.some((picture) => picture.record.id === id));
  if (lacking) return fail('bundle-picture-missing', `no picture ${lacking}`, { values: { name: lacking } });
  return ok({ piece: piece.value, pictures });
}

async function unpack(bytes: Uint8Array): Promise<Result<Map<string, Uint8Array<ArrayBuffer>>, BundleCode>> {
  const zip = new ZipReader(new Uint8ArrayReader(bytes), { useWebWorkers: false });
  try {
    const entries: FileEntry[] = [];
    for await (const entry of zip.getEntriesGenerator()) {
      if (entries.length >= MAX_ENTRIES) return fail('bundle-too-large', `more than ${MAX_ENTRIES} entries`);
      if (!entry.directory) entries.push(entry);
    }
    const files = new Map<string, Uint8Array<ArrayBuffer>>();
    for (const entry of entries) {
      const isPicture = entry.filename !== MANIFEST;
      const most = isPicture ? MAX_PICTURE_ENTRY_BYTES : MAX_MANIFEST_BYTES;
      files.set(entry.filename, await contentOf(entry, most, isPicture));
    }
    return ok(files);
  } catch (error) {
    if (error instanceof TooLarge) return fail('bundle-too-large', error.message);
    return fail(
      beginsAsZip(bytes) ? 'bundle-damaged' : 'bundle-not-zip',
      error instanceof Error ? error.message : String(error),
    );
  } finally {
    await zip.close().catch(() => undefined);
  }
}

function readManifest(content: Uint8Array | undefined): Result<BundleManifest, BundleCode> {
  if (!content) return fail('bundle-foreign', `expected ${MANIFEST}`);
  let data: unknown;
  try {
    data = JSON.parse(new TextDecoder().decode(content));
  } catch {
    return fail('bundle-damaged', `expected JSON at ${MANIFEST}`);
  }
  const { format, bundleVersion } = (data ?? {}) as { format?: unknown; bundleVersion?: unknown };
  if (format !== BUNDLE_FORMAT)
    return fail('bundle-foreign', `expected format ${BUNDLE_FORMAT}, got ${JSON.stringify(format)}`);
  if (typeof bundleVersion === 'number' && bundleVersion > BUNDLE_VERSION) {
    return fail('bundle-newer', `expected bundle version up to ${BUNDLE_VERSION}, got ${bundleVersion}`, {
      values: { found: bundleVersion, known: BUNDLE_VERSION },
    });
  }
  const checked = checkRecord(bundleSchema(), data);
  return checked.ok ? checked : { ok: false, error: { ...checked.error, code: 'bundle-damaged' } };
}
