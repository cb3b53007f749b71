/** What the drawing of prints asks of a browser, in Node: for reading photos and drawing those of the example. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ImageData, Path2D, createCanvas } from '@napi-rs/canvas';
import { parse } from 'opentype.js';
import sharp from 'sharp';
import type { ExpectedBlank } from '@/core/inspect';
import type { Rgba } from '@/core/photo';
import { letteringOutline } from '@/core/picture';
import { planPiece } from '@/core/plan';
import { loadResampler } from '@/core/raster';
import type { Job } from '@/core/stations';
import type { Piece } from '@/records';
import type { BundledPicture } from '@/storage';
import { bitmapRows } from '@/workers/bitmap-rows';
import { landedOrder, paintLanded, type LandedPrint } from '@/workers/inspect/landed';
import type { DrawnLayer } from '@/workers/layers';

/** Ends with a code and a reason. */
export class Stop extends Error {
  constructor(
    readonly code: string,
    message: string,
  ) {
    super(message);
  }
}

/** A picture's size as it is seen. */
export async function uprightSize(bytes: Uint8Array): Promise<{ width: number; height: number }> {
  const { width = 1, height = 1, orientation = 1 } = await sharp(bytes).metadata();
  return orientation >= 5 ? { width: height, height: width } : { width, height };
}

/** Upright, over white, sRGB, at most so many pixels. */
export async function rgbaOf(bytes: Uint8Array, mostPx: number): Promise<Rgba> {
  const { width, height } = await uprightSize(bytes);
  const share = Math.min(1, Math.sqrt(mostPx / (width * height)));
  const { data, info } = await sharp(bytes)
    .rotate()
    .resize({ width: Math.max(1, Math.round(width * share)) })
    .toColourspace('srgb')
    .flatten({ background: '#fff' })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data: new Uint8ClampedArray(data), width: info.width, height: info.height };
}

async function canvasFrom(bytes: Uint8Array): Promise<ImageBitmap> {
  const { data, width, height } = await rgbaOf(bytes, Infinity);
  const canvas = createCanvas(width, height);
  canvas.getContext('2d').putImageData(new ImageData(data, width, height), 0, 0);
  return canvas as unknown as ImageBitmap;
}

function likeABrowser(): void {
  class Offscreen {
    constructor(width: number, height: number) {
      return createCanvas(width, height);
    }
  }
  const createImageBitmap = async (file: Blob) => canvasFrom(new Uint8Array(await file.arrayBuffer()));
  Object.assign(globalThis, { OffscreenCanvas: Offscreen, ImageData, Path2D, createImageBitmap });
}

function layersOf({ picture: { layers } }: Job, pictures: readonly BundledPicture[]): DrawnLayer[] {
  return layers
    .filter(({ mode }) => mode === 'transfer')
    .map((layer): DrawnLayer => {
      if (layer.kind === 'text') {
        const woff = readFileSync(join(__dirname, `../public/lettering/${layer.font}.woff`));
        const font = parse(woff.buffer.slice(woff.byteOffset, woff.byteOffset + woff.byteLength));
        return { kind: 'text', path: letteringOutline(font, layer).path, colour: layer.colour };
      }
      const found = pictures.find(({ record }) => record.id === layer.pictureId);
      if (!found) throw new Stop('bundle-picture-missing', `no picture ${layer.pictureId}`);
      return { kind: 'picture', file: new Blob([found.bytes]), crop: layer.crop, box: layer.box, bend: null };
    });
}

/** A piece's print as it lands, and the blank it lies on. */
export async function landedOf(
  piece: Piece,
  pictures: readonly BundledPicture[],
): Promise<{ blank: ExpectedBlank; print: LandedPrint }> {
  likeABrowser();
  const main = pictures.find(({ record }) => record.id === piece.picture.pictureId);
  if (!main) throw new Stop('piece-unplanned', 'expected a piece with a picture');
  const bitmap = await canvasFrom(main.bytes);
  const order = landedOrder(piece, planPiece(piece, main.record, piece.updatedAt), layersOf(piece, pictures));
  if (!order.ok) throw new Stop(order.error.code, order.error.message);
  const source = bitmapRows(bitmap, order.value.turning);
  const landed = await paintLanded(order.value, source, loadResampler());
  if (!landed.ok) throw new Stop(landed.error.code, landed.error.message);
  return { blank: order.value.blank, print: landed.value };
}
