import { expose, transfer } from 'comlink';
import { PLAIN_TONE, applyTone, fadeRows, toneTables } from '@/core/raster';
import { loadLayPrint, prepareSpecimen, renderGround, renderSpecimen, type PreparedSpecimen, type PrintPx } from '@/core/render';
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
    const value = found ?? await make();
    this.entries.delete(key);
    this.entries.set(key, value);
    if (this.entries.size > KEPT) { const [oldest, old] = [...this.entries][0]; this.entries.delete(oldest); this.drop(old); }
    return value;
  }
}

interface Laid { main: Uint8ClampedArray; /** Place of the main picture within the print. */ at: PrintPx; /** Layers over it, RGBA, or null. */ over: Uint8ClampedArray | null }

const bitmaps = new Recent<ImageBitmap | null>((bitmap) => bitmap?.close());
const grounds = new Recent<Uint16Array>();
const specimens = new Recent<PreparedSpecimen>();
const pictures = new Recent<Laid>();

const round = Math.round;

const job: LookJob = {
  async draw(order) {
    const { face, pxPerMm, print } = order;
    const [widthPx, heightPx] = [Math.max(1, round(face.widthMm * pxPerMm)), Math.max(1, round(face.heightMm * pxPerMm))];
    const place = print ? placePx(order, widthPx, heightPx) : null;
    const laid = place && order.picture ? await layPicture(order, order.picture, place) : null;
    const layered = laid !== null && (laid.over !== null || laid.at.width !== place?.width || laid.at.height !== place.height);
    const picture = laid && place ? layered ? composed(laid, place, order) : laid.main : null;
    const tone = layered ? PLAIN : order.tone;
    const out = new Uint8ClampedArray(widthPx * heightPx * 4);
    if (!order.look) paper(out, widthPx, picture && place ? { picture, place } : null, order, tone);
    else {
      const specimen = { look: order.look, widthPx, heightPx, mmPerPx: 1 / pxPerMm, print: place, opaqueWhite: order.opaqueWhite, fade: layered ? 'none' as const : order.fade, fadeMm: order.fadeMm };
      const { look } = order;
      const prepared = await specimens.get(JSON.stringify(specimen), async () =>
        prepareSpecimen(specimen, await grounds.get(JSON.stringify([look, widthPx, heightPx]), () => renderGround(look, widthPx, heightPx, 1 / pxPerMm))));
      renderSpecimen(prepared, picture ? { picture, tone, kept: order.kept, optics: order.optics } : null, order.optics.sheen, out, await kernel);
    }
    const bitmap = await createImageBitmap(new ImageData(out, widthPx, heightPx));
    return transfer(bitmap, [bitmap]);
  },
};

function placePx({ print, pxPerMm }: LookOrder, widthPx: number, heightPx: number): PrintPx | null {
  if (!print) return null;
  const [x, y] = [Math.max(0, round(print.xMm * pxPerMm)), Math.max(0, round(print.yMm * pxPerMm))];
  const [width, height] = [Math.min(widthPx - x, round(print.widthMm * pxPerMm)), Math.min(heightPx - y, round(print.heightMm * pxPerMm))];
  return width > 0 && height > 0 ? { x, y, width, height } : null;
}

/** The cropped picture at the size of its place, and the layers over the print. */
function layPicture(order: LookOrder, picture: LookPicture, place: PrintPx): Promise<Laid> {
  const { pxPerMm } = order;
  const { origin } = picture;
  const texts = picture.layers.map((layer) => (layer.kind === 'text' ? [layer.path, layer.colour] : [layer.file.size, layer.crop, layer.box]));
  return pictures.get(JSON.stringify([picture.id, picture.turning, picture.crop, picture.box, place.width, place.height, origin, texts]), async () => {
    const bitmap = await bitmaps.get(picture.id, () => decodeUpright(picture.preview));
    const at: PrintPx = {
      x: round((picture.box.xMm - origin.xMm) * pxPerMm), y: round((picture.box.yMm - origin.yMm) * pxPerMm),
      width: Math.max(1, Math.min(place.width, round(picture.box.widthMm * pxPerMm))), height: Math.max(1, Math.min(place.height, round(picture.box.heightMm * pxPerMm))),
    };
    const main = bitmap ? drawn(bitmap, picture, at) : new Uint8ClampedArray(at.width * at.height * 4).fill(255);
    if (picture.layers.length === 0) return { main, at, over: null };
    const context = canvasOf(place.width, place.height);
    await drawLayers(context, picture.layers, origin, { widthPx: place.width, heightPx: place.height }, false);
    return { main, at, over: context.getImageData(0, 0, place.width, place.height).data };
  });
}

function canvasOf(width: number, height: number): OffscreenCanvasRenderingContext2D {
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('no canvas to draw on');
  return context;
}

/** The crop of a turned picture over white, at a size. */
function drawn(bitmap: ImageBitmap, { turning, crop }: LookPicture, { width, height }: PrintPx): Uint8ClampedArray {
  const picture = { widthPx: bitmap.width, heightPx: bitmap.height };
  const frame = frameSize(picture, turning);
  const [sx, sy] = [width / (crop.width * frame.widthPx), height / (crop.height * frame.heightPx)];
  const [a, b, c, d, e, f] = frameMatrix(picture, turning);
  const context = canvasOf(width, height);
  context.fillStyle = '#fff';
  context.fillRect(0, 0, width, height);
  context.imageSmoothingQuality = 'high';
  context.setTransform(a * sx, b * sy, c * sx, d * sy, (e - crop.x * frame.widthPx) * sx, (f - crop.y * frame.heightPx) * sy);
  context.drawImage(bitmap, 0, 0);
  return context.getImageData(0, 0, width, height).data;
}

/** Main picture, toned and faded, on white with the layers over it: the whole print. */
function composed({ main, at, over }: Laid, place: PrintPx, order: LookOrder): Uint8ClampedArray {
  const toned = main.slice();
  applyTone(toned, order.tone);
  fade(toned, at, order);
  const print = new Uint8ClampedArray(place.width * place.height * 4).fill(255);
  for (let row = 0; row < at.height && row + at.y < place.height; row++) print.set(toned.subarray(row * at.width * 4, (row + 1) * at.width * 4), ((row + at.y) * place.width + at.x) * 4);
  for (let i = 0; over && i < over.length; i += 4) {
    const share = over[i + 3] / 255;
    if (share > 0) for (let channel = 0; channel < 3; channel++) print[i + channel] += (over[i + channel] - print[i + channel]) * share;
  }
  return print;
}

const fade = (rgba: Uint8ClampedArray, { width, height }: PrintPx, { fade: form, fadeMm, pxPerMm }: LookOrder): void =>
  fadeRows(rgba, form, fadeMm, { widthPx: width, firstRow: 0, firstColumn: 0, mmPerPx: 1 / pxPerMm, print: { widthMm: width / pxPerMm, heightMm: height / pxPerMm }, mirrored: false });

/** The print alone, on paper. */
function paper(out: Uint8ClampedArray, widthPx: number, print: { picture: Uint8ClampedArray; place: PrintPx } | null, order: LookOrder, tone: LookOrder['tone']): void {
  out.fill(255);
  if (!print) return;
  const toned = print.picture.slice();
  applyTone(toned, tone);
  const { place } = print;
  if (tone === order.tone) fade(toned, place, order);
  for (let row = 0; row < place.height; row++) out.set(toned.subarray(row * place.width * 4, (row + 1) * place.width * 4), ((row + place.y) * widthPx + place.x) * 4);
}

expose(job);
