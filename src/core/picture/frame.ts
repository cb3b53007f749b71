/**
 * The frame a picture is cropped in: upright, turned by quarters, straightened by a small angle about its middle. Crops
 * are shares of the frame. Straightening keeps the frame's size; its corners may then hold nothing, and `straightCrop`
 * is the largest crop that is full everywhere.
 */
import { clamp } from '@/core/shared';
import type { Crop, SizePx } from './crop';

export interface Turning {
  /** Quarter turns clockwise, 0–3. */ turns: number;
  /** Degrees clockwise, at most `MOST_STRAIGHTEN_DEG` either way. */ straightenDeg: number;
}

export const MOST_STRAIGHTEN_DEG = 20;
export const NOT_TURNED: Turning = { turns: 0, straightenDeg: 0 };

export const frameSize = ({ widthPx, heightPx }: SizePx, { turns }: Turning): SizePx =>
  turns % 2 === 0 ? { widthPx, heightPx } : { widthPx: heightPx, heightPx: widthPx };

/**
 * Source pixel to frame pixel as (a, b, c, d, e, f): x' = a·x + c·y + e, y' = b·x + d·y + f. The order of a canvas'
 * setTransform and of SVG's matrix().
 */
export function frameMatrix(picture: SizePx, turning: Turning): [number, number, number, number, number, number] {
  const frame = frameSize(picture, turning);
  const quarter = [
    [1, 0, 0, 1],
    [0, 1, -1, 0],
    [-1, 0, 0, -1],
    [0, -1, 1, 0],
  ][turning.turns % 4];
  const angle = (turning.straightenDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const [qa, qb, qc, qd] = quarter;
  const [a, b, c, d] = [cos * qa - sin * qb, sin * qa + cos * qb, cos * qc - sin * qd, sin * qc + cos * qd];
  const [cx, cy] = [picture.widthPx / 2, picture.heightPx / 2];
  return [a, b, c, d, frame.widthPx / 2 - a * cx - c * cy, frame.heightPx / 2 - b * cx - d * cy];
}

/** The largest centred crop of the frame's own shape that straightening leaves full. */
export function straightCrop(frame: SizePx, straightenDeg: number): Crop {
  const angle = Math.abs((straightenDeg * Math.PI) / 180);
  const [w, h] = [frame.widthPx, frame.heightPx];
  const scale = 1 / Math.max(Math.cos(angle) + (h / w) * Math.sin(angle), Math.cos(angle) + (w / h) * Math.sin(angle));
  return { x: (1 - scale) / 2, y: (1 - scale) / 2, width: scale, height: scale };
}

/** A crop kept where it can be full after straightening: moved, and made smaller where it must. */
export function keptFull(crop: Crop, frame: SizePx, straightenDeg: number): Crop {
  if (straightenDeg === 0) return crop;
  const room = straightCrop(frame, straightenDeg);
  const scale = Math.min(1, room.width / crop.width, room.height / crop.height);
  const [width, height] = [crop.width * scale, crop.height * scale];
  const place = (wanted: number, size: number, from: number, space: number) => clamp(wanted, from, from + space - size);
  return {
    x: place(crop.x + (crop.width - width) / 2, width, room.x, room.width),
    y: place(crop.y + (crop.height - height) / 2, height, room.y, room.height),
    width,
    height,
  };
}
