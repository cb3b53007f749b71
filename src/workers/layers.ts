import type { Crop, SizePx } from '@/core/picture';
import type { RectMm } from '@/core/shape';

/** A layer as a worker draws it: places in mm on the blank's face. */
export type DrawnLayer = { kind: 'text'; path: string; colour: string } | { kind: 'picture'; file: Blob; crop: Crop; box: RectMm };

type Context2d = OffscreenCanvasRenderingContext2D;

/** Draws layers over a print. @param print the print's place on the face, mm; @param out its pixels */
export async function drawLayers(context: Context2d, layers: readonly DrawnLayer[], print: RectMm, out: SizePx, mirrored: boolean): Promise<void> {
  const [scaleX, scaleY] = [out.widthPx / print.widthMm, out.heightPx / print.heightMm];
  context.save();
  context.setTransform(mirrored ? -scaleX : scaleX, 0, 0, scaleY, mirrored ? out.widthPx + print.xMm * scaleX : -print.xMm * scaleX, -print.yMm * scaleY);
  context.imageSmoothingQuality = 'high';
  for (const layer of layers) {
    if (layer.kind === 'text') {
      context.fillStyle = layer.colour;
      context.fill(new Path2D(layer.path));
      continue;
    }
    const bitmap = await createImageBitmap(layer.file, { imageOrientation: 'from-image' }).catch(() => null);
    if (!bitmap) continue;
    const { crop, box } = layer;
    context.drawImage(bitmap, crop.x * bitmap.width, crop.y * bitmap.height, crop.width * bitmap.width, crop.height * bitmap.height, box.xMm, box.yMm, box.widthMm, box.heightMm);
    bitmap.close();
  }
  context.restore();
}
