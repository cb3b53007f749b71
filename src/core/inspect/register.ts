/** Where the print lies in a photo of the piece, to a fraction of a millimetre. */
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
import { drawnToEdges, edgePixels, heldBy, outlineOf, placesByOutline, sidesOf } from './by-outline';
import { sightOf } from './cells';
import { featuresOf, shrunk } from './features';
import { findPicture, type Found } from './find';
import { PATCH_RADIUS_MM, laidOver, likeIn, shadesOf, type Frame, type Shades } from './overlay';
import type { Sought } from './seek';
import { tonesExplained } from './tones';

export type InspectCode =
  'piece-not-found' | 'wet-not-found' | 'piece-dark' | 'piece-other' | 'photo-broken' | 'inspect-failed';

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
const DARK = 0.02;

export interface Registered {
  /** Box mm to the photo's pixels. */
  at: (xMm: number, yMm: number) => Point;
  corners: Point[];
  rmsMm: number;
  /** 0 where it may as well lie elsewhere, or another way round: somebody has to look. */
  sure: number;
}

/** Where the print may lie, mm of its box to the photo's pixels, and how much of the photo that explains. */
interface Place {
  h: Homography;
  told: number;
  /** Of the outline, the share that is seen where it should be; 0 where that was not looked for. */
  held: number;
}

/**
 * Where the print lies in a photo.
 *
 * @param corners set by hand: its box from the top left clockwise
 */
export function register(
  sought: Sought,
  photo: Rgba,
  corners: readonly Point[] | null,
  onFound: (outline: readonly Point[]) => void = () => undefined,
): Result<Registered, InspectCode> {
  const gray = grayOf(photo);
  const mean = meanOf(gray);
  if (mean < DARK) return fail('piece-dark', `expected light in the photo, got a mean of ${mean.toFixed(3)}`);
  const { size } = sought;
  const view: View = { photo, gray, shades: shadesOf(gray), sought };
  const show = (at: Homography) =>
    onFound(boxCorners(size.widthMm, size.heightMm).map(({ x, y }) => project(at, x, y)));
  if (corners) {
    const h = homographyOf(boxCorners(size.widthMm, size.heightMm), corners);
    if (!h) return fail('piece-not-found', 'expected four corners that span a plane');
    show(h);
    return ok({ ...laid(view, closedIn(view, h, CLOSING_IN.slice(1))), sure: 1 });
  }
  const byPoints = placeByPoints(view, show);
  const pointed = byPoints && { h: byPoints.h, told: toldAt(view, byPoints.h), held: 0 };
  const isPointedOut = byPoints && byPoints.like > VERY_LIKE && byPoints.pairs.length >= PLAINLY;
  const outlined = isPointedOut ? [] : outlinedPlaces(view);
  const place = [...(pointed ? [pointed] : []), ...outlined].reduce<Place | null>(
    (best, other) => (!best || worthOf(other) > worthOf(best) ? other : best),
    null,
  );
  if (!place) return fail('piece-not-found', 'expected the piece in the photo, found none of its picture');
  show(place.h);
  const closed = closedIn(view, place.h, place === pointed ? CLOSING_IN : CLOSING_IN.slice(1));
  // What follows patches away from what it explained followed the wrong ones.
  const isLed = toldAt(view, closed) < LED_AWAY * place.told;
  const result = laid(view, isLed ? place.h : closed);
  const isByPoints = byPoints !== null && result.like >= leastLike(byPoints);
  const isPlain = sought.toTell < LITTLE_TO_TELL && place.held >= LEAST_HELD;
  if (!isByPoints && !isPlain && place.told < LEAST_TOLD)
    return fail('piece-other', `expected this piece, found one like it by ${place.told.toFixed(2)}`);
  const rival = Math.max(0, ...outlined.filter(({ h }) => !isSameWay(h, place.h, size)).map(({ told }) => told));
  const isToldApart = place.told >= SURELY_TOLD && place.told >= TOLD_APART * rival;
  // Lettering and fine drawing have few broad tones: points agree on them, or the outline does, and all of it is alike.
  const isHeld = () => heldBy(closed, photo, sought.expected.margin, size) >= LEAST_HELD;
  const isPointedAt = byPoints !== null && result.like > VERY_LIKE && (byPoints.pairs.length >= MANY_AGREE || isHeld());
  const isSure = !isLed && (isPointedAt || (isToldApart && (place.held >= LEAST_HELD || isByPoints)));
  return ok({ ...result, sure: isSure ? Math.max(LEAST_SURE, Math.min(1, Math.max(result.like, place.told / 2))) : 0 });
}

/** So many points that agree, of a picture that is very like the print, need no other witness. */
const PLAINLY = 25;
const MANY_AGREE = 15;
/** What is explained less is another piece; what is explained more is sure where the other ways round explain far less. */
const LEAST_TOLD = 0.12;
const SURELY_TOLD = 0.5;
/** Of a print this plain nothing is missed where nothing is explained: its outline is shown, and asked about. */
const LITTLE_TO_TELL = 2;
const TOLD_APART = 2.5;
const LED_AWAY = 0.7;
/** Of the outline, that much is to be seen. */
const LEAST_HELD = 0.5;
const LEAST_SURE = 0.1;

interface View {
  photo: Rgba;
  gray: Gray;
  shades: Shades;
  sought: Sought;
}

const toldAt = ({ photo, sought: { broad } }: View, h: Homography): number =>
  tonesExplained(
    broad,
    sightOf(broad, photo, (x, y) => project(h, x, y)),
  );

/** An outline that is seen lies nearer than points do. */
const worthOf = ({ told, held }: Place): number => told * (1 + held);

/** By the outline, drawn to its edges where the tones agree. */
function outlinedPlaces(view: View): Place[] {
  const { photo, sought } = view;
  const { margin } = sought.expected;
  const rough = placesByOutline(photo, margin, sought.size).map((h) => ({ h, told: toldAt(view, h), held: 0 }));
  const most = Math.max(0, ...rough.map(({ told }) => told));
  return rough.map((place) => {
    if (place.told < WORTH_A_LOOK * most) return place;
    const h = drawnToEdges(place.h, photo, margin, sought.size);
    return { h, told: toldAt(view, h), held: heldBy(h, photo, margin, sought.size) };
  });
}
const WORTH_A_LOOK = 0.3;

/** Patches and edges looked for from far to near. */
function closedIn({ photo, shades, sought }: View, from: Homography, steps: readonly ClosingIn[]): Homography {
  const { size, expected } = sought;
  const coarse = edgePixels(from, size);
  const ring = outlineOf(expected.margin, size);
  return steps.reduce((h, { reachMm, by, patches: enough }) => {
    const over = sought[by];
    const stepMm = Math.max(6, Math.sqrt((size.widthMm * size.heightMm) / enough));
    const patches = patchesOf(over.patched, laidOver(shades, over, h, NO_BEND), {
      ...patchingIn(over),
      reachMm,
      stepMm,
    });
    const edges = edgesOf(ring, photo, coarse, h, reachMm + 2);
    return refitted(h, [patches, edges], Math.max(size.widthMm, size.heightMm));
  }, from);
}

/** What is left is bent to; and how alike it is then. */
function laid({ photo, shades, sought }: View, h: Homography): Omit<Registered, 'sure'> & { like: number } {
  const { size, expected, frame } = sought;
  const patches = patchesOf(frame.patched, laidOver(shades, frame, h, NO_BEND), {
    ...{ ...patchingIn(frame), reachMm: 2, stepMm: 5 },
  });
  const sides = edgesOf(sidesOf(expected.margin, size), photo, edgePixels(h, size), h, SIDE_REACH_MM);
  const bend = bendOf([patches, sides], size);
  const at = (xMm: number, yMm: number): Point => {
    const off = bend.at(xMm, yMm);
    return project(h, xMm + off.x, yMm + off.y);
  };
  return {
    at,
    corners: boxCorners(size.widthMm, size.heightMm).map(({ x, y }) => at(x, y)),
    rmsMm: bend.rmsMm,
    like: likeIn(frame, shades, h, bend),
  };
}
const SIDE_REACH_MM = 2.4;

/** Whether two places lie the same way round. */
function isSameWay(one: Homography, other: Homography, { widthMm, heightMm }: Sought['size']): boolean {
  const [a, b] = [one, other].map((h) => {
    const [from, to] = [project(h, 0, heightMm / 2), project(h, widthMm, heightMm / 2)];
    return Math.atan2(to.y - from.y, to.x - from.x);
  });
  return Math.cos(a - b) > Math.SQRT1_2;
}

/** By every seventh pixel. */
function meanOf({ data }: Gray): number {
  let sum = 0;
  for (let at = 0; at < data.length; at += 7) sum += data[at];
  return sum / Math.ceil(data.length / 7);
}

type Pointed = Found & { like: number };

/**
 * Where the print is most like itself, by points: at a glance, and looking closer while that is not sure.
 *
 * @param onSeen a place that may be it, before it is looked at closer
 */
function placeByPoints(
  { gray, shades, sought: { features, density, glance } }: View,
  onSeen: (h: Homography) => void,
): Pointed | null {
  let best: Pointed | null = null;
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
interface ClosingIn {
  reachMm: number;
  by: 'glance' | 'frame';
  patches: number;
}
const CLOSING_IN: readonly ClosingIn[] = [
  { reachMm: 5, by: 'glance', patches: 600 },
  { reachMm: 2.5, by: 'frame', patches: 600 },
  { reachMm: 1.5, by: 'frame', patches: Infinity },
];
const patchingIn = ({ density }: Frame) => ({ density, radiusMm: PATCH_RADIUS_MM });

/** The whole must be this much like the expected one; less where many points agree, as under much paper. */
const LEAST_LIKE = { few: 0.22, many: 0.18 };
const MANY_PAIRS = 12;
const leastLike = ({ pairs }: Found): number => (pairs.length < MANY_PAIRS ? LEAST_LIKE.few : LEAST_LIKE.many);

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
