import { newPiece, type Piece, type StoredPicture } from '@/records';
import { MS_PER_HOUR } from '@/core/shared';
import type { PictureFacts } from '@/core/stations';

export const NOW = new Date('2026-03-04T10:00:00').getTime();
export const HOUR = MS_PER_HOUR;

export const PICTURE: PictureFacts = { widthPx: 4000, heightPx: 3000, paleShare: 0.2, darkShare: 0.1 };

/** A piece that lacks nothing up to the laying: fluid gel on painted wood, print inside 10 mm margins. */
export function readyPiece(patch: Partial<Piece> = {}): Piece {
  const piece = newPiece('piece-1', 'Route map', NOW);
  return {
    ...piece,
    picture: { ...piece.picture, pictureId: 'picture-1', lettering: 'no' },
    surface: { ...piece.surface, kind: 'painted-wood', widthMm: 240, heightMm: 180, finish: 'chalk-type-paint' },
    method: { ...piece.method, print: 'laser-plain', school: 'dry-and-rub', binder: 'fluid-gel' },
    ...patch,
  };
}

export function storedPicture(id: string, bytes: Uint8Array<ArrayBuffer> = new Uint8Array([1, 2, 3])): StoredPicture {
  const file = new Blob([bytes]);
  return {
    id,
    name: `${id}.jpg`,
    type: 'image/jpeg',
    bytes: file.size,
    sha256: '0'.repeat(64),
    widthPx: 40,
    heightPx: 30,
    paleShare: 0,
    darkShare: 0,
    file,
    preview: file,
  };
}
