/**
 * Bends a flat raster to a fan: every pixel of the bent one is looked up in the flat one by the inverse of the bend,
 * with Catmull–Rom weights over 4 × 4 pixels (source: the cubic spline of that name, used throughout image processing).
 * The flat raster must be about as dense as the bent one: at the wide arc it is stretched, at the narrow one pressed
 * together, by the ratio of the radii.
 */
import { unbendPoint, type BentBlock, type PointMm } from '@/core/shape';

export interface FlatRaster {
  rgba: Uint8ClampedArray;
  widthPx: number;
  heightPx: number;
  /** Where its top left corner lies on the plane. */ from: PointMm;
  pxPerMm: number;
}
export interface BentRaster {
  /**
   * Rows from `firstRow` of a raster of `widthPx`; opaque pixels are written where the picture lies, others are left.
   */
  rgba: Uint8ClampedArray;
  widthPx: number;
  heightPx: number;
  firstRow: number;
  /** Where the raster's top left corner lies on the face, as it lands. */
  corner: PointMm;
  pxPerMm: number;
  /** Columns run backwards. */
  mirrored: boolean;
}

export function bendPixels(
  { bend, place, seamMm }: Pick<BentBlock, 'bend' | 'place' | 'seamMm'>,
  flat: FlatRaster,
  out: BentRaster,
): void {
  const weightsX = new Float64Array(4);
  const weightsY = new Float64Array(4);
  const point = { xMm: 0, yMm: 0 };
  const { rgba, widthPx, heightPx } = flat;
  for (let row = 0; row < out.heightPx; row++) {
    point.yMm = out.corner.yMm + (out.firstRow + row + 0.5) / out.pxPerMm;
    for (let column = 0; column < out.widthPx; column++) {
      point.xMm = out.corner.xMm + ((out.mirrored ? out.widthPx - 1 - column : column) + 0.5) / out.pxPerMm;
      const plane = unbendPoint(bend, point);
      const down = plane.yMm - place.yMm;
      if (down < 0 || down > place.heightMm) continue;
      let across = plane.xMm - place.xMm;
      // The angle is known but for whole turns; left of the picture may be its seam, a turn on.
      if (across < 0 && seamMm > 0) across += bend.plane.widthMm * ((2 * Math.PI) / bend.angleRad);
      if (across < 0 || across > place.widthMm + seamMm) continue;
      if (across > place.widthMm) across -= place.widthMm;
      const x = (place.xMm + across - flat.from.xMm) * flat.pxPerMm - 0.5;
      const y = (plane.yMm - flat.from.yMm) * flat.pxPerMm - 0.5;
      const [left, top] = [Math.floor(x), Math.floor(y)];
      if (left < -2 || top < -2 || left > widthPx || top > heightPx) continue;
      catmullRom(x - left, weightsX);
      catmullRom(y - top, weightsY);
      let red = 0;
      let green = 0;
      let blue = 0;
      for (let j = 0; j < 4; j++) {
        const line = Math.max(0, Math.min(heightPx - 1, top - 1 + j)) * widthPx;
        for (let i = 0; i < 4; i++) {
          const weight = weightsX[i] * weightsY[j];
          const at = (line + Math.max(0, Math.min(widthPx - 1, left - 1 + i))) * 4;
          red += weight * rgba[at];
          green += weight * rgba[at + 1];
          blue += weight * rgba[at + 2];
        }
      }
      const to = (row * out.widthPx + column) * 4;
      out.rgba[to] = red;
      out.rgba[to + 1] = green;
      out.rgba[to + 2] = blue;
      out.rgba[to + 3] = 255;
    }
  }
}

function catmullRom(t: number, weights: Float64Array): void {
  const [t2, t3] = [t * t, t * t * t];
  weights[0] = (-t3 + 2 * t2 - t) / 2;
  weights[1] = (3 * t3 - 5 * t2 + 2) / 2;
  weights[2] = (-3 * t3 + 4 * t2 + t) / 2;
  weights[3] = (t3 - t2) / 2;
}
