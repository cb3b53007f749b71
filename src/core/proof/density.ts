/**
 * The density that a scan says of itself: the pHYs chunk of a PNG, the JFIF or Exif header of a JPEG. Pixels a millimetre;
 * null where the file says none. Source: the PNG, JFIF and Exif specifications.
 */
import { MM_PER_INCH } from '@/core/measure';

export interface Density {
  xPerMm: number;
  yPerMm: number;
}

const PNG = [0x89, 0x50, 0x4e, 0x47];
const MM_PER_M = 1000;
const MM_PER_CM = 10;

export function densityOf(bytes: Uint8Array): Density | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (PNG.every((byte, at) => bytes[at] === byte)) return pngDensity(view);
  return bytes.length > 4 && view.getUint16(0) === 0xffd8 ? jpegDensity(view) : null;
}

const positive = (xPerMm: number, yPerMm: number): Density | null =>
  xPerMm > 0 && yPerMm > 0 && Number.isFinite(xPerMm + yPerMm) ? { xPerMm, yPerMm } : null;

function pngDensity(view: DataView): Density | null {
  for (let at = 8; at + 12 <= view.byteLength; at += 12 + view.getUint32(at)) {
    const kind = view.getUint32(at + 4);
    // "pHYs" with the metre as its unit; it stands before the pixels, "IDAT".
    if (kind === 0x70485973 && at + 17 <= view.byteLength && view.getUint8(at + 16) === 1)
      return positive(view.getUint32(at + 8) / MM_PER_M, view.getUint32(at + 12) / MM_PER_M);
    if (kind === 0x49444154) return null;
  }
  return null;
}

function jpegDensity(view: DataView): Density | null {
  for (let at = 2; at + 20 <= view.byteLength && view.getUint8(at) === 0xff; at += 2 + view.getUint16(at + 2)) {
    const [marker, name] = [view.getUint8(at + 1), view.getUint32(at + 4)];
    const found =
      marker === APP0 && name === JFIF ? jfif(view, at) : marker === APP1 && name === EXIF ? exif(view, at + 10) : null;
    if (found) return found;
  }
  return null;
}

const APP0 = 0xe0;
const APP1 = 0xe1;
const JFIF = 0x4a464946;
const EXIF = 0x45786966;
const PER_INCH = { jfif: 1, exif: 2 } as const;
const PER_CM = { jfif: 2, exif: 3 } as const;

function jfif(view: DataView, at: number): Density | null {
  const unit = view.getUint8(at + 11);
  if (unit !== PER_INCH.jfif && unit !== PER_CM.jfif) return null;
  const mm = unit === PER_INCH.jfif ? MM_PER_INCH : MM_PER_CM;
  return positive(view.getUint16(at + 12) / mm, view.getUint16(at + 14) / mm);
}

/** Tags of the first directory: horizontal and vertical resolution, and their unit. */
const TAGS = { across: 0x011a, down: 0x011b, unit: 0x0128 } as const;

/** @param start of the TIFF header */
function exif(view: DataView, start: number): Density | null {
  const little = view.getUint16(start) === 0x4949;
  const has = (at: number, bytes: number) => at >= 0 && at + bytes <= view.byteLength;
  const directory = start + view.getUint32(start + 4, little);
  if (!has(directory, 2)) return null;
  const values = new Map<number, number>();
  for (let entry = 0; entry < view.getUint16(directory, little); entry++) {
    const at = directory + 2 + 12 * entry;
    if (!has(at, 12)) return null;
    const tag = view.getUint16(at, little);
    const to = start + view.getUint32(at + 8, little);
    if (tag === TAGS.unit) values.set(tag, view.getUint16(at + 8, little));
    else if ((tag === TAGS.across || tag === TAGS.down) && has(to, 8))
      values.set(tag, view.getUint32(to, little) / view.getUint32(to + 4, little));
  }
  const mm = values.get(TAGS.unit) === PER_CM.exif ? MM_PER_CM : MM_PER_INCH;
  return positive((values.get(TAGS.across) ?? 0) / mm, (values.get(TAGS.down) ?? 0) / mm);
}
