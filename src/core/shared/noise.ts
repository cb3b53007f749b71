/**
 * Value noise: smooth, seeded, the same everywhere and every time. A lattice of hashed values joined by smooth steps,
 * 0–1, about one feature per unit. Source: standard lattice noise with an integer hash.
 */
const hash = (x: number, y: number, seed: number): number => {
  let h = (Math.imul(x | 0, 374761393) + Math.imul(y | 0, 668265263) + Math.imul(seed, 1274126177)) | 0;
  h = Math.imul(h ^ (h >>> 13), 1274126177);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
};

// Written without arrays or destructuring: it runs for every pixel of every surface.
export function valueNoise(x: number, y: number, seed: number): number {
  const x0 = Math.floor(x);
  const y0 = Math.floor(y);
  const fx = x - x0;
  const fy = y - y0;
  const sx = fx * fx * (3 - 2 * fx);
  const sy = fy * fy * (3 - 2 * fy);
  const a = hash(x0, y0, seed);
  const b = hash(x0 + 1, y0, seed);
  const c = hash(x0, y0 + 1, seed);
  const d = hash(x0 + 1, y0 + 1, seed);
  return a + (b - a) * sx + (c - a) * sy + (a - b - c + d) * sx * sy;
}

/** Octaves of noise, each half as strong and twice as fine, 0–1. */
export function layeredNoise(x: number, y: number, seed: number, octaves: number): number {
  let total = 0;
  let weight = 0.5;
  let sum = 0;
  for (let octave = 0; octave < octaves; octave++) {
    total += weight * valueNoise(x, y, seed + octave * 17);
    sum += weight;
    weight /= 2;
    x *= 2;
    y *= 2;
  }
  return total / sum;
}

export const latticeHash = hash;

/**
 * The same noise for places that lie near each other one after the other, as pixels of a row do: each octave keeps the
 * cell that it was in last, and hashes only when it leaves it. A class, so that the engine can compute with its figures
 * where they are.
 */
export class NoiseSampler {
  private readonly cells: readonly NoiseCell[];
  private readonly whole: number;

  constructor(seed: number, octaves = 1) {
    this.cells = Array.from({ length: octaves }, (_, octave) => new NoiseCell(seed + octave * 17));
    this.whole = 1 - 0.5 ** octaves;
  }

  at(x: number, y: number): number {
    let total = 0;
    let weight = 0.5;
    for (const cell of this.cells) {
      total += weight * cell.at(x, y);
      weight /= 2;
      x *= 2;
      y *= 2;
    }
    return total / this.whole;
  }
}

class NoiseCell {
  private x0 = NaN;
  private y0 = NaN;
  private a = 0;
  private ba = 0;
  private ca = 0;
  private rest = 0;
  constructor(private readonly seed: number) {}

  at(x: number, y: number): number {
    const x0 = Math.floor(x);
    const y0 = Math.floor(y);
    if (x0 !== this.x0 || y0 !== this.y0) this.enter(x0, y0);
    const fx = x - x0;
    const fy = y - y0;
    const sx = fx * fx * (3 - 2 * fx);
    const sy = fy * fy * (3 - 2 * fy);
    return this.a + this.ba * sx + this.ca * sy + this.rest * sx * sy;
  }

  private enter(x0: number, y0: number): void {
    this.x0 = x0;
    this.y0 = y0;
    const a = hash(x0, y0, this.seed);
    const b = hash(x0 + 1, y0, this.seed);
    const c = hash(x0, y0 + 1, this.seed);
    const d = hash(x0 + 1, y0 + 1, this.seed);
    this.a = a;
    this.ba = b - a;
    this.ca = c - a;
    this.rest = a - b - c + d;
  }
}
