/**
 * Draws photographs of half-rubbed pieces: a print on a ground with paper left on it and toner lost, as a camera sees it
 * by hand in a room. Seeded. It shares nothing with what reads such photos: fibres are strokes that cover, light is a
 * lamp and a window, grounds are its own.
 */
import { homographyOf, project, type Homography, type Point, type Rgba } from '@/core/photo';

export type GroundKind = 'pine' | 'paint' | 'canvas' | 'stone';
export const GROUND_KINDS: readonly GroundKind[] = ['pine', 'paint', 'canvas', 'stone'];

export interface ShotOrder {
  seed: number;
  ground: GroundKind;
  /** mm. */
  print: { widthMm: number; heightMm: number };
  /** Bare blank above and below, and at the sides where it is another. */
  marginMm: number;
  sideMm?: number;
  photo: { width: number; height: number };
  /** What it shows: things with edges, broad tones without any, or one tone that hardly changes. */
  motif?: 'things' | 'broad' | 'plain';
  /** Most tilt of the camera, degrees; any turn. */
  tiltDeg: number;
  /** Nothing is veiled or lost. */
  clean?: boolean;
  /** How much paper is left, as a factor. */
  hazeTimes?: number;
  /** How wide holes and scratches are, as a factor. */
  wearTimes?: number;
  /** Exposure, as a factor. */
  exposure?: number;
}

/** What is true of a piece, at `DENSITY` pixels a mm over the print. */
export interface Truth {
  width: number;
  height: number;
  /** RGBA, as it was sent, the right way round. */
  picture: Uint8ClampedArray;
  haze: Float32Array;
  kept: Float32Array;
  /** Linear light of the ground's own colour, and what is left of it when it is bare and wet. */
  ground: [number, number, number];
  wetted: [number, number, number];
}

export interface DrawnShot {
  photo: Rgba;
  /** The print's corners in the photo, from its top left clockwise. */
  corners: Point[];
}

export const DENSITY = 3;

/** Numbers 0–1 that follow from a seed. */
export function rolls(seed: number): () => number {
  let state = (seed * 2654435761) >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Clouds: a grid of random heights joined by cosines, in octaves, about 0–1. */
function clouds(roll: () => number, octaves: number, fall = 0.55): (x: number, y: number) => number {
  const grids = Array.from({ length: octaves }, () => Float32Array.from({ length: 64 * 64 }, () => roll()));
  const ease = (t: number) => (1 - Math.cos(Math.PI * t)) / 2;
  return (x, y) => {
    let [sum, weight, total] = [0, 1, 0];
    for (const grid of grids) {
      const [fx, fy] = [Math.floor(x), Math.floor(y)];
      const [u, v] = [ease(x - fx), ease(y - fy)];
      const [x0, y0, x1, y1] = [fx & 63, fy & 63, (fx + 1) & 63, (fy + 1) & 63];
      const upper = grid[y0 * 64 + x0] * (1 - u) + grid[y0 * 64 + x1] * u;
      const lower = grid[y1 * 64 + x0] * (1 - u) + grid[y1 * 64 + x1] * u;
      sum += weight * (upper * (1 - v) + lower * v);
      total += weight;
      weight *= fall;
      [x, y] = [x * 2.03 + 7.1, y * 2.03 + 3.7];
    }
    return sum / total;
  };
}

const toLinear = (level: number): number =>
  level <= 10.31 ? level / 255 / 12.92 : ((level / 255 + 0.055) / 1.055) ** 2.4;
const toLevel = (light: number): number =>
  255 * (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055);
const LINEAR = Float32Array.from({ length: 256 }, (_, level) => toLinear(level));
const step = (from: number, to: number, value: number): number => {
  const t = Math.min(1, Math.max(0, (value - from) / (to - from)));
  return t * t * (3 - 2 * t);
};

const GROUNDS: Readonly<Record<GroundKind, { light: [number, number, number]; wet: [number, number, number] }>> = {
  pine: { light: [0.62, 0.45, 0.27], wet: [0.84, 0.79, 0.74] },
  paint: { light: [0.86, 0.85, 0.81], wet: [1, 1, 1] },
  canvas: { light: [0.8, 0.78, 0.73], wet: [0.96, 0.95, 0.94] },
  stone: { light: [0.34, 0.35, 0.36], wet: [0.66, 0.62, 0.58] },
};

/** A picture like a photo: sky, hills, things with edges, leaves, and some dark and some light parts. */
function photoLike(width: number, height: number, roll: () => number): Uint8ClampedArray {
  const out = new Uint8ClampedArray(width * height * 4);
  const [tone, hue, leaf] = [clouds(roll, 6, 0.8), clouds(roll, 3), clouds(roll, 3, 0.9)];
  const horizon = 0.25 + 0.4 * roll();
  const sky = [150 + 90 * roll(), 170 + 70 * roll(), 190 + 60 * roll()];
  const land = [40 + 90 * roll(), 60 + 80 * roll(), 30 + 60 * roll()];
  const things = Array.from({ length: 14 + Math.floor(14 * roll()) }, () => ({
    x: roll(),
    y: horizon + (1 - horizon) * roll() * 0.9 - 0.12 * roll(),
    w: 0.02 + 0.13 * roll(),
    h: 0.03 + 0.2 * roll(),
    round: roll() < 0.5,
    colour: [255 * roll(), 230 * roll(), 220 * roll()].map((c) => (roll() < 0.35 ? c * 0.25 : c)),
    stripes: roll() < 0.5 ? 8 + 30 * roll() : 0,
  }));
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [u, v] = [x / width, y / height];
      const cloud = tone(u * 6, v * 6);
      const ridge = horizon + 0.1 * (hue(u * 5, 3) - 0.5);
      let colour =
        v < ridge
          ? sky.map((c, i) => c + (cloud - 0.5) * 170 - (i === 2 ? -20 : 10) * v)
          : land.map((c, i) => c * (0.2 + 1.7 * cloud) + 60 * (hue(u * 9 + i * 13, v * 9) - 0.5));
      if (v > ridge && leaf(u * 40, v * 40) > 0.6) colour = colour.map((c) => c * 0.45);
      for (const thing of things) {
        const [du, dv] = [(u - thing.x) / thing.w, (v - thing.y) / thing.h];
        if (thing.round ? du * du + dv * dv > 1 : Math.abs(du) > 1 || Math.abs(dv) > 1) continue;
        const shade = 0.75 + 0.35 * (0.5 - dv * 0.4) + 0.9 * (cloud - 0.5);
        const stripe = thing.stripes > 0 && Math.sin(du * thing.stripes) > 0.6 ? 0.55 : 1;
        colour = thing.colour.map((c) => c * shade * stripe);
      }
      const at = (y * width + x) * 4;
      for (let i = 0; i < 3; i++) out[at + i] = colour[i];
      out[at + 3] = 255;
    }
  return out;
}

/** Skies, petals close up, dunes: broad tones that run into each other. */
function broadLike(width: number, height: number, roll: () => number): Uint8ClampedArray {
  const out = new Uint8ClampedArray(width * height * 4);
  const fields = Array.from({ length: 3 }, () => clouds(roll, 1));
  const glow = { x: roll(), y: roll(), colour: [80 + 90 * roll(), 40 + 80 * roll(), 60 * roll()] };
  const base = [60 + 90 * roll(), 60 + 90 * roll(), 90 + 90 * roll()];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [u, v] = [x / width, y / height];
      const near = Math.exp(-((u - glow.x) ** 2 + (v - glow.y) ** 2) * 4);
      for (let c = 0; c < 3; c++)
        out[(y * width + x) * 4 + c] = base[c] + 170 * (fields[c](u * 1.6, v * 1.6) - 0.5) + near * glow.colour[c];
      out[(y * width + x) * 4 + 3] = 255;
    }
  return out;
}

/** One tone, a trifle darker towards the rim all round. */
function plainLike(width: number, height: number): Uint8ClampedArray {
  const out = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const off = (x / width - 0.5) ** 2 + (y / height - 0.5) ** 2;
      out.set([96 - 12 * off, 104 - 12 * off, 108 - 12 * off, 255], (y * width + x) * 4);
    }
  return out;
}

const MOTIFS = { things: photoLike, broad: broadLike, plain: plainLike };

/** Where paper is left and toner gone. @param own a picture of this size instead of one made up */
export function halfRubbed(
  { seed, ground, print, motif = 'things', clean = false, hazeTimes = 1, wearTimes = 1 }: ShotOrder,
  own: Uint8ClampedArray | null = null,
): Truth {
  const roll = rolls(seed);
  const [width, height] = [Math.round(print.widthMm * DENSITY), Math.round(print.heightMm * DENSITY)];
  const picture = own ?? MOTIFS[motif](width, height, roll);
  const [veil, wear, blot] = [clouds(roll, 3), clouds(roll, 3), clouds(roll, 4)];
  const [veilMm, level] = [28 + 40 * roll(), 0.48 + 0.14 * roll()];
  const scratches = Array.from({ length: 2 + Math.floor(5 * roll()) }, () => {
    const [x, y, turn, long] = [roll() * print.widthMm, roll() * print.heightMm, roll() * 3.2, 15 + 60 * roll()];
    return { x, y, dx: Math.cos(turn), dy: Math.sin(turn), long, wide: 1 + 3 * roll() };
  });
  const patches = Array.from({ length: 2 + Math.floor(5 * roll()) }, () => ({
    x: roll() * print.widthMm,
    y: roll() * print.heightMm,
    r: 4 + 11 * roll(),
  }));
  const haze = new Float32Array(width * height);
  const kept = new Float32Array(width * height).fill(1);
  if (!clean)
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        const [mx, my] = [x / DENSITY, y / DENSITY];
        const at = y * width + x;
        const left = step(level, level + 0.16, veil(mx / veilMm, my / veilMm));
        haze[at] = Math.min(0.85, (0.02 + 0.6 * left) * hazeTimes);
        let gone = 0;
        for (const { x: px, y: py, r } of patches) {
          const distance = Math.hypot(mx - px, my - py) / (r * wearTimes) + (blot(mx / 7, my / 7) - 0.5) * 0.9;
          gone = Math.max(gone, 1 - step(0.85, 1, distance));
        }
        for (const { x: px, y: py, dx, dy, long, wide } of scratches) {
          const along = (mx - px) * dx + (my - py) * dy;
          const across = Math.abs((my - py) * dx - (mx - px) * dy);
          if (Math.abs(along) < long / 2)
            gone = Math.max(gone, 1 - step(wide * wearTimes * 0.4, wide * wearTimes * 0.6, across));
        }
        if (wear(mx / 1.7, my / 1.7) > 0.8) gone = Math.max(gone, 0.8);
        kept[at] = 1 - gone;
      }
  const { light, wet } = GROUNDS[ground];
  const tint = () => 0.97 + 0.06 * roll();
  return {
    width,
    height,
    picture,
    haze,
    kept,
    ground: light.map((l) => l * tint()) as [number, number, number],
    wetted: [...wet],
  };
}

/** The bare ground's light about its mean. */
function grainOf(kind: GroundKind, roll: () => number): (xMm: number, yMm: number) => number {
  const [wide, fine] = [clouds(roll, 3), clouds(roll, 2)];
  switch (kind) {
    case 'pine': {
      const slope = 0.15 * (roll() - 0.5);
      return (x, y) => {
        const ring = Math.sin((y + slope * x + 14 * (wide(x / 60, y / 25) - 0.5)) * 1.35);
        return 1 + 0.09 * ring * Math.abs(ring) + 0.06 * (fine(x / 4, y * 1.5) - 0.5);
      };
    }
    case 'paint':
      return (x, y) => 1 + 0.03 * (fine(x / 12, y * 1.2) - 0.5);
    case 'canvas':
      return (x, y) => 1 + 0.1 * (Math.sin(x * 11) * Math.sin(y * 11)) + 0.04 * (wide(x / 9, y / 9) - 0.5);
    case 'stone':
      return (x, y) => 1 + 0.34 * (wide(x / 8, y / 8) - 0.5) + 0.25 * (fine(x * 1.1, y * 1.1) - 0.5);
  }
}

/**
 * The piece as a camera sees it, dry or wet. @param shot counts the photos of one piece: the hand is somewhere else each
 * time
 */
export function photograph(order: ShotOrder, truth: Truth, wet: boolean, shot = Number(wet)): DrawnShot {
  const roll = rolls(order.seed * 31 + shot * 7 + 5);
  const { print, marginMm, sideMm = marginMm, photo } = order;
  const h = cameraOf(order, roll);
  const toPiece = homographyOf(
    [0, 1, 2, 3].map((k) => corner(photo.width, photo.height, k)),
    [0, 1, 2, 3].map((k) => invert(h, corner(photo.width, photo.height, k))),
  );
  if (!toPiece) throw new Error('the camera sees the piece on edge');
  const stretch = rolls(order.seed * 17 + 3);
  const [sx, sy, bow, lean] = [stretch() - 0.5, stretch() - 0.5, stretch() - 0.5, stretch() - 0.5];
  // Wet paper stretches by up to one in a hundred, boards bow.
  const moved = (x: number, y: number): Point => {
    const [u, v] = [(2 * x) / print.widthMm - 1, (2 * y) / print.heightMm - 1];
    return {
      x: print.widthMm * 0.008 * (sx * u + bow * v * v * 0.5) + print.heightMm * 0.004 * lean * v,
      y: print.heightMm * 0.008 * (sy * v + lean * u * u * 0.5),
    };
  };
  const grain = grainOf(order.ground, rolls(order.seed * 13 + 1));
  const table = clouds(roll, 4);
  const tableTint = [0.1 + 0.5 * roll(), 0.1 + 0.45 * roll(), 0.1 + 0.4 * roll()];
  const fibre = clouds(rolls(order.seed * 19 + 2), 2);
  const cast = [0.9 + 0.2 * roll(), 1, 0.86 + 0.26 * roll()];
  const exposure = (0.55 + 0.25 * roll()) * (order.exposure ?? 1);
  const [lampX, lampY, lampFall] = [roll() * photo.width, roll() * photo.height, 0.25 + 0.3 * roll()];
  const [windowX, windowY] = [0.3 * (roll() - 0.5), 0.3 * (roll() - 0.5)];
  const linear = new Float32Array(photo.width * photo.height * 3);
  const { width, height } = truth;
  for (let py = 0; py < photo.height; py++)
    for (let px = 0; px < photo.width; px++) {
      const mm = project(toPiece, px + 0.5, py + 0.5);
      const distance = Math.hypot(px - lampX, py - lampY) / photo.width;
      const light =
        (exposure * (1 + windowX * ((2 * px) / photo.width - 1) + windowY * ((2 * py) / photo.height - 1))) /
        (1 + lampFall * distance * distance);
      const to = (py * photo.width + px) * 3;
      const onBlank =
        mm.x > -sideMm && mm.y > -marginMm && mm.x < print.widthMm + sideMm && mm.y < print.heightMm + marginMm;
      if (!onBlank) {
        const shade = 0.7 + 0.6 * table(mm.x / 30, mm.y / 30);
        for (let c = 0; c < 3; c++) linear[to + c] = light * cast[c] * tableTint[c] * shade;
        continue;
      }
      const bareGrain = grain(mm.x, mm.y);
      const off = moved(mm.x, mm.y);
      const [x, y] = [Math.floor((mm.x - off.x) * DENSITY), Math.floor((mm.y - off.y) * DENSITY)];
      const onPrint = x >= 0 && y >= 0 && x < width && y < height;
      const at = y * width + x;
      const kept = onPrint ? truth.kept[at] : 0;
      let haze = onPrint ? truth.haze[at] : 0;
      if (wet) haze *= 0.07;
      else if (haze > 0) haze = Math.min(0.95, haze * (0.65 + 0.7 * fibre(mm.x * 1.4, mm.y * 0.8)));
      for (let c = 0; c < 3; c++) {
        const dry = truth.ground[c] * bareGrain;
        const bare = wet ? dry * truth.wetted[c] : dry;
        const toner = onPrint ? Math.max(0.028, LINEAR[truth.picture[at * 4 + c]]) : 1;
        const face = bare * (1 - kept) + dry * kept * toner;
        linear[to + c] = light * cast[c] * (face + haze * (0.9 - face));
      }
    }
  return { photo: developed(linear, photo, roll), corners: cornersOf(h, print, moved) };
}

const corner = (width: number, height: number, k: number): Point => ({
  x: k === 1 || k === 2 ? width : 0,
  y: k > 1 ? height : 0,
});

/** mm of the print to pixels of the photo: turned any way, tilted, filling most of the view. */
function cameraOf({ print, marginMm, sideMm = marginMm, photo, tiltDeg }: ShotOrder, roll: () => number): Homography {
  const turn = roll() * 2 * Math.PI;
  const tilt = (roll() * tiltDeg * Math.PI) / 180;
  const axis = roll() * 2 * Math.PI;
  const [w, h] = [print.widthMm + 2 * sideMm, print.heightMm + 2 * marginMm];
  const far = 2.2 * Math.max(w, h);
  const seenFrom = (x: number, y: number): Point => {
    const [cx, cy] = [x - print.widthMm / 2, y - print.heightMm / 2];
    const [u, v] = [cx * Math.cos(turn) - cy * Math.sin(turn), cx * Math.sin(turn) + cy * Math.cos(turn)];
    const along = u * Math.cos(axis) + v * Math.sin(axis);
    const beside = -u * Math.sin(axis) + v * Math.cos(axis);
    const depth = far + along * Math.sin(tilt);
    const [a, b] = [(along * Math.cos(tilt) * far) / depth, (beside * far) / depth];
    return { x: a * Math.cos(axis) - b * Math.sin(axis), y: a * Math.sin(axis) + b * Math.cos(axis) };
  };
  const mm = [0, 1, 2, 3].map((k) => {
    const { x, y } = corner(w, h, k);
    return { x: x - sideMm, y: y - marginMm };
  });
  const seen = mm.map(({ x, y }) => seenFrom(x, y));
  const [x0, x1] = [Math.min(...seen.map(({ x }) => x)), Math.max(...seen.map(({ x }) => x))];
  const [y0, y1] = [Math.min(...seen.map(({ y }) => y)), Math.max(...seen.map(({ y }) => y))];
  const scale = (0.82 + 0.14 * roll()) * Math.min(photo.width / (x1 - x0), photo.height / (y1 - y0));
  const [ox, oy] = [
    photo.width / 2 - (scale * (x0 + x1)) / 2 + 8 * (roll() - 0.5),
    photo.height / 2 - (scale * (y0 + y1)) / 2 + 8 * (roll() - 0.5),
  ];
  const found = homographyOf(
    mm,
    seen.map(({ x, y }) => ({ x: x * scale + ox, y: y * scale + oy })),
  );
  if (!found) throw new Error('the camera sees the piece on edge');
  return found;
}

/** The place that a perspective takes to a point. */
function invert([a, b, c, d, e, f, g, i]: Homography, { x, y }: Point): Point {
  const [m00, m01, m10, m11] = [a - g * x, b - i * x, d - g * y, e - i * y];
  const [r0, r1] = [x - c, y - f];
  const determinant = m00 * m11 - m01 * m10;
  return { x: (r0 * m11 - r1 * m01) / determinant, y: (m00 * r1 - m10 * r0) / determinant };
}

function cornersOf(h: Homography, print: ShotOrder['print'], moved: (x: number, y: number) => Point): Point[] {
  return [0, 1, 2, 3].map((k) => {
    const wanted = corner(print.widthMm, print.heightMm, k);
    let at = wanted;
    for (let round = 0; round < 6; round++) {
      const off = moved(at.x, at.y);
      at = { x: wanted.x + off.x, y: wanted.y + off.y };
    }
    return project(h, at.x, at.y);
  });
}

/** Blur of a hand, noise, and the camera's levels. */
function developed(linear: Float32Array, { width, height }: ShotOrder['photo'], roll: () => number): Rgba {
  const out = new Uint8ClampedArray(width * height * 4);
  const [bx, by] = [0.15 + 0.5 * roll(), 0.15 + 0.5 * roll()];
  const noise = 0.004 + 0.006 * roll();
  const at = (x: number, y: number, c: number) =>
    linear[(Math.min(height - 1, Math.max(0, y)) * width + Math.min(width - 1, Math.max(0, x))) * 3 + c];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const to = (y * width + x) * 4;
      for (let c = 0; c < 3; c++) {
        const across = (at(x, y, c) + bx * (at(x - 1, y, c) + at(x + 1, y, c))) / (1 + 2 * bx);
        const light = (across + by * (at(x, y - 1, c) + at(x, y + 1, c))) / (1 + 2 * by);
        const grain = noise * (roll() + roll() + roll() - 1.5) * Math.sqrt(light + 0.02) * 3;
        out[to + c] = toLevel(Math.min(1, Math.max(0, light + grain))) + roll() - 0.5;
      }
      out[to + 3] = 255;
    }
  return { data: out, width, height };
}
