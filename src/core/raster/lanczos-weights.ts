/**
 * Filter weights of one axis for Lanczos-3 resampling: sinc(x)·sinc(x/3) within ±3 output steps when reducing,
 * ±3 source pixels when enlarging. Source: Lanczos' window as used throughout image processing. Weights of each
 * output pixel sum to 1; at the picture's edge the outermost pixels are left out and the rest is renormalised.
 */
export interface AxisWeights {
  /** First source pixel of each output pixel. */
  starts: Int32Array;
  /** `taps` weights for each output pixel, zero where unused. */
  weights: Float32Array;
  taps: number;
}

const LOBES = 3;

function lanczos(x: number): number {
  if (x === 0) return 1;
  if (Math.abs(x) >= LOBES) return 0;
  const angle = Math.PI * x;
  return (LOBES * Math.sin(angle) * Math.sin(angle / LOBES)) / (angle * angle);
}

/**
 * @param sourceSize pixels of the whole source axis
 * @param from first source position of the crop, pixels, may be fractional
 * @param length length of the crop, pixels
 * @param outSize output pixels
 * @param mirrored output runs backwards
 */
export function lanczosWeights(
  sourceSize: number,
  from: number,
  length: number,
  outSize: number,
  mirrored = false,
): AxisWeights {
  const step = length / outSize;
  const stretch = Math.max(1, step);
  const reach = LOBES * stretch;
  const taps = Math.min(sourceSize, Math.ceil(2 * reach) + 1);
  const starts = new Int32Array(outSize);
  const weights = new Float32Array(outSize * taps);
  for (let out = 0; out < outSize; out++) {
    const centre = from + ((mirrored ? outSize - 1 - out : out) + 0.5) * step;
    const start = Math.max(0, Math.min(sourceSize - taps, Math.ceil(centre - reach - 0.5)));
    let total = 0;
    for (let tap = 0; tap < taps; tap++) {
      const weight = lanczos((start + tap + 0.5 - centre) / stretch);
      weights[out * taps + tap] = weight;
      total += weight;
    }
    for (let tap = 0; tap < taps; tap++) weights[out * taps + tap] /= total;
    starts[out] = start;
  }
  return { starts, weights, taps };
}
