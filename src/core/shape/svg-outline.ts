/**
 * Reads one outline from an SVG drawing: the largest closed shape among its paths, polygons, rectangles, circles and
 * ellipses, in shares of its own box. Only geometry is read: no script, style, link or external file has any effect.
 * Curves are cut into chords 0.2 % of the box long.
 */
import { XMLParser } from 'fast-xml-parser';
import svgpath from 'svgpath';
import { fail, ok, type Result } from '@/core/shared';
import { MM_PER_INCH } from '@/core/measure';
import { crossesItself, ovalPathOf, ringAreaMm2, ringBox, type PointMm } from './polygon';

export type OutlineCode =
  | 'outline-too-large'
  | 'outline-unreadable'
  | 'outline-none'
  | 'outline-crosses-itself'
  | 'outline-out-of-range'
  | 'outline-too-slow';
export interface SvgOutline {
  points: { x: number; y: number }[];
  /** Its own size where the drawing says one in real units, mm. */ widthMm: number | null;
  heightMm: number | null;
}

const MAX_BYTES = 2 * 1024 * 1024;
/** Drawing units are points or hundredths of millimetres at the finest: further out lies no drawing. */
const FURTHEST = 1e7;
/** A drawing that says its own size says one between a bead and a barn. */
const [SMALLEST_MM, LARGEST_MM] = [0.1, 100_000];
/** Groups in groups; and points of all shapes together. */
const DEEPEST = 200;
const MOST_POINTS_READ = 400_000;
const MAX_POINTS = 400;
const UNIT_MM: Readonly<Record<string, number>> = { mm: 1, cm: 10, in: MM_PER_INCH, pt: MM_PER_INCH / 72 };
const CURVE_STEPS = 24;

type Node = Record<string, unknown> & { ':@'?: Record<string, string> };

export function readSvgOutline(text: string): Result<SvgOutline, OutlineCode> {
  if (text.length > MAX_BYTES)
    return fail('outline-too-large', `expected at most ${MAX_BYTES} characters, got ${text.length}`);
  if (/<!(DOCTYPE|ENTITY)/i.test(text)) return fail('outline-unreadable', 'expected no document type or entities');
  let tree: Node[];
  try {
    tree = new XMLParser({
      ignoreAttributes: false,
      attributeNamePrefix: '',
      preserveOrder: true,
      processEntities: false,
    }).parse(text, true) as Node[];
  } catch (error) {
    return fail('outline-unreadable', error instanceof Error ? error.message : String(error));
  }
  const root = tree.find((node) => 'svg' in node);
  if (!root) return fail('outline-unreadable', 'expected an svg element');
  const rings = allRings(root.svg as Node[]);
  if (rings === null) return fail('outline-too-large', `expected at most ${MOST_POINTS_READ} points`);
  if (rings.flat().some(({ xMm, yMm }) => !(Math.abs(xMm) <= FURTHEST && Math.abs(yMm) <= FURTHEST)))
    return fail('outline-out-of-range', `expected figures up to ${FURTHEST}`);
  const ring = rings
    .map((one) => ({ one, area: ringAreaMm2(one) }))
    .sort((a, b) => b.area - a.area)
    .at(0)?.one;
  if (!ring || !(ringAreaMm2(ring) > 0)) return fail('outline-none', 'expected a closed shape');
  const slim = thinned(ring);
  if (crossesItself(slim)) return fail('outline-crosses-itself', 'expected an outline that does not cross itself');
  const box = ringBox(slim);
  if (!(box.widthMm > 0) || !(box.heightMm > 0)) return fail('outline-none', 'expected a shape with an inside');
  const scale = unitScale(root[':@'] ?? {});
  const sizes = scale ? [box.widthMm * scale, box.heightMm * scale] : [];
  if (sizes.some((size) => !(size >= SMALLEST_MM && size <= LARGEST_MM)))
    return fail('outline-out-of-range', `expected ${SMALLEST_MM} to ${LARGEST_MM} mm, got ${sizes.join(' × ')}`);
  return ok({
    points: slim.map(({ xMm, yMm }) => ({
      x: share(xMm - box.xMm, box.widthMm),
      y: share(yMm - box.yMm, box.heightMm),
    })),
    widthMm: scale ? box.widthMm * scale : null,
    heightMm: scale ? box.heightMm * scale : null,
  });
}

const share = (part: number, whole: number) => Math.min(1, Math.max(0, Number((part / whole).toFixed(6))));

interface Shape {
  d: string;
}
const number = (value: string | undefined): number => {
  const read = Number.parseFloat(value ?? '0');
  return Number.isFinite(read) ? read : 0;
};

/** The rings of three points and more; null where there are more points than can be handled. */
function allRings(nodes: readonly Node[]): PointMm[][] | null {
  const rings: PointMm[][] = [];
  let points = 0;
  for (const shape of collect(nodes, '', 0))
    for (const ring of ringsOf(shape)) {
      points += ring.length;
      if (points > MOST_POINTS_READ) return null;
      if (ring.length >= 3) rings.push(ring);
    }
  return rings;
}

/** Shapes with the transforms of the groups round them. What is only defined, or hidden, is passed over. */
function collect(nodes: readonly Node[], transform: string, depth: number): Shape[] {
  if (depth > DEEPEST) return [];
  return nodes.flatMap((node): Shape[] => {
    const attributes = node[':@'] ?? {};
    const tag = Object.keys(node).find((key) => key !== ':@') ?? '';
    const here = `${transform} ${attributes.transform ?? ''}`.trim();
    if (
      ['defs', 'clipPath', 'mask', 'symbol', 'marker', 'pattern', 'script', 'style', 'foreignObject'].includes(tag) ||
      attributes.display === 'none'
    )
      return [];
    if (tag === 'g' || tag === 'svg' || tag === 'a') return collect(node[tag] as Node[], here, depth + 1);
    const d = pathOf(tag, attributes);
    return d ? [{ d: here ? svgpath(d).transform(here).toString() : d }] : [];
  });
}

function pathOf(tag: string, a: Record<string, string>): string | null {
  switch (tag) {
    case 'path':
      return a.d ?? null;
    case 'polygon':
    case 'polyline':
      return a.points ? `M${a.points.trim()}Z` : null;
    case 'rect':
      return `M${number(a.x)} ${number(a.y)}h${number(a.width)}v${number(a.height)}h${-number(a.width)}Z`;
    case 'circle':
      return ovalPathOf({ xMm: number(a.cx), yMm: number(a.cy) }, number(a.r), number(a.r));
    case 'ellipse':
      return ovalPathOf({ xMm: number(a.cx), yMm: number(a.cy) }, number(a.rx), number(a.ry));
    default:
      return null;
  }
}

/** Each subpath as a ring; curves as chords. */
function ringsOf({ d }: Shape): PointMm[][] {
  const rings: PointMm[][] = [];
  const at = (xMm: number, yMm: number) => rings.at(-1)?.push({ xMm, yMm });
  svgpath(d)
    .abs()
    .unshort()
    .unarc()
    .iterate((segment, _, x, y) => {
      switch (segment[0]) {
        case 'M':
          rings.push([{ xMm: segment[1], yMm: segment[2] }]);
          break;
        case 'L':
          at(segment[1], segment[2]);
          break;
        case 'H':
          at(segment[1], y);
          break;
        case 'V':
          at(x, segment[1]);
          break;
        case 'C': {
          const [, x1, y1, x2, y2, x3, y3] = segment;
          for (let i = 1; i <= CURVE_STEPS; i++) {
            const t = i / CURVE_STEPS;
            at(bezier(t, x, x1, x2, x3), bezier(t, y, y1, y2, y3));
          }
          break;
        }
        case 'Q': {
          const [, x1, y1, x2, y2] = segment;
          for (let i = 1; i <= CURVE_STEPS; i++) {
            const t = i / CURVE_STEPS;
            at(quadratic(t, x, x1, x2), quadratic(t, y, y1, y2));
          }
          break;
        }
        default:
          break;
      }
    });
  return rings;
}

const bezier = (t: number, a: number, b: number, c: number, d: number) =>
  (1 - t) ** 3 * a + 3 * (1 - t) ** 2 * t * b + 3 * (1 - t) * t ** 2 * c + t ** 3 * d;
const quadratic = (t: number, a: number, b: number, c: number) => (1 - t) ** 2 * a + 2 * (1 - t) * t * b + t ** 2 * c;

/** Without repeated points, and no more than can be handled: every n-th is kept. */
function thinned(ring: readonly PointMm[]): PointMm[] {
  const plain = ring.filter((point, index) => {
    const next = ring[(index + 1) % ring.length]!;
    return Math.hypot(point.xMm - next.xMm, point.yMm - next.yMm) > 1e-6;
  });
  const step = Math.ceil(plain.length / MAX_POINTS);
  return plain.filter((_, index) => index % step === 0);
}

/** Millimetres per drawing unit, where width and viewBox say so. */
function unitScale({ width, viewBox }: Record<string, string>): number | null {
  const size = /^\s*([\d.]+)\s*(mm|cm|in|pt)\s*$/.exec(width ?? '');
  const box = viewBox
    ?.trim()
    .split(/[\s,]+/)
    .map(Number);
  if (!size || !box || box.length !== 4 || !(box[2]! > 0)) return null;
  return (Number(size[1]) * UNIT_MM[size[2]!]!) / box[2]!;
}
