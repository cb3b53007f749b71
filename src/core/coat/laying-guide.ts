/**
 * Where hands go when a print is laid: where to pour, which way to spread, where to scrape and in which order, the
 * centre lines to crease or mark by, how far the print lies from each edge, where a hand may hold and what it must keep
 * off. Every block of a print that lands in parts has its own. Source: bench practice: from the middle outwards,
 * opposite sides in turn, so that air and medium leave on both.
 */
import type { SurfaceRecord } from '@/core/craft';
import { containsPoint, ringsBox, type Blank, type RectMm, type Ring } from '@/core/shape';

interface Line {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
}
interface Scrape extends Line {
  order: number;
}
interface Offset {
  edge: 'left' | 'top' | 'right' | 'bottom';
  mm: number;
  line: Line;
}
interface GuideBlock {
  box: RectMm;
  pour: { xMm: number; yMm: number; radiusMm: number };
  scrapes: readonly Scrape[];
  creases: readonly Line[];
  holds: readonly { xMm: number; yMm: number }[];
}

export interface LayingGuide {
  blocks: readonly GuideBlock[];
  offsets: readonly Offset[];
  /** Where a book goes under a face that gives; null where nothing does. */
  support: RectMm | null;
}

/** Blocks smaller than this are crumbs of an outline. */
const LEAST_BLOCK_MM2 = 400;
/** A shorter side up to this is scraped along and across only. */
const NARROW_MM = 60;
const FIRST_SHARE = 0.1;
const LAST_SHARE = 0.92;
const STEP_SHARE = 0.03;
const POUR_SHARE = 0.07;
const SUPPORT_SHARE = 0.8;

export function layingGuide(blank: Blank, landed: readonly Ring[], surface: SurfaceRecord): LayingGuide | null {
  const rings = landed
    .map((ring) => ({ ring, box: ringsBox([ring]) }))
    .filter(({ box }) => box.widthMm * box.heightMm >= LEAST_BLOCK_MM2);
  if (rings.length === 0) return null;
  // Holes lie inside another ring.
  const outer = rings.filter(
    ({ box }, index) =>
      !rings.some((other, at) => at !== index && holds(other.box, box) && (!holds(box, other.box) || at < index)),
  );
  const whole = ringsBox(landed);
  const front = blank.front;
  const offset = (edge: Offset['edge'], mm: number, line: Line): Offset => ({ edge, mm, line });
  const [cx, cy] = [whole.xMm + whole.widthMm / 2, whole.yMm + whole.heightMm / 2];
  const [right, bottom] = [front.xMm + front.widthMm, front.yMm + front.heightMm];
  return {
    blocks: outer.map(({ ring, box }) => blockOf(ring, box)),
    offsets: [
      offset('left', whole.xMm - front.xMm, { x1: front.xMm, y1: cy, x2: whole.xMm, y2: cy }),
      offset('top', whole.yMm - front.yMm, { x1: cx, y1: front.yMm, x2: cx, y2: whole.yMm }),
      offset('right', right - whole.xMm - whole.widthMm, { x1: whole.xMm + whole.widthMm, y1: cy, x2: right, y2: cy }),
      offset('bottom', bottom - whole.yMm - whole.heightMm, {
        x1: cx,
        y1: whole.yMm + whole.heightMm,
        x2: cx,
        y2: bottom,
      }),
    ].filter(({ mm }) => mm > 0.5),
    support: surface.givesInMiddle
      ? {
          xMm: front.xMm + (front.widthMm * (1 - SUPPORT_SHARE)) / 2,
          yMm: front.yMm + (front.heightMm * (1 - SUPPORT_SHARE)) / 2,
          widthMm: front.widthMm * SUPPORT_SHARE,
          heightMm: front.heightMm * SUPPORT_SHARE,
        }
      : null,
  };
}

const holds = (outer: RectMm, inner: RectMm): boolean =>
  outer.xMm <= inner.xMm &&
  outer.yMm <= inner.yMm &&
  outer.xMm + outer.widthMm >= inner.xMm + inner.widthMm &&
  outer.yMm + outer.heightMm >= inner.yMm + inner.heightMm;

function blockOf(ring: Ring, box: RectMm): GuideBlock {
  const { xMm, yMm, widthMm, heightMm } = box;
  const [cx, cy] = [xMm + widthMm / 2, yMm + heightMm / 2];
  const wide = widthMm >= heightMm;
  const along: [number, number][] = wide
    ? [
        [1, 0],
        [-1, 0],
        [0, 1],
        [0, -1],
      ]
    : [
        [0, 1],
        [0, -1],
        [1, 0],
        [-1, 0],
      ];
  const corners: [number, number][] = [
    [1, 1],
    [-1, -1],
    [1, -1],
    [-1, 1],
  ];
  const ways = Math.min(widthMm, heightMm) <= NARROW_MM ? along.slice(0, 2) : [...along, ...corners];
  return {
    box,
    pour: { xMm: cx, yMm: cy, radiusMm: Math.min(widthMm, heightMm) * POUR_SHARE },
    scrapes: ways.map(([dx, dy], index) => {
      // A stroke ends where the print does: on a round or cut shape short of the box.
      const at = (share: number) => ({ xMm: cx + (dx * widthMm * share) / 2, yMm: cy + (dy * heightMm * share) / 2 });
      let share = LAST_SHARE;
      while (share > FIRST_SHARE + STEP_SHARE && !containsPoint(ring, at(share))) share -= STEP_SHARE;
      const [from, to] = [at(FIRST_SHARE), at(share)];
      return { order: index + 1, x1: from.xMm, y1: from.yMm, x2: to.xMm, y2: to.yMm };
    }),
    creases: [
      { x1: cx, y1: yMm, x2: cx, y2: yMm + heightMm },
      { x1: xMm, y1: cy, x2: xMm + widthMm, y2: cy },
    ],
    holds: [extreme(ring, -1), extreme(ring, 1)],
  };
}

/** The corner furthest up and left (-1) or down and right (1). */
const extreme = (ring: Ring, way: 1 | -1): { xMm: number; yMm: number } =>
  ring.reduce((best, point) => (way * (point.xMm + point.yMm) > way * (best.xMm + best.yMm) ? point : best));
