/**
 * A vessel as it stands, from a little above: its side laid flat is curved back round it. Each pixel of the view is
 * traced to its place on the side: x = r·sin θ, with circles seen as ellipses of `TILT`. Light falls off to the sides as
 * on a round body. Parallel view; the inside is a shade of the rim's own colour.
 */
import { bendPoint, type Standing } from '@/core/shape';
import { clamp } from '@/core/shared';

/** Height of a circle's ellipse against its width: seen from some ten degrees above. */
const TILT = 0.17;
/** Light straight on, and how much of it is left at the side. */
const SIDE_LIGHT = 0.62;
const INSIDE_LIGHT = 0.42;
/** Rows find their height in so many steps: each circle's sag depends on the radius there. */
const STEPS = 3;

export interface StandingView {
  widthMm: number;
  heightMm: number;
  /** Outline of the body and of the mouth, SVG path data in the view's mm. */
  path: string;
}

interface Body {
  top: number;
  bottom: number;
  rise: number;
  width: number;
  mouthY: number;
}

const bodyOf = ({ topMm, bottomMm, sideMm }: Standing): Body => {
  const [top, bottom] = [topMm / 2, bottomMm / 2];
  return {
    top,
    bottom,
    rise: Math.sqrt(Math.max(1, sideMm ** 2 - (top - bottom) ** 2)),
    width: 2 * Math.max(top, bottom),
    mouthY: TILT * top,
  };
};

/** How large a standing vessel is seen, and its outline. */
export function standingView(standing: Standing): StandingView {
  const { top, bottom, rise, width, mouthY } = bodyOf(standing);
  const middle = width / 2;
  const foot = mouthY + rise;
  const mouth = `M${middle - top} ${mouthY}a${top} ${TILT * top} 0 0 1 ${2 * top} 0a${top} ${TILT * top} 0 0 1 ${-2 * top} 0Z`;
  const side =
    `M${middle - top} ${mouthY}L${middle - bottom} ${foot}A${bottom} ${TILT * bottom} 0 0 0 ` +
    `${middle + bottom} ${foot}L${middle + top} ${mouthY}`;
  return { widthMm: width, heightMm: foot + TILT * bottom, path: `${mouth}${side}` };
}

/**
 * The flat side's pixels as the vessel stands, RGBA with nothing outside it.
 *
 * @param flat RGBA of the side laid flat, at `pxPerMm`; where it goes on round without print, its rim's colour goes on
 */
export function stand(
  flat: { rgba: Uint8ClampedArray; widthPx: number; heightPx: number },
  standing: Standing,
  pxPerMm: number,
): { rgba: Uint8ClampedArray<ArrayBuffer>; widthPx: number; heightPx: number } {
  const { top, bottom, rise, width, mouthY } = bodyOf(standing);
  const view = standingView(standing);
  const [widthPx, heightPx] = [
    Math.max(1, Math.round(view.widthMm * pxPerMm)),
    Math.max(1, Math.round(view.heightMm * pxPerMm)),
  ];
  const rgba = new Uint8ClampedArray(widthPx * heightPx * 4);
  const from = new Uint32Array(flat.rgba.buffer, flat.rgba.byteOffset, flat.rgba.length / 4);
  const face = faceOf(standing);
  const put = (at: number, colour: number, light: number) => {
    rgba[at] = (colour & 255) * light;
    rgba[at + 1] = ((colour >> 8) & 255) * light;
    rgba[at + 2] = ((colour >> 16) & 255) * light;
    rgba[at + 3] = 255;
  };
  const sample = (round: number, down: number): number => {
    const { xMm, yMm } = face(clamp(round, 0.002, 0.998), clamp(down, 0.002, 0.998));
    const x = clamp(Math.floor(xMm * pxPerMm), 0, flat.widthPx - 1);
    const y = clamp(Math.floor(yMm * pxPerMm), 0, flat.heightPx - 1);
    return from[y * flat.widthPx + x];
  };
  const rim = sample(0.002, 0.002);
  for (let row = 0; row < heightPx; row++) {
    const yMm = (row + 0.5) / pxPerMm;
    for (let column = 0; column < widthPx; column++) {
      const xMm = (column + 0.5) / pxPerMm - width / 2;
      const at = (row * widthPx + column) * 4;
      const inMouth = (xMm / top) ** 2 + ((yMm - mouthY) / (TILT * top)) ** 2;
      if (inMouth < 1) {
        put(at, rim, INSIDE_LIGHT + 0.2 * clamp((yMm - mouthY) / (TILT * top), -1, 1) ** 2);
        continue;
      }
      let down = (yMm - mouthY) / rise;
      let radius = top;
      for (let turn = 0; turn < STEPS; turn++) {
        radius = top + (bottom - top) * clamp(down, 0, 1);
        if (Math.abs(xMm) >= radius) break;
        down = (yMm - mouthY - TILT * Math.sqrt(radius * radius - xMm * xMm)) / rise;
      }
      if (Math.abs(xMm) >= radius || down < 0 || down > 1) continue;
      const angle = Math.asin(xMm / radius);
      const light = SIDE_LIGHT + (1 - SIDE_LIGHT) * Math.cos(angle * 1.15 + 0.2);
      put(at, sample(0.5 + angle / (2 * Math.PI * standing.shareOfRound), down), light);
    }
  }
  return { rgba, widthPx, heightPx };
}

/** Where on the flat side a share of the way round what is covered, and a share of the way down, lies. */
function faceOf({
  bend,
  topMm,
  sideMm,
  shareOfRound,
}: Standing): (round: number, down: number) => { xMm: number; yMm: number } {
  if (bend)
    return (round, down) => bendPoint(bend, { xMm: round * bend.plane.widthMm, yMm: down * bend.plane.heightMm });
  const widthMm = Math.PI * topMm * shareOfRound;
  return (round, down) => ({ xMm: round * widthMm, yMm: down * sideMm });
}
