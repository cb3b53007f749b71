import { fail, ok, type Result } from '@/core/shared';

export type IntakeCode =
  'picture-empty' | 'picture-type' | 'picture-too-large' | 'picture-too-many-pixels' | 'picture-broken';

export const MAX_PICTURE_BYTES = 64 * 1024 * 1024;
export const MAX_PICTURE_PIXELS = 120_000_000;

const TYPES = { jpg: 'image/jpeg', png: 'image/png', webp: 'image/webp' } as const;
/** What phones keep and no printer of a page reads: decoded once, and kept as JPEG. */
const FOREIGN = ['heic', 'heif', 'avif'] as const;
type ForeignType = (typeof FOREIGN)[number];
/** What a file chooser offers. */
export const PICTURE_ACCEPT = 'image/jpeg,image/png,image/webp,image/heic,image/heif,image/avif,.heic,.heif,.avif';

export type PictureType = (typeof TYPES)[keyof typeof TYPES];

/**
 * What a header reader found: its type by content, its stored size, and the EXIF orientation 1–8 where there is one.
 */
export interface PictureHeader {
  type?: string;
  width: number;
  height: number;
  orientation?: number;
}

export interface AcceptedPicture {
  type: PictureType;
  /** Upright: after the EXIF rotation. */
  widthPx: number;
  heightPx: number;
  orientation: number;
}

/** EXIF orientations from 5 on swap width and height. */
const FIRST_TURNED_ORIENTATION = 5;

/** Whether a file has to be decoded and kept in another format. */
export const foreignType = (header: PictureHeader | null): ForeignType | null =>
  FOREIGN.find((type) => type === header?.type) ?? null;

export function checkBytes(bytes: number): Result<number, IntakeCode> {
  if (bytes === 0) return fail('picture-empty', 'expected a picture, got 0 bytes');
  if (bytes > MAX_PICTURE_BYTES)
    return fail('picture-too-large', `expected at most ${MAX_PICTURE_BYTES} bytes, got ${bytes}`, {
      values: { bytes },
    });
  return ok(bytes);
}

/** Limits first: what may be decoded at all. */
export function acceptPicture(bytes: number, header: PictureHeader | null): Result<AcceptedPicture, IntakeCode> {
  const size = checkBytes(bytes);
  if (!size.ok) return size;
  const known = header?.type && Object.hasOwn(TYPES, header.type) ? TYPES[header.type as keyof typeof TYPES] : null;
  const type = foreignType(header) ? TYPES.jpg : known;
  if (!header || !type)
    return fail('picture-type', `expected JPEG, PNG, WebP, HEIC or AVIF, got ${header?.type ?? 'unknown content'}`, {
      values: { type: header?.type ?? '' },
    });
  const pixels = header.width * header.height;
  if (!(pixels > 0)) return fail('picture-broken', `expected a size, got ${header.width} × ${header.height}`);
  if (pixels > MAX_PICTURE_PIXELS) {
    return fail('picture-too-many-pixels', `expected at most ${MAX_PICTURE_PIXELS} pixels, got ${pixels}`, {
      values: { megapixels: Math.round(pixels / 1e6) },
    });
  }
  const orientation = header.type === 'jpg' ? (header.orientation ?? 1) : 1;
  const turned = orientation >= FIRST_TURNED_ORIENTATION;
  return ok({
    type,
    orientation,
    widthPx: turned ? header.height : header.width,
    heightPx: turned ? header.width : header.height,
  });
}

const ends = (bytes: Uint8Array, mark: readonly number[], within: number): boolean => {
  for (let at = bytes.length - mark.length; at >= Math.max(0, bytes.length - within); at--) {
    if (mark.every((value, i) => bytes[at + i] === value)) return true;
  }
  return false;
};

const JPEG_END = [0xff, 0xd9];
const PNG_END = [0x49, 0x45, 0x4e, 0x44];
/** Cameras append their own blocks behind the end mark. */
const TRAILER_BYTES = 256 * 1024;

/** Whether the file has its end: decoders fill what a truncated picture lacks with grey and say nothing. */
export function isWhole(type: PictureType, bytes: Uint8Array): boolean {
  if (type === 'image/jpeg') return ends(bytes, JPEG_END, TRAILER_BYTES);
  if (type === 'image/png') return ends(bytes, PNG_END, TRAILER_BYTES);
  const riffSize = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength).getUint32(4, true);
  return bytes.length >= riffSize + 8;
}
