/** Connected regions of blocks: what lies together reads as one thing. Four-connected, by a flood over the grid. */
import { FAINT_LIGHTNESS } from './analysis';
import type { Blocks } from './blocks';

export interface Region {
  /** Blocks of the region. */
  blocks: number[];
  /** Share of the picture. */
  share: number;
  /** Share of the region's border that lies on the picture's edge. */
  edgeShare: number;
  /** Share of the picture's edge that the region takes up: much of it is a background, not a subject. */
  rimShare: number;
}

function regionsOf({ columns, rows }: Blocks, belongs: (block: number) => boolean, leastShare: number): Region[] {
  const seen = new Uint8Array(columns * rows);
  const found: Region[] = [];
  for (let start = 0; start < seen.length; start++) {
    if (seen[start] || !belongs(start)) continue;
    seen[start] = 1;
    const blocks = [start];
    let [border, onEdge] = [0, 0];
    for (let next = 0; next < blocks.length; next++) {
      const [x, y] = [blocks[next] % columns, Math.floor(blocks[next] / columns)];
      for (const [dx, dy] of [
        [1, 0],
        [-1, 0],
        [0, 1],
        [0, -1],
      ]) {
        const [nx, ny] = [x + dx, y + dy];
        if (nx < 0 || ny < 0 || nx >= columns || ny >= rows) {
          border++;
          onEdge++;
          continue;
        }
        const neighbour = ny * columns + nx;
        if (!belongs(neighbour)) {
          border++;
          continue;
        }
        if (!seen[neighbour]) {
          seen[neighbour] = 1;
          blocks.push(neighbour);
        }
      }
    }
    const share = blocks.length / seen.length;
    if (share >= leastShare)
      found.push({
        blocks,
        share,
        edgeShare: border === 0 ? 0 : onEdge / border,
        rimShare: onEdge / (2 * (columns + rows)),
      });
  }
  return found.sort((a, b) => b.share - a.share);
}

const LEAST_GHOST_SHARE = 0.012;
const MOST_EDGE_SHARE = 0.3;
const MOST_RIM_SHARE = 0.15;
const LEAST_LIGHT_SHARE = 0.03;
const EVEN_SPREAD = 4;
const LIGHT_LIGHTNESS = 76;

/** Pale subjects: regions of near-white that the picture's edge does not cut off. */
export const ghostlyRegions = (blocks: Blocks): Region[] =>
  regionsOf(blocks, (block) => blocks.lightness[block] > FAINT_LIGHTNESS, LEAST_GHOST_SHARE).filter(
    (region) => region.edgeShare < MOST_EDGE_SHARE && region.rimShare < MOST_RIM_SHARE,
  );

/** Even light regions, where paper left behind is easy to overlook. */
export const lightRegions = (blocks: Blocks): Region[] =>
  regionsOf(
    blocks,
    (block) => blocks.lightness[block] > LIGHT_LIGHTNESS && blocks.spread[block] < EVEN_SPREAD,
    LEAST_LIGHT_SHARE,
  );
