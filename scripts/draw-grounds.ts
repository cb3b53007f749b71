/**
 * Draws what pictures go on, and a picture on its way onto a board, with the renderer: each ground into public/grounds,
 * each stage into public/stages. `tsx scripts/draw-grounds.ts`; run by the build where one is missing.
 */
import { existsSync, mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import sharp, { type Sharp } from 'sharp';
import { SURFACES } from '@/core/craft';
import { clamp, layeredNoise } from '@/core/shared';
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
} from './rendered';

const PUBLIC = join(__dirname, '../public');
const GROUND = { widthPx: 192, heightPx: 128, mmPerPx: 0.5 };
const BOARD = { widthPx: 384, heightPx: 272, mmPerPx: 0.6 };
const PRINT = { x: 44, y: 40, width: 296, height: 192 };

const PICTURE = 'departures-board.jpg';

const grounds = SURFACES.map(({ id, bareColour }) => ({
  path: join(PUBLIC, 'grounds', `${id}.jpg`),
  draw: () => imageOf(bareFace(lookOf(id, bareColour), GROUND), GROUND.widthPx, GROUND.heightPx),
}));

const ofBoard = (face: Uint8ClampedArray): Sharp => imageOf(face, BOARD.widthPx, BOARD.heightPx);
const png = (image: Sharp): Promise<Buffer> => image.png().toBuffer();

/** Paper with its picture the wrong way round, cut marks at its corners. */
async function mirrored(): Promise<Sharp> {
  const { x, y, width, height } = PRINT;
  const [right, bottom] = [x + width, y + height];
  const marks = [
    `M${x - 22} ${y}h14M${x} ${y - 22}v14`,
    `M${right + 8} ${y}h14M${right} ${y - 22}v14`,
    `M${x - 22} ${bottom}h14M${x} ${bottom + 8}v14`,
    `M${right + 8} ${bottom}h14M${right} ${bottom + 8}v14`,
  ].join('');
  const print = await png(imageOf(await pictureOf(PICTURE, PRINT), width, height).flop());
  const page = { width: BOARD.widthPx, height: BOARD.heightPx, channels: 4 as const, background: '#fbfaf6' };
  const printed = await png(sharp({ create: page }).composite([{ input: print, left: x, top: y }]));
  return drawnOver(sharp(printed), BOARD, `<path d="${marks}" stroke="#1e2126" stroke-width="1.5"/>`);
}

/** Face down on the board: the back of the paper, its picture guessed through it. */
async function laid(): Promise<Sharp> {
  const { x, y, width, height } = PRINT;
  const through = (picture: Sharp) => picture.blur(1.2).linear(0.12, 218);
  const back = await png(imageOf(await pictureOf(PICTURE, PRINT, through), width, height));
  const edge = `<rect x="${x + 3}" y="${y + 4}" width="${width}" height="${height}" fill="#2a1c0c" opacity=".28"/>`;
  const bare = await png(drawnOver(ofBoard(bareFace(PINE, BOARD)), BOARD, edge));
  return sharp(bare).composite([{ input: back, left: x, top: y }]);
}

/** Clean on the left, paper on the right, with a ragged rim and rolls of fibre along it. */
async function rubbed(): Promise<Sharp> {
  const laidOn = { look: PINE, size: BOARD, print: PRINT, picture: await pictureOf(PICTURE, PRINT) };
  const veil = (x: number, y: number) =>
    clamp((x / PRINT.width + 0.3 * (layeredNoise(x / 26, y / 26, 9, 3) - 0.5) - 0.46) * 9, 0, 1);
  const face = veiledFace(printedFace({ ...laidOn, haze: CLEAN_HAZE }), printedFace({ ...laidOn, haze: PAPER_HAZE }), {
    ...{ size: BOARD, print: PRINT, veil },
  });
  const rolls = Array.from({ length: 16 }, (_, k) => {
    const x = PRINT.x + PRINT.width * (0.4 + 0.15 * layeredNoise(k * 3.1, 1, 4, 2));
    const y = PRINT.y + 10 + (k * (PRINT.height - 20)) / 15;
    const turn = 140 * layeredNoise(k * 1.7, 5, 8, 2);
    return `<ellipse cx="${x}" cy="${y}" rx="${5 + (k % 3)}" ry="2" fill="#f4f1e9" stroke="#c9c2b2" stroke-width=".6"
      transform="rotate(${turn} ${x} ${y})"/>`;
  });
  return drawnOver(ofBoard(face), BOARD, rolls.join(''));
}

/** All the paper gone: the white parts are wood. */
async function finished(): Promise<Sharp> {
  const picture = await pictureOf(PICTURE, PRINT);
  return ofBoard(printedFace({ look: PINE, size: BOARD, print: PRINT, picture, haze: CLEAN_HAZE }));
}

const stages = Object.entries({ mirrored, laid, rubbed, finished }).map(([stage, draw]) => ({
  path: join(PUBLIC, 'stages', `${stage}.jpg`),
  draw,
}));

async function drawAll(): Promise<void> {
  const all = [...grounds, ...stages];
  if (!process.argv.includes('--force') && all.every(({ path }) => existsSync(path))) return;
  for (const { path, draw } of all) {
    mkdirSync(dirname(path), { recursive: true });
    await saveJpeg(await draw(), path);
  }
  console.log(`${grounds.length} grounds and ${stages.length} stages are drawn in ${PUBLIC}`);
}

void drawAll();
