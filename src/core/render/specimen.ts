/**
 * Renders a specimen in two steps, so that a slider needs only the second: `prepareSpecimen` computes ground and
 * keep-map once for a surface and a size, `renderSpecimen` lays the picture on with tables of 256 and 4096 entries: no
 * power and no division for a pixel.
 */
import { encodeLight, linearColour } from '@/core/colour';
import { fadeShare, type FadeForm, type ToneTables } from '@/core/raster';
import { GROUND_STEPS, renderGround } from './surface-texture';
import type { SurfaceLook } from './grain';
import { seen, tonerFilter, type Optics } from './optics';
import type { Ground } from './compensate';
import { layPrintPlain, type LayPrint } from './lay-print';
import { wearMap } from './wear';
import { wettedShares } from './wetted';

/** The print's place in the specimen, whole pixels. */
export interface PrintPx {
  x: number;
  y: number;
  width: number;
  height: number;
}

export interface SpecimenOrder {
  look: SurfaceLook;
  widthPx: number;
  heightPx: number;
  mmPerPx: number;
  print: PrintPx | null;
  /** Share of the face where toner is lost altogether. */
  worn: number;
  /** The whole face is wet or sealed, not only what the binder soaked into. */
  wetsFace: boolean;
  /** White base under the print, #rrggbb; null for a clear binder. */
  opaqueWhite: string | null;
  fade: FadeForm;
  fadeMm: number;
}

export interface PreparedSpecimen {
  order: SpecimenOrder;
  /** Light of the bare face, RGB in 1/4095. */
  ground: Uint16Array;
  /**
   * Ground within the print, white where the binder is, RGB in 1/4095, and fourth the share of toner that can stay
   * there, 0–256: texture and fade.
   */
  under: Uint16Array;
  /** Mean light under the print. */
  mean: Ground;
}

/**
 * @param ground the face's light where it is known already, from `renderGround` with the same look and size
 * @param landed how much of each pixel of the print is there, 0–255; null where all is
 */
export function prepareSpecimen(
  order: SpecimenOrder,
  ground = renderGround(order.look, order.widthPx, order.heightPx, order.mmPerPx),
  landed: Uint8Array | null = null,
): PreparedSpecimen {
  const { look, widthPx, mmPerPx, print } = order;
  if (!print) return { order, ground, under: new Uint16Array(0), mean: { red: 1, green: 1, blue: 1 } };
  const under = new Uint16Array(print.width * print.height * 4);
  const white = order.opaqueWhite
    ? linearColour(order.opaqueWhite).map((light) => Math.round(light * GROUND_STEPS))
    : null;
  const isEven = white !== null || (look.coat !== null && look.coat.opacity > COVERS);
  const left = wearMap(order.worn, isEven ? null : look.surface, { seed: look.grain.seed, mmPerPx });
  const wetted = wettedShares(look);
  const size = { widthMm: print.width * mmPerPx, heightMm: print.height * mmPerPx };
  const sums = [0, 0, 0];
  let at = 0;
  for (let row = 0; row < print.height; row++) {
    for (let column = 0; column < print.width; column++, at++) {
      const from = ((print.y + row) * widthPx + print.x + column) * 3;
      const lies = landed ? landed[at] / 255 : 1;
      const soaked = order.wetsFace ? 1 : lies;
      for (let channel = 0; channel < 3; channel++) {
        const bare = ground[from + channel] * (1 + (wetted[channel] - 1) * soaked);
        const light = Math.round(white ? bare + (white[channel] - bare) * lies : bare);
        under[at * 4 + channel] = light;
        sums[channel] += light;
      }
      const [xMm, yMm] = [(column + 0.5) * mmPerPx, (row + 0.5) * mmPerPx];
      const edgeMm = Math.min(xMm, yMm, size.widthMm - xMm, size.heightMm - yMm);
      under[at * 4 + 3] = Math.round(
        256 * left(xMm, yMm, edgeMm) * fadeShare(order.fade, order.fadeMm, size, xMm, yMm) * lies,
      );
    }
  }
  const mean = (channel: number) => sums[channel] / (Math.max(1, at) * GROUND_STEPS);
  return { order, ground, under, mean: { red: mean(0), green: mean(1), blue: mean(2) } };
}

/** A coat of this opacity evens out what is under it. */
const COVERS = 0.9;

/** @param share of the ground's light that is left */
const outTable = (optics: Pick<Optics, 'haze' | 'sheen'>, share = 1): Uint8ClampedArray =>
  Uint8ClampedArray.from({ length: GROUND_STEPS + 1 }, (_, light) =>
    Math.round(encodeLight(seen((light * share) / GROUND_STEPS, optics))),
  );

export interface PrintLook {
  /** The picture as printed, unmirrored, RGBA, exactly the size of the print; toned by `tone` as it is laid on. */
  picture: Uint8ClampedArray;
  tone: ToneTables;
  kept: number;
  optics: Optics;
}

/**
 * Draws the specimen into RGBA, row by row. Without a look only the bare face.
 *
 * @param sheen first-surface light of the whole face
 * @param lay the kernel that lays the print on
 */
export function renderSpecimen(
  { order, ground, under }: PreparedSpecimen,
  look: PrintLook | null,
  sheen: number,
  out: Uint8ClampedArray,
  lay: LayPrint = layPrintPlain,
): void {
  const { widthPx, print } = order;
  drawBare(
    ground,
    wettedShares(order.look).map((share) => outTable({ haze: 0, sheen }, order.wetsFace ? share : 1)),
    new Int32Array(out.buffer, out.byteOffset, out.length / 4),
    widthPx,
    print && look ? print : null,
  );
  if (!print || !look) return;
  const { tone, kept } = look;
  const laid = lay(look.picture, under, {
    red: taken(tone.red, kept),
    green: taken(tone.green, kept),
    blue: taken(tone.blue, kept),
    face: outTable({ ...look.optics, sheen }),
    grey: tone.mono,
  });
  if (print.width === widthPx) {
    out.set(laid, print.y * widthPx * 4);
    return;
  }
  const length = print.width * 4;
  for (let row = 0; row < print.height; row++)
    out.set(laid.subarray(row * length, (row + 1) * length), ((print.y + row) * widthPx + print.x) * 4);
}

/** The fourth byte full, as a signed whole number: those are what the engine computes with fastest. */
const OPAQUE = 0xff << 24;

/** Light that the toner of each level takes away, in 1/4096. */
const taken = (table: Uint8Array, kept: number): Uint16Array =>
  Uint16Array.from(table, (level) => Math.round((1 - tonerFilter(level, kept)) * GROUND_STEPS));

function drawBare(
  ground: Uint16Array,
  tables: readonly Uint8ClampedArray[],
  pixels: Int32Array,
  widthPx: number,
  hole: PrintPx | null,
): void {
  const heightPx = ground.length / 3 / widthPx;
  const [red, green, blue] = tables;
  const line = (row: number, from: number, end: number) => {
    let light = (row * widthPx + from) * 3;
    for (let to = row * widthPx + from; to < row * widthPx + end; to++, light += 3)
      pixels[to] = red[ground[light]] | (green[ground[light + 1]] << 8) | (blue[ground[light + 2]] << 16) | OPAQUE;
  };
  for (let row = 0; row < heightPx; row++) {
    if (!hole || row < hole.y || row >= hole.y + hole.height) line(row, 0, widthPx);
    else {
      line(row, 0, hole.x);
      line(row, hole.x + hole.width, widthPx);
    }
  }
}
