/**
 * Reads a photo of the dried piece: finds the print in it, lays it over the expected one to a fraction of a millimetre,
 * and says for each cell how much paper still veils it and how much of its toner is there. With a second photo, of the
 * wetted piece, both are told apart on every ground.
 */
import {
  boxCorners,
  grayOf,
  homographyOf,
  project,
  type Gray,
  type Homography,
  type Point,
  type Rgba,
} from '@/core/photo';
import { fail, ok, type Result } from '@/core/shared';
import { NO_BEND, bendOf, edgesOf, patchesOf, refitted } from './align';
import { cellsOf, sightOf } from './cells';
import { estimate, type Estimate } from './estimate';
import type { ExpectedPiece } from './expected-piece';
import { featuresOf, shrunk, type Features } from './features';
import { findPicture, type Found } from './find';
import type { CellMap, PieceReading } from './reading';
import { CHANNELS, FIBRES, showsBare, type Cells, type Sight, type Triple } from './layers';
import { PATCH_RADIUS_MM, frameOf, laidOver, likeIn, pxPerMm, shadesOf, type Frame, type Shades } from './overlay';

export type InspectCode = 'piece-not-found' | 'piece-dark' | 'piece-other' | 'photo-broken' | 'inspect-failed';

const EXPECTED_SIDE = 560;
const EXPECTED_POINTS = 800;
/**
 * The photo's longer side, pixels, and the points that are looked for in it, closer and closer; and what is enough to
 * look no closer: so many points that agree, and so much like the print. Hardly seven agree on another piece.
 */
const LOOKS = [
  { side: 480, points: 600, pairs: 10, like: 0.3 },
  { side: 720, points: 900, pairs: 15, like: 0.22 },
  { side: 1000, points: 1500, pairs: 0, like: 0 },
] as const;
/** So much like the print that few points are enough. */
const VERY_LIKE = 0.4;
const FOUND_PX = 5;
/** Pixels for each mm of the frame that patches are compared in, and of the one for a first look. */
const FRAME_DENSITY = 2;
const GLANCE_DENSITY = 0.8;
const CELL_MM = 4;
const DARK = 0.02;

/** What stays the same for every photo of a piece: it can be made before there is one. */
export interface Sought {
  expected: ExpectedPiece;
  size: { widthMm: number; heightMm: number };
  features: Features;
  /** Of the features' pixels, those that are a millimetre. */
  density: number;
  frame: Frame;
  /** A coarser one, to tell by which of several places it lies at. */
  glance: Frame;
  cells: Cells;
  /** The larger cells that are told, and the print's colour in each. */
  told: CellMap & { colours: number[] };
}

export function seek(expected: ExpectedPiece): Sought {
  const gray = expectedGray(expected);
  const { image, by } = shrunk(gray, EXPECTED_SIDE);
  const cells = cellsOf(expected);
  const map = toldBy(cells);
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
    cells,
    told: { ...map, colours: coloursOf(expected.picture, map) },
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
function register(
  sought: Sought,
  photo: Rgba,
  corners: readonly Point[] | null,
  onFound: (outline: readonly Point[]) => void = () => undefined,
): Result<Registered, InspectCode> {
  const gray = grayOf(photo);
  const shades = shadesOf(gray);
  const mean = meanOf(gray);
  if (mean < DARK) return fail('piece-dark', `expected light in the photo, got a mean of ${mean.toFixed(3)}`);
  const { expected, size, frame, glance } = sought;
  let h: Homography | null;
  let place: Place | null = null;
  const show = (at: Homography) =>
    onFound(boxCorners(size.widthMm, size.heightMm).map(({ x, y }) => project(at, x, y)));
  if (corners) {
    h = homographyOf(boxCorners(size.widthMm, size.heightMm), corners);
  } else {
    place = placeIn(gray, shades, sought, show);
    h = place?.h ?? null;
  }
  if (!h) return fail('piece-not-found', 'expected the piece in the photo, found none of its picture');
  show(h);
  const coarse = Math.max(1, Math.round(pxPerMm(h, size) / EDGE_DENSITY));
  const ring = outlineOf(expected, size);
  let perspective = h;
  for (const { reachMm, by, patches: enough } of corners ? CLOSING_IN.slice(1) : CLOSING_IN) {
    const over = by === 'glance' ? glance : frame;
    const laid = laidOver(shades, over, perspective, NO_BEND);
    const stepMm = Math.max(6, Math.sqrt((size.widthMm * size.heightMm) / enough));
    const patches = patchesOf(over.patched, laid, { ...patchingIn(over), reachMm, stepMm });
    const edges = edgesOf(ring, photo, coarse, perspective, reachMm + 2);
    perspective = refitted(perspective, patches, edges, Math.max(size.widthMm, size.heightMm));
  }
  const laid = laidOver(shades, frame, perspective, NO_BEND);
  const bend = bendOf(patchesOf(frame.patched, laid, { ...patchingIn(frame), reachMm: 2, stepMm: 5 }), size);
  const like = likeIn(frame, shades, perspective, bend);
  if (place && like < leastLike(place))
    return fail('piece-other', `expected this piece, found one like it by ${like.toFixed(2)}`);
  const at = (xMm: number, yMm: number): Point => {
    const off = bend.at(xMm, yMm);
    return project(perspective, xMm + off.x, yMm + off.y);
  };
  return ok({
    at,
    corners: boxCorners(size.widthMm, size.heightMm).map(({ x, y }) => at(x, y)),
    rmsMm: bend.rmsMm,
    sure: Math.max(0, Math.min(1, like * (0.5 + 0.5 * Math.min(1, (place?.agree ?? 1) * 2)))),
  });
}

/** By every seventh pixel. */
function meanOf({ data }: Gray): number {
  let sum = 0;
  for (let at = 0; at < data.length; at += 7) sum += data[at];
  return sum / Math.ceil(data.length / 7);
}

type Place = Found & { like: number };

/**
 * Where the print is most like itself: at a glance, and looking closer while that is not sure.
 *
 * @param onSeen a place that may be it, before it is looked at closer
 */
function placeIn(
  gray: Gray,
  shades: Shades,
  { features, density, glance }: Sought,
  onSeen: (h: Homography) => void,
): Place | null {
  let best: Place | null = null;
  for (const { side, points, ...enough } of LOOKS) {
    const { image, by } = shrunk(gray, side);
    for (const one of findPicture(features, featuresOf(image, points), { px: FOUND_PX })) {
      const h = inMillimetres(one.h, density, by);
      const like = likeIn(glance, shades, h, NO_BEND);
      if (!best || like > best.like) best = { ...one, h, like };
    }
    if (!best) continue;
    if (best.like > VERY_LIKE || (best.pairs.length >= enough.pairs && best.like > enough.like)) return best;
    if (best.like >= leastLike(best)) onSeen(best.h);
  }
  return best;
}

/** How far patches are looked for, mm, from far to near; and how many are enough. */
const CLOSING_IN = [
  { reachMm: 5, by: 'glance', patches: 600 },
  { reachMm: 2.5, by: 'frame', patches: 600 },
  { reachMm: 1.5, by: 'frame', patches: Infinity },
] as const;
const patchingIn = ({ density }: Frame) => ({ density, radiusMm: PATCH_RADIUS_MM });

/** The whole must be this much like the expected one; less where many points agree, as under much paper. */
const LEAST_LIKE = { few: 0.22, many: 0.18 };
const MANY_PAIRS = 12;
const leastLike = ({ pairs }: Found): number => (pairs.length < MANY_PAIRS ? LEAST_LIKE.few : LEAST_LIKE.many);
const EDGE_DENSITY = 2.5;
const EDGE_EVERY_MM = 4;

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

/** Cells of so little toner tell nothing of it. */
const LEAST_TONER = 0.05;
const LEAST_CARRIED = 0.25;
const UNSURE = 0.2;
const NEAR_WHITE = 0.14;

/** What the cells of a millimetre say, gathered into cells of about four. */
function gathered({ cells, told }: Sought, found: Estimate, dry: Sight, reading: Registered): PieceReading {
  const { columns, left, top, boxColumns, boxRows, toner, under: ground } = cells;
  const { colours, ...cell } = told;
  const [across, down] = [cell.columns, cell.rows];
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
          const taken =
            ground[0] * (1 - toner[0][at]) + ground[1] * (1 - toner[1][at]) + ground[2] * (1 - toner[2][at]);
          if (taken < 3 * LEAST_TONER) continue;
          carried++;
          if (!dry.seen[at] || found.unsure[at] > UNSURE) continue;
          judged++;
          h += found.haze[at];
          k += found.kept[at];
          w += found.wetHaze?.[at] ?? 0;
        }
      const carries = carried >= all * LEAST_CARRIED;
      const isTold = carries && judged >= carried * 0.4;
      haze.push(isTold ? h / judged : null);
      kept.push(isTold && !isWhitened ? k / judged : null);
      seen.push(carries ? judged / carried : null);
      clears.push(isTold && found.wetHaze ? cleared(h / judged, w / judged) : null);
    }
  return {
    corners: reading.corners,
    register: { rmsMm: reading.rmsMm, sure: reading.sure },
    cell,
    haze,
    kept,
    seen,
    clearsWet: found.wetHaze ? clears : null,
    colours,
    isWhitened,
  };
}

function toldBy({ boxColumns, boxRows, sizeMm }: Cells): CellMap {
  const by = Math.max(1, Math.round(CELL_MM / sizeMm));
  const [columns, rows] = [Math.max(1, Math.round(boxColumns / by)), Math.max(1, Math.round(boxRows / by))];
  return { widthMm: (boxColumns * sizeMm) / columns, heightMm: (boxRows * sizeMm) / rows, columns, rows };
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
 * @param sought the print, as `seek` finds what it can be told by
 * @param corners the print's box in the dry photo where it was set by hand
 * @param onPart how far it is, 0–1, and where the print seems to lie, as soon as that is known
 */
export function readPiece(
  sought: Sought,
  photos: { dry: Rgba; wet: Rgba | null },
  corners: readonly Point[] | null = null,
  onPart: (share: number, outline?: readonly Point[]) => void = () => undefined,
): Result<PieceReading, InspectCode> {
  const laid = register(sought, photos.dry, corners, (outline) => onPart(0.2, outline));
  if (!laid.ok) return laid;
  onPart(0.5, laid.value.corners);
  const wetLaid = photos.wet ? register(sought, photos.wet, null) : null;
  if (wetLaid && !wetLaid.ok) return wetLaid;
  onPart(0.7);
  const { cells } = sought;
  const dry = sightOf(cells, photos.dry, laid.value.at);
  const wet = photos.wet && wetLaid?.ok ? sightOf(cells, photos.wet, wetLaid.value.at) : null;
  const found = estimate(groundsOf(cells), dry, wet);
  onPart(1);
  return ok(gathered(sought, found, dry, laid.value));
}
