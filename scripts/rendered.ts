/** Faces with a print in them as the renderer draws them, for the scripts that draw the program's own pictures. */
import { join } from 'node:path';
import sharp, { type Sharp } from 'sharp';
import { PLAIN_TONE, toneTables } from '@/core/raster';
import { PLAIN_GRAIN, prepareSpecimen, renderSpecimen, type SurfaceLook } from '@/core/render';

const DEMO = join(__dirname, '../public/demo');
const QUALITY = 84;
const SEED = 7;
/** Light that the top of a matt coat throws back. */
const SHEEN = 0.015;
export const PAPER_HAZE = 0.5;
export const CLEAN_HAZE = 0.01;

/** A face as it is drawn. */
export interface FaceSize {
  widthPx: number;
  heightPx: number;
  mmPerPx: number;
}
/** Where the print lies on it, px. */
export interface Place {
  x: number;
  y: number;
  width: number;
  height: number;
}
/** How strongly something is there at a place of the print, 0–1. */
export type Mask = (x: number, y: number) => number;

export const lookOf = (
  surface: SurfaceLook['surface'],
  colour: string,
  coat: SurfaceLook['coat'] = null,
): SurfaceLook => ({ surface, colour, coat, grain: { ...PLAIN_GRAIN, seed: SEED } });

export const PINE = lookOf('soft-wood', '#d8b483');

/** RGBA as an image. */
export const imageOf = ({ buffer }: Uint8ClampedArray, width: number, height: number): Sharp =>
  sharp(Buffer.from(buffer), { raw: { width, height, channels: 4 } });

/** A face with something drawn over it, SVG in its pixels. */
export const drawnOver = (image: Sharp, { widthPx, heightPx }: FaceSize, svg: string): Sharp =>
  image.composite([
    {
      input: Buffer.from(
        `<svg xmlns="http://www.w3.org/2000/svg" width="${widthPx}" height="${heightPx}">${svg}</svg>`,
      ),
    },
  ]);

/** A picture of the example, cut to its place; RGBA. */
export async function pictureOf(
  file: string,
  { width, height }: Place,
  changed: (picture: Sharp) => Sharp = (same) => same,
): Promise<Uint8ClampedArray> {
  const cut = await sharp(join(DEMO, file)).resize({ width, height, fit: 'cover' }).removeAlpha().toBuffer();
  const { data } = await changed(sharp(cut)).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return new Uint8ClampedArray(data);
}

const orderOf = (look: SurfaceLook, size: FaceSize, print: Place | null) => ({
  ...{ look, ...size, print },
  ...{ worn: 0, wetsFace: false, opaqueWhite: null, fade: 'none' as const, fadeMm: 0 },
});

/** The ground alone; RGBA. */
export function bareFace(look: SurfaceLook, size: FaceSize): Uint8ClampedArray {
  const out = new Uint8ClampedArray(size.widthPx * size.heightPx * 4);
  renderSpecimen(prepareSpecimen(orderOf(look, size, null)), null, SHEEN, out);
  return out;
}

/** The ground with the print in it, veiled by so much haze, toner gone where `lost` says; RGBA. */
export function printedFace({
  look,
  size,
  print,
  picture,
  haze,
  lost = () => 0,
  kept = 0.98,
}: {
  look: SurfaceLook;
  size: FaceSize;
  print: Place;
  picture: Uint8ClampedArray;
  haze: number;
  lost?: Mask | undefined;
  kept?: number | undefined;
}): Uint8ClampedArray {
  const landed = Uint8Array.from({ length: print.width * print.height }, (_, at) =>
    Math.round(255 * (1 - lost(at % print.width, Math.floor(at / print.width)))),
  );
  const out = new Uint8ClampedArray(size.widthPx * size.heightPx * 4);
  renderSpecimen(
    prepareSpecimen(orderOf(look, size, print), undefined, landed),
    { picture, tone: toneTables(PLAIN_TONE), kept, optics: { haze, sheen: SHEEN, wetsFace: false } },
    SHEEN,
    out,
  );
  return out;
}

/** One face, and the other where the veil lies over its print. */
export function veiledFace(
  clean: Uint8ClampedArray,
  veiled: Uint8ClampedArray,
  { size, print, veil }: { size: FaceSize; print: Place; veil: Mask },
): Uint8ClampedArray {
  const out = clean.slice();
  for (let y = 0; y < print.height; y++)
    for (let x = 0; x < print.width; x++) {
      const share = veil(x, y);
      const at = ((print.y + y) * size.widthPx + print.x + x) * 4;
      for (let k = at; k < at + 3; k++) out[k] = Math.round((clean[k] ?? 0) * (1 - share) + (veiled[k] ?? 0) * share);
    }
  return out;
}

/** What lies on a picture goes into it first. */
export async function saveJpeg(image: Sharp, path: string): Promise<void> {
  await sharp(await image.png().toBuffer())
    .removeAlpha()
    .jpeg({ quality: QUALITY })
    .toFile(path);
}
