/**
 * Labels for the cells of a map of which each has a cost of its own for each label, and neighbours are alike: costs are
 * gathered along the straight paths that come to each cell from its four sides (semi-global matching), and the label
 * that is cheapest there is taken. A label is a pair of levels: one that changes smoothly (its change costs by its
 * size), and one with edges (any change costs the same).
 */
export interface Levels {
  /** Values that change smoothly, rising. */
  smooth: readonly number[];
  /** How many levels the one with edges has. */
  edged: number;
  /** What a change costs: for each unit of the smooth one, for any of the other, and at most both together. */
  slope: number;
  edge: number;
  most: number;
}

/**
 * @param costs for each cell, one after the other, of each label: `edged` rows of `smooth` levels
 * @returns the label of each cell
 */
export function cheapestAlongPaths(costs: Float32Array, columns: number, rows: number, levels: Levels): Uint8Array {
  const labels = levels.smooth.length * levels.edged;
  const sums = new Float32Array(costs.length);
  for (const step of [1, -1] as const) sweep(costs, sums, columns, rows, levels, step);
  const chosen = new Uint8Array(columns * rows);
  for (let at = 0; at < chosen.length; at++) {
    let least = Infinity;
    for (let label = 0; label < labels; label++) {
      const sum = sums[at * labels + label];
      if (sum < least) {
        least = sum;
        chosen[at] = label;
      }
    }
  }
  return chosen;
}

/** Paths from the left and from above, or from the right and from below. */
function sweep(
  costs: Float32Array,
  sums: Float32Array,
  columns: number,
  rows: number,
  { smooth, edged, slope, edge, most }: Levels,
  step: 1 | -1,
): void {
  const width = smooth.length;
  const labels = width * edged;
  /** What it costs to come to each smooth level from the one before. */
  const rises = Float32Array.from(smooth, (value, at) => (at === 0 ? 0 : slope * (value - smooth[at - 1])));
  const beside = new Float32Array(labels);
  const above = new Float32Array(columns * labels);
  /** What each label costs on the way from a cell, from the least that it costs there. */
  const way = new Float32Array(labels);
  for (let r = 0; r < rows; r++) {
    const y = step > 0 ? r : rows - 1 - r;
    beside.fill(0);
    for (let c = 0; c < columns; c++) {
      const x = step > 0 ? c : columns - 1 - c;
      const from = (y * columns + x) * labels;
      follow(beside, 0, from);
      follow(above, x * labels, from);
    }
  }

  /** Takes a path on to a cell: what its labels cost on it stands where those of the cell before stood. */
  function follow(path: Float32Array, at: number, from: number): void {
    let least = path[at];
    for (let label = 1; label < labels; label++) if (path[at + label] < least) least = path[at + label];
    const cap = least + most;
    for (let h = 0; h < width; h++) {
      let across = path[at + h];
      for (let label = h + width; label < labels; label += width)
        if (path[at + label] < across) across = path[at + label];
      across += edge;
      for (let label = h; label < labels; label += width) {
        const straight = path[at + label];
        way[label] = straight < across ? straight : across;
      }
    }
    for (let row = 0; row < labels; row += width) {
      let cost = cap;
      for (let h = 0; h < width; h++) {
        cost += rises[h];
        if (cost > cap) cost = cap;
        if (way[row + h] < cost) cost = way[row + h];
        way[row + h] = cost;
      }
      for (let h = width - 1; h >= 0; h--) {
        if (cost > cap) cost = cap;
        if (way[row + h] < cost) cost = way[row + h];
        const sum = costs[from + row + h] + cost - least;
        path[at + row + h] = sum;
        sums[from + row + h] += sum;
        cost += rises[h];
      }
    }
  }
}
