/** Twin of the kernel in kernel/paths.as.ts, for where there is no WebAssembly: the same, lane by lane. */
/** Room for so many edged levels beside one another; those that are not used cost too much to be taken. */
export const LANES = 4;

/** The kernel's one function: addresses, sizes and costs of changes as it tells them. */
export type Sweep = (
  costs: number,
  sums: number,
  beside: number,
  above: number,
  way: number,
  rises: number,
  columns: number,
  rows: number,
  width: number,
  edge: number,
  most: number,
  backwards: boolean,
) => void;

/** @param memory that the addresses of a sweep lie in */
export function plainSweep(memory: ArrayBuffer): Sweep {
  const cell = new Float32Array(memory);
  return (costs, sums, beside, above, way, rises, columns, rows, width, edge, most, backwards) => {
    const labels = width * LANES;
    const rise = cell.subarray(rises / 4, rises / 4 + width);
    const onWay = cell.subarray(way / 4, way / 4 + labels);
    const line = labels * columns;
    const [over, ...slants] = [0, 1, 2, 3, 4].map((row) => above / 4 + row * line);
    for (let row = 0, count = 0; row < rows; row++) {
      cell.fill(0, beside / 4, beside / 4 + labels);
      const odd = row & 1;
      const [forwards, forwardsBefore, against, againstBefore] = [odd, 1 - odd, 2 + odd, 3 - odd].map(
        (at) => slants[at],
      );
      for (let column = 0; column < columns; column++, count++) {
        const from = (backwards ? columns * rows - 1 - count : count) * labels;
        const at = column * labels;
        follow(beside / 4, from);
        follow(over + at, from);
        leap(forwards + at, forwardsBefore + at - labels, row === 0 || column === 0);
        follow(forwards + at, from);
        leap(against + at, againstBefore + at + labels, row === 0 || column === columns - 1);
        follow(against + at, from);
      }
    }

    /** A path goes on from a cell of the row before, or begins. */
    function leap(to: number, from: number, begins: boolean): void {
      if (begins) cell.fill(0, to, to + labels);
      else cell.copyWithin(to, from, from + labels);
    }

    /** Takes a path on to a cell: what its labels cost on it stands where those of the cell before stood. */
    function follow(path: number, from: number): void {
      let least = cell[path];
      for (let label = 1; label < labels; label++) if (cell[path + label] < least) least = cell[path + label];
      const cap = least + most;
      for (let level = 0; level < labels; level += LANES) {
        let across = Infinity;
        for (let lane = 0; lane < LANES; lane++) across = Math.min(across, cell[path + level + lane]);
        across += edge;
        for (let lane = 0; lane < LANES; lane++) onWay[level + lane] = Math.min(across, cell[path + level + lane]);
      }
      for (let lane = 0; lane < LANES; lane++) {
        let cost = cap;
        for (let level = 0; level < width; level++) {
          const at = level * LANES + lane;
          cost = Math.min(cost + rise[level], cap, onWay[at]);
          onWay[at] = cost;
        }
        for (let level = width - 1; level >= 0; level--) {
          const at = level * LANES + lane;
          cost = Math.min(cost, cap, onWay[at]);
          const sum = cell[costs / 4 + from + at] + cost - least;
          cell[path + at] = sum;
          cell[sums / 4 + from + at] += sum;
          cost += rise[level];
        }
      }
    }
  };
}
