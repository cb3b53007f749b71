// Paths of least cost over a map of cells, four edged levels at a time, in AssemblyScript: the twin of the functions in
// ../paths-plain.ts, which the tests hold it to. Compiled by `npm run kernels`. Addresses are bytes in the one memory.
// A cell has `width` vectors of four f32, one for each smooth level, whose lanes are the edged levels.

/** The least lane of a vector, in all of its lanes. */
function leastLane(lanes: v128): v128 {
  const half = f32x4.pmin(lanes, v128.shuffle<u8>(lanes, lanes, 8, 9, 10, 11, 12, 13, 14, 15, 0, 1, 2, 3, 4, 5, 6, 7));
  return f32x4.pmin(half, v128.shuffle<u8>(half, half, 4, 5, 6, 7, 0, 1, 2, 3, 12, 13, 14, 15, 8, 9, 10, 11));
}

/** Takes a path on to a cell: what its labels cost on it stands where those of the cell before stood. */
function follow(
  path: usize,
  costs: usize,
  sums: usize,
  way: usize,
  rises: usize,
  end: usize,
  edge: v128,
  most: v128,
): void {
  let all = v128.load(path);
  for (let at: usize = 16; at < end; at += 16) all = f32x4.pmin(all, v128.load(path + at));
  const least = leastLane(all);
  const cap = f32x4.add(least, most);
  let cost = cap;
  for (let at: usize = 0; at < end; at += 16) {
    const straight = v128.load(path + at);
    const across = f32x4.add(leastLane(straight), edge);
    cost = f32x4.pmin(f32x4.add(cost, v128.load32_splat(rises + (at >> 2))), cap);
    cost = f32x4.pmin(cost, f32x4.pmin(straight, across));
    v128.store(way + at, cost);
  }
  for (let at: usize = end; at > 0;) {
    at -= 16;
    cost = f32x4.pmin(f32x4.pmin(cost, cap), v128.load(way + at));
    const sum = f32x4.add(v128.load(costs + at), f32x4.sub(cost, least));
    v128.store(path + at, sum);
    v128.store(sums + at, f32x4.add(v128.load(sums + at), sum));
    cost = f32x4.add(cost, v128.load32_splat(rises + (at >> 2)));
  }
}

/** A path goes on from a cell of the row before, or begins. */
function leap(to: usize, from: usize, begins: bool, bytes: usize): void {
  if (begins) memory.fill(to, 0, bytes);
  else memory.copy(to, from, bytes);
}

/**
 * Adds to `sums` what each label costs along the paths that come from the left and from the three cells above, or from
 * the right and from the three below.
 *
 * @param beside one cell; @param above a row of cells, and two of each for the two slanting ways: nothing, at first
 * @param rises what it costs to come to each smooth level from the one before, f32
 */
export function sweep(
  costs: usize,
  sums: usize,
  beside: usize,
  above: usize,
  way: usize,
  rises: usize,
  columns: i32,
  rows: i32,
  width: i32,
  edge: f32,
  most: f32,
  backwards: bool,
): void {
  const bytes: usize = (<usize>width) << 4;
  const rowBytes = bytes * <usize>columns;
  const edges = f32x4.splat(edge);
  const mosts = f32x4.splat(most);
  const last = columns * rows - 1;
  for (let row = 0, count = 0; row < rows; row++) {
    memory.fill(beside, 0, bytes);
    // Along the way it goes, a row: what slants forwards and backwards, each beside that of the row before.
    const odd = <usize>(row & 1);
    const forwards = above + rowBytes * (1 + odd);
    const forwardsBefore = above + rowBytes * (2 - odd);
    const against = above + rowBytes * (3 + odd);
    const againstBefore = above + rowBytes * (4 - odd);
    for (let column = 0; column < columns; column++, count++) {
      const from = <usize>(backwards ? last - count : count) * bytes;
      const at = <usize>column * bytes;
      const cost = costs + from;
      const sum = sums + from;
      follow(beside, cost, sum, way, rises, bytes, edges, mosts);
      follow(above + at, cost, sum, way, rises, bytes, edges, mosts);
      leap(forwards + at, forwardsBefore + at - bytes, row == 0 || column == 0, bytes);
      follow(forwards + at, cost, sum, way, rises, bytes, edges, mosts);
      leap(against + at, againstBefore + at + bytes, row == 0 || column == columns - 1, bytes);
      follow(against + at, cost, sum, way, rises, bytes, edges, mosts);
    }
  }
}
