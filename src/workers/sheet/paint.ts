/**
 * Paints a print's dots on a canvas: pictures resampled, toned and faded, stretch by stretch or bent; solid sides;
 * layers. A window of the print at a time, as it is printed.
 */
import { cropPixels, type SizePx } from '@/core/picture';
import {
  bendPixels,
  fadeRows,
  isPlain,
  resample,
  type PlaneSource,
  type ResamplePasses,
  type RowSource,
} from '@/core/raster';
import { unbendPoint, type BentBlock, type RectMm } from '@/core/shape';
import type { PictureStretch } from '@/core/sheet';
import { ok, type Result } from '@/core/shared';
import { drawLayers } from '../layers';
import type { PrintOrder, SheetCode } from './protocol';

type Context2d = OffscreenCanvasRenderingContext2D;

interface Pixels {
  x: number;
  y: number;
  widthPx: number;
  heightPx: number;
}

export interface Painting {
  print: PrintOrder;
  source: RowSource | PlaneSource | null;
  passes: ResamplePasses;
  mirrored: boolean;
  /** Dots of a millimetre, of the whole print, and the window of it that the canvas holds. */
  dotsPerMm: number;
  whole: SizePx;
  window: Pixels;
}

/** @returns `crop-empty` where the crop holds no pixels */
export async function paintPrint(context: Context2d, painting: Painting): Promise<Result<void, SheetCode>> {
  const { print, mirrored, whole, window, dotsPerMm } = painting;
  context.setTransform(1, 0, 0, 1, 0, 0);
  context.fillStyle = '#fff';
  context.fillRect(0, 0, window.widthPx, window.heightPx);
  context.fillStyle = print.sideColour;
  for (const { at } of print.block.solids) {
    const place = printedPixels(at, painting);
    context.fillRect(place.x - window.x, place.y - window.y, place.widthPx, place.heightPx);
  }
  if (print.picture && painting.source) {
    for (const stretch of print.block.pictures) {
      const painted = await paintStretch(context, painting, stretch);
      if (!painted.ok) return painted;
    }
    if (print.block.bent) {
      const painted = await paintBent(context, painting, print.block.bent);
      if (!painted.ok) return painted;
    }
  }
  if (print.layers.length > 0) {
    const left = mirrored ? whole.widthPx - window.x - window.widthPx : window.x;
    const part: RectMm = {
      xMm: left / dotsPerMm,
      yMm: window.y / dotsPerMm,
      widthMm: window.widthPx / dotsPerMm,
      heightMm: window.heightPx / dotsPerMm,
    };
    await drawLayers(context, print.layers, print.block.views, part, window, mirrored);
  }
  return ok(undefined);
}

/** A rectangle of the block as whole dots of the print, as printed. */
function printedPixels(at: RectMm, { dotsPerMm, whole, mirrored }: Painting): Pixels {
  const [left, right] = [Math.round(at.xMm * dotsPerMm), Math.round((at.xMm + at.widthMm) * dotsPerMm)];
  const [top, bottom] = [Math.round(at.yMm * dotsPerMm), Math.round((at.yMm + at.heightMm) * dotsPerMm)];
  return {
    x: mirrored ? whole.widthPx - right : left,
    y: top,
    widthPx: Math.max(1, right - left),
    heightPx: Math.max(1, bottom - top),
  };
}

function shared(one: Pixels, other: Pixels): Pixels | null {
  const [x, y] = [Math.max(one.x, other.x), Math.max(one.y, other.y)];
  const widthPx = Math.min(one.x + one.widthPx, other.x + other.widthPx) - x;
  const heightPx = Math.min(one.y + one.heightPx, other.y + other.heightPx) - y;
  return widthPx > 0 && heightPx > 0 ? { x, y, widthPx, heightPx } : null;
}

async function paintStretch(
  context: Context2d,
  painting: Painting,
  { at, from, flipX, flipY }: PictureStretch,
): Promise<Result<void, SheetCode>> {
  const { print, source, passes, mirrored, window } = painting;
  const { picture } = print;
  const place = printedPixels(at, painting);
  const part = shared(place, window);
  if (!part || !picture || !source) return ok(undefined);
  const backwards = mirrored !== flipX;
  // The part within the stretch, as the picture lies: shares from its left and top.
  const [wide, high] = [part.widthPx / place.widthPx, part.heightPx / place.heightPx];
  const [fromLeft, fromTop] = [(part.x - place.x) / place.widthPx, (part.y - place.y) / place.heightPx];
  const x = from.xMm + at.widthMm * (backwards ? 1 - fromLeft - wide : fromLeft);
  const y = from.yMm + at.heightMm * (flipY ? 1 - fromTop - high : fromTop);
  const seen: RectMm = { xMm: x, yMm: y, widthMm: at.widthMm * wide, heightMm: at.heightMm * high };
  const mmPerPx = at.widthMm / place.widthPx;
  const size = { widthMm: picture.place.widthMm, heightMm: picture.place.heightMm };
  const printedLeft = backwards ? size.widthMm - seen.xMm - seen.widthMm : seen.xMm;
  return resample(
    source,
    sourceWindow(picture, source, seen),
    part,
    backwards,
    (firstRow, rows, rgba) => {
      fadeRows(rgba, picture.fade.fade, picture.fade.fadeMm, {
        widthPx: part.widthPx,
        firstRow: seen.yMm / mmPerPx + firstRow,
        firstColumn: printedLeft / mmPerPx,
        mmPerPx,
        print: size,
        mirrored: backwards,
      });
      if (flipY) reverseRows(rgba, rows, part.widthPx);
      const row = flipY ? part.heightPx - firstRow - rows : firstRow;
      context.putImageData(new ImageData(rgba, part.widthPx, rows), part.x - window.x, part.y - window.y + row);
    },
    passes,
    isPlain(picture.tone) ? null : picture.tone,
  );
}

/** The pixels of the source that lie on a part of the placed picture. */
function sourceWindow({ crop, place }: NonNullable<PrintOrder['picture']>, source: SizePx, seen: RectMm) {
  const whole = cropPixels(crop, source);
  return {
    xPx: whole.xPx + (seen.xMm / place.widthMm) * whole.widthPx,
    yPx: whole.yPx + (seen.yMm / place.heightMm) * whole.heightPx,
    widthPx: (seen.widthMm / place.widthMm) * whole.widthPx,
    heightPx: (seen.heightMm / place.heightMm) * whole.heightPx,
  };
}

function reverseRows(rgba: Uint8ClampedArray, rows: number, widthPx: number): void {
  const held = new Uint8ClampedArray(widthPx * 4);
  for (let row = 0; row < rows >> 1; row++) {
    const [one, other] = [row * widthPx * 4, (rows - 1 - row) * widthPx * 4];
    held.set(rgba.subarray(one, one + held.length));
    rgba.copyWithin(one, other, other + held.length);
    rgba.set(held, other);
  }
}

/** Points along each side of a window that its reach on the plane is read from. */
const REACH_STEPS = 48;
const REACH_SPARE_MM = 1.2;

/** The flat picture about a window of the bent print, then bent into it. */
async function paintBent(context: Context2d, painting: Painting, bent: BentBlock): Promise<Result<void, SheetCode>> {
  const { print, source, passes, mirrored, window, whole, dotsPerMm } = painting;
  const { picture } = print;
  if (!picture || !source) return ok(undefined);
  const left = mirrored ? whole.widthPx - window.x - window.widthPx : window.x;
  const corner = { xMm: bent.origin.xMm + left / dotsPerMm, yMm: bent.origin.yMm + window.y / dotsPerMm };
  const reach = reachOf(bent, {
    ...corner,
    widthMm: window.widthPx / dotsPerMm,
    heightMm: window.heightPx / dotsPerMm,
  });
  if (!reach) return ok(undefined);
  // At the wide arc the plane is stretched: it is drawn that much denser.
  const { outerRadiusMm, innerRadiusMm } = bent.bend;
  const density = dotsPerMm * ((2 * outerRadiusMm) / (outerRadiusMm + innerRadiusMm));
  const out = {
    widthPx: Math.max(1, Math.round(reach.widthMm * density)),
    heightPx: Math.max(1, Math.round(reach.heightMm * density)),
  };
  const flat = new Uint8ClampedArray(out.widthPx * out.heightPx * 4);
  const size = { widthMm: picture.place.widthMm, heightMm: picture.place.heightMm };
  const seen = { ...reach, xMm: reach.xMm - picture.place.xMm, yMm: reach.yMm - picture.place.yMm };
  const made = await resample(
    source,
    sourceWindow(picture, source, seen),
    out,
    false,
    (firstRow, _rows, rgba) => {
      fadeRows(rgba, picture.fade.fade, picture.fade.fadeMm, {
        widthPx: out.widthPx,
        firstRow: seen.yMm * density + firstRow,
        firstColumn: seen.xMm * density,
        mmPerPx: 1 / density,
        print: size,
        mirrored: false,
      });
      flat.set(rgba, firstRow * out.widthPx * 4);
    },
    passes,
    isPlain(picture.tone) ? null : picture.tone,
  );
  if (!made.ok) return made;
  const image = context.getImageData(0, 0, window.widthPx, window.heightPx);
  bendPixels(
    bent,
    { rgba: flat, ...out, from: { xMm: reach.xMm, yMm: reach.yMm }, pxPerMm: density },
    {
      rgba: image.data,
      widthPx: window.widthPx,
      heightPx: window.heightPx,
      firstRow: 0,
      corner,
      pxPerMm: dotsPerMm,
      mirrored,
    },
  );
  context.putImageData(image, 0, 0);
  return ok(undefined);
}

/** What of the picture's plane a window of the face can show, or null. */
function reachOf({ bend, place, seamMm }: BentBlock, window: RectMm): RectMm | null {
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
  for (let i = 0; i <= REACH_STEPS; i++)
    for (let j = 0; j <= REACH_STEPS; j++) {
      if (i > 0 && i < REACH_STEPS && j > 0 && j < REACH_STEPS && (i + j) % 8 !== 0) continue;
      const { xMm, yMm } = unbendPoint(bend, {
        xMm: window.xMm + (window.widthMm * i) / REACH_STEPS,
        yMm: window.yMm + (window.heightMm * j) / REACH_STEPS,
      });
      left = Math.min(left, xMm);
      right = Math.max(right, xMm);
      top = Math.min(top, yMm);
      bottom = Math.max(bottom, yMm);
    }
  // A seam repeats the picture's beginning, so that any of it may be wanted.
  if (seamMm > 0) [left, right] = [-Infinity, Infinity];
  const [x0, y0] = [Math.max(place.xMm, left - REACH_SPARE_MM), Math.max(place.yMm, top - REACH_SPARE_MM)];
  const [x1, y1] = [
    Math.min(place.xMm + place.widthMm, right + REACH_SPARE_MM),
    Math.min(place.yMm + place.heightMm, bottom + REACH_SPARE_MM),
  ];
  return x1 > x0 && y1 > y0 ? { xMm: x0, yMm: y0, widthMm: x1 - x0, heightMm: y1 - y0 } : null;
}
