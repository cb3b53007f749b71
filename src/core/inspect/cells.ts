/** The expected piece, and photos of it, in cells of about a millimetre. */
import { linearLight } from '@/core/colour';
import type { Point, Rgba } from '@/core/photo';
import { tonerFilter } from '@/core/render';
import type { Cells, Sight, Triple } from './layers';
import { CHANNELS } from './layers';
import { lattice } from './overlay';
import type { ExpectedPiece } from './expected-piece';

const MOST_MARGIN_MM = 14;
const MOST_CELLS = 42_000;

/** The expected piece in cells of so many millimetres, or coarser where it is large. */
export function cellsOf(
  { picture, landed, pxPerMm, margin, ground, wetted, white }: ExpectedPiece,
  leastMm = 1,
): Cells {
  const [widthMm, heightMm] = [picture.width / pxPerMm, picture.height / pxPerMm];
  const sizeMm = Math.max(leastMm, Math.sqrt((widthMm * heightMm) / MOST_CELLS));
  const [boxColumns, boxRows] = [Math.max(1, Math.round(widthMm / sizeMm)), Math.max(1, Math.round(heightMm / sizeMm))];
  const ring = (mm: number) => Math.floor(Math.min(MOST_MARGIN_MM, mm * 0.8) / sizeMm);
  const [left, top] = [ring(margin?.leftMm ?? 0), ring(margin?.topMm ?? 0)];
  const [columns, rows] = [left + boxColumns + ring(margin?.rightMm ?? 0), top + boxRows + ring(margin?.bottomMm ?? 0)];
  const toner = CHANNELS.map(() => new Float32Array(columns * rows).fill(1)) as Triple<Float32Array>;
  const rough = new Float32Array(columns * rows);
  const through = Float32Array.from({ length: 256 }, (_, level) => tonerFilter(level, 1));
  const [sx, sy] = [picture.width / boxColumns, picture.height / boxRows];
  for (let y = 0; y < boxRows; y++)
    for (let x = 0; x < boxColumns; x++) {
      const at = (y + top) * columns + x + left;
      const sums = [0, 0, 0];
      let [n, total, square] = [0, 0, 0];
      const [x0, x1] = [Math.floor(x * sx), Math.max(Math.floor(x * sx) + 1, Math.floor((x + 1) * sx))];
      const [y0, y1] = [Math.floor(y * sy), Math.max(Math.floor(y * sy) + 1, Math.floor((y + 1) * sy))];
      for (let py = y0; py < Math.min(picture.height, y1); py++)
        for (let px = x0; px < Math.min(picture.width, x1); px++) {
          const from = py * picture.width + px;
          const there = landed[from] / 255;
          let mean = 0;
          for (const channel of CHANNELS) {
            const light = 1 - there * (1 - through[picture.data[from * 4 + channel]]);
            sums[channel] += light;
            mean += light / 3;
          }
          n++;
          total += mean;
          square += mean * mean;
        }
      for (const channel of CHANNELS) toner[channel][at] = sums[channel] / Math.max(1, n);
      rough[at] = Math.sqrt(Math.max(0, square / n - (total / n) ** 2));
    }
  const cells: Cells = {
    ...{ columns, rows, left, top, boxColumns, boxRows, sizeMm, toner, rough, ground, wetted },
    under: white ?? ground,
    underWet: white ? [1, 1, 1] : wetted,
  };
  addSlopes(cells);
  return cells;
}

/** Steps to the cells beside it count as change within it. */
function addSlopes({ columns, rows, toner, rough }: Cells): void {
  const mean = (at: number) => (toner[0][at] + toner[1][at] + toner[2][at]) / 3;
  const within = rough.slice();
  for (let y = 1; y < rows - 1; y++)
    for (let x = 1; x < columns - 1; x++) {
      const at = y * columns + x;
      const slope = Math.hypot(mean(at + 1) - mean(at - 1), mean(at + columns) - mean(at - columns)) / 2;
      rough[at] = Math.hypot(within[at], slope);
    }
}

const SAMPLES = 3;
const FULL = 252;

/** A photo in cells: the mean of a few samples each, in linear light; not seen where it is blown out or out of view. */
export function sightOf(cells: Cells, photo: Rgba, at: (xMm: number, yMm: number) => Point): Sight {
  const { columns, rows, left, top, sizeMm } = cells;
  const count = columns * rows;
  const light = CHANNELS.map(() => new Float32Array(count)) as Triple<Float32Array>;
  const seen = new Uint8Array(count);
  const linear = Float32Array.from({ length: 256 }, (_, level) => linearLight(level));
  const { data, width, height } = photo;
  const places = lattice(columns, rows, (x, y) => at((x - left) * sizeMm, (y - top) * sizeMm));
  const [middles, across, down] = [0, 1, 2].map(() => new Float64Array(2 * columns));
  for (let y = 0; y < rows; y++) {
    places(0.5, y + 0.5, middles);
    places(1, y + 0.5, across);
    places(0.5, y + 1, down);
    for (let x = 0; x < columns; x++) {
      const cell = y * columns + x;
      const mx = middles[2 * x];
      const my = middles[2 * x + 1];
      const ax = (across[2 * x] - mx) * 2;
      const ay = (across[2 * x + 1] - my) * 2;
      const bx = (down[2 * x] - mx) * 2;
      const by = (down[2 * x + 1] - my) * 2;
      const samples = Math.max(SAMPLES, Math.min(6, Math.round(Math.hypot(ax, ay) / 1.5)));
      let n = 0;
      let blown = 0;
      let red = 0;
      let green = 0;
      let blue = 0;
      for (let j = 0; j < samples; j++)
        for (let i = 0; i < samples; i++) {
          const u = (i + 0.5) / samples - 0.5;
          const v = (j + 0.5) / samples - 0.5;
          const px = Math.floor(mx + u * ax + v * bx);
          const py = Math.floor(my + u * ay + v * by);
          if (px < 0 || py < 0 || px >= width || py >= height) continue;
          const from = (py * width + px) * 4;
          n++;
          if (data[from] >= FULL && data[from + 1] >= FULL && data[from + 2] >= FULL) blown++;
          red += linear[data[from]];
          green += linear[data[from + 1]];
          blue += linear[data[from + 2]];
        }
      if (n < samples) continue;
      light[0][cell] = red / n;
      light[1][cell] = green / n;
      light[2][cell] = blue / n;
      seen[cell] = blown < n * 0.3 ? 1 : 0;
    }
  }
  return { light, seen };
}
