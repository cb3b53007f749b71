/**
 * Labels for the cells of a map of which each has a cost of its own for each label, and neighbours are alike: costs are
 * gathered along the straight paths that come to each cell from its eight sides (semi-global matching), and the label
 * that is cheapest there is taken. A label is a pair of levels: one that changes smoothly (its change costs by its
 * size), and one with edges (any change costs the same). The paths are a WebAssembly kernel of under 1 kB; its plain
 * twin runs where there is none.
 */
import { atFirstUse, kernelRoom, startKernel } from '@/core/shared';
import { PATHS_WASM } from './kernel/paths.bytes';
import { LANES, plainSweep, type Sweep } from './paths-plain';

export interface Levels {
  /** Values that change smoothly, rising. */
  smooth: readonly number[];
  /** How many levels the one with edges has, `LANES` at the most. */
  edged: number;
  /** What a change costs: for each unit of the smooth one, for any of the other, and at most both together. */
  slope: number;
  edge: number;
  most: number;
}

export { LANES };
const TOO_MUCH = 1e9;
/** Rows that paths are kept in: straight down, and two for each slanting way. */
const ROWS_ABOVE = 5;

const kernel = atFirstUse(() => startKernel<{ sweep: Sweep }>(PATHS_WASM));

/**
 * @param costsOf writes the costs of a cell's labels: of smooth level s and edged level e to `into[from + s · LANES + e]`
 * @returns the label of each cell: e · (smooth levels) + s
 */
export function cheapestAlongPaths(
  costsOf: (at: number, into: Float32Array, from: number) => void,
  columns: number,
  rows: number,
  { smooth, edged, slope, edge, most }: Levels,
  isPlain = false,
): Uint8Array {
  const width = smooth.length;
  const [cells, labels] = [columns * rows, width * LANES];
  const { placed, end } = kernelRoom();
  const place = (floats: number) => placed(floats * 4);
  const [rises, way, beside, above] = [
    place(width),
    place(labels),
    place(labels),
    place(ROWS_ABOVE * labels * columns),
  ];
  const [costs, sums] = [place(labels * cells), place(labels * cells)];
  const fast = isPlain ? null : kernel();
  const memory = fast?.reserve(end()) ?? new ArrayBuffer(end());
  const sweep = fast?.exports.sweep ?? plainSweep(memory);
  const figures = (at: number, count: number) => new Float32Array(memory, at, count);
  figures(rises, width).set(smooth.map((value, at) => (at === 0 ? 0 : slope * (value - smooth[at - 1]))));
  const [cost, summed] = [figures(costs, labels * cells).fill(0), figures(sums, labels * cells).fill(0)];
  for (let at = 0; at < cells; at++) {
    for (let s = 0; s < width; s++) for (let e = edged; e < LANES; e++) cost[at * labels + s * LANES + e] = TOO_MUCH;
    costsOf(at, cost, at * labels);
  }
  for (const backwards of [false, true]) {
    figures(above, ROWS_ABOVE * labels * columns).fill(0);
    sweep(costs, sums, beside, above, way, rises, columns, rows, width, edge, most, backwards);
  }
  const chosen = new Uint8Array(cells);
  for (let at = 0; at < cells; at++) {
    let least = Infinity;
    for (let e = 0; e < edged; e++)
      for (let s = 0; s < width; s++) {
        const sum = summed[at * labels + s * LANES + e];
        if (sum < least) {
          least = sum;
          chosen[at] = e * width + s;
        }
      }
  }
  return chosen;
}
