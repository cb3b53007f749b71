/** A photo as it lies over the expected picture, and how alike the two are. */
import {
  correlation,
  project,
  reduced,
  sample,
  standingOut,
  type Gray,
  type Homography,
  type Point,
} from '@/core/photo';
import type { Bend } from './align';

const MOST_FRAME_PX = 700;
export const PATCH_RADIUS_MM = 9;

/** The expected picture, with what stands out of it. */
export interface Frame {
  gray: Gray;
  density: number;
  /** Against which patches are found, and by which the whole is compared. */
  patched: Gray;
  compared: Gray;
}

export function pxPerMm(h: Homography, { widthMm, heightMm }: { widthMm: number; heightMm: number }): number {
  const [a, b] = [project(h, widthMm / 2 - 5, heightMm / 2), project(h, widthMm / 2 + 5, heightMm / 2)];
  return Math.hypot(b.x - a.x, b.y - a.y) / 10;
}

export function frameOf(expected: Gray, pxPerMm: number, density: number): Frame {
  const longMm = Math.max(expected.width, expected.height) / pxPerMm;
  const wanted = Math.min(density, MOST_FRAME_PX / longMm);
  const by = Math.max(1, Math.round(pxPerMm / wanted));
  const gray = reduced(expected, by);
  const radius = (mm: number) => Math.max(2, Math.round((mm * pxPerMm) / by));
  return {
    gray,
    density: pxPerMm / by,
    patched: standingOut(gray, radius(PATCH_RADIUS_MM), LIKE_SPREAD),
    compared: standingOut(gray, radius(LIKE_RADIUS_MM), LIKE_SPREAD),
  };
}

/** The photo as it lies over the expected picture. */
export function laidOver(photo: Shades, { gray: { width, height }, density }: Frame, h: Homography, bend: Bend): Gray {
  const data = new Float32Array(width * height);
  const by = Math.max(1, Math.round(pxPerMm(h, { widthMm: width / density, heightMm: height / density }) / density));
  const source = photo(by);
  const places = lattice(width, height, (x, y) => {
    const off = bend.at(x / density, y / density);
    return project(h, x / density + off.x, y / density + off.y);
  });
  const line = new Float64Array(2 * width);
  for (let y = 0; y < height; y++) {
    places(0.5, y + 0.5, line);
    for (let x = 0; x < width; x++) data[y * width + x] = sample(source, line[2 * x] / by, line[2 * x + 1] / by);
  }
  return { data, width, height };
}

const LATTICE = 8;

/**
 * Places worked out at every eighth step, and between them by line: a perspective hardly bends within one.
 *
 * @returns what writes those of a line, x and y of each, beginning at some place and one step apart
 */
export function lattice(width: number, height: number, at: (x: number, y: number) => Point) {
  const columns = Math.ceil(width / LATTICE) + 2;
  const rows = Math.ceil(height / LATTICE) + 2;
  const nodes = new Float64Array(columns * rows * 2);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      const { x, y } = at(i * LATTICE, j * LATTICE);
      nodes[(j * columns + i) * 2] = x;
      nodes[(j * columns + i) * 2 + 1] = y;
    }
  return (fromX: number, y: number, out: Float64Array): void => {
    const j = Math.floor(y / LATTICE);
    const v = y / LATTICE - j;
    const row = j * columns * 2;
    const below = row + columns * 2;
    for (let k = 0, x = fromX; k < out.length; k += 2, x++) {
      const i = Math.floor(x / LATTICE);
      const u = x / LATTICE - i;
      for (let axis = 0, node = row + 2 * i, under = below + 2 * i; axis < 2; axis++, node++, under++) {
        const upper = nodes[node] + (nodes[node + 2] - nodes[node]) * u;
        const lower = nodes[under] + (nodes[under + 2] - nodes[under]) * u;
        out[k + axis] = upper + (lower - upper) * v;
      }
    }
  };
}

/** A photo made as coarse as a frame, so that a pixel of the one is about one of the other; each made once. */
export type Shades = (by: number) => Gray;

export function shadesOf(photo: Gray): Shades {
  const shades = new Map<number, Gray>();
  return (by) => {
    const shade = shades.get(by) ?? reduced(photo, by);
    shades.set(by, shade);
    return shade;
  };
}

/** How alike what stands out of its surroundings is, −1…1: veils and lamps count for little. */
export function likeIn(frame: Frame, photo: Shades, h: Homography, bend: Bend): number {
  const radius = Math.max(2, Math.round(LIKE_RADIUS_MM * frame.density));
  return likenessOf(frame.compared, standingOut(laidOver(photo, frame, h, bend), radius, LIKE_SPREAD));
}

const LIKE_RADIUS_MM = 12;
const LIKE_SPREAD = 0.03;

function likenessOf(one: Gray, other: Gray): number {
  let [n, a, b, aa, bb, ab] = [0, 0, 0, 0, 0, 0];
  for (let at = 0; at < one.data.length; at += 3) {
    const [u, v] = [one.data[at], other.data[at]];
    n++;
    a += u;
    b += v;
    aa += u * u;
    bb += v * v;
    ab += u * v;
  }
  return correlation(n, a, b, aa, bb, ab);
}
