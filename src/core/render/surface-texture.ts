/**
 * Surfaces as seen, in linear light: procedural, seeded, true to scale. Lengths in mm: ring spacing, thread period and
 * pore size are those of the real thing, and what is finer than two pixels fades into its mean instead of making false
 * patterns. Source: looks of common blanks, judged by eye.
 */
import type { SurfaceId } from '@/core/craft';
import { linearColour } from '@/core/colour';
import type { Grain, SurfaceLook } from './grain';
import { NoiseSampler, latticeHash } from '@/core/shared';

/**
 * Reads a place along and across the grain and what changes slowly there, and writes the share of light against the
 * surface's own colour, or what changes slowly: figures at the places named below. One array for all of them, since
 * figures that are handed on one by one are each put on the heap.
 */
type Shade = (figures: Float64Array) => void;
const [ALONG, ACROSS, SLOW, SLOW_TOO, RED, GREEN, BLUE] = [0, 1, 2, 3, 4, 5, 6] as const;
const FIGURES = 7;

interface Texture {
  at: Shade;
  /** What changes slowly over the face, two figures at the most: worked out at a few places, and between them by line. */
  slow: Shade | null;
  /** The length over which it changes. */
  slowMm: number;
}
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
    const sways = new NoiseSampler(seed);
    const tints = new NoiseSampler(seed + 9);
    const years = new NoiseSampler(seed + 2);
    const threads = new NoiseSampler(seed + 5);
    const holes = new NoiseSampler(seed + 13);
    const strengths = Float64Array.from({ length: 64 }, (_, ring) => 0.4 + 0.9 * latticeHash(ring, 5, seed));
    const slow: Shade = (f) => {
      f[SLOW] = sways.at(f[ALONG] * 0.007, f[ACROSS] * 0.009) - 0.5;
      f[SLOW_TOO] = tints.at(f[ALONG] * 0.004 + 31, f[ACROSS] * 0.03) - 0.5;
    };
    const at: Shade = (f) => {
      const along = f[ALONG];
      const across = f[ACROSS];
      const sway = f[SLOW];
      const tint = f[SLOW_TOO];
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
      const turn = radius / spacing + sway * 1.5 + (years.at(radius * 0.11, 7) - 0.5) * 1.6;
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
      if (fibres > 0) light += (threads.at(along * 0.08, across * 4.2) - 0.5) * fibres;
      if (pores > 0) light -= pores * step(0.72, 0.85, holes.at(along * 0.35, across * 4.5));
      f[RED] = light * (1 - 0.48 * knot);
      f[GREEN] = light * (1 - 0.6 * knot) * (1 - 0.1 * late);
      f[BLUE] = light * (1 - 0.66 * knot) * (1 - 0.2 * late);
    };
    return { at, slow, slowMm: 33 };
  };

/** A texture of light alone, the same for every channel: `at` writes the first. */
const even =
  (make: (grain: Grain, pxMm: number) => { at: Shade; slow?: Shade; slowMm?: number }): TextureMaker =>
  (grain, pxMm) => {
    const { at, slow = null, slowMm = 0 } = make(grain, pxMm);
    return {
      at: (f) => {
        at(f);
        f[GREEN] = f[RED];
        f[BLUE] = f[RED];
      },
      slow,
      slowMm,
    };
  };

/** Threads that go over and under each other. */
const weave = (periodMm: number, depth: number): TextureMaker =>
  even(({ seed }, pxMm) => {
    const shown = visible(periodMm, pxMm);
    const overs = new NoiseSampler(seed);
    const unders = new NoiseSampler(seed);
    const at: Shade = (f) => {
      const x = f[ALONG];
      const y = f[ACROSS];
      const i = Math.floor(x / periodMm);
      const j = Math.floor(y / periodMm);
      const over = ((i + j) & 1) === 0;
      const slub = ((over ? overs.at(x * 0.12, j * 1.7) : unders.at(i * 1.7, y * 0.12)) - 0.5) * 0.06;
      if (shown === 0) {
        f[RED] = 1 + slub - depth * 0.42;
        return;
      }
      const fx = x / periodMm - i;
      const fy = y / periodMm - j;
      const ridge = Math.sin(Math.PI * (over ? fy : fx)) * (0.75 + 0.25 * Math.sin(Math.PI * (over ? fx : fy)));
      f[RED] = 1 + slub - depth * ((1 - ridge) * shown + 0.42 * (1 - shown));
    };
    return { at };
  });

/** Cells after which leather begins anew; a power of two. */
const CREASE_CELLS = 64;
const MOST_TILE_PX = 512;

/**
 * Cells with creases between them, as in leather: 0 in a crease, 1 on a cell. Drawn once for 64 × 64 cells, which then
 * repeat: the hide's own changes of light lie over them.
 */
class Creases {
  private readonly tile: Float32Array;
  private readonly side: number;
  private readonly perCell: number;

  /** @param pxPerCell how finely it will be looked at */
  constructor(
    private readonly seed: number,
    pxPerCell: number,
  ) {
    this.side = Math.max(CREASE_CELLS, Math.min(MOST_TILE_PX, 2 ** Math.ceil(Math.log2(CREASE_CELLS * pxPerCell))));
    this.perCell = this.side / CREASE_CELLS;
    this.tile = new Float32Array(this.side * this.side);
    for (let y = 0, at = 0; y < this.side; y++)
      for (let x = 0; x < this.side; x++, at++) this.tile[at] = this.drawn(x / this.perCell, y / this.perCell);
  }

  /** By the two nearest of the cells' middles. */
  private drawn(x: number, y: number): number {
    const cx = Math.floor(x);
    const cy = Math.floor(y);
    let first = 99;
    let second = 99;
    for (let i = cx - 1; i <= cx + 1; i++)
      for (let j = cy - 1; j <= cy + 1; j++) {
        const dx = x - i - latticeHash(i & (CREASE_CELLS - 1), j & (CREASE_CELLS - 1), this.seed);
        const dy = y - j - latticeHash(i & (CREASE_CELLS - 1), j & (CREASE_CELLS - 1), this.seed + 7);
        const distance = dx * dx + dy * dy;
        if (distance < first) {
          second = first;
          first = distance;
        } else if (distance < second) second = distance;
      }
    return step(0.02, 0.22, Math.sqrt(second) - Math.sqrt(first));
  }

  /** One cell a unit. */
  at(x: number, y: number): number {
    const { tile, side, perCell } = this;
    const px = x * perCell;
    const py = y * perCell;
    const x0 = Math.floor(px);
    const y0 = Math.floor(py);
    const u = px - x0;
    const v = py - y0;
    // The side is a power of two: what is left and above of nothing wraps too.
    const left = x0 & (side - 1);
    const right = (x0 + 1) & (side - 1);
    const top = (y0 & (side - 1)) * side;
    const below = ((y0 + 1) & (side - 1)) * side;
    const upper = tile[top + left] + (tile[top + right] - tile[top + left]) * u;
    const lower = tile[below + left] + (tile[below + right] - tile[below + left]) * u;
    return upper + (lower - upper) * v;
  }
}

/** Size of a cell of leather, mm. */
const CREASE_MM = 1.4;

/** Nothing but a slow change of light, of so many turns a millimetre and so strong. */
function softly(seed: number, perMm: number, strength: number): { at: Shade; slow: Shade; slowMm: number } {
  const change = new NoiseSampler(seed, 2);
  return {
    at: (f) => {
      f[RED] = 1 + f[SLOW];
    },
    slow: (f) => {
      f[SLOW] = (change.at(f[ALONG] * perMm, f[ACROSS] * perMm) - 0.5) * strength;
    },
    slowMm: 0.5 / perMm,
  };
}

const TEXTURES: Readonly<Record<SurfaceId, TextureMaker>> = {
  'soft-wood': wood({ spacingMm: 3.6, late: 0.2, fibre: 0.06, pores: 0, depthMm: 30, taper: 0.045 }),
  'hard-wood': wood({ spacingMm: 2.2, late: 0.1, fibre: 0.06, pores: 0.2, depthMm: 45, taper: 0.03 }),
  'sheet-wood': wood({ spacingMm: 9, late: 0.12, fibre: 0.06, pores: 0.05, depthMm: 20, taper: 0.09 }),
  'varnished-wood': wood({ spacingMm: 2.8, late: 0.24, fibre: 0.07, pores: 0.12, depthMm: 40, taper: 0.03 }),
  'painted-wood': even(({ seed }, px) => {
    const brush = 0.07 * visible(0.7, px);
    const stroke = new NoiseSampler(seed, 3);
    const film = new NoiseSampler(seed + 3, 2);
    return {
      at: (f) => {
        f[RED] = 1 + f[SLOW];
        if (brush > 0) f[RED] += (stroke.at(f[ALONG] * 0.03, f[ACROSS] * 1.4) - 0.5) * brush;
      },
      slow: (f) => {
        f[SLOW] = (film.at(f[ALONG] * 0.01, f[ACROSS] * 0.01) - 0.5) * 0.03;
      },
      slowMm: 50,
    };
  }),
  canvas: weave(0.42, 0.24),
  cloth: weave(0.6, 0.3),
  leather: even(({ seed }, px) => {
    const shown = visible(CREASE_MM, px);
    const hide = new NoiseSampler(seed, 3);
    const creases = shown > 0 ? new Creases(seed, CREASE_MM / px) : null;
    return {
      at: (f) => {
        f[RED] = 1 + f[SLOW] - 0.07 * (1 - shown);
        if (creases) f[RED] -= 0.35 * shown * (1 - creases.at(f[ALONG] / CREASE_MM, f[ACROSS] / CREASE_MM));
      },
      slow: (f) => {
        f[SLOW] = (hide.at(f[ALONG] * 0.03, f[ACROSS] * 0.03) - 0.5) * 0.2;
      },
      slowMm: 8,
    };
  }),
  glass: even(({ seed }) => {
    const sheen = new NoiseSampler(seed, 2);
    const band = new NoiseSampler(seed);
    return {
      at: (f) => {
        f[RED] = 1 + f[SLOW] + 0.05 * step(0.55, 0.62, band.at((f[ALONG] + f[ACROSS]) * 0.012, 0));
      },
      slow: (f) => {
        f[SLOW] = (sheen.at(f[ALONG] * 0.004, f[ACROSS] * 0.004) - 0.5) * 0.1;
      },
      slowMm: 120,
    };
  }),
  'glazed-ceramic': even(({ seed }) => softly(seed, 0.02, 0.06)),
  metal: even(({ seed }, px) => {
    const brushed = 0.26 * visible(0.25, px);
    const stroke = new NoiseSampler(seed, 3);
    const sheen = new NoiseSampler(seed + 2, 2);
    return {
      at: (f) => {
        f[RED] = 1 + f[SLOW];
        if (brushed > 0) f[RED] += (stroke.at(f[ALONG] * 0.012, f[ACROSS] * 5) - 0.5) * brushed;
      },
      slow: (f) => {
        f[SLOW] = (sheen.at(f[ALONG] * 0.006, f[ACROSS] * 0.02) - 0.5) * 0.18;
      },
      slowMm: 25,
    };
  }),
  stone: ({ seed }, px) => {
    const speck = 0.22 * visible(0.5, px);
    const vein = new NoiseSampler(seed + 4, 4);
    const bed = new NoiseSampler(seed, 5);
    const specks = new NoiseSampler(seed + 8);
    return {
      at: (f) => {
        let light = 1 + f[SLOW] - 0.4 * (1 - step(0.004, 0.02, Math.abs(f[SLOW_TOO])));
        if (speck > 0) light += (specks.at(f[ALONG] * 2.2, f[ACROSS] * 2.2) - 0.5) * speck;
        f[RED] = light * 0.99;
        f[GREEN] = light;
        f[BLUE] = light * 1.02;
      },
      slow: (f) => {
        f[SLOW] = (bed.at(f[ALONG] * 0.02, f[ACROSS] * 0.05) - 0.5) * 0.62;
        f[SLOW_TOO] = vein.at(f[ALONG] * 0.012, f[ACROSS] * 0.03) - 0.5;
      },
      slowMm: 4,
    };
  },
  plaster: even(({ seed }, px) => {
    const pits = 0.2 * visible(1, px);
    const trowel = new NoiseSampler(seed, 4);
    const pit = new NoiseSampler(seed + 6);
    return {
      at: (f) => {
        f[RED] = 1 + f[SLOW];
        if (pits > 0) f[RED] -= pits * step(0.83, 0.9, pit.at(f[ALONG] * 0.9, f[ACROSS] * 0.9));
      },
      slow: (f) => {
        f[SLOW] = (trowel.at(f[ALONG] * 0.04, f[ACROSS] * 0.04) - 0.5) * 0.16;
      },
      slowMm: 6,
    };
  }),
  terracotta: even(({ seed }, px) => {
    const grit = 0.16 * visible(0.6, px);
    const clay = new NoiseSampler(seed, 4);
    const grains = new NoiseSampler(seed + 3);
    return {
      at: (f) => {
        f[RED] = 1 + f[SLOW];
        if (grit > 0) f[RED] += (grains.at(f[ALONG] * 1.8, f[ACROSS] * 1.8) - 0.5) * grit;
      },
      slow: (f) => {
        f[SLOW] = (clay.at(f[ALONG] * 0.03, f[ACROSS] * 0.1) - 0.5) * 0.3;
      },
      slowMm: 3,
    };
  }),
  'led-candle': even(({ seed }) => softly(seed, 0.015, 0.08)),
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
  const place = (column: number, row: number): [along: number, across: number] => {
    const x = (column + 0.5) * mmPerPx - cx;
    const y = (row + 0.5) * mmPerPx - cy;
    return [x * cos + y * sin, y * cos - x * sin];
  };
  const slowly = slowLines(texture, place, { widthPx, mmPerPx });
  const { line, stepPx } = slowly;
  const [alongStep, acrossStep] = [mmPerPx * cos, -mmPerPx * sin];
  const tint = base.map((share) => share * (1 - opacity) * GROUND_STEPS);
  const cover = over.map((share) => share * opacity * GROUND_STEPS);
  const figures = new Float64Array(FIGURES);
  let at = 0;
  for (let row = 0; row < heightPx; row++) {
    [figures[ALONG], figures[ACROSS]] = place(0, row);
    slowly.enter(row);
    for (let from = 0, k = 0; from < widthPx; from += stepPx, k += 2) {
      const end = Math.min(widthPx, from + stepPx);
      figures[SLOW] = line[k];
      figures[SLOW_TOO] = line[k + 1];
      const rise = (line[k + 2] - line[k]) / stepPx;
      const riseToo = (line[k + 3] - line[k + 1]) / stepPx;
      for (let column = from; column < end; column++) {
        texture.at(figures);
        figures[SLOW] += rise;
        figures[SLOW_TOO] += riseToo;
        figures[ALONG] += alongStep;
        figures[ACROSS] += acrossStep;
        // A coat hides the colour by its opacity, and keeps a trace of the relief.
        const relief = 1 + (figures[GREEN] - 1) * COAT_RELIEF;
        for (let channel = 0; channel < 3; channel++) {
          const share = tint[channel] * figures[RED + channel] + cover[channel] * relief;
          out[at++] = share >= GROUND_STEPS ? GROUND_STEPS : share <= 0 ? 0 : share + 0.5;
        }
      }
    }
  }
  return out;
}

/** Of a length over which something changes, the part that may be drawn as a line. */
const LINE_SHARE = 1 / 3;
const MOST_LINE_PX = 8;

/** Slow figures of a texture, row by row: worked out at every few pixels, and between them by line. */
function slowLines(
  { slow, slowMm }: Texture,
  place: (column: number, row: number) => [along: number, across: number],
  { widthPx, mmPerPx }: { widthPx: number; mmPerPx: number },
) {
  const stepPx = slow ? Math.max(1, Math.min(MOST_LINE_PX, Math.floor((slowMm * LINE_SHARE) / mmPerPx))) : widthPx;
  const count = Math.ceil(widthPx / stepPx) + 1;
  const line = new Float64Array(count * 2);
  if (!slow) return { line, stepPx, enter: () => undefined };
  const found = new Float64Array(FIGURES);
  const lineAt = (row: number): Float64Array => {
    const figures = new Float64Array(count * 2);
    for (let k = 0; k < count; k++) {
      [found[ALONG], found[ACROSS]] = place(k * stepPx, row);
      slow(found);
      figures[k * 2] = found[SLOW];
      figures[k * 2 + 1] = found[SLOW_TOO];
    }
    return figures;
  };
  let [above, below, belowRow] = [lineAt(0), lineAt(stepPx), stepPx];
  return {
    /** Two figures at every `stepPx` pixels of the row that was entered last. */
    line,
    stepPx,
    enter(row: number) {
      if (row >= belowRow) {
        above = below;
        belowRow += stepPx;
        below = lineAt(belowRow);
      }
      const down = 1 - (belowRow - row) / stepPx;
      for (let k = 0; k < line.length; k++) line[k] = above[k] + (below[k] - above[k]) * down;
    },
  };
}

export const COAT_RELIEF = 0.12;
