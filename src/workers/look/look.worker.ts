import { expose, transfer } from 'comlink';
import { PLAIN_TONE, applyTone, bendPixels, fadeRows, toneTables } from '@/core/raster';
import {
  loadLayPrint,
  photographedGround,
  prepareSpecimen,
  renderGround,
  renderSpecimen,
  stand,
  type PreparedSpecimen,
  type PrintPx,
  type SurfaceLook,
} from '@/core/render';
import { frameMatrix, frameSize } from '@/core/picture';
import { decodeUpright } from '../bitmap-rows';
import { drawLayers } from '../layers';
import type { LookJob, LookOrder, LookPicture } from './protocol';

const PLAIN = toneTables(PLAIN_TONE);
const kernel = loadLayPrint();
const KEPT = 6;

/** The few things used last, by key. */
class Recent<T> {
  private readonly entries = new Map<string, T>();
  constructor(private readonly drop: (value: T) => void = () => undefined) {}
  async get(key: string, make: () => T | Promise<T>): Promise<T> {
    const found = this.entries.get(key);
    const value = found ?? (await make());
    this.entries.delete(key);
    this.entries.set(key, value);
    if (this.entries.size > KEPT) {
      const [oldest, old] = [...this.entries][0];
      this.entries.delete(oldest);
      this.drop(old);
    }
    return value;
  }
}

/** The main picture alone, its size, and the layers over the print, RGBA, or null. */
interface Laid {
  main: Uint8ClampedArray;
  width: number;
  height: number;
  over: Uint8ClampedArray | null;
}

const bitmaps = new Recent<ImageBitmap | null>((bitmap) => bitmap?.close());
const grounds = new Recent<Uint16Array>();
const specimens = new Recent<PreparedSpecimen>();
const pictures = new Recent<Laid>();

const round = Math.round;

const job: LookJob = {
  async draw(order) {
    const { face, pxPerMm, print } = order;
    const [widthPx, heightPx] = [
      Math.max(1, round(face.widthMm * pxPerMm)),
      Math.max(1, round(face.heightMm * pxPerMm)),
    ];
    const place = print ? placePx(order, widthPx, heightPx) : null;
    const laid = place && order.picture ? await layPicture(order, order.picture, place) : null;
    const plain =
      laid !== null &&
      order.picture !== null &&
      laid.over === null &&
      laid.width === place?.width &&
      laid.height === place.height &&
      isWhole(order.picture);
    const picture =
      laid && place && order.picture ? (plain ? laid.main : composed(laid, order.picture, place, order)) : null;
    const tone = plain ? order.tone : PLAIN;
    const out = new Uint8ClampedArray(widthPx * heightPx * 4);
    if (!order.look) paper(out, widthPx, picture && place ? { picture, place } : null, order, tone);
    else {
      const landed = order.picture?.landed ?? null;
      const specimen = {
        look: order.look,
        widthPx,
        heightPx,
        mmPerPx: 1 / pxPerMm,
        print: place,
        opaqueWhite: order.opaqueWhite,
        fade: plain ? order.fade : ('none' as const),
        fadeMm: order.fadeMm,
        worn: order.worn,
        wetsFace: order.optics.wetsFace,
      };
      const { look } = order;
      const prepared = await specimens.get(JSON.stringify([specimen, landed, Boolean(order.facePhoto)]), async () =>
        prepareSpecimen(
          specimen,
          await grounds.get(JSON.stringify([look, widthPx, heightPx, Boolean(order.facePhoto)]), () =>
            groundOf(order, look, widthPx, heightPx),
          ),
          landed && place ? maskOf(landed, order, place) : null,
        ),
      );
      renderSpecimen(
        prepared,
        picture ? { picture, tone, kept: order.kept, optics: order.optics } : null,
        order.optics.sheen,
        out,
        kernel,
      );
    }
    const shown = order.standing
      ? stand({ rgba: out, widthPx, heightPx }, order.standing, pxPerMm)
      : { rgba: out, widthPx, heightPx };
    const bitmap = await createImageBitmap(new ImageData(shown.rgba, shown.widthPx, shown.heightPx));
    return transfer(bitmap, [bitmap]);
  },
};

/** The bare face: from its photo where there is one, else as is usual for its kind. */
async function groundOf(order: LookOrder, look: SurfaceLook, widthPx: number, heightPx: number): Promise<Uint16Array> {
  const { face } = look;
  const photo = order.facePhoto;
  const bitmap = face && photo ? await bitmaps.get(face.pictureId, () => decodeUpright(photo)) : null;
  if (!face || !bitmap) return renderGround(look, widthPx, heightPx, 1 / order.pxPerMm);
  const context = canvasOf(widthPx, heightPx);
  const [across, down] = face.turns % 2 === 0 ? [widthPx, heightPx] : [heightPx, widthPx];
  context.imageSmoothingQuality = 'high';
  context.translate(widthPx / 2, heightPx / 2);
  context.rotate((face.turns * Math.PI) / 2);
  context.drawImage(bitmap, -across / 2, -down / 2, across, down);
  return photographedGround(context.getImageData(0, 0, widthPx, heightPx).data, look);
}

/** One stretch of picture that is the whole print. */
const isWhole = ({ blocks, landed }: LookPicture): boolean =>
  landed === null &&
  blocks.length === 1 &&
  blocks[0].bent === null &&
  blocks[0].pictures.length === 1 &&
  blocks[0].solids.length === 0;

/** What lands, 0–255 for each pixel of the print. */
function maskOf(landed: string, { print, pxPerMm }: LookOrder, place: PrintPx): Uint8Array {
  const context = canvasOf(place.width, place.height);
  context.setTransform(pxPerMm, 0, 0, pxPerMm, -(print?.xMm ?? 0) * pxPerMm, -(print?.yMm ?? 0) * pxPerMm);
  context.fill(new Path2D(landed), 'evenodd');
  return Uint8Array.from(
    { length: place.width * place.height },
    (
      (rgba) => (_, at) =>
        rgba[at * 4 + 3]
    )(context.getImageData(0, 0, place.width, place.height).data),
  );
}

function placePx({ print, pxPerMm }: LookOrder, widthPx: number, heightPx: number): PrintPx | null {
  if (!print) return null;
  const [x, y] = [Math.max(0, round(print.xMm * pxPerMm)), Math.max(0, round(print.yMm * pxPerMm))];
  const [width, height] = [
    Math.min(widthPx - x, round(print.widthMm * pxPerMm)),
    Math.min(heightPx - y, round(print.heightMm * pxPerMm)),
  ];
  return width > 0 && height > 0 ? { x, y, width, height } : null;
}

/** The cropped picture at the size of its place, and the layers over the print. */
function layPicture(order: LookOrder, picture: LookPicture, place: PrintPx): Promise<Laid> {
  const { pxPerMm } = order;
  const texts = picture.layers.map((layer) =>
    layer.kind === 'text' ? [layer.path, layer.colour] : [layer.file.size, layer.crop, layer.box],
  );
  return pictures.get(
    JSON.stringify([
      picture.id,
      picture.turning,
      picture.crop,
      picture.box,
      place.width,
      place.height,
      picture.origin,
      picture.blocks,
      texts,
    ]),
    async () => {
      const bitmap = await bitmaps.get(picture.id, () => decodeUpright(picture.preview));
      const whole =
        isWhole(picture) &&
        picture.layers.length === 0 &&
        Math.abs(picture.box.widthMm - picture.origin.widthMm) +
          Math.abs(picture.box.heightMm - picture.origin.heightMm) <
          1e-6;
      const [width, height] = whole
        ? [place.width, place.height]
        : [Math.max(1, round(picture.box.widthMm * pxPerMm)), Math.max(1, round(picture.box.heightMm * pxPerMm))];
      const main = bitmap
        ? drawn(bitmap, picture, { width, height })
        : new Uint8ClampedArray(width * height * 4).fill(255);
      if (picture.layers.length === 0) return { main, width, height, over: null };
      const context = canvasOf(place.width, place.height);
      const views = picture.blocks.flatMap((block) => block.views);
      await drawLayers(
        context,
        picture.layers,
        views,
        picture.origin,
        { widthPx: place.width, heightPx: place.height },
        false,
      );
      return { main, width, height, over: context.getImageData(0, 0, place.width, place.height).data };
    },
  );
}

function canvasOf(width: number, height: number): OffscreenCanvasRenderingContext2D {
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('no canvas to draw on');
  return context;
}

/** The crop of a turned picture over white, at a size. */
function drawn(
  bitmap: ImageBitmap,
  { turning, crop }: LookPicture,
  { width, height }: { width: number; height: number },
): Uint8ClampedArray {
  const picture = { widthPx: bitmap.width, heightPx: bitmap.height };
  const frame = frameSize(picture, turning);
  const [sx, sy] = [width / (crop.width * frame.widthPx), height / (crop.height * frame.heightPx)];
  const [a, b, c, d, e, f] = frameMatrix(picture, turning);
  const context = canvasOf(width, height);
  context.fillStyle = '#fff';
  context.fillRect(0, 0, width, height);
  context.imageSmoothingQuality = 'high';
  context.setTransform(
    a * sx,
    b * sy,
    c * sx,
    d * sy,
    (e - crop.x * frame.widthPx) * sx,
    (f - crop.y * frame.heightPx) * sy,
  );
  context.drawImage(bitmap, 0, 0);
  return context.getImageData(0, 0, width, height).data;
}

/** Main picture, toned and faded, laid stretch by stretch on white, with the layers over it: the whole print. */
function composed(
  { main, width, height, over }: Laid,
  { blocks, origin, box }: LookPicture,
  place: PrintPx,
  order: LookOrder,
): Uint8ClampedArray {
  const { pxPerMm } = order;
  const toned = main.slice();
  applyTone(toned, order.tone);
  fade(toned, width, height, order);
  const print = new Uint8ClampedArray(place.width * place.height * 4).fill(255);
  const from = new Uint32Array(toned.buffer, toned.byteOffset, width * height);
  const to = new Uint32Array(print.buffer);
  for (const { pictures: stretches, solids, bent } of blocks) {
    for (const { at, face, from: start, flipX, flipY } of stretches) {
      const [sx, sy] = [round(start.xMm * pxPerMm), round(start.yMm * pxPerMm)];
      const [w, h] = [round(at.widthMm * pxPerMm), round(at.heightMm * pxPerMm)];
      eachPixel(
        place,
        round((face.xMm - origin.xMm) * pxPerMm),
        round((face.yMm - origin.yMm) * pxPerMm),
        w,
        h,
        (pixel, i, j) => {
          const [x, y] = [sx + (flipX ? w - 1 - i : i), sy + (flipY ? h - 1 - j : j)];
          to[pixel] = from[Math.max(0, Math.min(height - 1, y)) * width + Math.max(0, Math.min(width - 1, x))];
        },
      );
    }
    for (const { at, face } of solids)
      eachPixel(
        place,
        round((face.xMm - origin.xMm) * pxPerMm),
        round((face.yMm - origin.yMm) * pxPerMm),
        round(at.widthMm * pxPerMm),
        round(at.heightMm * pxPerMm),
        (pixel) => {
          to[pixel] = order.picture?.sideColour ?? 0;
        },
      );
    if (bent)
      bendPixels(
        bent,
        { rgba: toned, widthPx: width, heightPx: height, from: { xMm: box.xMm, yMm: box.yMm }, pxPerMm },
        {
          rgba: print,
          widthPx: place.width,
          heightPx: place.height,
          firstRow: 0,
          corner: { xMm: origin.xMm, yMm: origin.yMm },
          pxPerMm,
          mirrored: false,
        },
      );
  }
  for (let i = 0; over && i < over.length; i += 4) {
    const share = over[i + 3] / 255;
    if (share > 0)
      for (let channel = 0; channel < 3; channel++)
        print[i + channel] += (over[i + channel] - print[i + channel]) * share;
  }
  return print;
}

/** Every pixel of a rectangle that lies on the print: its index, and its place in the rectangle. */
function eachPixel(
  place: PrintPx,
  x: number,
  y: number,
  w: number,
  h: number,
  visit: (pixel: number, i: number, j: number) => void,
): void {
  for (let j = Math.max(0, -y); j < h && y + j < place.height; j++)
    for (let i = Math.max(0, -x); i < w && x + i < place.width; i++) visit((y + j) * place.width + x + i, i, j);
}

const fade = (
  rgba: Uint8ClampedArray,
  width: number,
  height: number,
  { fade: form, fadeMm, pxPerMm }: LookOrder,
): void =>
  fadeRows(rgba, form, fadeMm, {
    widthPx: width,
    firstRow: 0,
    firstColumn: 0,
    mmPerPx: 1 / pxPerMm,
    print: { widthMm: width / pxPerMm, heightMm: height / pxPerMm },
    mirrored: false,
  });

/** The print alone, on paper. */
function paper(
  out: Uint8ClampedArray,
  widthPx: number,
  print: { picture: Uint8ClampedArray; place: PrintPx } | null,
  order: LookOrder,
  tone: LookOrder['tone'],
): void {
  out.fill(255);
  if (!print) return;
  const toned = print.picture.slice();
  applyTone(toned, tone);
  const { place } = print;
  if (tone === order.tone) fade(toned, place.width, place.height, order);
  for (let row = 0; row < place.height; row++)
    out.set(
      toned.subarray(row * place.width * 4, (row + 1) * place.width * 4),
      ((row + place.y) * widthPx + place.x) * 4,
    );
}

expose(job);
