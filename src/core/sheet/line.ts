/** A straight line, mm. */
export interface Line {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
}
