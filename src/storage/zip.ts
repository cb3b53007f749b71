/** What the files that are kept and handed over share of the zip format. */
import type { FileEntry } from '@zip.js/zip.js';
import { clamp } from '@/core/shared';

/** What the zip format can say of a time. */
const [FIRST_TIME, LAST_TIME] = [Date.UTC(1981, 0, 1), Date.UTC(2099, 11, 30)];

/** The same content gives the same bytes: no worker, no time but the one that is told. @param at epoch ms */
export const zipOptions = (at: number) => ({
  useWebWorkers: false,
  extendedTimestamp: false,
  lastModDate: new Date(clamp(at, FIRST_TIME, LAST_TIME)),
});

/** Whether a file begins as a zip does, whatever follows. */
export const beginsAsZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

export class TooLarge extends Error {}

/**
 * The content of an entry, whatever size it claims to have.
 *
 * @param isHashed whoever asks holds it to its SHA-256, and says whose content is damaged
 * @throws TooLarge where it is over `most` bytes
 */
export async function contentOf(entry: FileEntry, most: number, isHashed = false): Promise<Uint8Array<ArrayBuffer>> {
  if (entry.uncompressedSize > most) throw new TooLarge(`${entry.filename} is over its limit`);
  const parts: Uint8Array<ArrayBuffer>[] = [];
  let bytes = 0;
  const sink = new WritableStream<Uint8Array<ArrayBuffer>>({
    write(part) {
      bytes += part.length;
      if (bytes > most) throw new TooLarge(`${entry.filename} is over its limit`);
      parts.push(part.slice());
    },
  });
  await entry.getData(sink, { checkSignature: !isHashed });
  const all = new Uint8Array(bytes);
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.length;
  }
  return all;
}
