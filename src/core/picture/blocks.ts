/** The picture as a grid of blocks, at most 320 along its longer side, row by row. */
export interface Blocks {
  columns: number;
  rows: number;
  /** Mean L* of each block. */
  lightness: Float32Array;
  /** Standard deviation of L* within each block: its detail. */
  spread: Float32Array;
}
