/**
 * Paints a print as it lands on its blank, the right way round, for photos of the piece to be read against: the blocks
 * that are printed, each where the face has it, and what of it lies on the blank. Worker only.
 */
import { expectedBlank, type ExpectedBlank, type InspectShapeCode } from '@/core/inspect';
import type { Rgba } from '@/core/photo';
import type { Turning } from '@/core/picture';
import type { ResamplePasses, RowSource } from '@/core/raster';
import { ringPath } from '@/core/shape';
import { printTables, type Job, type PiecePlan } from '@/core/stations';
import { fail, ok, type Result } from '@/core/shared';
import type { DrawnLayer } from '../layers';
import { paintPrint } from '../sheet/paint';
import type { PrintOrder, SheetCode } from '../sheet/protocol';

/** All that a worker needs to paint it. */
export interface LandedOrder {
  blank: ExpectedBlank;
  turning: Turning;
  prints: readonly PrintOrder[];
  /** Outline of what lands, SVG path data in the face's mm. */
  landed: string;
}

export interface LandedPrint {
  picture: Rgba;
  /** How much of each pixel lies on the piece, 0–255. */
  landed: Uint8Array;
  pxPerMm: number;
}

/** @param layers those that are moved with the print */
export function landedOrder(
  job: Job,
  plan: PiecePlan,
  layers: readonly DrawnLayer[],
): Result<LandedOrder, InspectShapeCode> {
  const blank = expectedBlank(plan);
  if (!blank.ok) return blank;
  const { print } = plan.surface;
  if (!print) return fail('piece-unplanned', 'expected a picture on a measured blank');
  const turning = { turns: job.picture.turns, straightenDeg: job.picture.straightenDeg };
  return ok({
    blank: blank.value,
    turning,
    landed: print.formed.landed.map(ringPath).join(' '),
    prints: print.formed.blocks.map((block) => ({
      block,
      layers,
      sideColour: job.sheet.form.sideColour,
      picture: {
        source: 0,
        turning,
        crop: print.crop,
        tone: printTables(job.picture.tone, plan, plan.method.sheen),
        fade: job.picture.tone,
        place: print.picture,
      },
    })),
  });
}

/** Finer is no help against a photo by hand; larger prints are coarser. */
const DENSITY = 3;
const MOST_PX = 1_400_000;

function contextOf(width: number, height: number): OffscreenCanvasRenderingContext2D {
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('no canvas to draw on');
  return context;
}

export async function paintLanded(
  { blank: { box }, prints, landed }: LandedOrder,
  source: RowSource,
  passes: ResamplePasses,
): Promise<Result<LandedPrint, SheetCode>> {
  const { xMm, yMm, widthMm, heightMm } = box;
  const pxPerMm = Math.min(DENSITY, Math.sqrt(MOST_PX / (widthMm * heightMm)));
  const size = {
    width: Math.max(8, Math.round(widthMm * pxPerMm)),
    height: Math.max(8, Math.round(heightMm * pxPerMm)),
  };
  const whole = contextOf(size.width, size.height);
  whole.fillStyle = '#fff';
  whole.fillRect(0, 0, size.width, size.height);
  for (const print of prints) {
    const { block } = print;
    const own = {
      widthPx: Math.max(1, Math.round(block.widthMm * pxPerMm)),
      heightPx: Math.max(1, Math.round(block.heightMm * pxPerMm)),
    };
    const context = contextOf(own.widthPx, own.heightPx);
    const painted = await paintPrint(context, {
      print,
      source,
      passes,
      mirrored: false,
      dotsPerMm: pxPerMm,
      whole: own,
      window: { x: 0, y: 0, ...own },
    });
    if (!painted.ok) return painted;
    for (const { at, face, lap } of block.views) {
      if (lap) continue;
      const [x, y, width, height] = [at.xMm, at.yMm, at.widthMm, at.heightMm].map((mm) => mm * pxPerMm);
      const [toX, toY] = [(face.xMm - xMm) * pxPerMm, (face.yMm - yMm) * pxPerMm];
      whole.drawImage(context.canvas, x!, y!, width!, height!, toX, toY, width!, height!);
    }
  }
  const { data } = whole.getImageData(0, 0, size.width, size.height);
  const mask = contextOf(size.width, size.height);
  mask.setTransform(pxPerMm, 0, 0, pxPerMm, -xMm * pxPerMm, -yMm * pxPerMm);
  mask.fill(new Path2D(landed), 'evenodd');
  const drawn = mask.getImageData(0, 0, size.width, size.height).data;
  return ok({
    picture: { data, ...size },
    landed: Uint8Array.from({ length: size.width * size.height }, (_, at) => drawn[at * 4 + 3] ?? 0),
    pxPerMm,
  });
}
