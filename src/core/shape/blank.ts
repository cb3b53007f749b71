/**
 * Blanks as geometry. A blank is described by its shape with the sizes a crafter reads off a ruler, and resolved into its working face
 * laid flat: the parts to be covered as closed outlines, its openings, folds, and its area. Millimetres, origin at the face's top left, y down.
 * A wrapped canvas is laid out as a cross (front, sides, tuck), a cylinder as a rectangle, a tapered vessel as a fan.
 */
import { fail, ok, sum, type Result } from '@/core/shared';
import { bendOf, bendPoint, bendRect, fanAreaMm2, fanBox, fanOf, type Bend } from './fan';
import { crossesItself, intersectRings, offsetRings, ovalPathOf, ovalRing, rectRing, ringAreaMm2, ringBox, ringPath, ringsAreaMm2, signedAreaMm2, subtractRings, type PointMm, type Ring } from './polygon';
import { areaMm2, type RectMm, type SizeMm } from './rectangle';

export interface Opening { kind: 'hole' | 'knob'; xMm: number; yMm: number; diameterMm: number }

export type BlankShape =
  | { kind: 'rectangle' }
  /** The width is the diameter. */
  | { kind: 'round' }
  | { kind: 'oval' }
  /** Points in shares (0–1) of width and height, so that the outline keeps its form when the size is typed. */
  | { kind: 'polygon'; points: { x: number; y: number }[] }
  | { kind: 'wrapped-canvas'; depthMm: number; tuckMm: number }
  | { kind: 'slats'; count: number; gapMm: number; run: 'vertical' | 'horizontal' }
  | { kind: 'panel'; openings: Opening[] }
  | { kind: 'drawer-row'; count: number; gapMm: number; knobs: 0 | 1 | 2; knobMm: number }
  /** The width is the diameter. */
  | { kind: 'cylinder'; shareOfRound: number }
  /** The width is the diameter at the top, the height the slant height along the side. */
  | { kind: 'vessel'; bottomMm: number; shareOfRound: number };

export type ShapeKind = BlankShape['kind'];

export interface BlankPart { ring: Ring; path: string; box: RectMm; areaMm2: number }

export interface Blank extends SizeMm {
  shape: BlankShape;
  parts: readonly BlankPart[];
  openings: readonly Opening[];
  /** Area to be covered: parts less openings, mm². */
  areaMm2: number;
  /** What is seen from the front, in the face's coordinates; for a vessel and a cylinder the middle of its side. */
  front: RectMm;
  folds: readonly { x1: number; y1: number; x2: number; y2: number }[];
  /** Outline of all parts and openings, SVG path data, even-odd. */
  path: string;
  /** How a flat picture is bent to this face; null where the face is flat as it is. */
  bend: Bend | null;
}

export type ShapeCode = 'shape-gaps-too-wide' | 'shape-opening-outside' | 'shape-crosses-itself' | 'shape-too-few-points' | 'shape-flat' | 'shape-too-large';

const LARGEST_FACE_MM = 6000;
const KNOB_SHARES: Readonly<Record<0 | 1 | 2, readonly number[]>> = { 0: [], 1: [0.5], 2: [0.25, 0.75] };

export function resolveBlank(shape: BlankShape, size: SizeMm): Result<Blank, ShapeCode> {
  const made = resolve(shape, size);
  if (!made.ok) return made;
  return Math.max(made.value.widthMm, made.value.heightMm) > LARGEST_FACE_MM
    ? fail('shape-too-large', `expected a face of at most ${LARGEST_FACE_MM} mm, got ${made.value.widthMm} × ${made.value.heightMm}`, { values: { maxMm: LARGEST_FACE_MM } })
    : made;
}

function resolve(shape: BlankShape, size: SizeMm): Result<Blank, ShapeCode> {
  const { widthMm, heightMm } = size;
  const whole: RectMm = { xMm: 0, yMm: 0, widthMm, heightMm };
  const centre = { xMm: widthMm / 2, yMm: heightMm / 2 };
  switch (shape.kind) {
    case 'rectangle': return ok(blankOf(shape, size, [rectPart(whole)]));
    case 'round': return ok(blankOf(shape, { widthMm, heightMm: widthMm }, [ovalPart({ xMm: widthMm / 2, yMm: widthMm / 2 }, widthMm / 2, widthMm / 2)]));
    case 'oval': return ok(blankOf(shape, size, [ovalPart(centre, widthMm / 2, heightMm / 2)]));
    case 'polygon': return polygon(shape, size);
    case 'wrapped-canvas': return ok(wrapped(shape, size));
    case 'slats': return row(shape, size, shape.run === 'vertical' ? 'x' : 'y', shape.count, shape.gapMm, []);
    case 'panel': return panel(shape, size);
    case 'drawer-row': return row(shape, size, 'x', shape.count, shape.gapMm, KNOB_SHARES[shape.knobs], shape.knobMm);
    case 'cylinder': {
      const face = { widthMm: Math.PI * widthMm * shape.shareOfRound, heightMm };
      return ok({ ...blankOf(shape, face, [rectPart({ xMm: 0, yMm: 0, ...face })]), front: frontOf(face, widthMm) });
    }
    case 'vessel': return vessel(shape, size);
  }
}

const frontOf = (face: SizeMm, seenMm: number): RectMm => ({ xMm: Math.max(0, (face.widthMm - seenMm) / 2), yMm: 0, widthMm: Math.min(seenMm, face.widthMm), heightMm: face.heightMm });

const rectPart = (rect: RectMm): BlankPart => ({ ring: rectRing(rect), path: ringPath(rectRing(rect)), box: rect, areaMm2: areaMm2(rect) });

const ovalPart = (centre: PointMm, rx: number, ry: number): BlankPart => ({
  ring: ovalRing(centre, rx, ry), path: ovalPathOf(centre, rx, ry), box: { xMm: centre.xMm - rx, yMm: centre.yMm - ry, widthMm: 2 * rx, heightMm: 2 * ry }, areaMm2: Math.PI * rx * ry,
});

const openingRing = ({ xMm, yMm, diameterMm }: Opening): PointMm[] => ovalRing({ xMm, yMm }, diameterMm / 2, diameterMm / 2);

function blankOf(shape: BlankShape, face: SizeMm, parts: readonly BlankPart[], openings: readonly Opening[] = [], folds: Blank['folds'] = []): Blank {
  return {
    shape, widthMm: face.widthMm, heightMm: face.heightMm, parts, openings, folds, bend: null,
    areaMm2: sum(parts.map((part) => part.areaMm2)) - sum(openings.map(({ diameterMm }) => (Math.PI * diameterMm ** 2) / 4)),
    front: { xMm: 0, yMm: 0, widthMm: face.widthMm, heightMm: face.heightMm },
    path: [...parts.map((part) => part.path), ...openings.map(({ xMm, yMm, diameterMm }) => ovalPathOf({ xMm, yMm }, diameterMm / 2, diameterMm / 2))].join(' '),
  };
}

function polygon(shape: Extract<BlankShape, { kind: 'polygon' }>, size: SizeMm): Result<Blank, ShapeCode> {
  if (shape.points.length < 3) return fail('shape-too-few-points', `expected at least 3 points, got ${shape.points.length}`);
  const ring = shape.points.map(({ x, y }) => ({ xMm: x * size.widthMm, yMm: y * size.heightMm }));
  if (crossesItself(ring)) return fail('shape-crosses-itself', 'expected an outline that does not cross itself');
  const area = ringAreaMm2(ring);
  if (area < 1) return fail('shape-flat', 'expected an outline with an inside');
  return ok(blankOf(shape, size, [{ ring, path: ringPath(ring), box: ringBox(ring), areaMm2: area }]));
}

function wrapped(shape: Extract<BlankShape, { kind: 'wrapped-canvas' }>, front: SizeMm): Blank {
  const side = shape.depthMm + shape.tuckMm;
  const face = { widthMm: front.widthMm + 2 * side, heightMm: front.heightMm + 2 * side };
  const [l, t, r, b] = [side, side, side + front.widthMm, side + front.heightMm];
  const corners: [number, number][] = [[l, 0], [r, 0], [r, t], [face.widthMm, t], [face.widthMm, b], [r, b], [r, face.heightMm], [l, face.heightMm], [l, b], [0, b], [0, t], [l, t]];
  const ring = corners.map(([xMm, yMm]) => ({ xMm, yMm }));
  const fold = (at: number, along: 'x' | 'y') => (along === 'x' ? { x1: l, x2: r, y1: at, y2: at } : { x1: at, x2: at, y1: t, y2: b });
  const folds = [fold(t, 'x'), fold(b, 'x'), fold(l, 'y'), fold(r, 'y')];
  const tucks = shape.tuckMm > 0 ? [fold(shape.tuckMm, 'x'), fold(face.heightMm - shape.tuckMm, 'x'), fold(shape.tuckMm, 'y'), fold(face.widthMm - shape.tuckMm, 'y')] : [];
  const area = areaMm2(front) + 2 * (front.widthMm + front.heightMm) * side;
  const blank = blankOf(shape, face, [{ ring, path: ringPath(ring), box: { xMm: 0, yMm: 0, ...face }, areaMm2: area }], [], [...folds, ...tucks]);
  return { ...blank, front: { xMm: l, yMm: t, ...front } };
}

/** Equal parts side by side (along x) or one above the other (along y), with gaps between and knobs at shares of each part's length. */
function row(shape: BlankShape, size: SizeMm, along: 'x' | 'y', count: number, gapMm: number, knobShares: readonly number[], knobMm = 0): Result<Blank, ShapeCode> {
  const length = along === 'x' ? size.widthMm : size.heightMm;
  const each = (length - (count - 1) * gapMm) / count;
  if (each < 1) return fail('shape-gaps-too-wide', `expected gaps that leave room for ${count} parts in ${length} mm, got ${gapMm} mm`, { values: { count, gapMm } });
  const rects = Array.from({ length: count }, (_, index): RectMm => {
    const at = index * (each + gapMm);
    return along === 'x' ? { xMm: at, yMm: 0, widthMm: each, heightMm: size.heightMm } : { xMm: 0, yMm: at, widthMm: size.widthMm, heightMm: each };
  });
  const knobs = rects.flatMap(({ xMm, yMm, widthMm, heightMm }) => knobShares.map((share): Opening => ({ kind: 'knob', xMm: xMm + widthMm * share, yMm: yMm + heightMm / 2, diameterMm: knobMm })));
  if (knobs.length > 0 && knobMm >= Math.min(each / 2, size.heightMm)) return fail('shape-opening-outside', `expected knobs that fit a front of ${each} mm, got ${knobMm} mm`);
  return ok(blankOf(shape, size, rects.map(rectPart), knobs));
}

function panel(shape: Extract<BlankShape, { kind: 'panel' }>, size: SizeMm): Result<Blank, ShapeCode> {
  const out = shape.openings.find(({ xMm, yMm, diameterMm }) => xMm - diameterMm / 2 < 0 || yMm - diameterMm / 2 < 0 || xMm + diameterMm / 2 > size.widthMm || yMm + diameterMm / 2 > size.heightMm);
  if (out) return fail('shape-opening-outside', `expected openings inside the panel, got one at ${out.xMm}, ${out.yMm}`, { values: { xMm: out.xMm, yMm: out.yMm } });
  const blank = blankOf(shape, size, [rectPart({ xMm: 0, yMm: 0, ...size })], shape.openings);
  // Openings that overlap are counted once.
  return ok({ ...blank, areaMm2: areaMm2(size) - overlapFreeArea(shape.openings) });
}

function overlapFreeArea(openings: readonly Opening[]): number {
  const plain = sum(openings.map(({ diameterMm }) => (Math.PI * diameterMm ** 2) / 4));
  const overlap = openings.some((one, i) => openings.slice(i + 1).some((other) => Math.hypot(one.xMm - other.xMm, one.yMm - other.yMm) < (one.diameterMm + other.diameterMm) / 2));
  return overlap ? ringsAreaMm2(openings.map(openingRing)) : plain;
}

const SAME_MM = 0.05;

function vessel(shape: Extract<BlankShape, { kind: 'vessel' }>, { widthMm: topMm, heightMm: slantMm }: SizeMm): Result<Blank, ShapeCode> {
  if (Math.abs(topMm - shape.bottomMm) < SAME_MM) return resolve({ kind: 'cylinder', shareOfRound: shape.shareOfRound }, { widthMm: topMm, heightMm: slantMm });
  // A side shorter than half the difference of the diameters would be a cone turned inside out.
  if (slantMm <= Math.abs(topMm - shape.bottomMm) / 2) return fail('shape-flat', `expected a slant height over ${Math.abs(topMm - shape.bottomMm) / 2} mm, got ${slantMm} mm`);
  const wideUp = topMm > shape.bottomMm;
  const fan = fanOf(Math.max(topMm, shape.bottomMm), Math.min(topMm, shape.bottomMm), slantMm, shape.shareOfRound);
  const box = fanBox(fan);
  const bend = bendOf(fan, wideUp);
  const ring = bendRect(bend, { xMm: 0, yMm: 0, ...bend.plane });
  // Anticlockwise from the outer arc's left end, whichever way up.
  const at = (share: number, outer: boolean) => bendPoint(bend, { xMm: share * bend.plane.widthMm, yMm: outer === wideUp ? 0 : bend.plane.heightMm });
  const [a, b, c, d] = [at(0, true), at(1, true), at(1, false), at(0, false)];
  const large = fan.angleRad > Math.PI ? 1 : 0;
  const [there, back] = wideUp ? [1, 0] : [0, 1];
  const [R, r] = [fan.outerRadiusMm, fan.innerRadiusMm];
  const path = `M${a.xMm} ${a.yMm}A${R} ${R} 0 ${large} ${there} ${b.xMm} ${b.yMm}L${c.xMm} ${c.yMm}A${r} ${r} 0 ${large} ${back} ${d.xMm} ${d.yMm}Z`;
  return ok({ ...blankOf(shape, box, [{ ring, path, box: { xMm: 0, yMm: 0, ...box }, areaMm2: fanAreaMm2(fan) }]), bend, front: frontOf(box, Math.max(topMm, shape.bottomMm)) });
}

/** Whether a blank is cut along the print's own edges alone: no outline needs to be drawn. */
const isPlainRectangle = ({ shape }: Blank): boolean => shape.kind === 'rectangle' || shape.kind === 'cylinder';

/** What outlines cover of the blank: inside its parts, outside its openings. Outer rings and holes run in opposite ways. */
export function onBlank(blank: Blank, rings: readonly Ring[]): Ring[] {
  if (isPlainRectangle(blank) && rings.length === 1 && boxInside(ringBox(rings[0]), blank)) return [...rings];
  const inside = intersectRings(blank.parts.map((part) => part.ring), rings);
  return blank.openings.length === 0 ? inside : subtractRings(inside, blank.openings.map(openingRing));
}

const boxInside = (box: RectMm, size: SizeMm): boolean => box.xMm >= 0 && box.yMm >= 0 && box.xMm + box.widthMm <= size.widthMm && box.yMm + box.heightMm <= size.heightMm;

/** Area of the blank that outlines cover, mm². */
export function coveredAreaMm2(blank: Blank, rings: readonly Ring[]): number {
  // The whole face is known exactly; circles of polygons are a trifle short.
  if (rings.length === 1 && rings[0].length === 4) {
    const box = ringBox(rings[0]);
    if (box.xMm <= 0 && box.yMm <= 0 && box.xMm + box.widthMm >= blank.widthMm && box.yMm + box.heightMm >= blank.heightMm) return blank.areaMm2;
  }
  return Math.abs(sum(onBlank(blank, rings).map(signedAreaMm2)));
}

/** Where a coat goes that reaches past a landed print by some millimetres, on the blank. */
export const coatRings = (blank: Blank, landed: readonly Ring[], pastMm: number): Ring[] => onBlank(blank, pastMm > 0 ? offsetRings(landed, pastMm) : landed);
