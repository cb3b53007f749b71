/**
 * Surfaces as seen, in linear light: procedural, seeded, true to scale. Lengths in mm: ring spacing, thread period and pore size are those of the real thing, and
 * what is finer than two pixels fades into its mean instead of making false patterns. Source: looks of common blanks, judged by eye.
 */
import type { SurfaceId } from '@/core/craft';
import { linearLight } from '@/core/picture';
import { clamp, latticeHash, layeredNoise, valueNoise } from '@/core/shared';

/** How the stuff of the blank lies under the print. */
export interface Grain {
  /** Degrees clockwise that the grain is turned from running across (left to right). */
  angleDeg: number;
  shiftXMm: number;
  shiftYMm: number;
  /** Distance of the rings, mm; null as usual for the surface. */
  spacingMm: number | null;
  knots: number;
  seed: number;
}

export const PLAIN_GRAIN: Grain = { angleDeg: 0, shiftXMm: 0, shiftYMm: 0, spacingMm: null, knots: 1, seed: 1 };

export interface SurfaceLook { surface: SurfaceId; colour: string; grain: Grain; coat: { colour: string; opacity: number } | null }

/** Share of light against the surface's own colour, for each channel, at a place along and across the grain. */
type Texture = (along: number, across: number, grain: Grain, pxMm: number) => readonly [number, number, number];

interface Wood { spacingMm: number; late: number; fibre: number; pores: number; cathedral: number }
const WOODS = {
  'soft-wood': { spacingMm: 3.4, late: 0.34, fibre: 0.1, pores: 0, cathedral: 9 },
  'hard-wood': { spacingMm: 1.6, late: 0.1, fibre: 0.08, pores: 0.22, cathedral: 6 },
  'sheet-wood': { spacingMm: 11, late: 0.13, fibre: 0.08, pores: 0.05, cathedral: 26 },
  'varnished-wood': { spacingMm: 2.4, late: 0.3, fibre: 0.08, pores: 0.15, cathedral: 8 },
} satisfies Record<string, Wood>;

const step = (from: number, to: number, value: number): number => { const s = clamp((value - from) / (to - from), 0, 1); return s * s * (3 - 2 * s); };
/** How much of a pattern with this period can be shown by pixels of this size. */
const visible = (periodMm: number, pxMm: number): number => step(1.6, 3.2, periodMm / pxMm);

function wood(kind: Wood, along: number, across: number, grain: Grain, pxMm: number): readonly [number, number, number] {
  const spacing = grain.spacingMm ?? kind.spacingMm;
  let v = across + (layeredNoise(along * 0.0035, across * 0.012, grain.seed, 3) - 0.5) * kind.cathedral * 4;
  let knot = 0;
  for (let k = 0; k < grain.knots; k++) {
    const radius = 4 + 5 * latticeHash(k, 3, grain.seed);
    const du = (along - (latticeHash(k, 1, grain.seed) - 0.5) * 420) / 1.5;
    const dv = across - (latticeHash(k, 2, grain.seed) - 0.5) * 300;
    const distance = Math.sqrt(du * du + dv * dv);
    if (distance > radius * 7) continue;
    // Rings bend round a knot, and run in circles within it.
    v += Math.sign(dv || 1) * radius * 1.6 * Math.exp(-((distance / (2.4 * radius)) ** 2));
    const inside = 1 - step(radius * 0.75, radius * 1.1, distance);
    v = v * (1 - inside) + distance * 1.4 * inside;
    knot = Math.max(knot, inside);
  }
  const phase = v / spacing - Math.floor(v / spacing);
  const late = step(0.35, 0.86, phase) * (1 - step(0.9, 1, phase)) * visible(spacing, pxMm) + 0.32 * (1 - visible(spacing, pxMm));
  const fibre = (layeredNoise(along * 0.09, across * 3.4, grain.seed + 5, 2) - 0.5) * kind.fibre * 2 * visible(0.35, pxMm);
  const broad = (layeredNoise(along * 0.006, across * 0.03, grain.seed + 9, 2) - 0.5) * 0.14;
  const pore = kind.pores > 0 ? kind.pores * step(0.72, 0.85, valueNoise(along * 0.35, across * 4.5, grain.seed + 13)) * visible(0.4, pxMm) : 0;
  const light = 1 + broad + fibre - kind.late * late - pore;
  return [light * (1 - 0.48 * knot), light * (1 - 0.6 * knot) * (1 - 0.1 * late), light * (1 - 0.66 * knot) * (1 - 0.2 * late)];
}

const even = (light: number): readonly [number, number, number] => [light, light, light];

function weave(periodMm: number, depth: number): Texture {
  return (x, y, grain, pxMm) => {
    const i = Math.floor(x / periodMm);
    const j = Math.floor(y / periodMm);
    const fx = x / periodMm - i;
    const fy = y / periodMm - j;
    const over = ((i + j) & 1) === 0;
    const ridge = Math.sin(Math.PI * (over ? fy : fx)) * (0.75 + 0.25 * Math.sin(Math.PI * (over ? fx : fy)));
    const slub = (valueNoise(over ? x * 0.12 : i * 1.7, over ? j * 1.7 : y * 0.12, grain.seed) - 0.5) * 0.06;
    const shown = visible(periodMm, pxMm);
    return even(1 + slub - depth * ((1 - ridge) * shown + 0.42 * (1 - shown)));
  };
}

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
      if (distance < first) { second = first; first = distance; } else if (distance < second) second = distance;
    }
  }
  return step(0.02, 0.22, Math.sqrt(second) - Math.sqrt(first));
}

const TEXTURES: Readonly<Record<SurfaceId, Texture>> = {
  'soft-wood': (u, v, grain, px) => wood(WOODS['soft-wood'], u, v, grain, px),
  'hard-wood': (u, v, grain, px) => wood(WOODS['hard-wood'], u, v, grain, px),
  'sheet-wood': (u, v, grain, px) => wood(WOODS['sheet-wood'], u, v, grain, px),
  'varnished-wood': (u, v, grain, px) => wood(WOODS['varnished-wood'], u, v, grain, px),
  'painted-wood': (u, v, grain, px) => even(1 + (layeredNoise(u * 0.03, v * 1.4, grain.seed, 3) - 0.5) * 0.07 * visible(0.7, px) + (layeredNoise(u * 0.01, v * 0.01, grain.seed + 3, 2) - 0.5) * 0.03),
  canvas: weave(0.42, 0.24),
  cloth: weave(0.6, 0.3),
  leather: (u, v, grain, px) => even(1 + (layeredNoise(u * 0.03, v * 0.03, grain.seed, 3) - 0.5) * 0.2 - 0.35 * (visible(1.4, px) * (1 - creased(u, v, 1.4, grain.seed)) + (1 - visible(1.4, px)) * 0.2)),
  glass: (u, v, grain) => even(1 + (layeredNoise(u * 0.004, v * 0.004, grain.seed, 2) - 0.5) * 0.1 + 0.05 * step(0.55, 0.62, valueNoise((u + v) * 0.012, 0, grain.seed))),
  'glazed-ceramic': (u, v, grain) => even(1 + (layeredNoise(u * 0.02, v * 0.02, grain.seed, 3) - 0.5) * 0.06),
  metal: (u, v, grain, px) => even(1 + (layeredNoise(u * 0.012, v * 5, grain.seed, 3) - 0.5) * 0.26 * visible(0.25, px) + (layeredNoise(u * 0.006, v * 0.02, grain.seed + 2, 2) - 0.5) * 0.18),
  stone: (u, v, grain, px) => {
    const crack = Math.abs(layeredNoise(u * 0.012, v * 0.03, grain.seed + 4, 4) - 0.5);
    const speck = (valueNoise(u * 2.2, v * 2.2, grain.seed + 8) - 0.5) * 0.22 * visible(0.5, px);
    const light = 1 + (layeredNoise(u * 0.02, v * 0.05, grain.seed, 5) - 0.5) * 0.62 + speck - 0.4 * (1 - step(0.004, 0.02, crack));
    return [light * 0.99, light, light * 1.02];
  },
  plaster: (u, v, grain, px) => even(1 + (layeredNoise(u * 0.04, v * 0.04, grain.seed, 5) - 0.5) * 0.16 - 0.2 * step(0.83, 0.9, valueNoise(u * 0.9, v * 0.9, grain.seed + 6)) * visible(1, px)),
  terracotta: (u, v, grain, px) => even(1 + (layeredNoise(u * 0.03, v * 0.1, grain.seed, 4) - 0.5) * 0.3 + (valueNoise(u * 1.8, v * 1.8, grain.seed + 3) - 0.5) * 0.16 * visible(0.6, px)),
  'led-candle': (u, v, grain) => even(1 + (layeredNoise(u * 0.015, v * 0.015, grain.seed, 2) - 0.5) * 0.08),
};

/** Linear light of a colour #rrggbb. */
export const linearColour = (hex: string): [number, number, number] => {
  const value = Number.parseInt(hex.slice(1), 16);
  return [linearLight((value >> 16) & 255), linearLight((value >> 8) & 255), linearLight(value & 255)];
};

/** Light steps of a ground buffer. */
export const GROUND_STEPS = 4095;

/**
 * The face of a blank before the print: linear light in 1/4095, RGB interleaved, row by row.
 *
 * @param mmPerPx size of a pixel; the first pixel's middle lies half a pixel into the face
 */
export function renderGround({ surface, colour, grain, coat }: SurfaceLook, widthPx: number, heightPx: number, mmPerPx: number): Uint16Array {
  const out = new Uint16Array(widthPx * heightPx * 3);
  const base = linearColour(colour);
  const over = coat ? linearColour(coat.colour) : base;
  const opacity = coat?.opacity ?? 0;
  const texture = TEXTURES[surface];
  const angle = (grain.angleDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const [cx, cy] = [(widthPx * mmPerPx) / 2 + grain.shiftXMm, (heightPx * mmPerPx) / 2 + grain.shiftYMm];
  let at = 0;
  for (let row = 0; row < heightPx; row++) {
    const y = (row + 0.5) * mmPerPx - cy;
    for (let column = 0; column < widthPx; column++) {
      const x = (column + 0.5) * mmPerPx - cx;
      const light = texture(x * cos + y * sin, y * cos - x * sin, grain, mmPerPx);
      for (let channel = 0; channel < 3; channel++) {
        // A coat hides the colour by its opacity, and keeps a trace of the relief.
        const bare = base[channel] * light[channel];
        const coated = over[channel] * (1 + (light[1] - 1) * COAT_RELIEF);
        out[at++] = Math.round(clamp(bare + (coated - bare) * opacity, 0, 1) * GROUND_STEPS);
      }
    }
  }
  return out;
}

const COAT_RELIEF = 0.12;
