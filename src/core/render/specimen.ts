/**
 * Renders a specimen in two steps, so that a slider needs only the second: `prepareSpecimen` computes ground and keep-map once for a surface and
 * a size, `renderSpecimen` lays the picture on with tables of 256 and 4096 entries: no power and no division for a pixel.
 */
import { encodeLight } from '@/core/picture';
import { clamp, layeredNoise } from '@/core/shared';
import { fadeShare, type FadeForm, type ToneTables } from '@/core/raster';
import type { SurfaceId } from '@/core/craft';
import { GROUND_STEPS, linearColour, renderGround, type SurfaceLook } from './surface-texture';
import { seen, tonerFilter, type Optics } from './optics';
import type { Ground } from './compensate';

/** The print's place in the specimen, whole pixels. */
export interface PrintPx { x: number; y: number; width: number; height: number }

export interface SpecimenOrder {
  look: SurfaceLook;
  widthPx: number;
  heightPx: number;
  mmPerPx: number;
  print: PrintPx | null;
  /** White base under the print, #rrggbb; null for a clear binder. */
  opaqueWhite: string | null;
  fade: FadeForm;
  fadeMm: number;
}

export interface PreparedSpecimen {
  order: SpecimenOrder;
  /** Light of the bare face, RGB in 1/4095. */
  ground: Uint16Array;
  /** Ground within the print, white where the binder is, RGB in 1/4095. */
  under: Uint16Array;
  /** Share of toner that can stay at each pixel of the print, 0–256: texture and fade. */
  keep: Uint16Array;
  /** Mean light under the print. */
  mean: Ground;
}

/** Toner lost on the highs of weave and stone, at the most. Source: bench practice: distressed look of canvas. */
const TEXTURE_LOSS: Readonly<Partial<Record<SurfaceId, { share: number; sizeMm: number }>>> = {
  canvas: { share: 0.16, sizeMm: 0.5 }, cloth: { share: 0.18, sizeMm: 0.6 }, stone: { share: 0.2, sizeMm: 1.6 }, terracotta: { share: 0.12, sizeMm: 1 }, plaster: { share: 0.08, sizeMm: 1.2 },
  'soft-wood': { share: 0.05, sizeMm: 0.8 }, 'hard-wood': { share: 0.08, sizeMm: 0.8 },
};

export const OPAQUE_WHITE = '#fcfbf8';

export function prepareSpecimen(order: SpecimenOrder): PreparedSpecimen {
  const { look, widthPx, heightPx, mmPerPx, print } = order;
  const ground = renderGround(look, widthPx, heightPx, mmPerPx);
  if (!print) return { order, ground, under: new Uint16Array(0), keep: new Uint16Array(0), mean: { red: 1, green: 1, blue: 1 } };
  const under = new Uint16Array(print.width * print.height * 3);
  const keep = new Uint16Array(print.width * print.height);
  const white = order.opaqueWhite ? linearColour(order.opaqueWhite).map((light) => Math.round(light * GROUND_STEPS)) : null;
  const loss = look.coat && look.coat.opacity > 0.9 ? undefined : TEXTURE_LOSS[look.surface];
  const size = { widthMm: print.width * mmPerPx, heightMm: print.height * mmPerPx };
  const sums = [0, 0, 0];
  let at = 0;
  for (let row = 0; row < print.height; row++) {
    for (let column = 0; column < print.width; column++, at++) {
      const from = ((print.y + row) * widthPx + print.x + column) * 3;
      for (let channel = 0; channel < 3; channel++) {
        const light = white ? white[channel] : ground[from + channel];
        under[at * 3 + channel] = light;
        sums[channel] += light;
      }
      const [xMm, yMm] = [(column + 0.5) * mmPerPx, (row + 0.5) * mmPerPx];
      const worn = loss ? loss.share * clamp(layeredNoise(xMm / loss.sizeMm, yMm / loss.sizeMm, look.grain.seed + 21, 2) * 2 - 0.9, 0, 1) : 0;
      keep[at] = Math.round(256 * (1 - worn) * fadeShare(order.fade, order.fadeMm, size, xMm, yMm));
    }
  }
  const mean = (channel: number) => sums[channel] / (Math.max(1, at) * GROUND_STEPS);
  return { order, ground, under, keep, mean: { red: mean(0), green: mean(1), blue: mean(2) } };
}

const outTable = (optics: Optics): Uint8ClampedArray => Uint8ClampedArray.from({ length: GROUND_STEPS + 1 }, (_, light) => Math.round(encodeLight(seen(light / GROUND_STEPS, optics))));

export interface PrintLook {
  /** The picture as printed, unmirrored, RGBA, exactly the size of the print; toned by `tone` as it is laid on. */
  picture: Uint8ClampedArray;
  tone: ToneTables;
  kept: number;
  optics: Optics;
}

/** Draws the specimen into RGBA, row by row. Without a look only the bare face. */
export function renderSpecimen({ order, ground, under, keep }: PreparedSpecimen, look: PrintLook | null, sheen: number, out: Uint8ClampedArray): void {
  const { widthPx, print } = order;
  const bare = outTable({ haze: 0, sheen });
  drawBare(ground, bare, out, widthPx, print && look ? print : null);
  if (!print || !look) return;
  const face = outTable({ ...look.optics, sheen });
  const filter = (table: Uint8Array) => Uint16Array.from(table, (level) => Math.round((1 - tonerFilter(level, look.kept)) * GROUND_STEPS));
  const [red, green, blue] = [filter(look.tone.red), filter(look.tone.green), filter(look.tone.blue)];
  const { picture } = look;
  const mono = look.tone.mono;
  let at = 0;
  for (let row = 0; row < print.height; row++) {
    let to = ((print.y + row) * widthPx + print.x) * 4;
    for (let column = 0; column < print.width; column++, at++, to += 4) {
      const from = at * 4;
      const share = keep[at];
      let [r, g, b] = [picture[from], picture[from + 1], picture[from + 2]];
      if (mono) r = g = b = (r * mono[0] + g * mono[1] + b * mono[2]) >> 8;
      // Light taken away by the toner, in 1/4095 of a 1/256 share.
      out[to] = face[(under[at * 3] * (1048320 - red[r] * share)) / 1048320 | 0];
      out[to + 1] = face[(under[at * 3 + 1] * (1048320 - green[g] * share)) / 1048320 | 0];
      out[to + 2] = face[(under[at * 3 + 2] * (1048320 - blue[b] * share)) / 1048320 | 0];
      out[to + 3] = 255;
    }
  }
}

function drawBare(ground: Uint16Array, table: Uint8ClampedArray, out: Uint8ClampedArray, widthPx: number, hole: PrintPx | null): void {
  const heightPx = ground.length / 3 / widthPx;
  for (let row = 0; row < heightPx; row++) {
    const inside = hole && row >= hole.y && row < hole.y + hole.height ? hole : null;
    for (let column = 0; column < widthPx; column++) {
      if (inside && column === inside.x) column += inside.width;
      if (column >= widthPx) break;
      const from = (row * widthPx + column) * 3;
      const to = (row * widthPx + column) * 4;
      out[to] = table[ground[from]];
      out[to + 1] = table[ground[from + 1]];
      out[to + 2] = table[ground[from + 2]];
      out[to + 3] = 255;
    }
  }
}
