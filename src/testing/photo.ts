/**
 * Draws phone-like photos of a printed sheet: content scaled and mirrored on its paper, on a darker table, turned and
 * tilted, unevenly lit, blurred and noisy. Seeded.
 */
import { homographyOf, type Point } from '@/core/photo';
import type { Rgba } from '@/core/photo';
import { seededChance } from '@/core/shared';

export interface PhotoOf {
  /** The printed page, `pxPerMm` dense. */
  page: Rgba;
  pxPerMm: number;
  widthMm: number;
  heightMm: number;
  flipped: boolean;
  across: number;
  along: number;
  shiftMm: readonly [number, number];
  turnDeg: number;
  tilt: readonly [number, number];
  light: number;
  blurPx: number;
  noise: number;
  seed: number;
  /** How high the sheet's middle bows up off the table, mm, and along which way it curls. */
  bowMm: number;
  bowAcross: boolean;
  /** A lamp mirrored in the sheet: its middle in shares of the photo, its radius, and how strong. */
  glare: { x: number; y: number; radius: number; strength: number } | null;
  /** Light of the table: 0.36 is dark wood. */
  table: number;
  /** What it lies on: plain wood, or something with edges of its own. */
  ground: Ground;
  /** Over 1 the sheet's edges lie outside the photo. */
  zoom: number;
  /** White that the machine leaves on every side, mm; darkness that comes out, share. */
  marginMm: number;
  kept: number;
}

/** Grounds that a sheet lies on, by how light they are at a place of the sheet's plane, 0–1. Lengths mm. */
export const GROUNDS = [
  'plain',
  'checks',
  'stripes',
  'planks',
  'tiles',
  'cut-tile',
  'papers',
  'print',
  'hands',
  'shadow',
] as const;
type Ground = (typeof GROUNDS)[number];
/** Cloth, tiles and paper are nearly without colour. */
const PATTERNED: ReadonlySet<Ground> = new Set(['checks', 'stripes', 'tiles', 'cut-tile', 'papers', 'print']);

interface GroundOf {
  ground: Ground;
  table: number;
  seed: number;
  widthMm: number;
  heightMm: number;
}

/** How light the ground is at a place of the sheet's plane, and how much of the light reaches the place, sheet or not. */
function groundOf({ ground, table, seed, widthMm, heightMm }: GroundOf): {
  level: (x: number, y: number) => number;
  lit: (x: number, y: number) => number;
} {
  const chance = seededChance(seed + 7919);
  const between = (low: number, high: number) => low + (high - low) * chance();
  const angle = between(-0.06, 0.06) + (chance() < 0.3 ? between(-0.7, 0.7) : 0);
  const [c, s] = [cos(angle), sin(angle)];
  const pitch = between(12, 70);
  const [ox, oy] = [between(0, 100), between(0, 100)];
  const [dark, pale] = [between(0.15, 0.5), between(0.6, 0.92)];
  const u = (x: number, y: number) => c * (x + ox) + s * (y + oy);
  const v = (x: number, y: number) => -s * (x + ox) + c * (y + oy);
  const odd = (value: number) => floor(value / pitch) % 2 !== 0;
  const side = floor(chance() * 4);
  /** Distance outside the sheet's side, mm. */
  const beyond = (x: number, y: number) => [x - widthMm, -x, y - heightMm, -y][side] ?? 0;
  const seam = between(4, 40);
  const sheets = [0, 1, 2, 3].map(() => ({
    x: between(-0.5, 1.2) * widthMm,
    y: between(-0.5, 1.2) * heightMm,
    turn: between(-0.5, 0.5),
    level: between(0.7, 0.93),
  }));
  const fingers = [0, 1, 2, 3].map((at) => ({
    along: between(0.1, 0.3) + at * between(0.1, 0.18),
    reach: between(2, 14),
  }));
  const plain = () => table;
  const shadowFrom = between(-30, 25);
  const shadowDeep = between(0.45, 0.8);
  const slant = between(-0.15, 0.15);
  const levels: Record<Ground, (x: number, y: number) => number> = {
    plain,
    checks: (x, y) => (odd(u(x, y)) === odd(v(x, y)) ? pale : dark),
    stripes: (x, y) => (odd(side < 2 ? u(x, y) : v(x, y)) ? pale : dark),
    planks: (x, y) => {
      const at = (side < 2 ? u(x, y) : v(x, y)) / (pitch + 40);
      const gap = at - floor(at);
      return gap < 0.03 ? 0.1 : dark + 0.2 + 0.1 * sin(floor(at) * 7.3) + 0.03 * sin((side < 2 ? x : y) / 3);
    },
    tiles: (x, y) => {
      const [a, b] = [u(x, y) / (pitch + 60), v(x, y) / (pitch + 60)];
      return a - floor(a) < 0.04 || b - floor(b) < 0.04 ? dark : pale;
    },
    'cut-tile': (x, y) => (beyond(x, y) < seam ? pale : dark),
    papers: (x, y) => {
      for (const sheet of sheets) {
        const [a, b] = [x - sheet.x, y - sheet.y];
        const [p, q] = [a * cos(sheet.turn) + b * sin(sheet.turn), b * cos(sheet.turn) - a * sin(sheet.turn)];
        if (p > 0 && q > 0 && p < 180 && q < 250) return sheet.level;
      }
      return dark;
    },
    print: (x, y) => 0.5 + 0.2 * sin(x / 9 + 2 * sin(y / 23)) + 0.2 * sin(y / 13 + 3 * sin(x / 31)),
    hands: plain,
    shadow: plain,
  };
  const isFinger = (x: number, y: number) => {
    const [length, along] = side < 2 ? [heightMm, y] : [widthMm, x];
    return fingers.some(({ along: at, reach }) => Math.abs(along - at * length) < 8 && beyond(x, y) > -reach);
  };
  return {
    level: (x, y) => (ground === 'hands' && isFinger(x, y) ? -0.55 : levels[ground](x, y)),
    lit: (x, y) => (ground !== 'shadow' ? 1 : beyond(x, y) + slant * (side < 2 ? y : x) > shadowFrom ? shadowDeep : 1),
  };
}

/** Taken once: looking a global up is slow in a test's own realm. */
const { sin, cos, floor, min } = Math;

const PHOTO = { width: 1632, height: 1224 };

export function photoOf(of: PhotoOf): Rgba {
  const { width, height } = PHOTO;
  const chance = seededChance(of.seed);
  // The sheet's corners: turned about the middle, pushed by the tilt, then drawn as large as the photo holds.
  const angle = (of.turnDeg * Math.PI) / 180;
  const loose = [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([x, y]): Point => {
    const [mx, my] = [(x * of.widthMm) / 2, (y * of.heightMm) / 2];
    const [rx, ry] = [mx * cos(angle) - my * sin(angle), mx * sin(angle) + my * cos(angle)];
    const depth = 1 + (of.tilt[0] * rx + of.tilt[1] * ry) / Math.max(of.widthMm, of.heightMm);
    return { x: rx / depth, y: ry / depth };
  });
  const box = (axis: 'x' | 'y') => {
    const all = loose.map((point) => point[axis]);
    return [Math.min(...all), Math.max(...all)];
  };
  const [[left, right], [top, bottom]] = [box('x'), box('y')];
  const fill = 0.95 * of.zoom * Math.min(width / (right - left), height / (bottom - top));
  const corners = loose.map(({ x, y }): Point => ({
    x: width / 2 + fill * (x - (left + right) / 2),
    y: height / 2 + fill * (y - (top + bottom) / 2),
  }));
  const frame = [
    [0, 0],
    [of.widthMm, 0],
    [of.widthMm, of.heightMm],
    [0, of.heightMm],
  ].map(([x, y]): Point => ({ x, y }));
  const back = homographyOf(corners, frame);
  if (!back) throw new Error('corners on a line');
  const curl = of.bowMm > 0 ? curledBack(of) : null;
  const data = new Uint8ClampedArray(width * height * 4).fill(255);
  const linear = new Float32Array(width * height * 3);
  const under = groundOf(of);
  const [green, blue] = PATTERNED.has(of.ground) ? [0.97, 0.94] : [0.8 + 0.15 * of.table, 0.6 + 0.3 * of.table];
  const lit = (x: number, y: number) =>
    1 -
    of.light * (0.6 * (x / width) + 0.4 * (y / height)) -
    of.light * 0.15 * (1 + sin(x / 310 + of.seed) * cos(y / 270));
  const { page, pxPerMm } = of;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const w = back[6] * (x + 0.5) + back[7] * (y + 0.5) + 1;
      const flat = {
        x: (back[0] * (x + 0.5) + back[1] * (y + 0.5) + back[2]) / w,
        y: (back[3] * (x + 0.5) + back[4] * (y + 0.5) + back[5]) / w,
      };
      const at = curl ? curl(flat.x, flat.y) : flat;
      const glow = lit(x, y) * under.lit(flat.x, flat.y);
      const to = (y * width + x) * 3;
      // The sheet's rim is mixed with the table, as a lens does.
      const inside = min(at.x, at.y, of.widthMm - at.x, of.heightMm - at.y) * fill + 0.5;
      const level = under.level(flat.x, flat.y);
      // A finger lies over the sheet: its level is told below nothing.
      const cover = level < 0 || inside < 0 ? 0 : inside > 1 ? 1 : inside;
      if (cover < 1) {
        const wood = Math.abs(level) + 0.06 * sin(y / 7 + 3 * sin(x / 160 + of.seed)) + 0.05 * sin(y / 2.3 + x / 40);
        linear[to] = wood * glow * 255;
        // Pale tables are paler in colour too.
        linear[to + 1] = wood * green * glow * 255;
        linear[to + 2] = wood * blue * glow * 255;
        if (cover === 0) continue;
      }
      const white =
        at.x < of.marginMm || at.y < of.marginMm || at.x > of.widthMm - of.marginMm || at.y > of.heightMm - of.marginMm;
      let px = (at.x - of.widthMm / 2 - of.shiftMm[0]) / of.across + of.widthMm / 2;
      const py = (at.y - of.heightMm / 2 - of.shiftMm[1]) / of.along + of.heightMm / 2;
      if (of.flipped) px = of.widthMm - px;
      const [sx, sy] = [floor(px * pxPerMm), floor(py * pxPerMm)];
      const out = white || sx < 0 || sy < 0 || sx >= page.width || sy >= page.height;
      for (let channel = 0; channel < 3; channel++) {
        const shown = out ? 255 : 255 - of.kept * (255 - page.data[(sy * page.width + sx) * 4 + channel]);
        linear[to + channel] = cover * shown * glow * 0.94 + (1 - cover) * linear[to + channel];
      }
    }
  if (of.glare) addGlare(linear, width, height, of.glare);
  const blurred = of.blurPx > 0 ? boxBlur(boxBlur(linear, width, height, of.blurPx), width, height, of.blurPx) : linear;
  for (let i = 0, to = 0; i < blurred.length; i += 3, to += 4) {
    const grain = (chance() + chance() + chance() - 1.5) * of.noise * 2;
    for (let channel = 0; channel < 3; channel++) data[to + channel] = blurred[i + channel] + grain;
  }
  return { data, width, height };
}

/**
 * Where on a sheet that bows up in its middle a place of its flat outline's plane shows: an arc of the sheet's own
 * length, seen from above at one and a half times its longer side. Lengths mm.
 */
function curledBack(of: PhotoOf): (x: number, y: number) => Point {
  const [length, width] = of.bowAcross ? [of.widthMm, of.heightMm] : [of.heightMm, of.widthMm];
  const eye = 1.5 * Math.max(of.widthMm, of.heightMm);
  // A circle's arc of this length and height, by its half angle.
  let [low, high] = [1e-4, 1.5];
  while (high - low > 1e-6) {
    const half = (low + high) / 2;
    if ((length * (1 - cos(half))) / (2 * half) < of.bowMm) low = half;
    else high = half;
  }
  const half = low;
  const radius = length / (2 * half);
  const steps = 400;
  const seen = Array.from({ length: steps + 1 }, (_, i) => {
    const angle = (i / steps - 0.5) * 2 * half;
    const height = radius * (cos(angle) - cos(half));
    const nearer = 1 / (1 - height / eye);
    return { at: length / 2 + radius * sin(angle) * nearer, nearer, own: (i / steps) * length };
  });
  const [from, to] = [seen[0].at, seen[steps].at];
  return (x, y) => {
    const [along, across] = of.bowAcross ? [x, y] : [y, x];
    // The outline's corners are the sheet's own.
    const target = from + (along / length) * (to - from);
    let [before, after] = [0, steps];
    while (after - before > 1) {
      const middle = (before + after) >> 1;
      if (seen[middle].at <= target) before = middle;
      else after = middle;
    }
    const share = (target - seen[before].at) / (seen[after].at - seen[before].at);
    const own = seen[before].own + share * (seen[after].own - seen[before].own);
    const nearer = seen[before].nearer + share * (seen[after].nearer - seen[before].nearer);
    const beside = width / 2 + (across - width / 2) / nearer;
    return of.bowAcross ? { x: own, y: beside } : { x: beside, y: own };
  };
}

function addGlare(
  rgb: Float32Array,
  width: number,
  height: number,
  { x, y, radius, strength }: NonNullable<PhotoOf['glare']>,
): void {
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      const off = Math.hypot(column / width - x, (row - y * height) / width) / radius;
      if (off >= 1) continue;
      const lamp = 255 * strength * (1 - off * off) ** 2;
      for (let channel = 0, at = (row * width + column) * 3; channel < 3; channel++) rgb[at + channel] += lamp;
    }
}

/** Box blur of interleaved RGB, edges repeated: along rows, then a whole row of sums at a time. */
function boxBlur(rgb: Float32Array, width: number, height: number, radius: number): Float32Array {
  const across = new Float32Array(rgb.length);
  const out = new Float32Array(rgb.length);
  const line = width * 3;
  const size = 2 * radius + 1;
  for (let y = 0; y < height; y++)
    for (let channel = 0; channel < 3; channel++) {
      const from = y * line + channel;
      let sum = rgb[from] * (radius + 1);
      for (let k = 0; k < radius; k++) sum += rgb[from + k * 3];
      for (let x = 0; x < width; x++) {
        const [entering, leaving] = [
          x + radius < width ? x + radius : width - 1,
          x - radius - 1 > 0 ? x - radius - 1 : 0,
        ];
        sum += rgb[from + entering * 3] - rgb[from + leaving * 3];
        across[from + x * 3] = sum / size;
      }
    }
  const sums = new Float64Array(line);
  const rowAt = (y: number) => (y < 0 ? 0 : y >= height ? height - 1 : y) * line;
  for (let y = -radius - 1; y < radius; y++) for (let i = 0, at = rowAt(y); i < line; i++) sums[i] += across[at + i];
  for (let y = 0; y < height; y++) {
    const [entering, leaving] = [rowAt(y + radius), rowAt(y - radius - 1)];
    for (let i = 0, to = y * line; i < line; i++) {
      sums[i] += across[entering + i] - across[leaving + i];
      out[to + i] = sums[i] / size;
    }
  }
  return out;
}
