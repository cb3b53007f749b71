/** Single-channel rasters for reading proofs: light 0–1, row by row. */
export interface Gray {
  data: Float32Array;
  width: number;
  height: number;
}
export interface Rgba {
  data: Uint8ClampedArray;
  width: number;
  height: number;
}

const LUMA = [0.299, 0.587, 0.114] as const;

export function grayOf({ data, width, height }: Rgba): Gray {
  const out = new Float32Array(width * height);
  const [red, green, blue] = LUMA.map((share) => share / 255);
  for (let i = 0, at = 0; i < out.length; i++, at += 4)
    out[i] = red * data[at] + green * data[at + 1] + blue * data[at + 2];
  return { data: out, width, height };
}

export function channelOf({ data, width, height }: Rgba, channel: 0 | 1 | 2): Gray {
  const out = new Float32Array(width * height);
  for (let i = 0; i < out.length; i++) out[i] = data[i * 4 + channel] / 255;
  return { data: out, width, height };
}

/** Means of whole cells: every `by` × `by` pixels become one. */
export function reduced({ data, width, height }: Gray, by: number): Gray {
  if (by <= 1) return { data, width, height };
  const [w, h] = [Math.floor(width / by), Math.floor(height / by)];
  const out = new Float32Array(w * h);
  const share = 1 / (by * by);
  // A row at a time, in the order in which it lies in memory.
  for (let y = 0; y < h; y++)
    for (let j = 0; j < by; j++)
      for (let x = 0, to = y * w, at = (y * by + j) * width; x < w; x++, to++) {
        let sum = 0;
        for (const end = at + by; at < end; at++) sum += data[at];
        out[to] += share * sum;
      }
  return { data: out, width: w, height: h };
}

/** Mean over a square of `2·radius + 1`, by running sums; at the edge over what is there. */
export function boxMean({ data, width, height }: Gray, radius: number): Gray {
  const across = new Float32Array(data.length);
  const out = new Float32Array(data.length);
  for (let y = 0; y < height; y++) {
    let [sum, count] = [0, 0];
    const line = y * width;
    for (let x = 0; x < Math.min(radius, width); x++) {
      sum += data[line + x];
      count++;
    }
    for (let x = 0; x < width; x++) {
      if (x + radius < width) {
        sum += data[line + x + radius];
        count++;
      }
      if (x - radius - 1 >= 0) {
        sum -= data[line + x - radius - 1];
        count--;
      }
      across[line + x] = sum / count;
    }
  }
  // Down, a whole row of sums at a time.
  const sums = new Float64Array(width);
  let count = 0;
  const put = (row: number, sign: 1 | -1) => {
    count += sign;
    for (let x = 0, at = row * width; x < width; x++, at++) sums[x] += sign * across[at];
  };
  for (let y = 0; y < Math.min(radius, height); y++) put(y, 1);
  for (let y = 0; y < height; y++) {
    if (y + radius < height) put(y + radius, 1);
    if (y - radius - 1 >= 0) put(y - radius - 1, -1);
    for (let x = 0, at = y * width; x < width; x++, at++) out[at] = sums[x] / count;
  }
  return { data: out, width, height };
}

/** A value between pixels; pixel centres lie at halves. Outside, the edge's. */
export function sample({ data, width, height }: Gray, x: number, y: number): number {
  let fx = x - 0.5;
  let fy = y - 0.5;
  if (fx < 0) fx = 0;
  else if (fx > width - 1) fx = width - 1;
  if (fy < 0) fy = 0;
  else if (fy > height - 1) fy = height - 1;
  const left = fx | 0;
  const top = fy | 0;
  const right = left + 1 < width ? left + 1 : left;
  const bottom = top + 1 < height ? top + 1 : top;
  const u = fx - left;
  const v = fy - top;
  const upper = data[top * width + left] * (1 - u) + data[top * width + right] * u;
  const lower = data[bottom * width + left] * (1 - u) + data[bottom * width + right] * u;
  return upper * (1 - v) + lower * v;
}

/** How two rows of figures go together, −1…1, from their count, sums, squares and products; 0 where one is even. */
export function correlation(n: number, a: number, b: number, aa: number, bb: number, ab: number): number {
  const spread = Math.sqrt(Math.max(0, n * aa - a * a) * Math.max(0, n * bb - b * b));
  return spread === 0 ? 0 : (n * ab - a * b) / spread;
}

/**
 * What stands out of its surroundings: less the local mean, in units of the local spread. Takes light and contrast
 * away.
 */
export function standingOut(image: Gray, radius: number, least: number): Gray {
  const mean = boxMean(image, radius);
  const centred = new Float32Array(image.data.length);
  for (let i = 0; i < centred.length; i++) centred[i] = image.data[i] - mean.data[i];
  const spread = boxMean({ ...image, data: centred.map((value) => value * value) }, radius);
  // Running sums may end a trifle below nothing.
  for (let i = 0; i < centred.length; i++) centred[i] /= Math.sqrt(spread.data[i] > 0 ? spread.data[i] : 0) + least;
  return { ...image, data: centred };
}

export const mirroredGray = ({ data, width, height }: Gray): Gray => {
  const out = new Float32Array(data.length);
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) out[y * width + x] = data[y * width + width - 1 - x];
  return { data: out, width, height };
};
