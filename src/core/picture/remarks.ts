/**
 * What is to be known of a picture file before it is printed, read from its bytes: more than one frame, or inks instead
 * of light. Source: the PNG (APNG), WebP and JPEG specifications.
 */
import type { PictureType } from './intake';

export type PictureRemark = 'transparent' | 'animated' | 'inks' | 'kept-as-jpeg';

/** As much of a file as its chunks before the pixels take. */
const HEAD_BYTES = 262_144;

export function remarksOf(type: PictureType, bytes: Uint8Array): PictureRemark[] {
  const head = bytes.subarray(0, HEAD_BYTES);
  if (type === 'image/png') return has(head, 'acTL') ? ['animated'] : [];
  if (type === 'image/webp') return has(head, 'ANIM') ? ['animated'] : [];
  return jpegChannels(head) === 4 ? ['inks'] : [];
}

function has(bytes: Uint8Array, name: string): boolean {
  const mark = [...name].map((letter) => letter.charCodeAt(0));
  for (let at = 0; at + mark.length <= bytes.length; at++)
    if (mark.every((byte, index) => bytes[at + index] === byte)) return true;
  return false;
}

/** Components of the first frame's header; null where none is found. */
function jpegChannels(bytes: Uint8Array): number | null {
  for (let at = 2; at + 10 < bytes.length && bytes[at] === 0xff;) {
    const marker = bytes[at + 1] ?? 0;
    const isFrame = marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc;
    if (isFrame) return bytes[at + 9] ?? null;
    at += 2 + (((bytes[at + 2] ?? 0) << 8) | (bytes[at + 3] ?? 0));
  }
  return null;
}

/** From this share of see-through pixels on it is said. */
const SEEN_THROUGH = 0.001;
const FULL = 250;

/** @param rgba of the picture, or of a smaller one of it, before it is laid on white */
export function isTransparent(rgba: Uint8ClampedArray): boolean {
  let clear = 0;
  for (let at = 3; at < rgba.length; at += 4) if ((rgba[at] ?? FULL) < FULL) clear++;
  return clear > (SEEN_THROUGH * rgba.length) / 4;
}
