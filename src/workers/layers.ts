import type { Crop, SizePx } from '@/core/picture';
import { curlPoint, type Bend, type RectMm } from '@/core/shape';
import type { FaceView } from '@/core/sheet';
import { decodeUpright } from './bitmap-rows';

/**
 * A layer as a worker draws it: places in mm on the blank's face. A picture on a vessel is bent about its own middle,
 * in slices.
 */
export type DrawnLayer =
  | { kind: 'text'; path: string; colour: string }
  | { kind: 'picture'; file: Blob; crop: Crop; box: RectMm; bend: Bend | null };

type Context2d = OffscreenCanvasRenderingContext2D;

const SLICE_MM = 0.4;

/**
 * Draws layers over a print.
 *
 * @param views where the face lies on the print
 * @param print the window of the print that is drawn, in its own millimetres as it lands
 * @param out the window's pixels
 */
export async function drawLayers(
  context: Context2d,
  layers: readonly DrawnLayer[],
  views: readonly FaceView[],
  print: RectMm,
  out: SizePx,
  mirrored: boolean,
): Promise<void> {
  const [scaleX, scaleY] = [out.widthPx / print.widthMm, out.heightPx / print.heightMm];
  context.imageSmoothingQuality = 'high';
  for (const { at, face } of views) {
    context.save();
    context.setTransform(
      mirrored ? -scaleX : scaleX,
      0,
      0,
      scaleY,
      mirrored ? out.widthPx + print.xMm * scaleX : -print.xMm * scaleX,
      -print.yMm * scaleY,
    );
    if (views.length > 1) {
      context.beginPath();
      context.rect(at.xMm, at.yMm, at.widthMm, at.heightMm);
      context.clip();
    }
    context.translate(at.xMm - face.xMm, at.yMm - face.yMm);
    for (const layer of layers) await drawLayer(context, layer);
    context.restore();
  }
}

async function drawLayer(context: Context2d, layer: DrawnLayer): Promise<void> {
  if (layer.kind === 'text') {
    context.fillStyle = layer.colour;
    context.fill(new Path2D(layer.path));
    return;
  }
  const bitmap = await decodeUpright(layer.file);
  if (!bitmap) return;
  const { crop, box, bend } = layer;
  const slices = bend ? Math.ceil(box.widthMm / SLICE_MM) : 1;
  const [sliceMm, slicePx] = [box.widthMm / slices, (crop.width * bitmap.width) / slices];
  for (let slice = 0; slice < slices; slice++) {
    context.save();
    if (bend) {
      const middle = curlPoint(bend, box, { xMm: box.xMm + (slice + 0.5) * sliceMm, yMm: box.yMm + box.heightMm / 2 });
      context.translate(middle.point.xMm, middle.point.yMm);
      context.rotate(middle.turnRad);
    } else context.translate(box.xMm + box.widthMm / 2, box.yMm + box.heightMm / 2);
    // Slices reach a trifle into each other, so that no line is left between them.
    const grow = slices > 1 ? sliceMm * 0.08 : 0;
    context.drawImage(
      bitmap,
      crop.x * bitmap.width + slice * slicePx,
      crop.y * bitmap.height,
      slicePx,
      crop.height * bitmap.height,
      -sliceMm / 2 - grow,
      -box.heightMm / 2,
      sliceMm + 2 * grow,
      box.heightMm,
    );
    context.restore();
  }
  bitmap.close();
}
