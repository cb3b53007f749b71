import type { StoredPicture } from '@/records';
import type { InspectedPicture } from '@/workers/picture/protocol';
import { newId } from './ids';

const LONGEST_NAME = 255;

/** A picture as it is kept: under a new id, or the one it has. */
export function storedFrom(
  found: InspectedPicture,
  { id = newId(), name, bytes }: { id?: string; name: string; bytes: number },
): StoredPicture {
  const { type, sha256, widthPx, heightPx, paleShare, darkShare, sketch, reads, file, preview } = found;
  return {
    ...{ id, name: name.slice(0, LONGEST_NAME), type, bytes, sha256 },
    ...{ widthPx, heightPx, paleShare, darkShare, sketch, reads, file, preview },
  };
}
