/**
 * Perspective between two planes: eight figures h so that x' = (h0·x + h1·y + h2) / (h6·x + h7·y + 1), y' alike.
 * Source: projective geometry.
 */
export type Homography = readonly [number, number, number, number, number, number, number, number];
export interface Point {
  x: number;
  y: number;
}

/** Solves a small system by elimination with pivots; null where it has no one answer. */
export function solve(matrix: number[][], right: number[]): number[] | null {
  const n = right.length;
  const rows = matrix.map((row, i) => [...row, right[i]]);
  for (let column = 0; column < n; column++) {
    let pivot = column;
    for (let row = column + 1; row < n; row++)
      if (Math.abs(rows[row][column]) > Math.abs(rows[pivot][column])) pivot = row;
    if (Math.abs(rows[pivot][column]) < 1e-12) return null;
    [rows[column], rows[pivot]] = [rows[pivot], rows[column]];
    for (let row = 0; row < n; row++) {
      if (row === column) continue;
      const share = rows[row][column] / rows[column][column];
      for (let at = column; at <= n; at++) rows[row][at] -= share * rows[column][at];
    }
  }
  return rows.map((row, i) => row[n] / row[i]);
}

/** The perspective that takes four points to four others; null where three lie on a line. */
export function homographyOf(from: readonly Point[], to: readonly Point[]): Homography | null {
  const matrix: number[][] = [];
  const right: number[] = [];
  from.forEach(({ x, y }, i) => {
    matrix.push([x, y, 1, 0, 0, 0, -x * to[i].x, -y * to[i].x], [0, 0, 0, x, y, 1, -x * to[i].y, -y * to[i].y]);
    right.push(to[i].x, to[i].y);
  });
  return solve(matrix, right) as Homography | null;
}

export function project(h: Homography, x: number, y: number): Point {
  const w = h[6] * x + h[7] * y + 1;
  return { x: (h[0] * x + h[1] * y + h[2]) / w, y: (h[3] * x + h[4] * y + h[5]) / w };
}

/** The corners of a box at the origin, from its top left clockwise. */
export const boxCorners = (width: number, height: number): Point[] => [
  { x: 0, y: 0 },
  { x: width, y: 0 },
  { x: width, y: height },
  { x: 0, y: height },
];
