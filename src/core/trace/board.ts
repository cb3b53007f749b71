/**
 * The real blank from one photo and one typed size: its outline, its size, and the way from its millimetres to the
 * photo's pixels. A board's perspective is taken back by its four corners and a phone's usual lens; what has no corners
 * has to be photographed from straight above.
 */
import {
  boxCorners,
  homographyOf,
  hullOf,
  largestRegion,
  reduced,
  type Homography,
  type Point,
  type Rgba,
} from '@/core/photo';
import { fail, ok, type Result } from '@/core/shared';
import { ellipseOf, leastBox, quadOf, simplified, type Ellipse } from './fits';
import { foreground, offTable, opponents } from './foreground';
import { followed, refined } from './outline';

export type TraceCode = 'trace-nothing' | 'trace-cut-off';

export interface TracedBoard {
  form: 'rectangle' | 'round' | 'oval' | 'outline';
  widthMm: number;
  heightMm: number;
  /** mm from the upper left of its box, clockwise. */
  outline: Point[];
  /** From mm to pixels of the photo that was given. */
  h: Homography;
  /** The edge as it was seen, pixels of the photo. */
  edge: Point[];
}

/** The mask is made on so many pixels along the longer side. */
const MASK_PX = 560;
/** A phone's lens: 26 mm on a frame of 36. Source: usual main cameras, 24 to 28 mm. */
const FOCAL_SHARE = 0.72;
/** Points may lie so far off four straight sides, or off an ellipse, in shares of the photo's longer side. */
const STRAIGHT_WITHIN = 0.0016;
const ROUND_WITHIN = 0.0018;
/** Less round is oval. */
const ROUND_FROM = 0.93;
/** Of the edge, so much must be seen as one. */
const LEAST_SEEN = 0.6;
const SIMPLE_MM = 0.2;
const MOST_POINTS = 380;

/**
 * @param photo upright, at most about 2400 pixels long
 * @param longMm its longest side or diameter, as typed
 */
export function traceBoard(photo: Rgba, longMm: number): Result<TracedBoard, TraceCode> {
  const longPx = Math.max(photo.width, photo.height);
  const by = Math.max(1, Math.round(longPx / MASK_PX));
  const axes = opponents(photo);
  const small = axes.map((axis) => reduced(axis, by));
  const mask = foreground(small);
  if (!mask) return fail('trace-nothing', 'nothing stands out from the table in the middle of the photo');
  const { width, height } = small[0];
  if (touchesRim(mask, width, height)) return fail('trace-cut-off', 'the thing reaches the rim of the photo');
  const rough = followed(mask, width, height).map(({ x, y }) => ({ x: x * by, y: y * by }));
  const coarse = refined(rough, axes, 4 * by).points;
  const { points: edge, seen } = refined(coarse, axes);
  if (seen.filter(Boolean).length < LEAST_SEEN * seen.length)
    return fail('trace-nothing', 'most of what was taken for its edge looks alike on both sides');
  const quad = quadOf(edge, STRAIGHT_WITHIN * longPx);
  if (quad) return ok({ ...boardOf(quad, photo, longMm), edge });
  const ellipse = ellipseOf(edge, ROUND_WITHIN * longPx);
  return ok({ ...(ellipse ? roundOf(ellipse, longMm) : outlineOf(edge, longMm)), edge });
}

/** Corners are wanted soon, and found again from them: a coarser mask does. */
const GLANCE_PX = 320;
const CORNERS_WITHIN = 0.006;
/** So many spreads off the table something lies on it. */
const APART = [3, 5, 9] as const;
const NEAR_HULL_PX = 2;
/** Of the photo. */
const LEAST_AREA = 0.05;

/** Fours of corners that a thing with straight sides may have, clockwise as seen, by what stands apart from the table. */
export function cornersApart(photo: Rgba): Point[][] {
  const longPx = Math.max(photo.width, photo.height);
  const by = Math.max(1, Math.round(longPx / GLANCE_PX));
  const small = opponents(photo).map((axis) => reduced(axis, by));
  const apart = offTable(small);
  const { width, height } = apart;
  const quads: Point[][] = [];
  for (const least of APART) {
    const region = largestRegion(apart, least);
    if (region.length < LEAST_AREA * apart.data.length) continue;
    const mask = new Uint8Array(apart.data.length);
    for (const at of region) mask[at] = 1;
    const edge = followed(mask, width, height);
    const hull = hullOf(edge);
    const outer = edge.filter((point) => offHull(hull, point) < NEAR_HULL_PX);
    const quad = quadOf(outer, CORNERS_WITHIN * Math.max(width, height));
    const corners = quad?.map(({ x, y }) => ({ x: x * by, y: y * by }));
    if (corners && !quads.some((other) => isNear(other, corners, by))) quads.push(corners);
  }
  return quads;
}

function offHull(hull: readonly Point[], { x, y }: Point): number {
  return Math.min(
    ...hull.map((a, at) => {
      const b = hull[(at + 1) % hull.length];
      const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
      return Math.abs(((b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x)) / long);
    }),
  );
}

const isNear = (one: readonly Point[], other: readonly Point[], px: number): boolean =>
  one.every(({ x, y }, at) => Math.hypot(x - other[at].x, y - other[at].y) < 2 * px);

function touchesRim(mask: Uint8Array, width: number, height: number): boolean {
  for (let x = 0; x < width; x++) if (mask[x] || mask[(height - 1) * width + x]) return true;
  for (let y = 0; y < height; y++) if (mask[y * width] || mask[y * width + width - 1]) return true;
  return false;
}

type Shape = Omit<TracedBoard, 'edge'>;

/** Width over height of the rectangle whose picture these corners are (source: Zhang and He 2007). */
function aspectOf(quad: readonly Point[], photo: { width: number; height: number }): number {
  const [cx, cy] = [photo.width / 2, photo.height / 2];
  const h = homographyOf(
    boxCorners(1, 1),
    quad.map(({ x, y }) => ({ x: x - cx, y: y - cy })),
  );
  if (!h) return 1;
  const usual = FOCAL_SHARE * Math.max(photo.width, photo.height);
  const f = focalOf(h, usual);
  return Math.hypot(h[0] / f, h[3] / f, h[6]) / Math.hypot(h[1] / f, h[4] / f, h[7]);
}

/** The lens as two square ways of the board tell it, where it is seen aslant both ways; else the usual one. */
function focalOf(h: Homography, usual: number): number {
  const slant = Math.min(Math.abs(h[6]), Math.abs(h[7]));
  const square = -(h[0] * h[1] + h[3] * h[4]) / (h[6] * h[7]);
  if (slant < LEAST_SLANT || !(square > 0)) return usual;
  const told = Math.sqrt(square);
  return told > usual * 0.85 && told < usual * 1.2 ? told : usual;
}
const LEAST_SLANT = 0.06;

function boardOf(quad: readonly Point[], photo: Rgba, longMm: number): Shape {
  const aspect = aspectOf(quad, photo);
  const widthMm = aspect >= 1 ? longMm : longMm * aspect;
  const heightMm = aspect >= 1 ? longMm / aspect : longMm;
  const outline = boxCorners(widthMm, heightMm);
  return { form: 'rectangle', widthMm, heightMm, outline, h: homographyOf(outline, quad)! };
}

const RING_POINTS = 120;
function roundOf({ x, y, a, b, turn }: Ellipse, longMm: number): Shape {
  const isRound = b / a > ROUND_FROM;
  // The long way lies across or upright, as it lay in the photo.
  const upright = Math.abs(Math.sin(turn)) > Math.SQRT1_2;
  const straight = isRound ? 0 : upright ? turn - Math.PI / 2 : turn;
  const [widthMm, heightMm] = isRound
    ? [longMm, longMm]
    : upright
      ? [(longMm * b) / a, longMm]
      : [longMm, (longMm * b) / a];
  const perMm = (2 * a) / longMm;
  // A round thing seen aslant is pressed together across its long way.
  const press = isRound ? b / a : 1;
  const at = (u: number, v: number): Point => {
    const [p, q] = [u - widthMm / 2, v - heightMm / 2];
    if (!isRound)
      return {
        x: x + (p * Math.cos(straight) - q * Math.sin(straight)) * perMm,
        y: y + (p * Math.sin(straight) + q * Math.cos(straight)) * perMm,
      };
    const [along, across] = [
      p * Math.cos(turn) + q * Math.sin(turn),
      (-p * Math.sin(turn) + q * Math.cos(turn)) * press,
    ];
    return {
      x: x + (along * Math.cos(turn) - across * Math.sin(turn)) * perMm,
      y: y + (along * Math.sin(turn) + across * Math.cos(turn)) * perMm,
    };
  };
  const corners = boxCorners(widthMm, heightMm);
  const outline = Array.from({ length: RING_POINTS }, (_, k) => {
    const angle = (k / RING_POINTS) * 2 * Math.PI;
    return { x: (widthMm / 2) * (1 + Math.cos(angle)), y: (heightMm / 2) * (1 + Math.sin(angle)) };
  });
  return {
    form: isRound ? 'round' : 'oval',
    widthMm,
    heightMm,
    outline,
    h: homographyOf(
      corners,
      corners.map((corner) => at(corner.x, corner.y)),
    )!,
  };
}

/** As few as a shape may keep, with as little lost as that allows. */
function fewPoints(laid: readonly Point[], within = SIMPLE_MM): Point[] {
  const few = simplified(laid, within);
  return few.length <= MOST_POINTS ? few : fewPoints(laid, within * 1.4);
}

function outlineOf(edge: readonly Point[], longMm: number): Shape {
  const box = leastBox(edge);
  const perMm = box.long / longMm;
  // Turned by less than an eighth, so that it lies as it lay in the photo.
  const quarter = Math.PI / 2;
  const turn = box.turn - quarter * Math.round(box.turn / quarter);
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const laid = edge.map(({ x, y }) => ({ x: (x * c + y * s) / perMm, y: (-x * s + y * c) / perMm }));
  const [left, top] = [Math.min(...laid.map(({ x }) => x)), Math.min(...laid.map(({ y }) => y))];
  const [right, bottom] = [Math.max(...laid.map(({ x }) => x)), Math.max(...laid.map(({ y }) => y))];
  const [widthMm, heightMm] = [right - left, bottom - top];
  const outline = fewPoints(laid).map(({ x, y }) => ({ x: x - left, y: y - top }));
  const back = ({ x, y }: Point): Point => {
    const [u, v] = [(x + left) * perMm, (y + top) * perMm];
    return { x: u * c - v * s, y: u * s + v * c };
  };
  const corners = boxCorners(widthMm, heightMm);
  return { form: 'outline', widthMm, heightMm, outline, h: homographyOf(corners, corners.map(back))! };
}
