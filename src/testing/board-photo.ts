/**
 * Draws photographs of blanks on a table, as a phone sees them from above: boards, slabs with bark, stones, rounds and
 * trays, with a room's light, a shadow, blur and noise. Seeded. It shares nothing with what traces such photos: rings
 * are sums of waves, bark is a noise of its own, the camera is a pinhole.
 */
import type { Point, Rgba } from '@/core/photo';

export const BOARD_FORMS = ['board', 'slab', 'stone', 'round', 'tray'] as const;
export type BoardForm = (typeof BOARD_FORMS)[number];

export interface BoardPhoto {
  photo: Rgba;
  /** mm about the middle of the thing, clockwise; the way it lies on the table before the camera turns. */
  outline: Point[];
  longMm: number;
  shortMm: number;
  /** Degrees clockwise from its long way; null where it has no grain. */
  grainDeg: number | null;
  knots: { x: number; y: number; radius: number }[];
  /** From mm about its middle to pixels of the photo. */
  seenAt: (point: Point) => Point;
}

/** Taken once: looking a global up is slow in a test's own realm. */
const { abs, sin, cos, hypot, floor, max, min, sqrt, exp, imul, PI } = Math;

/** Numbers from 0 to 1 out of two whole ones. */
function lattice(x: number, y: number, seed: number): number {
  let h = (x * 374761393 + y * 668265263 + seed * 2246822519) | 0;
  h = imul(h ^ (h >>> 13), 1274126177);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}
function noise(x: number, y: number, seed: number): number {
  const [i, j] = [floor(x), floor(y)];
  const [u, v] = [x - i, y - j];
  const [a, b] = [u * u * (3 - 2 * u), v * v * (3 - 2 * v)];
  const [p, q] = [lattice(i, j, seed), lattice(i + 1, j, seed)];
  const [r, s] = [lattice(i, j + 1, seed), lattice(i + 1, j + 1, seed)];
  return (p * (1 - a) + q * a) * (1 - b) + (r * (1 - a) + s * a) * b;
}

type Colour = readonly [number, number, number];
const TABLES: readonly { name: string; colour: Colour; rough: number; scale: number }[] = [
  { name: 'slate cloth', colour: [0.16, 0.18, 0.22], rough: 0.16, scale: 0.9 },
  { name: 'cutting mat', colour: [0.1, 0.3, 0.24], rough: 0.06, scale: 0.3 },
  { name: 'white table', colour: [0.82, 0.83, 0.85], rough: 0.03, scale: 0.2 },
  { name: 'dark boards', colour: [0.14, 0.09, 0.06], rough: 0.25, scale: 0.06 },
];
const WOODS: readonly Colour[] = [
  [0.72, 0.53, 0.33],
  [0.58, 0.38, 0.22],
  [0.78, 0.64, 0.45],
];
const STONES: readonly Colour[] = [
  [0.42, 0.44, 0.46],
  [0.62, 0.55, 0.45],
];

/** @param mostTiltDeg of the camera; what has no corners is seen from nearly straight above */
export function boardPhoto(
  seed: number,
  form: BoardForm,
  mostTiltDeg: number,
  size = { width: 1600, height: 1200 },
): BoardPhoto {
  const roll = (k: number) => lattice(k, 77, seed * 31 + 5);
  const hasGrain = form === 'board' || form === 'slab' || form === 'round';
  const longMm = 220 + 180 * roll(1);
  const shortMm = form === 'round' ? longMm : longMm * (form === 'tray' ? 0.6 + 0.22 * roll(2) : 0.5 + 0.25 * roll(2));
  const outline = outlineOf(form, longMm, shortMm, seed);
  const isIn = insideOf(outline);
  const grainDeg = hasGrain ? (form === 'round' ? -60 + 120 * roll(3) : -12 + 24 * roll(3)) : null;
  const knots = hasGrain
    ? Array.from({ length: 1 + floor(2.9 * roll(4)) }, (_, k) => ({
        x: (roll(20 + k) - 0.5) * longMm * 0.62,
        y: (roll(30 + k) - 0.5) * shortMm * 0.6,
        radius: 4.5 + 5 * roll(40 + k),
      })).filter(({ x, y }) => isIn(x, y) && (form !== 'round' || hypot(x, y) < longMm * 0.36))
    : [];
  const table = TABLES[floor(roll(5) * 3.99)];
  const base =
    form === 'stone'
      ? STONES[floor(roll(6) * 1.99)]
      : form === 'tray'
        ? ([0.75, 0.2, 0.16] as const)
        : WOODS[floor(roll(6) * 2.99)];
  const face = faceOf(form, base, (grainDeg ?? 0) * (PI / 180), knots, seed);

  // The camera: over the table, a little aslant, turned; 26 mm on 36.
  const f = size.width * (0.7 + 0.05 * roll(7));
  const [tilt, towards] = [(mostTiltDeg * PI * roll(8)) / 180, 2 * PI * roll(9)];
  const turn = form === 'round' ? 2 * PI * roll(10) : (roll(10) - 0.5) * 0.7;
  // All of it with table round it, whichever way it is turned.
  const wide = max(
    longMm * abs(cos(turn)) + shortMm * abs(sin(turn)),
    (longMm * abs(sin(turn)) + shortMm * abs(cos(turn))) * (size.width / size.height),
  );
  const height = (f * wide * (1.22 + 0.25 * roll(11))) / size.width;
  const shift = { x: (roll(12) - 0.5) * longMm * 0.06, y: (roll(13) - 0.5) * longMm * 0.05 };
  // Axes of the camera: right, down, forward; z points down onto the table.
  const tiltAxis = { x: cos(towards), y: sin(towards) };
  const rotate = (v: readonly [number, number, number]): [number, number, number] => {
    // About the tilt axis, by Rodrigues.
    const [kx, ky] = [tiltAxis.x, tiltAxis.y];
    const dot = kx * v[0] + ky * v[1];
    const cross: [number, number, number] = [ky * v[2], -kx * v[2], kx * v[1] - ky * v[0]];
    return [0, 1, 2].map((i) => v[i] * cos(tilt) + cross[i] * sin(tilt) + [kx, ky, 0][i] * dot * (1 - cos(tilt))) as [
      number,
      number,
      number,
    ];
  };
  const right = rotate([cos(turn), sin(turn), 0]);
  const down = rotate([-sin(turn), cos(turn), 0]);
  const ahead = rotate([0, 0, 1]);
  // The eye stands back along the way it looks, so that the middle stays in the middle.
  const eye = [shift.x - ahead[0] * height, shift.y - ahead[1] * height, -ahead[2] * height] as const;
  const seenAt = ({ x, y }: Point): Point => {
    const d = [x - eye[0], y - eye[1], -eye[2]] as const;
    const depth = d[0] * ahead[0] + d[1] * ahead[1] + d[2] * ahead[2];
    return {
      x: size.width / 2 + (f * (d[0] * right[0] + d[1] * right[1] + d[2] * right[2])) / depth,
      y: size.height / 2 + (f * (d[0] * down[0] + d[1] * down[1] + d[2] * down[2])) / depth,
    };
  };
  const onTable = (px: number, py: number): Point => {
    const [a, b] = [(px - size.width / 2) / f, (py - size.height / 2) / f];
    const ray = [0, 1, 2].map((i) => ahead[i] + a * right[i] + b * down[i]);
    const t = -eye[2] / ray[2];
    return { x: eye[0] + t * ray[0], y: eye[1] + t * ray[1] };
  };

  const lamp = { x: (roll(14) - 0.5) * 900, y: (roll(15) - 0.5) * 900 };
  const cast = [1 + 0.1 * (roll(16) - 0.5), 1, 1 + 0.16 * (roll(17) - 0.5)] as const;
  const thick = form === 'stone' ? 9 : 16;
  const shadowOff = { x: (-lamp.x / 900) * thick, y: (-lamp.y / 900) * thick };
  const far = longMm * 0.9;
  const pixels = new Float32Array(size.width * size.height * 3);
  const colour: [number, number, number] = [0, 0, 0];
  const at = (px: number, py: number) => {
    const { x, y } = onTable(px, py);
    const light =
      (0.62 + 0.5 * exp(-((x - lamp.x) ** 2 + (y - lamp.y) ** 2) / 700_000)) *
      (1 - 0.12 * ((px / size.width - 0.5) ** 2 + (py / size.height - 0.5) ** 2));
    if (max(abs(x), abs(y)) < far && isIn(x, y)) {
      const own = face(x, y);
      for (let c = 0; c < 3; c++) colour[c] = own[c] * light * cast[c];
      return;
    }
    const rough =
      1 +
      table.rough * (noise(x * table.scale, y * table.scale * (table.name === 'dark boards' ? 14 : 1), seed + 3) - 0.5);
    // Soft: a few places of a wide lamp.
    let shade = 0;
    for (let k = 0; k < 5; k++) {
      const spread = 0.5 + k * 0.28;
      if (isIn(x - shadowOff.x * spread, y - shadowOff.y * spread)) shade += 0.09;
    }
    for (let c = 0; c < 3; c++) colour[c] = table.colour[c] * rough * light * cast[c] * (1 - shade);
  };
  const edge = nearEdge(outline.map(seenAt), size);
  for (let y = 0, i = 0; y < size.height; y++)
    for (let x = 0; x < size.width; x++, i += 3) {
      if (!edge[y * size.width + x]) {
        at(x + 0.5, y + 0.5);
        for (let c = 0; c < 3; c++) pixels[i + c] = colour[c]!;
        continue;
      }
      for (const [u, v] of SUBPIXELS) {
        at(x + u, y + v);
        for (let c = 0; c < 3; c++) pixels[i + c] += colour[c] / SUBPIXELS.length;
      }
    }
  return {
    photo: developed(pixels, size, seed, 0.5 + 0.5 * roll(18)),
    outline,
    longMm,
    shortMm,
    grainDeg,
    knots,
    seenAt,
  };
}

const SUBPIXELS = [0.125, 0.375, 0.625, 0.875].flatMap((u) => [0.125, 0.375, 0.625, 0.875].map((v) => [u, v] as const));

/** Pixels that an edge may cross. */
function nearEdge(points: readonly Point[], { width, height }: { width: number; height: number }): Uint8Array {
  const out = new Uint8Array(width * height);
  points.forEach((a, k) => {
    const b = points[(k + 1) % points.length];
    const steps = Math.ceil(hypot(b.x - a.x, b.y - a.y)) + 1;
    for (let s = 0; s <= steps; s++) {
      const [x, y] = [floor(a.x + ((b.x - a.x) * s) / steps), floor(a.y + ((b.y - a.y) * s) / steps)];
      for (let j = -2; j <= 2; j++)
        for (let i = -2; i <= 2; i++)
          if (x + i >= 0 && y + j >= 0 && x + i < width && y + j < height) out[(y + j) * width + x + i] = 1;
    }
  });
  return out;
}

function outlineOf(form: BoardForm, long: number, short: number, seed: number): Point[] {
  if (form === 'board')
    return [
      { x: -long / 2, y: -short / 2 },
      { x: long / 2, y: -short / 2 },
      { x: long / 2, y: short / 2 },
      { x: -long / 2, y: short / 2 },
    ];
  const count = 240;
  const ring = Array.from({ length: count }, (_, k) => {
    const angle = (k / count) * 2 * PI;
    if (form === 'round' || form === 'tray') return { x: (long / 2) * cos(angle), y: (short / 2) * sin(angle) };
    // A rounded box whose sides wander: bark in small waves, stone in large ones.
    const power = form === 'slab' ? 7 : 3.2;
    const size = (abs(cos(angle)) ** power + abs(sin(angle)) ** power) ** (-1 / power);
    const wander =
      form === 'slab'
        ? 0.05 * (noise(3 + 9 * cos(angle), 3 + 9 * sin(angle), seed) - 0.5) +
          0.012 * (noise(40 * cos(angle), 40 * sin(angle), seed + 1) - 0.5)
        : 0.16 * (noise(5 + 2.2 * cos(angle), 5 + 2.2 * sin(angle), seed) - 0.5);
    return { x: (long / 2) * size * cos(angle) * (1 + wander), y: (short / 2) * size * sin(angle) * (1 + wander) };
  });
  return ring;
}

function insideOf(outline: readonly Point[]): (x: number, y: number) => boolean {
  const [top, bottom] = [min(...outline.map(({ y }) => y)), max(...outline.map(({ y }) => y))];
  const rows = 2000;
  // Crossings by row, so that a question costs little.
  const crossings = Array.from({ length: rows }, (_, row) => {
    const y = top + ((row + 0.5) / rows) * (bottom - top);
    const found: number[] = [];
    outline.forEach((a, k) => {
      const b = outline[(k + 1) % outline.length];
      if (a.y <= y !== b.y <= y) found.push(a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x));
    });
    return found.sort((a, b) => a - b);
  });
  return (x, y) => {
    if (y < top || y > bottom) return false;
    const own = crossings[min(rows - 1, floor(((y - top) / (bottom - top)) * rows))];
    for (let k = 0; k + 1 < own.length; k += 2) if (x >= own[k] && x <= own[k + 1]) return true;
    return false;
  };
}

function faceOf(
  form: BoardForm,
  base: Colour,
  grain: number,
  knots: readonly { x: number; y: number; radius: number }[],
  seed: number,
): (x: number, y: number) => Colour {
  if (form === 'stone')
    return (x, y) => {
      const grit =
        0.86 +
        0.28 * noise(x * 0.9, y * 0.9, seed) * noise(x * 0.12, y * 0.12, seed + 2) +
        0.1 * noise(x * 3, y * 3, seed + 4);
      return [base[0] * grit, base[1] * grit, base[2] * grit];
    };
  if (form === 'tray')
    return (x, y) => {
      const sheen = 0.95 + 0.1 * noise(x * 0.02, y * 0.02, seed);
      return [base[0] * sheen, base[1] * sheen, base[2] * sheen];
    };
  const [c, s] = [cos(grain), sin(grain)];
  return (x, y) => {
    const along = x * c + y * s;
    let across = -x * s + y * c;
    let dark = 0;
    for (const knot of knots) {
      const [dx, dy] = [x - knot.x, y - knot.y];
      const near = hypot((dx * c + dy * s) / 1.4, -dx * s + dy * c);
      across += Math.sign(-dx * s + dy * c || 1) * knot.radius * 0.7 * exp(-((near / (2.1 * knot.radius)) ** 2));
      dark = max(dark, 1 - min(1, max(0, (near - knot.radius * 0.8) / (knot.radius * 0.4))));
    }
    const sway = 5 * (noise(along * 0.006, across * 0.02, seed) - 0.5);
    const wave = 0.5 + 0.5 * sin(((across + sway) * 2 * PI) / 5.2 + 3 * noise(along * 0.004, across * 0.05, seed + 6));
    const late = wave ** 4;
    const fibre = 0.06 * (noise(along * 0.05, across * 3, seed + 8) - 0.5);
    const tone = 1 - 0.26 * late + fibre;
    return [base[0] * tone * (1 - 0.55 * dark), base[1] * tone * (1 - 0.63 * dark), base[2] * tone * (1 - 0.68 * dark)];
  };
}

/** Blur, noise and the camera's curve. */
function developed(
  linear: Float32Array,
  { width, height }: { width: number; height: number },
  seed: number,
  blurPx: number,
): Rgba {
  const data = new Uint8ClampedArray(width * height * 4);
  const side = exp(-1 / (2 * blurPx * blurPx));
  const total = 1 + 2 * side;
  const across = new Float32Array(linear.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      for (let c = 0; c < 3; c++) {
        const i = (y * width + x) * 3 + c;
        across[i] =
          (linear[i] + side * ((x > 0 ? linear[i - 3] : linear[i]) + (x < width - 1 ? linear[i + 3] : linear[i]))) /
          total;
      }
  const row = width * 3;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      for (let c = 0; c < 3; c++) {
        const i = y * row + x * 3 + c;
        const value =
          (across[i] +
            side * ((y > 0 ? across[i - row] : across[i]) + (y < height - 1 ? across[i + row] : across[i]))) /
          total;
        const grain =
          (lattice(x + c * 7919, y, seed + 99) + lattice(x, y + c * 104729, seed + 98) - 1) *
          0.012 *
          sqrt(max(0.02, value));
        data[(y * width + x) * 4 + c] = 255 * max(0, value + grain) ** (1 / 2.2);
      }
  for (let i = 3; i < data.length; i += 4) data[i] = 255;
  return { data, width, height };
}
