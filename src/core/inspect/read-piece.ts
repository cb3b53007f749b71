/**
 * Reads a photo of the dried piece: finds the print in it, lays it over the expected one to a fraction of a millimetre,
 * and says for each cell how much paper still veils it and how much of its toner is there. With a second photo, of the
 * wetted piece, both are told apart on every ground.
 */
import {
  channelOf,
  correlation,
  grayOf,
  homographyOf,
  project,
  reduced,
  sample,
  standingOut,
  type Gray,
  type Homography,
  type Point,
  type Rgba,
} from '@/core/photo';
import { linearLight } from '@/core/colour';
import { tonerFilter } from '@/core/render';
import { fail, ok, type Result } from '@/core/shared';
import { NO_BEND, bendOf, edgesOf, patchesOf, refitted, type Bend } from './align';
import { estimate, type Estimate } from './estimate';
import { featuresOf, shrunk, type Features } from './features';
import { findPicture } from './find';
import { CHANNELS, FIBRES, showsBare, type Cells, type Sight, type Triple } from './layers';

/** A piece as it should look once it is clean. */
export interface ExpectedPiece {
  /** The print's bounding box as it lands, the right way round, RGBA; white where nothing is printed. */
  picture: Rgba;
  /** How much of each pixel of it lies on the piece, 0–255. */
  landed: Uint8Array;
  pxPerMm: number;
  /**
   * Bare blank round the box, as far as it goes, mm: 0 where the print ends with the blank; null where the blank is no
   * plain rectangle, whose outline is not looked for.
   */
  margin: { leftMm: number; topMm: number; rightMm: number; bottomMm: number } | null;
  /** Linear light of the bare blank, dry, and what is left of it where it is wet, or binder has soaked in. */
  ground: Triple<number>;
  wetted: Triple<number>;
  /** White that the binder lays under the print; null where the blank shows. */
  white: Triple<number> | null;
}

export type InspectCode = 'piece-not-found' | 'piece-dark' | 'piece-other' | 'photo-broken' | 'inspect-failed';

export interface CellMap {
  widthMm: number;
  heightMm: number;
  columns: number;
  rows: number;
}

export interface PieceReading {
  /** The print's box in the photo's pixels, from its top left clockwise. */
  corners: Point[];
  register: { rmsMm: number; sure: number };
  cell: CellMap;
  /** Row by row; null where it is not seen, or nothing tells. */
  haze: (number | null)[];
  kept: (number | null)[];
  /** How much of each cell's toner was judged, 0–1; null where it carries none. */
  seen: (number | null)[];
  /** Of a cell's haze, what was gone on the wet photo, 0–1; null without one. */
  clearsWet: (number | null)[] | null;
  /** Colour of the expected print in each cell, 0xRRGGBB. */
  colours: number[];
  /** Haze and loss look alike on this ground when it is dry: what is called haze is whitened by either. */
  isWhitened: boolean;
}

const EXPECTED_SIDE = 560;
const PHOTO_SIDE = 720;
const EXPECTED_POINTS = 800;
const PHOTO_POINTS = 900;
const FOUND_PX = 5;
/** Pixels for each mm of the frame that patches are compared in, and of the one for a first look. */
const FRAME_DENSITY = 2;
const GLANCE_DENSITY = 0.8;
const PATCH_RADIUS_MM = 9;
const MOST_FRAME_PX = 700;
const MOST_MARGIN_MM = 14;
const CELL_MM = 4;
const MOST_CELLS = 90_000;
const DARK = 0.02;

/** What stays the same for every photo of a piece. */
interface Sought {
  expected: ExpectedPiece;
  size: { widthMm: number; heightMm: number };
  features: Features;
  /** Of the features' pixels, those that are a millimetre. */
  density: number;
  frame: Frame;
  /** A coarser one, to tell by which of several places it lies at. */
  glance: Frame;
}

/** The expected picture, with what stands out of it. */
interface Frame {
  gray: Gray;
  density: number;
  /** Against which patches are found, and by which the whole is compared. */
  patched: Gray;
  compared: Gray;
}

function seek(expected: ExpectedPiece): Sought {
  const gray = expectedGray(expected);
  const { image, by } = shrunk(gray, EXPECTED_SIDE);
  return {
    expected,
    size: {
      widthMm: expected.picture.width / expected.pxPerMm,
      heightMm: expected.picture.height / expected.pxPerMm,
    },
    features: featuresOf(image, EXPECTED_POINTS),
    density: expected.pxPerMm / by,
    frame: frameOf(gray, expected.pxPerMm, FRAME_DENSITY),
    glance: frameOf(gray, expected.pxPerMm, GLANCE_DENSITY),
  };
}

/** Light of the clean print on its ground as the eye weighs it, display coded: 0–1. */
function expectedGray({ picture, ground }: ExpectedPiece): Gray {
  const gray = grayOf(picture);
  const lit = Math.sqrt((ground[0] + ground[1] + ground[2]) / 3);
  return { ...gray, data: gray.data.map((level) => level * lit) };
}

interface Registered {
  /** Box mm to the photo's pixels. */
  at: (xMm: number, yMm: number) => Point;
  corners: Point[];
  rmsMm: number;
  sure: number;
}

/**
 * Where the print lies in a photo.
 *
 * @param corners set by hand: its box from the top left clockwise
 */
function register(sought: Sought, photo: Rgba, corners: readonly Point[] | null): Result<Registered, InspectCode> {
  const gray = grayOf(photo);
  const shades = shadesOf(gray);
  const mean = gray.data.reduce((sum, level) => sum + level, 0) / gray.data.length;
  if (mean < DARK) return fail('piece-dark', `expected light in the photo, got a mean of ${mean.toFixed(3)}`);
  const { expected, size, features, density, frame, glance } = sought;
  let h: Homography | null;
  let agree = 1;
  let leastLike = LEAST_LIKE.many;
  if (corners) {
    h = homographyOf(
      [
        { x: 0, y: 0 },
        { x: size.widthMm, y: 0 },
        { x: size.widthMm, y: size.heightMm },
        { x: 0, y: size.heightMm },
      ],
      corners,
    );
  } else {
    const { image, by } = shrunk(gray, PHOTO_SIDE);
    const found = findPicture(features, featuresOf(image, PHOTO_POINTS), { px: FOUND_PX }).map((one) => {
      const inMm = inMillimetres(one.h, density, by);
      return { ...one, h: inMm, like: likeIn(glance, shades, inMm, NO_BEND) };
    });
    const best =
      found.length === 0 ? null : found.reduce((leader, other) => (other.like > leader.like ? other : leader));
    agree = best?.agree ?? 0;
    leastLike = (best?.pairs.length ?? 0) < MANY_PAIRS ? LEAST_LIKE.few : LEAST_LIKE.many;
    h = best?.h ?? null;
  }
  if (!h) return fail('piece-not-found', 'expected the piece in the photo, found none of its picture');
  const coarse = Math.max(1, Math.round(pxPerMm(h, size) / EDGE_DENSITY));
  const channels = CHANNELS.map((channel) => reduced(channelOf(photo, channel), coarse));
  const ring = outlineOf(expected, size);
  let perspective = h;
  for (const [reachMm, by] of corners ? CLOSING_IN.slice(1) : CLOSING_IN) {
    const over = by === 'glance' ? glance : frame;
    const laid = laidOver(shades, over, perspective, NO_BEND);
    const patches = patchesOf(over.patched, laid, { ...patchingIn(over), reachMm, stepMm: 9 });
    const edges = edgesOf(ring, { channels, by: coarse }, perspective, reachMm + 2);
    perspective = refitted(perspective, patches, edges, Math.max(size.widthMm, size.heightMm));
  }
  const laid = laidOver(shades, frame, perspective, NO_BEND);
  const bend = bendOf(patchesOf(frame.patched, laid, { ...patchingIn(frame), reachMm: 2.5, stepMm: 7 }), size);
  const like = likeIn(frame, shades, perspective, bend);
  if (!corners && like < leastLike)
    return fail('piece-other', `expected this piece, found one like it by ${like.toFixed(2)}`);
  const at = (xMm: number, yMm: number): Point => {
    const off = bend.at(xMm, yMm);
    return project(perspective, xMm + off.x, yMm + off.y);
  };
  return ok({
    at,
    corners: [at(0, 0), at(size.widthMm, 0), at(size.widthMm, size.heightMm), at(0, size.heightMm)],
    rmsMm: bend.rmsMm,
    sure: Math.max(0, Math.min(1, like * (0.5 + 0.5 * Math.min(1, agree * 2)))),
  });
}

/** How far patches are looked for, mm, from far to near. */
const CLOSING_IN = [
  [5, 'glance'],
  [2.5, 'frame'],
  [1.5, 'frame'],
] as const;
const patchingIn = ({ density }: Frame) => ({ density, radiusMm: PATCH_RADIUS_MM });

/** The whole must be this much like the expected one; less where many points agree, as under much paper. */
const LEAST_LIKE = { few: 0.3, many: 0.15 };
const MANY_PAIRS = 12;
const EDGE_DENSITY = 2.5;
const EDGE_EVERY_MM = 4;

function pxPerMm(h: Homography, { widthMm, heightMm }: { widthMm: number; heightMm: number }): number {
  const [a, b] = [project(h, widthMm / 2 - 5, heightMm / 2), project(h, widthMm / 2 + 5, heightMm / 2)];
  return Math.hypot(b.x - a.x, b.y - a.y) / 10;
}

/** Places along the blank's four sides, with their outward normals, from the print's box. */
function outlineOf({ margin }: ExpectedPiece, { widthMm, heightMm }: { widthMm: number; heightMm: number }) {
  if (!margin) return [];
  const [x0, y0, x1, y1] = [-margin.leftMm, -margin.topMm, widthMm + margin.rightMm, heightMm + margin.bottomMm];
  const ring: { x: number; y: number; nx: number; ny: number }[] = [];
  for (let x = x0 + EDGE_EVERY_MM; x < x1; x += EDGE_EVERY_MM)
    ring.push({ x, y: y0, nx: 0, ny: -1 }, { x, y: y1, nx: 0, ny: 1 });
  for (let y = y0 + EDGE_EVERY_MM; y < y1; y += EDGE_EVERY_MM)
    ring.push({ x: x0, y, nx: -1, ny: 0 }, { x: x1, y, nx: 1, ny: 0 });
  return ring;
}

const inMillimetres = (h: Homography, density: number, by: number): Homography => [
  h[0] * density * by,
  h[1] * density * by,
  h[2] * by,
  h[3] * density * by,
  h[4] * density * by,
  h[5] * by,
  h[6] * density,
  h[7] * density,
];

function frameOf(expected: Gray, pxPerMm: number, density: number): Frame {
  const longMm = Math.max(expected.width, expected.height) / pxPerMm;
  const wanted = Math.min(density, MOST_FRAME_PX / longMm);
  const by = Math.max(1, Math.round(pxPerMm / wanted));
  const gray = reduced(expected, by);
  const radius = (mm: number) => Math.max(2, Math.round((mm * pxPerMm) / by));
  return {
    gray,
    density: pxPerMm / by,
    patched: standingOut(gray, radius(PATCH_RADIUS_MM), LIKE_SPREAD),
    compared: standingOut(gray, radius(LIKE_RADIUS_MM), LIKE_SPREAD),
  };
}

/** The photo as it lies over the expected picture. */
function laidOver(photo: Shades, { gray: { width, height }, density }: Frame, h: Homography, bend: Bend): Gray {
  const data = new Float32Array(width * height);
  const by = Math.max(1, Math.round(pxPerMm(h, { widthMm: width / density, heightMm: height / density }) / density));
  const source = photo(by);
  const places = lattice(width, height, (x, y) => {
    const off = bend.at(x / density, y / density);
    return project(h, x / density + off.x, y / density + off.y);
  });
  const at = new Float64Array(2);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      places(x + 0.5, y + 0.5, at);
      data[y * width + x] = sample(source, at[0] / by, at[1] / by);
    }
  return { data, width, height };
}

const LATTICE = 8;

/** Places worked out at every eighth step, and between them by line: a perspective hardly bends within one. */
function lattice(width: number, height: number, at: (x: number, y: number) => Point) {
  const columns = Math.ceil(width / LATTICE) + 2;
  const rows = Math.ceil(height / LATTICE) + 2;
  const nodes = new Float64Array(columns * rows * 2);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      const { x, y } = at(i * LATTICE, j * LATTICE);
      nodes[(j * columns + i) * 2] = x;
      nodes[(j * columns + i) * 2 + 1] = y;
    }
  return (x: number, y: number, out: Float64Array): void => {
    const i = Math.floor(x / LATTICE);
    const j = Math.floor(y / LATTICE);
    const u = x / LATTICE - i;
    const v = y / LATTICE - j;
    const from = (j * columns + i) * 2;
    const below = from + columns * 2;
    for (let axis = 0; axis < 2; axis++) {
      const upper = nodes[from + axis] + (nodes[from + 2 + axis] - nodes[from + axis]) * u;
      const lower = nodes[below + axis] + (nodes[below + 2 + axis] - nodes[below + axis]) * u;
      out[axis] = upper + (lower - upper) * v;
    }
  };
}

/** A photo made as coarse as a frame, so that a pixel of the one is about one of the other; each made once. */
type Shades = (by: number) => Gray;

function shadesOf(photo: Gray): Shades {
  const shades = new Map<number, Gray>();
  return (by) => {
    const shade = shades.get(by) ?? reduced(photo, by);
    shades.set(by, shade);
    return shade;
  };
}

/** How alike what stands out of its surroundings is, −1…1: veils and lamps count for little. */
function likeIn(frame: Frame, photo: Shades, h: Homography, bend: Bend): number {
  const radius = Math.max(2, Math.round(LIKE_RADIUS_MM * frame.density));
  return likenessOf(frame.compared, standingOut(laidOver(photo, frame, h, bend), radius, LIKE_SPREAD));
}

const LIKE_RADIUS_MM = 12;
const LIKE_SPREAD = 0.03;

function likenessOf(one: Gray, other: Gray): number {
  let [n, a, b, aa, bb, ab] = [0, 0, 0, 0, 0, 0];
  for (let at = 0; at < one.data.length; at += 3) {
    const [u, v] = [one.data[at], other.data[at]];
    n++;
    a += u;
    b += v;
    aa += u * u;
    bb += v * v;
    ab += u * v;
  }
  return correlation(n, a, b, aa, bb, ab);
}

/** The expected piece in cells of a millimetre, or coarser where it is large. */
function cellsOf({ picture, landed, pxPerMm, margin, ground, wetted, white }: ExpectedPiece): Cells {
  const [widthMm, heightMm] = [picture.width / pxPerMm, picture.height / pxPerMm];
  const sizeMm = Math.max(1, Math.sqrt((widthMm * heightMm) / MOST_CELLS));
  const [boxColumns, boxRows] = [Math.max(1, Math.round(widthMm / sizeMm)), Math.max(1, Math.round(heightMm / sizeMm))];
  const ring = (mm: number) => Math.floor(Math.min(MOST_MARGIN_MM, mm * 0.8) / sizeMm);
  const [left, top] = [ring(margin?.leftMm ?? 0), ring(margin?.topMm ?? 0)];
  const [columns, rows] = [left + boxColumns + ring(margin?.rightMm ?? 0), top + boxRows + ring(margin?.bottomMm ?? 0)];
  const toner = CHANNELS.map(() => new Float32Array(columns * rows).fill(1)) as Triple<Float32Array>;
  const rough = new Float32Array(columns * rows);
  const through = Float32Array.from({ length: 256 }, (_, level) => tonerFilter(level, 1));
  const [sx, sy] = [picture.width / boxColumns, picture.height / boxRows];
  for (let y = 0; y < boxRows; y++)
    for (let x = 0; x < boxColumns; x++) {
      const at = (y + top) * columns + x + left;
      const sums = [0, 0, 0];
      let [n, total, square] = [0, 0, 0];
      const [x0, x1] = [Math.floor(x * sx), Math.max(Math.floor(x * sx) + 1, Math.floor((x + 1) * sx))];
      const [y0, y1] = [Math.floor(y * sy), Math.max(Math.floor(y * sy) + 1, Math.floor((y + 1) * sy))];
      for (let py = y0; py < Math.min(picture.height, y1); py++)
        for (let px = x0; px < Math.min(picture.width, x1); px++) {
          const from = py * picture.width + px;
          const there = landed[from] / 255;
          let mean = 0;
          for (const channel of CHANNELS) {
            const light = 1 - there * (1 - through[picture.data[from * 4 + channel]]);
            sums[channel] += light;
            mean += light / 3;
          }
          n++;
          total += mean;
          square += mean * mean;
        }
      for (const channel of CHANNELS) toner[channel][at] = sums[channel] / Math.max(1, n);
      rough[at] = Math.sqrt(Math.max(0, square / n - (total / n) ** 2));
    }
  const cells: Cells = {
    ...{ columns, rows, left, top, boxColumns, boxRows, sizeMm, toner, rough, ground, wetted },
    under: white ?? ground,
    underWet: white ? [1, 1, 1] : wetted,
  };
  addSlopes(cells);
  return cells;
}

/** Steps to the cells beside it count as change within it. */
function addSlopes({ columns, rows, toner, rough }: Cells): void {
  const mean = (at: number) => (toner[0][at] + toner[1][at] + toner[2][at]) / 3;
  const within = rough.slice();
  for (let y = 1; y < rows - 1; y++)
    for (let x = 1; x < columns - 1; x++) {
      const at = y * columns + x;
      const slope = Math.hypot(mean(at + 1) - mean(at - 1), mean(at + columns) - mean(at - columns)) / 2;
      rough[at] = Math.hypot(within[at], slope);
    }
}

const SAMPLES = 3;
const FULL = 252;

/** A photo in cells: the mean of a few samples each, in linear light; not seen where it is blown out or out of view. */
function sightOf(cells: Cells, photo: Rgba, at: Registered['at']): Sight {
  const { columns, rows, left, top, sizeMm } = cells;
  const count = columns * rows;
  const light = CHANNELS.map(() => new Float32Array(count)) as Triple<Float32Array>;
  const seen = new Uint8Array(count);
  const linear = Float32Array.from({ length: 256 }, (_, level) => linearLight(level));
  const { data, width, height } = photo;
  const places = lattice(columns, rows, (x, y) => at((x - left) * sizeMm, (y - top) * sizeMm));
  const [middle, across, down] = [new Float64Array(2), new Float64Array(2), new Float64Array(2)];
  for (let y = 0; y < rows; y++)
    for (let x = 0; x < columns; x++) {
      const cell = y * columns + x;
      places(x + 0.5, y + 0.5, middle);
      places(x + 1, y + 0.5, across);
      places(x + 0.5, y + 1, down);
      const [ax, ay] = [(across[0] - middle[0]) * 2, (across[1] - middle[1]) * 2];
      const [bx, by] = [(down[0] - middle[0]) * 2, (down[1] - middle[1]) * 2];
      const samples = Math.max(SAMPLES, Math.min(6, Math.round(Math.hypot(ax, ay) / 1.5)));
      let [n, blown] = [0, 0];
      for (let j = 0; j < samples; j++)
        for (let i = 0; i < samples; i++) {
          const [u, v] = [(i + 0.5) / samples - 0.5, (j + 0.5) / samples - 0.5];
          const px = Math.floor(middle[0] + u * ax + v * bx);
          const py = Math.floor(middle[1] + u * ay + v * by);
          if (px < 0 || py < 0 || px >= width || py >= height) continue;
          const from = (py * width + px) * 4;
          n++;
          if (data[from] >= FULL && data[from + 1] >= FULL && data[from + 2] >= FULL) blown++;
          for (const channel of CHANNELS) light[channel][cell] += linear[data[from + channel]];
        }
      if (n < samples) continue;
      for (const channel of CHANNELS) light[channel][cell] /= n;
      seen[cell] = blown < n * 0.3 ? 1 : 0;
    }
  return { light, seen };
}

/** Cells of so little toner tell nothing of it. */
const LEAST_TONER = 0.05;
const LEAST_CARRIED = 0.25;
const UNSURE = 0.2;
const NEAR_WHITE = 0.14;

/** What the cells of a millimetre say, gathered into cells of about four. */
function gathered(
  cells: Cells,
  found: Estimate,
  dry: Sight,
  reading: Registered,
  { picture }: ExpectedPiece,
): PieceReading {
  const { columns, left, top, boxColumns, boxRows, sizeMm, toner, under: ground } = cells;
  const by = Math.max(1, Math.round(CELL_MM / sizeMm));
  const [across, down] = [Math.max(1, Math.round(boxColumns / by)), Math.max(1, Math.round(boxRows / by))];
  const cell: CellMap = {
    widthMm: (boxColumns * sizeMm) / across,
    heightMm: (boxRows * sizeMm) / down,
    columns: across,
    rows: down,
  };
  const isWhitened =
    found.wetHaze === null && CHANNELS.every((channel) => Math.abs(ground[channel] - FIBRES) < NEAR_WHITE);
  const haze: (number | null)[] = [];
  const kept: (number | null)[] = [];
  const seen: (number | null)[] = [];
  const clears: (number | null)[] = [];
  for (let row = 0; row < down; row++)
    for (let column = 0; column < across; column++) {
      const [x0, x1] = [Math.round((column * boxColumns) / across), Math.round(((column + 1) * boxColumns) / across)];
      const [y0, y1] = [Math.round((row * boxRows) / down), Math.round(((row + 1) * boxRows) / down)];
      let [all, carried, judged, h, k, w] = [0, 0, 0, 0, 0, 0];
      for (let y = y0; y < y1; y++)
        for (let x = x0; x < x1; x++) {
          const at = (y + top) * columns + x + left;
          all++;
          const contrast =
            CHANNELS.reduce<number>((sum, channel) => sum + ground[channel] * (1 - toner[channel][at]), 0) / 3;
          if (contrast < LEAST_TONER) continue;
          carried++;
          if (!dry.seen[at] || found.unsure[at] > UNSURE) continue;
          judged++;
          h += found.haze[at];
          k += found.kept[at];
          w += found.wetHaze?.[at] ?? 0;
        }
      const carries = carried >= all * LEAST_CARRIED;
      const told = carries && judged >= carried * 0.4;
      haze.push(told ? h / judged : null);
      kept.push(told && !isWhitened ? k / judged : null);
      seen.push(carries ? judged / carried : null);
      clears.push(told && found.wetHaze ? cleared(h / judged, w / judged) : null);
    }
  return {
    corners: reading.corners,
    register: { rmsMm: reading.rmsMm, sure: reading.sure },
    cell,
    haze,
    kept,
    seen,
    clearsWet: found.wetHaze ? clears : null,
    colours: coloursOf(picture, cell),
    isWhitened,
  };
}

/** Mean colour of the picture in each cell. */
function coloursOf({ data, width, height }: Rgba, { columns, rows }: CellMap): number[] {
  const sums = new Float64Array(columns * rows * 4);
  for (let y = 0; y < height; y++) {
    const row = Math.min(rows - 1, Math.floor((y * rows) / height)) * columns;
    for (let x = 0; x < width; x++) {
      const into = (row + Math.min(columns - 1, Math.floor((x * columns) / width))) * 4;
      const from = (y * width + x) * 4;
      for (const channel of CHANNELS) sums[into + channel] += data[from + channel];
      sums[into + 3]++;
    }
  }
  return Array.from({ length: columns * rows }, (_, at) =>
    CHANNELS.reduce<number>((colour, channel) => {
      const mean = Math.round(sums[at * 4 + channel] / Math.max(1, sums[at * 4 + 3]));
      return (colour << 8) | mean;
    }, 0),
  );
}

const cleared = (dry: number, wet: number): number => (dry < 0.03 ? 1 : Math.max(0, Math.min(1, 1 - wet / dry)));

/**
 * A binder may have soaked into the ground under the print, or not: seen against bare blank the one that fits better is
 * taken.
 */
function groundsOf(cells: Cells): Cells[] {
  const soaks = cells.underWet.some((share) => share < DRINKS);
  if (!soaks || !showsBare(cells)) return [cells];
  const under = CHANNELS.map((channel) => cells.under[channel] * cells.underWet[channel]) as Triple<number>;
  return [cells, { ...cells, under, underWet: [1, 1, 1] }];
}

const DRINKS = 0.95;

/**
 * @param corners the print's box in the dry photo where it was set by hand
 * @param onPart how far it is, 0–1
 */
export function readPiece(
  expected: ExpectedPiece,
  photos: { dry: Rgba; wet: Rgba | null },
  corners: readonly Point[] | null = null,
  onPart: (share: number) => void = () => undefined,
): Result<PieceReading, InspectCode> {
  const sought = seek(expected);
  onPart(0.15);
  const laid = register(sought, photos.dry, corners);
  if (!laid.ok) return laid;
  onPart(0.5);
  const wetLaid = photos.wet ? register(sought, photos.wet, null) : null;
  if (wetLaid && !wetLaid.ok) return wetLaid;
  onPart(0.7);
  const cells = cellsOf(expected);
  const dry = sightOf(cells, photos.dry, laid.value.at);
  const wet = photos.wet && wetLaid?.ok ? sightOf(cells, photos.wet, wetLaid.value.at) : null;
  const found = estimate(groundsOf(cells), dry, wet);
  onPart(1);
  return ok(gathered(cells, found, dry, laid.value, expected));
}
