/**
 * Surfaces as seen, in linear light: procedural, seeded, true to scale. Lengths in mm: ring spacing, thread period and
 * pore size are those of the real thing, and what is finer than two pixels fades into its mean instead of making false
 * patterns. Source: looks of common blanks, judged by eye.
 */
import type { SurfaceId } from '@/core/craft';
import { linearColour } from '@/core/colour';
import type { Grain, SurfaceLook } from './grain';
import { latticeHash, noiseSampler } from '@/core/shared';

/**
 * Writes the share of light against the surface's own colour, for each channel, at a place along and across the grain.
 */
type Texture = (along: number, across: number, out: Float64Array) => void;
/**
 * A texture made ready for one grain and size of pixel: what does not change from pixel to pixel is worked out once.
 */
type TextureMaker = (grain: Grain, pxMm: number) => Texture;

interface Wood {
  spacingMm: number;
  /** How much darker late wood is than early wood. */
  late: number;
  fibre: number;
  pores: number;
  /** How deep the pith lies under the face, mm, and by how much it comes up over a millimetre along the board. */
  depthMm: number;
  taper: number;
}

const step = (from: number, to: number, value: number): number => {
  const share = value <= from ? 0 : value >= to ? 1 : (value - from) / (to - from);
  return share * share * (3 - 2 * share);
};
/** How much of a pattern with this period can be shown by pixels of this size. */
const visible = (periodMm: number, pxMm: number): number => step(1.6, 3.2, periodMm / pxMm);

/**
 * A flat-sawn board: rings are cones round a pith that lies under the face and comes up or goes down along it. Cut flat
 * they are arches that run into each other over the pith, with quiet wide bands between, and close straight lines at
 * the board's sides; each ring has its own strength, and its late wood is a thin line on its outer side. Fibres, pores,
 * and knots that the rings bend round.
 */
const wood =
  (kind: Wood): TextureMaker =>
  (grain, pxMm) => {
    const { seed } = grain;
    const spacing = grain.spacingMm ?? kind.spacingMm;
    const fibres = kind.fibre * visible(0.3, pxMm);
    const pores = kind.pores * visible(0.4, pxMm);
    const pithAcross = (latticeHash(1, 9, seed) - 0.5) * 90;
    const depth = kind.depthMm * (0.6 + 0.8 * latticeHash(2, 9, seed));
    const taper = kind.taper * (latticeHash(3, 9, seed) < 0.5 ? -1 : 1);
    const knots = Array.from({ length: grain.knots }, (_, k) => ({
      radius: 4 + 5 * latticeHash(k, 3, seed),
      along: (latticeHash(k, 1, seed) - 0.5) * 420,
      across: (latticeHash(k, 2, seed) - 0.5) * 300,
    }));
    const swayAt = noiseSampler(seed);
    const tintAt = noiseSampler(seed + 9);
    const yearAt = noiseSampler(seed + 2);
    const fibreAt = noiseSampler(seed + 5);
    const poreAt = noiseSampler(seed + 13);
    const strengths = Float64Array.from({ length: 64 }, (_, ring) => 0.4 + 0.9 * latticeHash(ring, 5, seed));
    return (along, across, out) => {
      const sway = swayAt(along * 0.007, across * 0.009) - 0.5;
      const tint = tintAt(along * 0.004 + 31, across * 0.03) - 0.5;
      const beside = across - pithAcross + sway * 16;
      const under = depth + taper * along + (sway + tint) * 9;
      let radius = Math.sqrt(beside * beside + under * under + 9);
      let knot = 0;
      for (const { radius: size, along: ku, across: kv } of knots) {
        const du = (along - ku) / 1.5;
        const dv = across - kv;
        const square = du * du + dv * dv;
        if (square > 49 * size * size) continue;
        const distance = Math.sqrt(square);
        radius += size * 1.6 * Math.exp(-square / (5.76 * size * size));
        const inside = 1 - step(size * 0.75, size * 1.1, distance);
        radius = radius * (1 - inside) + distance * 1.4 * inside;
        if (inside > knot) knot = inside;
      }
      // Years differ: some rings are wide, some narrow.
      const turn = radius / spacing + sway * 1.5 + (yearAt(radius * 0.11, 7) - 0.5) * 1.6;
      const ring = Math.floor(turn);
      const phase = turn - ring;
      // Over the pith a ring is cut along: it shows wide, and from further off.
      const slope = Math.max(beside < 0 ? -beside : beside, radius * 0.12) / radius;
      const rings = visible((spacing * 0.62) / slope, pxMm);
      // A pixel sees the mean of a ring's sharp outer side.
      const fall = 0.93 - Math.min(0.3, (pxMm * slope) / spacing);
      const late =
        (phase > 0.5 ? step(0.5, 0.9, phase) * (1 - step(fall, 1, phase)) : 0) * rings * strengths[ring & 63] +
        0.22 * (1 - rings);
      let light = 1 + kind.late * 0.2 + tint * 0.07 - kind.late * late;
      if (fibres > 0) light += (fibreAt(along * 0.08, across * 4.2) - 0.5) * fibres;
      if (pores > 0) light -= pores * step(0.72, 0.85, poreAt(along * 0.35, across * 4.5));
      out[0] = light * (1 - 0.48 * knot);
      out[1] = light * (1 - 0.6 * knot) * (1 - 0.1 * late);
      out[2] = light * (1 - 0.66 * knot) * (1 - 0.2 * late);
    };
  };

/** A texture of light alone, the same for every channel. */
const even =
  (make: (grain: Grain, pxMm: number) => (along: number, across: number) => number): TextureMaker =>
  (grain, pxMm) => {
    const lightAt = make(grain, pxMm);
    return (along, across, out) => {
      out[0] = out[1] = out[2] = lightAt(along, across);
    };
  };

/** Threads that go over and under each other. */
const weave = (periodMm: number, depth: number): TextureMaker =>
  even(({ seed }, pxMm) => {
    const shown = visible(periodMm, pxMm);
    const overAt = noiseSampler(seed);
    const underAt = noiseSampler(seed);
    return (x, y) => {
      const i = Math.floor(x / periodMm);
      const j = Math.floor(y / periodMm);
      const over = ((i + j) & 1) === 0;
      const slub = ((over ? overAt(x * 0.12, j * 1.7) : underAt(i * 1.7, y * 0.12)) - 0.5) * 0.06;
      if (shown === 0) return 1 + slub - depth * 0.42;
      const fx = x / periodMm - i;
      const fy = y / periodMm - j;
      const ridge = Math.sin(Math.PI * (over ? fy : fx)) * (0.75 + 0.25 * Math.sin(Math.PI * (over ? fx : fy)));
      return 1 + slub - depth * ((1 - ridge) * shown + 0.42 * (1 - shown));
    };
  });

/** Cells with creases between them, as in leather. */
function creased(x: number, y: number, cellMm: number, seed: number): number {
  const cx = Math.floor(x / cellMm);
  const cy = Math.floor(y / cellMm);
  let first = 99;
  let second = 99;
  for (let i = -1; i <= 1; i++) {
    for (let j = -1; j <= 1; j++) {
      const dx = x / cellMm - (cx + i + latticeHash(cx + i, cy + j, seed));
      const dy = y / cellMm - (cy + j + latticeHash(cx + i, cy + j, seed + 7));
      const distance = dx * dx + dy * dy;
      if (distance < first) {
        second = first;
        first = distance;
      } else if (distance < second) second = distance;
    }
  }
  return step(0.02, 0.22, Math.sqrt(second) - Math.sqrt(first));
}

/** Slow change of light over the face, about nothing. */
const broad = (seed: number, octaves: number): ((u: number, v: number) => number) => {
  const at = noiseSampler(seed, octaves);
  return (u, v) => at(u, v) - 0.5;
};

const TEXTURES: Readonly<Record<SurfaceId, TextureMaker>> = {
  'soft-wood': wood({ spacingMm: 3.6, late: 0.2, fibre: 0.06, pores: 0, depthMm: 30, taper: 0.045 }),
  'hard-wood': wood({ spacingMm: 2.2, late: 0.1, fibre: 0.06, pores: 0.2, depthMm: 45, taper: 0.03 }),
  'sheet-wood': wood({ spacingMm: 9, late: 0.12, fibre: 0.06, pores: 0.05, depthMm: 20, taper: 0.09 }),
  'varnished-wood': wood({ spacingMm: 2.8, late: 0.24, fibre: 0.07, pores: 0.12, depthMm: 40, taper: 0.03 }),
  'painted-wood': even(({ seed }, px) => {
    const brush = 0.07 * visible(0.7, px);
    const stroke = broad(seed, 3);
    const film = broad(seed + 3, 2);
    return (u, v) => 1 + stroke(u * 0.03, v * 1.4) * brush + film(u * 0.01, v * 0.01) * 0.03;
  }),
  canvas: weave(0.42, 0.24),
  cloth: weave(0.6, 0.3),
  leather: even(({ seed }, px) => {
    const shown = visible(1.4, px);
    const hide = broad(seed, 3);
    return (u, v) =>
      1 +
      hide(u * 0.03, v * 0.03) * 0.2 -
      0.35 * (shown > 0 ? shown * (1 - creased(u, v, 1.4, seed)) : 0) -
      0.07 * (1 - shown);
  }),
  glass: even(({ seed }) => {
    const sheen = broad(seed, 2);
    const bandAt = noiseSampler(seed);
    return (u, v) => 1 + sheen(u * 0.004, v * 0.004) * 0.1 + 0.05 * step(0.55, 0.62, bandAt((u + v) * 0.012, 0));
  }),
  'glazed-ceramic': even(({ seed }) => {
    const glaze = broad(seed, 2);
    return (u, v) => 1 + glaze(u * 0.02, v * 0.02) * 0.06;
  }),
  metal: even(({ seed }, px) => {
    const brushed = 0.26 * visible(0.25, px);
    const stroke = broad(seed, 3);
    const sheen = broad(seed + 2, 2);
    return (u, v) => 1 + (brushed > 0 ? stroke(u * 0.012, v * 5) * brushed : 0) + sheen(u * 0.006, v * 0.02) * 0.18;
  }),
  stone: ({ seed }, px) => {
    const speck = 0.22 * visible(0.5, px);
    const vein = broad(seed + 4, 4);
    const bed = broad(seed, 5);
    const specks = broad(seed + 8, 1);
    return (u, v, out) => {
      const crack = Math.abs(vein(u * 0.012, v * 0.03));
      const light =
        1 +
        bed(u * 0.02, v * 0.05) * 0.62 +
        (speck > 0 ? specks(u * 2.2, v * 2.2) * speck : 0) -
        0.4 * (1 - step(0.004, 0.02, crack));
      out[0] = light * 0.99;
      out[1] = light;
      out[2] = light * 1.02;
    };
  },
  plaster: even(({ seed }, px) => {
    const pits = 0.2 * visible(1, px);
    const trowel = broad(seed, 4);
    const pitAt = noiseSampler(seed + 6);
    return (u, v) =>
      1 + trowel(u * 0.04, v * 0.04) * 0.16 - (pits > 0 ? pits * step(0.83, 0.9, pitAt(u * 0.9, v * 0.9)) : 0);
  }),
  terracotta: even(({ seed }, px) => {
    const grit = 0.16 * visible(0.6, px);
    const clay = broad(seed, 4);
    const grains = broad(seed + 3, 1);
    return (u, v) => 1 + clay(u * 0.03, v * 0.1) * 0.3 + (grit > 0 ? grains(u * 1.8, v * 1.8) * grit : 0);
  }),
  'led-candle': even(({ seed }) => {
    const wax = broad(seed, 2);
    return (u, v) => 1 + wax(u * 0.015, v * 0.015) * 0.08;
  }),
};

/** Light steps of a ground buffer. */
export const GROUND_STEPS = 4095;

/**
 * The face of a blank before the print: linear light in 1/4095, RGB interleaved, row by row.
 *
 * @param mmPerPx size of a pixel; the first pixel's middle lies half a pixel into the face
 */
export function renderGround(
  { surface, colour, grain, coat }: SurfaceLook,
  widthPx: number,
  heightPx: number,
  mmPerPx: number,
): Uint16Array {
  const out = new Uint16Array(widthPx * heightPx * 3);
  const base = linearColour(colour);
  const over = coat ? linearColour(coat.colour) : base;
  const opacity = coat?.opacity ?? 0;
  const texture = TEXTURES[surface](grain, mmPerPx);
  const angle = (grain.angleDeg * Math.PI) / 180;
  const cos = Math.cos(angle);
  const sin = Math.sin(angle);
  const cx = (widthPx * mmPerPx) / 2 + grain.shiftXMm;
  const cy = (heightPx * mmPerPx) / 2 + grain.shiftYMm;
  const light = new Float64Array(3);
  let at = 0;
  for (let row = 0; row < heightPx; row++) {
    const y = (row + 0.5) * mmPerPx - cy;
    for (let column = 0; column < widthPx; column++) {
      const x = (column + 0.5) * mmPerPx - cx;
      texture(x * cos + y * sin, y * cos - x * sin, light);
      for (let channel = 0; channel < 3; channel++) {
        // A coat hides the colour by its opacity, and keeps a trace of the relief.
        const bare = base[channel] * light[channel];
        const coated = over[channel] * (1 + (light[1] - 1) * COAT_RELIEF);
        const mixed = bare + (coated - bare) * opacity;
        out[at++] = mixed >= 1 ? GROUND_STEPS : mixed <= 0 ? 0 : mixed * GROUND_STEPS + 0.5;
      }
    }
  }
  return out;
}

const COAT_RELIEF = 0.12;
