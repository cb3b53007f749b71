/**
 * Writes a PNG's density into it (chunk pHYs, dots per metre), so that programs that heed it print at true size.
 * Source: the PNG specification.
 */
import { MM_PER_INCH } from '@/core/measure';

const AFTER_HEADER = 33;
const CHUNK_BYTES = 21;
const POLYNOMIAL = 0xedb88320;

const TABLE = Uint32Array.from({ length: 256 }, (_, byte) => {
  let value = byte;
  for (let bit = 0; bit < 8; bit++) value = value & 1 ? POLYNOMIAL ^ (value >>> 1) : value >>> 1;
  return value;
});

const crc = (bytes: Uint8Array): number =>
  (bytes.reduce((value, byte) => TABLE[(value ^ byte) & 255]! ^ (value >>> 8), 0xffffffff) ^ 0xffffffff) >>> 0;

export function withDensity(png: Uint8Array, ppi: number): Uint8Array<ArrayBuffer> {
  const perMetre = Math.round((ppi * 1000) / MM_PER_INCH);
  const chunk = new DataView(new ArrayBuffer(CHUNK_BYTES));
  chunk.setUint32(0, 9);
  [...'pHYs'].forEach((letter, index) => chunk.setUint8(4 + index, letter.charCodeAt(0)));
  chunk.setUint32(8, perMetre);
  chunk.setUint32(12, perMetre);
  chunk.setUint8(16, 1);
  chunk.setUint32(17, crc(new Uint8Array(chunk.buffer, 4, 13)));
  const out = new Uint8Array(png.length + CHUNK_BYTES);
  out.set(png.subarray(0, AFTER_HEADER));
  out.set(new Uint8Array(chunk.buffer), AFTER_HEADER);
  out.set(png.subarray(AFTER_HEADER), AFTER_HEADER + CHUNK_BYTES);
  return out;
}
