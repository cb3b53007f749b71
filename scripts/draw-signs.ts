/**
 * Draws what each sign of a fault looks like into public/signs, with the renderer: `tsx scripts/draw-signs.ts`. Run by the
 * build where one is missing. Each is the same small print on a board, gone wrong in one way.
 */
import { existsSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import sharp, { type Sharp } from 'sharp';
import { FAULT_SIGNS, type FaultSignId } from '@/core/craft';
import type { SurfaceLook } from '@/core/render';
import { clamp, layeredNoise, valueNoise } from '@/core/shared';
import {
  CLEAN_HAZE,
  PAPER_HAZE,
  PINE,
  bareFace,
  drawnOver,
  imageOf,
  lookOf,
  pictureOf,
  printedFace,
  saveJpeg,
  veiledFace,
  type Mask,
} from './rendered';

const OUT = join(__dirname, '../public/signs');
const SIZE = { widthPx: 264, heightPx: 176, mmPerPx: 0.5 };
const PRINT = { x: 32, y: 24, width: 200, height: 128 };

const PAINTED = lookOf('painted-wood', '#d9d2c2', { colour: '#8fa39a', opacity: 0.97 });

const soft = (distance: number): number => clamp(0.5 - distance, 0, 1);

interface Drawing {
  on?: SurfaceLook;
  picture?: (picture: Sharp) => Sharp;
  /** Toner gone, and paper left. */
  lost?: Mask;
  veil?: Mask;
  haze?: number;
  kept?: number;
  print?: typeof PRINT;
  /** Drawn over it, SVG in pixels. */
  over?: string;
}

const disc =
  (cx: number, cy: number, radius: number): Mask =>
  (x, y) =>
    soft(Math.hypot(x - cx, y - cy) - radius);
const together =
  (...masks: Mask[]): Mask =>
  (x, y) =>
    Math.max(...masks.map((mask) => mask(x, y)));
/** Drawn out along a way, with a ragged rim. */
const stroke = (cx: number, cy: number, long: number, wide: number, angle: number): Mask => {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return (x, y) => {
    const [u, v] = [(x - cx) * cos + (y - cy) * sin, (y - cy) * cos - (x - cx) * sin];
    const ragged = 1 + 0.8 * (layeredNoise(x / 5, y / 5, 3, 2) - 0.5);
    return soft((Math.hypot(u / long, v / wide) - ragged) * wide);
  };
};
const cloudy =
  (scale: number, from: number, seed: number): Mask =>
  (x, y) =>
    clamp((layeredNoise(x / scale, y / scale, seed, 3) - from) * 5, 0, 1);
const fromEdge = (x: number, y: number) => Math.min(x, y, PRINT.width - x, PRINT.height - y);

const ROUND = [
  [38, 30, 6],
  [70, 88, 9],
  [118, 40, 4],
  [150, 96, 7],
  [168, 34, 5],
  [96, 66, 3],
  [30, 104, 5],
  [180, 70, 3],
  [132, 112, 4],
] as const;
const SMEARS = [
  [44, 40, 22, 3.4, 0.5],
  [96, 84, 30, 4, 0.35],
  [150, 46, 24, 3, 0.65],
  [158, 104, 18, 3.4, 0.4],
  [60, 108, 15, 2.6, 0.5],
] as const;
const FOLDS = [
  [0.4, 34, 2],
  [0.3, 78, 2.6],
  [0.5, 112, 1.7],
] as const;
const CHIPS = [
  '20,10 46,16 40,38 22,32',
  '150,60 176,52 182,80 158,86',
  '88,98 112,92 108,118 84,120',
  '178,6 198,4 196,26',
];

const inPrint = (svg: string): string => `<g transform="translate(${PRINT.x} ${PRINT.y})">${svg}</g>`;
const frame = (stroked: string, width: number, grow = 0): string =>
  `<rect x="${-grow}" y="${-grow}" width="${PRINT.width + 2 * grow}" height="${PRINT.height + 2 * grow}" fill="none"
    stroke="${stroked}" stroke-width="${width}"/>`;

const polygon = (points: string): Mask => {
  const ring = points.split(' ').map((pair) => pair.split(',').map(Number));
  return (x, y) => {
    let inside = false;
    ring.forEach(([x1 = 0, y1 = 0], at) => {
      const [x0 = 0, y0 = 0] = ring[(at + ring.length - 1) % ring.length] ?? [];
      if (y1 > y !== y0 > y && x < ((x0 - x1) * (y - y1)) / (y0 - y1) + x1) inside = !inside;
    });
    return inside ? 1 : 0;
  };
};
const fold: Mask = (x, y) =>
  Math.max(
    ...FOLDS.map(([slope, at, wide]) =>
      soft((Math.abs(y - at + slope * (x - 100) * 0.3 + 5 * Math.sin(x / 28)) - wide) / 1.2),
    ),
  );

const torn: Mask = (x, y) =>
  clamp((x / PRINT.width + 0.55 * (layeredNoise(x / 22, y / 22, 9, 3) - 0.5) - 0.52) * 9, 0, 1);

const DRAWINGS: Readonly<Record<FaultSignId, Drawing>> = {
  'comes-off': {
    lost: torn,
    over: inPrint(
      '<path d="M128 8 Q168 -14 214 4 L222 66 Q176 40 140 62 Z" fill="#ece9e2" stroke="#b9b4a8"/><path d="M140 ' +
        '62 Q176 40 222 66 L216 78 Q176 54 146 72 Z" fill="#7d6f5c" opacity=".35"/>',
    ),
  },
  'holes-round': { lost: together(...ROUND.map(([x, y, radius]) => disc(x, y, radius))) },
  'holes-long': { lost: together(...SMEARS.map(([x, y, long, wide, angle]) => stroke(x, y, long, wide, angle))) },
  veil: { veil: cloudy(34, 0.42, 11) },
  'spot-stays': { veil: stroke(112, 62, 24, 17, 0.2) },
  wrinkles: {
    lost: (x, y) => 0.75 * fold(x, y),
    over: inPrint(
      FOLDS.map(
        ([slope, at]) =>
          `<path d="M0 ${at + slope * 30} L200 ${at - slope * 30}" stroke="#000" stroke-opacity=".25" transform="translate(0 3)"/>`,
      ).join(''),
    ),
  },
  tacky: {
    veil: cloudy(26, 0.5, 4),
    over: inPrint(
      Array.from(
        { length: 8 },
        (_, k) =>
          `<ellipse cx="120" cy="66" rx="${4 + k * 3.6}" ry="${6 + k * 4.6}" fill="none" stroke="#efe9dc"
            stroke-opacity=".8" stroke-width="1.5" transform="rotate(20 120 66)"/>`,
      ).join(''),
    ),
  },
  pale: { kept: 0.4, haze: 0.2 },
  ghostly: { picture: (picture) => picture.linear(0.22, 196) },
  bled: { picture: (picture) => picture.blur(4.5).modulate({ saturation: 1.5 }) },
  reversed: { picture: (picture) => picture.flop() },
  'white-rim': { over: inPrint(frame('#fbfaf6', 6, 2)) },
  lip: {
    over: inPrint(
      `<path d="M0 ${PRINT.height} V0 H${PRINT.width}" fill="none" stroke="#fff" stroke-opacity=".85" stroke-width="2.5"/>
        <path d="M0 ${PRINT.height} H${PRINT.width} V0" fill="none" stroke="#1c140c" stroke-opacity=".6" stroke-width="3"/>`,
    ),
  },
  crooked: { over: '' },
  'wrong-size': {
    print: { x: 48, y: 34, width: 168, height: 108 },
    over: `<rect x="${PRINT.x}" y="${PRINT.y}" width="${PRINT.width}" height="${PRINT.height}" fill="none" stroke="#1E2126"
      stroke-width="1.5" stroke-dasharray="6 4"/>`,
  },
  'edges-lift': {
    lost: (x, y) => clamp((16 * valueNoise(x / 15, y / 15, 5) - fromEdge(x, y)) / 3, 0, 1),
    over: inPrint('<path d="M0 0 L34 0 Q20 14 4 30 Z" fill="#e9e4da" stroke="#a89f90"/>'),
  },
  chips: { on: PAINTED, lost: together(...CHIPS.map(polygon)) },
  cloudy: { haze: 0.3, veil: (x, y) => 0.5 * cloudy(48, 0.4, 21)(x, y) },
};

async function draw(sign: FaultSignId): Promise<void> {
  const { on = PINE, lost, kept, veil, haze = CLEAN_HAZE, print = PRINT, picture: changed, over = '' } = DRAWINGS[sign];
  const file = sign === 'reversed' ? 'departures-board.jpg' : 'viaduct-at-dusk.jpg';
  const laid = { look: on, size: SIZE, print, picture: await pictureOf(file, print, changed), lost, kept };
  const clean = printedFace({ ...laid, haze });
  const face = veil
    ? veiledFace(clean, printedFace({ ...laid, haze: PAPER_HAZE }), { size: SIZE, print, veil })
    : clean;
  const image = sign === 'crooked' ? await askew(face) : imageOf(face, SIZE.widthPx, SIZE.heightPx);
  await saveJpeg(drawnOver(image, SIZE, over), join(OUT, `${sign}.jpg`));
}

/** The print turned a little on a face that is straight. */
async function askew(face: Uint8ClampedArray): Promise<Sharp> {
  const print = await imageOf(face, SIZE.widthPx, SIZE.heightPx)
    .extract({ left: PRINT.x, top: PRINT.y, width: PRINT.width, height: PRINT.height })
    .png()
    .toBuffer();
  const turned = await sharp(print).rotate(5, { background: '#0000' }).png().toBuffer();
  const { width = 0, height = 0 } = await sharp(turned).metadata();
  const [left, top] = [
    Math.round((SIZE.widthPx - width) / 2) + 8,
    Math.max(0, Math.round((SIZE.heightPx - height) / 2)),
  ];
  return sharp(
    await imageOf(bareFace(PINE, SIZE), SIZE.widthPx, SIZE.heightPx)
      .composite([{ input: turned, left, top }])
      .png()
      .toBuffer(),
  );
}

async function drawAll(): Promise<void> {
  mkdirSync(OUT, { recursive: true });
  for (const sign of FAULT_SIGNS) await draw(sign);
  console.log(`${FAULT_SIGNS.length} signs are drawn in ${OUT}`);
}

if (!FAULT_SIGNS.every((sign) => existsSync(join(OUT, `${sign}.jpg`))) || process.argv.includes('--force'))
  void drawAll();
