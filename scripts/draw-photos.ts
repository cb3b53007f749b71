/**
 * Photographs the example's half-rubbed board, and what becomes of it, into public/demo: `tsx scripts/draw-photos.ts`. The same
 * photos every time. Run by the build where they are missing.
 */
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { demoPieces } from '@/demo/scenario';
import { halfRubbed, photograph, type ShotOrder } from '@/testing/half-rubbed';
import { landedOf } from './in-node';

const OUT = join(__dirname, '../public/demo');
const PHOTO = { width: 1800, height: 1350 };
const QUALITY = 82;

/** Half rubbed; after a pass on what was milky; and after one too many, when toner goes faster than paper. */
const SHOTS: readonly { file: string; wet: boolean; patch: Partial<ShotOrder> }[] = [
  { file: 'board-half-rubbed.jpg', wet: false, patch: {} },
  { file: 'board-half-rubbed-wet.jpg', wet: true, patch: {} },
  { file: 'board-rubbed-again.jpg', wet: false, patch: { hazeTimes: 0.33 } },
  { file: 'board-rubbed-enough.jpg', wet: false, patch: { hazeTimes: 0.29, wearTimes: 1.7 } },
  { file: 'board-rubbed-enough-wet.jpg', wet: true, patch: { hazeTimes: 0.29, wearTimes: 1.7 } },
];
async function draw(): Promise<void> {
  const piece = demoPieces(Date.UTC(2026, 10, 20)).find(({ id }) => id === 'demo-departures-board');
  if (!piece?.picture.pictureId) throw new Error('the example has no departures board');
  const bytes = new Uint8Array(readFileSync(join(OUT, 'departures-board.jpg')));
  const { width = 0, height = 0 } = await sharp(bytes).metadata();
  const { print } = await landedOf(piece, [
    {
      record: {
        ...{ id: piece.picture.pictureId, name: 'departures-board.jpg', type: 'image/jpeg', bytes: bytes.length },
        ...{ sha256: '', widthPx: width, heightPx: height, paleShare: 0, darkShare: 0 },
      },
      bytes,
    },
  ]);
  const order: ShotOrder = {
    seed: 2026,
    ground: 'pine',
    print: { widthMm: print.picture.width / print.pxPerMm, heightMm: print.picture.height / print.pxPerMm },
    marginMm: 35,
    sideMm: 50,
    photo: PHOTO,
    tiltDeg: 14,
  };
  for (const [at, { file, wet, patch }] of SHOTS.entries()) {
    const shown = { ...order, ...patch };
    const { photo } = photograph(shown, halfRubbed(shown, print.picture.data), wet, at);
    await sharp(Buffer.from(photo.data.buffer), { raw: { width: photo.width, height: photo.height, channels: 4 } })
      .jpeg({ quality: QUALITY })
      .toFile(join(OUT, file));
  }
  console.log(`${SHOTS.length} photos of the board are drawn in ${OUT}`);
}

if (!SHOTS.every(({ file }) => existsSync(join(OUT, file))) || process.argv.includes('--force')) void draw();
