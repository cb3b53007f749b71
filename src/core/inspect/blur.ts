/**
 * Blurs by a bell, as running means one after the other, their ends weighted so that the spread is right (source:
 * extended box filters, Gwosdek and others). A WebAssembly kernel of under 1 kB; its plain twin runs where there is none.
 */
import type { Gray } from '@/core/photo';
import { atFirstUse, kernelRoom, startKernel } from '@/core/shared';
import { BLUR_WASM } from './kernel/blur.bytes';

const BOXES = 2;

interface Means {
  radius: number;
  /** How much the two after the last count. */
  end: number;
  /** Of each, one over how much all count. */
  share: number;
}

function meansOf(sigma: number): Means {
  const spread = (sigma * sigma) / BOXES;
  const radius = Math.floor(0.5 * Math.sqrt(12 * spread + 1) - 0.5);
  const end = ((2 * radius + 1) * (radius * (radius + 1) - 3 * spread)) / (6 * (spread - (radius + 1) ** 2));
  return { radius, end, share: 1 / (2 * radius + 1 + 2 * end) };
}

interface Exports {
  meanDown: (
    from: number,
    to: number,
    sums: number,
    rowBytes: number,
    height: number,
    radius: number,
    share: number,
    end: number,
  ) => void;
  turned: (from: number, to: number, width: number, height: number) => void;
}

const kernel = atFirstUse(() => startKernel<Exports>(BLUR_WASM));
const LANES = 4;
const inLanes = (count: number) => Math.ceil(count / LANES) * LANES;

/** @param sigma spread of the bell, pixels */
export function blurred(image: Gray, sigma: number): Gray {
  const fast = kernel();
  if (!fast) return blurredPlain(image, sigma);
  const { width, height } = image;
  const { radius, end, share } = meansOf(sigma);
  const [wide, high] = [inLanes(width), inLanes(height)];
  const { placed, end: roomEnd } = kernelRoom();
  const sums = placed(Math.max(wide, high) * 4);
  const [first, second] = [placed(wide * high * 4), placed(wide * high * 4)];
  const memory = fast.reserve(roomEnd());
  const rows = new Float32Array(memory, first, wide * high);
  // Rows and columns that fill up hold the last ones on.
  for (let y = 0; y < height; y++) {
    rows.set(image.data.subarray(y * width, (y + 1) * width), y * wide);
    if (wide > width) rows.fill(image.data[(y + 1) * width - 1], y * wide + width, (y + 1) * wide);
  }
  const { meanDown: mean, turned } = fast.exports;
  /** Twice, there and back. */
  const down = (at: number, spare: number, across: number, along: number) => {
    mean(at, spare, sums, across * 4, along, radius, share, end);
    mean(spare, at, sums, across * 4, along, radius, share, end);
  };
  down(first, second, wide, height);
  turned(first, second, wide, high);
  down(second, first, high, width);
  turned(second, first, high, wide);
  const data = new Float32Array(width * height);
  for (let y = 0; y < height; y++) data.set(rows.subarray(y * wide, y * wide + width), y * width);
  return { data, width, height };
}

export function blurredPlain(image: Gray, sigma: number): Gray {
  const { width, height } = image;
  const means = meansOf(sigma);
  let [from, to] = [image.data, new Float32Array(width * height)];
  let spare = new Float32Array(width * height);
  for (let pass = 0; pass < BOXES; pass++) {
    meanAcross(from, to, width, height, means);
    [from, to, spare] = [to, spare, to];
    meanDown(from, to, width, height, means);
    [from, to, spare] = [to, spare, to];
  }
  return { data: from, width, height };
}

function meanAcross(
  from: Float32Array,
  to: Float32Array,
  width: number,
  height: number,
  { radius, end, share }: Means,
) {
  // The row with its ends held on, so that none is asked for beyond them.
  const reach = radius + 1;
  const line = new Float32Array(width + 2 * reach);
  for (let y = 0; y < height; y++) {
    const row = y * width;
    line.fill(from[row], 0, reach);
    line.set(from.subarray(row, row + width), reach);
    line.fill(from[row + width - 1], reach + width);
    let sum = 0;
    for (let i = 1; i < 2 * reach; i++) sum += line[i];
    for (let x = 0; x < width; x++) {
      const after = line[x + 2 * reach];
      to[row + x] = share * (sum + end * (line[x] + after));
      sum += after - line[x + 1];
    }
  }
}

function meanDown(from: Float32Array, to: Float32Array, width: number, height: number, { radius, end, share }: Means) {
  const last = height - 1;
  const sums = new Float64Array(width);
  for (let i = -radius; i <= radius; i++) {
    const row = Math.min(last, Math.max(0, i)) * width;
    for (let x = 0; x < width; x++) sums[x] += from[row + x];
  }
  for (let y = 0; y < height; y++) {
    const [before, after] = [Math.max(0, y - radius - 1) * width, Math.min(last, y + radius + 1) * width];
    const [leaves, row] = [Math.max(0, y - radius) * width, y * width];
    for (let x = 0; x < width; x++) {
      const enters = from[after + x];
      to[row + x] = share * (sums[x] + end * (from[before + x] + enters));
      sums[x] += enters - from[leaves + x];
    }
  }
}
