/**
 * For every blank: its sheet is painted, written, read back by poppler, cut at its marks, put together on the blank,
 * and compared with the picture placed there.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ImageData, createCanvas } from '@napi-rs/canvas';
import { FULL_CROP, NOT_TURNED } from '@/core/picture';
import { PLAIN_TONE, loadResampler, toneTables, type RowSource } from '@/core/raster';
import {
  intersection,
  resolveBlank,
  unbendPoint,
  type Blank,
  type BlankShape,
  type PointMm,
  type RectMm,
} from '@/core/shape';
import {
  PLAIN_FORM,
  asLanded,
  formPrint,
  layoutPack,
  pageMap,
  paperOf,
  pictureWindow,
  type PrintBlock,
  type PrintForm,
  type SheetPack,
} from '@/core/sheet';
import { TRUE_PRINTER } from '@/core/at-hand';
import { writeSheetPdf } from '@/core/sheet/pdf';
import { paintPrint } from './paint';
import type { PrintOrder } from './protocol';
import { SHEET_WORDS } from '@/words/sheet';

Object.assign(globalThis, { ImageData });

const DOTS = 300 / 25.4;
/** Poppler lays pictures on whole pixels: tiles are drawn fine enough that this is a thirtieth of a millimetre. */
const PPI = { whole: 200, tiles: 762 } as const;
const folder = mkdtempSync(join(tmpdir(), 'fobbet-paint-'));
const PICTURE = { widthPx: 1600, heightPx: 1000 };
/** Slopes of 8.5 levels a millimetre at a picture 320 mm wide: a tenth of a millimetre shows. */
const wave = (at: number, period: number) => 40 + 170 * Math.abs(((at / period) % 2) - 1);
const colourAt = (x: number, y: number): [number, number, number] => [
  wave(x * 16, 1),
  wave(y * 10, 1),
  wave(x * 7 + y * 5, 1),
];

const pixels = new Uint8ClampedArray(PICTURE.widthPx * PICTURE.heightPx * 4).fill(255);
for (let y = 0, at = 0; y < PICTURE.heightPx; y++)
  for (let x = 0; x < PICTURE.widthPx; x++, at += 4) {
    const [r, g, b] = colourAt((x + 0.5) / PICTURE.widthPx, (y + 0.5) / PICTURE.heightPx);
    pixels[at] = r;
    pixels[at + 1] = g;
    pixels[at + 2] = b;
  }
const source: RowSource = {
  ...PICTURE,
  readRows(from, count, left, width) {
    const rows = new Uint8ClampedArray(count * width * 4);
    for (let row = 0; row < count; row++)
      rows.set(
        pixels.subarray(
          ((from + row) * PICTURE.widthPx + left) * 4,
          ((from + row) * PICTURE.widthPx + left + width) * 4,
        ),
        row * width * 4,
      );
    return rows;
  },
};

/** A portable pixmap as poppler writes it: its size, then its bytes. */
function readPpm(file: string): { data: Buffer; width: number; height: number } {
  const bytes = readFileSync(file);
  const head = /^P6\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.subarray(0, 64).toString('latin1'));
  if (!head) throw new Error('no pixmap');
  return { width: Number(head[1]), height: Number(head[2]), data: bytes.subarray(head[0].length) };
}

async function sheetOf(
  name: string,
  blocks: readonly PrintBlock[],
  place: RectMm,
  mirrored: boolean,
): Promise<{ pack: SheetPack; pages: { data: Buffer; width: number; height: number }[]; ppi: number }> {
  const made = layoutPack(blocks, {
    paper: paperOf('a4', { widthMm: 1, heightMm: 1 }),
    orientation: 'auto',
    overlapMm: 8,
    marginMm: 5,
  });
  if (!made.ok) throw new Error(made.error.code);
  const pack = made.value;
  const passes = loadResampler();
  const images = [];
  for (const layout of pack.pages) {
    const ofPage = [];
    for (const placed of layout.places) {
      const print: PrintOrder = {
        block: blocks[placed.print],
        layers: [],
        sideColour: '#204060',
        picture: {
          source: 0,
          turning: NOT_TURNED,
          crop: FULL_CROP,
          tone: toneTables(PLAIN_TONE),
          fade: { fade: 'none', fadeMm: 0 },
          place,
        },
      };
      const { widthPx, heightPx } = placed.rasterPx;
      // In two bands that overlap, as the workers cut them.
      const half = Math.ceil(heightPx / 2);
      const bands = [];
      for (const [top, rows] of [
        [0, Math.min(heightPx, half + 8)],
        [half, heightPx - half],
      ].filter(([, rows]) => rows > 0)) {
        const canvas = createCanvas(widthPx, rows);
        const painted = await paintPrint(canvas.getContext('2d') as never, {
          print,
          source,
          passes,
          mirrored,
          dotsPerMm: DOTS,
          whole: { widthPx: pack.prints[placed.print].widthPx, heightPx: pack.prints[placed.print].heightPx },
          window: {
            x: Math.round(placed.tile.window.xMm * DOTS),
            y: Math.round(placed.tile.window.yMm * DOTS) + top,
            widthPx,
            heightPx: rows,
          },
        });
        expect(painted.ok).toBe(true);
        bands.push({ top, rows, jpeg: new Uint8Array(canvas.toBuffer('image/jpeg', 96)) });
      }
      ofPage.push(bands);
    }
    images.push(ofPage);
  }
  const file = join(folder, `${name}.pdf`);
  writeFileSync(
    file,
    await writeSheetPdf(pack, images, {
      truth: TRUE_PRINTER,
      words: SHEET_WORDS,
      text: {
        title: name,
        unitSystem: 'metric',
        mirrored,
        printKind: 'laser-plain',
        createdAt: new Date(0),
        prints: blocks.map(() => ({ name, cut: null, folds: [], edge: 'cut' })),
      },
    }),
  );
  const ppi = pack.columns * pack.rows > 1 ? PPI.tiles : PPI.whole;
  execFileSync('pdftoppm', ['-r', String(ppi), file, file]);
  const names = execFileSync('sh', ['-c', `ls ${file}-*.ppm`], { encoding: 'utf8' })
    .trim()
    .split('\n');
  return { pack, ppi, pages: names.map(readPpm) };
}

const inside = ({ xMm, yMm }: PointMm, rect: RectMm, rim: number) =>
  xMm > rect.xMm + rim &&
  yMm > rect.yMm + rim &&
  xMm < rect.xMm + rect.widthMm - rim &&
  yMm < rect.yMm + rect.heightMm - rim;

/** The picture's place at a point of a block, in shares; null where the block shows none of it. */
function pictureAt(block: PrintBlock, place: RectMm, point: PointMm): { x: number; y: number } | null {
  if (block.bent) {
    const { bend, origin, seamMm } = block.bent;
    const plane = unbendPoint(bend, { xMm: point.xMm + origin.xMm, yMm: point.yMm + origin.yMm });
    return plane.xMm > place.xMm + 0.4 &&
      plane.xMm < place.xMm + place.widthMm - 0.4 &&
      plane.yMm > place.yMm + 0.4 &&
      plane.yMm < place.yMm + place.heightMm - 0.4 &&
      seamMm >= 0
      ? { x: (plane.xMm - place.xMm) / place.widthMm, y: (plane.yMm - place.yMm) / place.heightMm }
      : null;
  }
  const stretch = block.pictures.find(({ at }) => inside(point, at, 0.4));
  if (!stretch) return null;
  const { at, from, flipX, flipY } = stretch;
  const [dx, dy] = [point.xMm - at.xMm, point.yMm - at.yMm];
  return {
    x: (from.xMm + (flipX ? at.widthMm - dx : dx)) / place.widthMm,
    y: (from.yMm + (flipY ? at.heightMm - dy : dy)) / place.heightMm,
  };
}

/** Reads every block at its places on paper: the page whose own part it is, up to the join. */
function compare(
  blocks: readonly PrintBlock[],
  place: RectMm,
  mirrored: boolean,
  { pack, pages, ppi }: Awaited<ReturnType<typeof sheetOf>>,
) {
  let [total, count] = [0, 0];
  let [joinOff, joinCount] = [0, 0];
  pack.pages.forEach((layout, index) =>
    layout.places.forEach((placed) => {
      const block = blocks[placed.print];
      const onPage = pageMap(placed, pack, mirrored);
      const { window, joinXMm, joinYMm } = placed.tile;
      const page = pages[index];
      const width = pack.prints[placed.print].widthMm;
      for (let y = 0.7; y < (joinYMm ?? window.heightMm) - 0.3; y += 1.9)
        for (let x = 0.7; x < (joinXMm ?? window.widthMm) - 0.3; x += 1.9) {
          // As printed, then as it lands.
          const printed = { xMm: window.xMm + x, yMm: window.yMm + y };
          const landed = { xMm: mirrored ? width - printed.xMm : printed.xMm, yMm: printed.yMm };
          const seen = pictureAt(block, place, landed);
          if (!seen) continue;
          const at = onPage(landed);
          const [px, py] = [Math.floor((at.xMm / 25.4) * ppi), Math.floor((at.yMm / 25.4) * ppi)];
          const wanted = colourAt(seen.x, seen.y);
          const found = (py * page.width + px) * 3;
          for (let c = 0; c < 3; c++) {
            total += Math.abs(page.data[found + c] - wanted[c]);
            count++;
          }
          if (joinXMm !== null && x > joinXMm - 40 && wanted[0] > 50 && wanted[0] < 200) {
            // Red rises and falls across: how far off it is says by how much the join is.
            const slope =
              (colourAt(seen.x + 0.0005, seen.y)[0] - colourAt(seen.x - 0.0005, seen.y)[0]) / (0.001 * place.widthMm);
            joinOff += (page.data[found] - wanted[0]) / slope;
            joinCount++;
          }
        }
    }),
  );
  return { mean: total / count, count, joinMm: joinCount > 0 ? Math.abs(joinOff / joinCount) : 0 };
}

const resolved = (shape: BlankShape, widthMm: number, heightMm: number): Blank => {
  const made = resolveBlank(shape, { widthMm, heightMm });
  if (!made.ok) throw new Error(made.error.code);
  return made.value;
};
const form = (patch: Partial<PrintForm>): PrintForm => ({ ...PLAIN_FORM, ...patch });
const NO_MARGINS = { topMm: 0, rightMm: 0, bottomMm: 0, leftMm: 0 };

it.each<[string, BlankShape, number, number, Partial<PrintForm>, boolean]>([
  ['board', { kind: 'rectangle' }, 150, 100, {}, true],
  ['board-tiled', { kind: 'rectangle' }, 320, 200, {}, true],
  ['traced-way-round', { kind: 'rectangle' }, 320, 200, {}, false],
  ['disc', { kind: 'round' }, 160, 160, {}, true],
  ['oval', { kind: 'oval' }, 170, 120, {}, true],
  [
    'stone',
    {
      kind: 'polygon',
      points: [
        { x: 0.1, y: 0 },
        { x: 1, y: 0.2 },
        { x: 0.8, y: 1 },
        { x: 0, y: 0.7 },
      ],
    },
    150,
    130,
    {},
    true,
  ],
  ['canvas', { kind: 'wrapped-canvas', depthMm: 15, tuckMm: 10 }, 160, 110, {}, true],
  ['canvas-mirrored', { kind: 'wrapped-canvas', depthMm: 15, tuckMm: 10 }, 160, 110, { sides: 'mirror' }, true],
  ['canvas-solid', { kind: 'wrapped-canvas', depthMm: 15, tuckMm: 10 }, 160, 110, { sides: 'solid' }, true],
  ['slats', { kind: 'slats', count: 4, gapMm: 8, run: 'vertical' }, 264, 150, {}, true],
  ['slats-spread', { kind: 'slats', count: 4, gapMm: 8, run: 'horizontal' }, 150, 224, { parts: 'spread' }, true],
  ['drawers', { kind: 'drawer-row', count: 3, gapMm: 12, knobs: 1, knobMm: 24 }, 264, 90, {}, true],
  ['drawers-each', { kind: 'drawer-row', count: 3, gapMm: 12, knobs: 1, knobMm: 24 }, 264, 60, { parts: 'each' }, true],
  ['panel', { kind: 'panel', openings: [{ kind: 'hole', xMm: 60, yMm: 50, diameterMm: 30 }] }, 180, 120, {}, true],
  ['jar', { kind: 'cylinder', shareOfRound: 0.6 }, 80, 110, {}, true],
  ['jar-all-round', { kind: 'cylinder', shareOfRound: 1 }, 60, 90, {}, true],
  ['bucket', { kind: 'vessel', bottomMm: 70, shareOfRound: 0.5 }, 90, 60, {}, true],
  ['pot-wide-below', { kind: 'vessel', bottomMm: 85, shareOfRound: 0.45 }, 65, 60, {}, true],
])(
  '%s: what is cut from the pages is the picture on the blank',
  async (name, shape, widthMm, heightMm, patch, mirrored) => {
    const blank = resolved(shape, widthMm, heightMm);
    const place = pictureWindow(blank, form(patch), NO_MARGINS);
    if (!place) throw new Error('no window');
    const { blocks } = formPrint(blank, form(patch), place, [], null);
    const read = await sheetOf(name, blocks, place, mirrored);
    const { mean, count, joinMm } = compare(blocks, place, mirrored, read);
    expect(count).toBeGreaterThan(1200);
    expect(mean).toBeLessThan(2);
    expect(joinMm).toBeLessThan(0.1);
  },
  60_000,
);

it('lands where the blank has it: stretches lie on the face as they should', () => {
  const slats = resolved({ kind: 'slats', count: 3, gapMm: 10, run: 'vertical' }, 320, 100);
  const spread = formPrint(slats, form({ parts: 'spread' }), { xMm: 0, yMm: 0, widthMm: 300, heightMm: 100 }, [], null);
  expect(spread.blocks).toHaveLength(1);
  expect(spread.blocks[0].widthMm).toBeCloseTo(300, 6);
  expect(asLanded(spread)[0].pictures.map(({ face, from }) => [face.xMm, from.xMm])).toEqual([
    [0, 0],
    [110, 100],
    [220, 200],
  ]);
  const skipped = formPrint(slats, PLAIN_FORM, { xMm: 0, yMm: 0, widthMm: 320, heightMm: 100 }, [], null);
  expect(skipped.blocks[0].cut).toHaveLength(3);
  expect(intersection({ ...skipped.rect }, { xMm: 100, yMm: 0, widthMm: 10, heightMm: 100 })).not.toBeNull();
  expect(
    skipped.landed.every((ring) =>
      ring.every(({ xMm }) => xMm <= 100.001 || (xMm >= 109.999 && xMm <= 210.001) || xMm >= 219.999),
    ),
  ).toBe(true);
});
