/**
 * Photographs the example's half-rubbed board, dry and wet, into public/demo: `tsx scripts/draw-photos.ts`. The same
 * photos every time. Run by the build where they are missing.
 */
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { demoPieces } from '@/demo/scenario';
import { halfRubbed, photograph, type ShotOrder } from '@/testing/half-rubbed';
import { landedOf } from './in-node';

const OUT = join(__dirname, '../public/demo');
const PHOTO = { width: 2400, height: 1800 };
const QUALITY = 84;

const files = { dry: join(OUT, 'board-half-rubbed.jpg'), wet: join(OUT, 'board-half-rubbed-wet.jpg') };
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
  const truth = halfRubbed(order, print.picture.data);
  for (const [name, file] of Object.entries(files)) {
    const { photo } = photograph(order, truth, name === 'wet');
    await sharp(Buffer.from(photo.data.buffer), { raw: { width: photo.width, height: photo.height, channels: 4 } })
      .jpeg({ quality: QUALITY })
      .toFile(file);
  }
  console.log(`${Object.values(files).join(' and ')} are drawn`);
}

if (!Object.values(files).every(existsSync) || process.argv.includes('--force')) void draw();
