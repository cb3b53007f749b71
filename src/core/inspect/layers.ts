/**
 * What a millimetre of a rubbed print shows: toner as a filter over the ground, a share `kept` of it there, the rest
 * bare ground, and fibres as a white veil of share `haze` over all: R = (1 − h)·G·(1 − k + k·t) + h·w. Wetted, the veil
 * falls to a fraction and bare ground is darker. Coarser than the renderer's layers, and of one form for every binder:
 * it is for reading, where light and texture are known to some hundredths only.
 */
export const CHANNELS = [0, 1, 2] as const;
export type Triple<T> = [T, T, T];

/** The expected print in square cells, row by row: a frame of bare blank round the print's box, and the box. */
export interface Cells {
  columns: number;
  rows: number;
  /** Columns and rows of the frame beside the box. */
  left: number;
  top: number;
  boxColumns: number;
  boxRows: number;
  sizeMm: number;
  /** Mean light that the toner lets through, there and back; 1 where there is none. */
  toner: Triple<Float32Array>;
  /** How much the light changes within a cell and to those beside it: there a shift shows as a change. */
  rough: Float32Array;
  /** Linear light of the bare blank, dry, and the share of it that is sent back when it is wet. */
  ground: Triple<number>;
  wetted: Triple<number>;
  /** The same under the print, where its toner is gone. */
  under: Triple<number>;
  underWet: Triple<number>;
}

/** A photo as it lies over the cells: linear light, and whether the cell is seen clearly. */
export interface Sight {
  light: Triple<Float32Array>;
  seen: Uint8Array;
}

const LEAST_BARE_MM2 = 300;
/** Enough bare blank is in the frame to tell the light and the ground by. */
export const showsBare = ({ columns, rows, boxColumns, boxRows, sizeMm }: Cells): boolean =>
  (columns * rows - boxColumns * boxRows) * sizeMm * sizeMm >= LEAST_BARE_MM2;

/** Cells so many times as large; what is left over at the right and below is left out. */
export function coarser(cells: Cells, by: number): Cells {
  if (by === 1) return cells;
  const [left, top] = [Math.floor(cells.left / by), Math.floor(cells.top / by)];
  const to = { columns: Math.floor(cells.columns / by), rows: Math.floor(cells.rows / by) };
  const mean = (values: Float32Array) => meansOf(values, cells.columns, to, by);
  return {
    ...cells,
    ...to,
    left,
    top,
    boxColumns: Math.min(to.columns - left, Math.floor(cells.boxColumns / by)),
    boxRows: Math.min(to.rows - top, Math.floor(cells.boxRows / by)),
    sizeMm: cells.sizeMm * by,
    toner: cells.toner.map(mean) as Triple<Float32Array>,
    rough: mean(cells.rough),
  };
}

export function coarserSight({ columns, rows }: Cells, sight: Sight, by: number): Sight {
  if (by === 1) return sight;
  const to = { columns: Math.floor(columns / by), rows: Math.floor(rows / by) };
  const seen = meansOf(Float32Array.from(sight.seen), columns, to, by);
  return {
    light: sight.light.map((light) => meansOf(light, columns, to, by)) as Triple<Float32Array>,
    seen: Uint8Array.from(seen, (share) => (share === 1 ? 1 : 0)),
  };
}

function meansOf(values: Float32Array, width: number, to: { columns: number; rows: number }, by: number): Float32Array {
  const out = new Float32Array(to.columns * to.rows);
  for (let y = 0; y < to.rows; y++)
    for (let x = 0; x < to.columns; x++) {
      let sum = 0;
      for (let j = 0; j < by; j++) for (let i = 0; i < by; i++) sum += values[(y * by + j) * width + x * by + i];
      out[y * to.columns + x] = sum / (by * by);
    }
  return out;
}

export const FIBRES = 0.9;
/** Of the veil this much is left in sight when it is wet. */
export const WET_VEIL = 0.07;

export const bareLight = (ground: number, toner: number, kept: number, wetted = 1): number =>
  ground * ((1 - kept) * wetted + kept * toner);
export const veiled = (light: number, haze: number): number => light + haze * (FIBRES - light);

/** A surface of the second degree that all channels share, and for red and for blue what they lie off it, leaning a little. */
const SHARED = 6;
const TINT = 3;
const TERMS = SHARED + 2 * TINT;
const ROUNDS = 7;
/** Light is smooth: so many cells apart are enough. */
const EVERY = 3;
/** Ratios of light that lie further off are no light. */
const FAR = 0.22;
const LEAST_CELLS = 30;
/**
 * What holds the terms, as shares of all that is known: the level hardly, a lean and a bow a little, since few cells or a
 * narrow rim hold none; a lamp's tint more, and firmly that it is the same all over.
 */
const HELD = [1e-9, 1e-4, 1e-4, 2e-3, 2e-3, 2e-3, 0.02, 0.3, 0.3, 0.02, 0.3, 0.3] as const;

/** Light over the frame for each channel: a surface of the second degree in its logarithm. */
export type LightField = Triple<readonly number[]>;

export const lightAt = (by: readonly number[], u: number, v: number): number =>
  Math.exp(by[0] + by[1] * u + by[2] * v + by[3] * u * u + by[4] * u * v + by[5] * v * v);

/**
 * Fits the light that turns what should be seen into what is.
 *
 * @param should what each cell sends back in even light
 * @param weight how much each cell tells of the light; 0 leaves it out
 * @param lighter how much less a cell tells that is lighter than expected
 */
export function fitLight(
  { columns, rows }: Pick<Cells, 'columns' | 'rows'>,
  sight: Sight,
  should: Triple<Float32Array>,
  weight: Float32Array,
  lighter: number,
): LightField {
  const most = 3 * Math.ceil(columns / EVERY) * Math.ceil(rows / EVERY);
  // Of each cell and channel that tells: where it lies, how much it tells, and the light as the logarithm of a ratio.
  const [us, vs, weights, ratios] = [0, 1, 2, 3].map(() => new Float64Array(most));
  const channels = new Uint8Array(most);
  let told = 0;
  for (let y = 0; y < rows; y += EVERY)
    for (let x = 0; x < columns; x += EVERY) {
      const at = y * columns + x;
      if (weight[at] === 0) continue;
      for (const channel of CHANNELS) {
        const [seen, wanted] = [sight.light[channel][at], should[channel][at]];
        if (seen <= 0.002 || wanted <= 0.002) continue;
        us[told] = (2 * (x + 0.5)) / columns - 1;
        vs[told] = (2 * (y + 0.5)) / rows - 1;
        weights[told] = weight[at];
        ratios[told] = Math.log(seen / wanted);
        channels[told++] = channel;
      }
    }
  let by = new Array<number>(TERMS).fill(0);
  let reach = Infinity;
  const row = new Float64Array(TERMS);
  for (let round = 0; round < ROUNDS; round++) {
    const matrix = new Float64Array(TERMS * TERMS);
    const right = new Float64Array(TERMS);
    let [count, square, total] = [0, 0, 0];
    for (let k = 0; k < told; k++) {
      const [u, v] = [us[k], vs[k]];
      row.fill(0);
      row[0] = 1;
      row[1] = u;
      row[2] = v;
      row[3] = u * u;
      row[4] = u * v;
      row[5] = v * v;
      const tint = TINT_OF[channels[k]];
      if (tint > 0) {
        row[tint] = 1;
        row[tint + 1] = u;
        row[tint + 2] = v;
      }
      let off = ratios[k];
      for (let i = 0; i < TERMS; i++) off -= by[i] * row[i];
      // Paper left and toner gone only ever lighten: what is lighter than expected tells less of the light.
      const far = (off > 0 ? off * lighter : off) / reach;
      if (far > 1 || far < -1) continue;
      const trust = weights[k] * (1 - far * far) ** 2;
      count++;
      total += trust;
      square += trust * off * off;
      for (let i = 0; i < TERMS; i++) {
        const part = trust * row[i];
        if (part === 0) continue;
        right[i] += part * ratios[k];
        for (let j = 0; j <= i; j++) matrix[i * TERMS + j] += part * row[j];
      }
    }
    if (count < 3 * LEAST_CELLS) break;
    for (let i = 0; i < TERMS; i++) matrix[i * TERMS + i] += total * HELD[i];
    const solved = cholesky(matrix, right);
    if (!solved) break;
    by = solved;
    // From wide to narrow: first whatever there is, then what agrees.
    reach = Math.max(FAR, round === 0 ? 3 * Math.sqrt(square / total) : reach * 0.7);
  }
  return CHANNELS.map((channel) =>
    by.slice(0, SHARED).map((term, i) => term + (TINT_OF[channel] > 0 && i < TINT ? by[TINT_OF[channel] + i] : 0)),
  ) as unknown as LightField;
}
/** Where a channel's tint begins; green has none. */
const TINT_OF = [SHARED, 0, SHARED + TINT] as const;

function cholesky(matrix: Float64Array, right: Float64Array): number[] | null {
  const l = new Float64Array(TERMS * TERMS);
  for (let i = 0; i < TERMS; i++)
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i * TERMS + j];
      for (let k = 0; k < j; k++) sum -= l[i * TERMS + k] * l[j * TERMS + k];
      if (i === j) {
        if (sum <= 0) return null;
        l[i * TERMS + i] = Math.sqrt(sum);
      } else l[i * TERMS + j] = sum / l[j * TERMS + j];
    }
  const out = new Array<number>(TERMS).fill(0);
  for (let i = 0; i < TERMS; i++) {
    let sum = right[i];
    for (let k = 0; k < i; k++) sum -= l[i * TERMS + k] * out[k];
    out[i] = sum / l[i * TERMS + i];
  }
  for (let i = TERMS - 1; i >= 0; i--) {
    let sum = out[i];
    for (let k = i + 1; k < TERMS; k++) sum -= l[k * TERMS + i] * out[k];
    out[i] = sum / l[i * TERMS + i];
  }
  return out;
}
