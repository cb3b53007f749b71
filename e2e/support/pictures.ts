import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';

const FOLDER = join(process.cwd(), '.cache', 'pictures');

/** The colours of an upright test picture's corners. */
export const CORNERS = {
  topLeft: [200, 30, 30],
  topRight: [30, 160, 50],
  bottomLeft: [40, 60, 200],
  bottomRight: [230, 190, 30],
} as const;

/**
 * A photo-like JPEG of the given upright size whose four quarters have the colours of `CORNERS`, stored lying on its
 * side with EXIF orientation 6, as cameras do.
 */
export async function turnedPhoto(name: string, uprightWidth: number, uprightHeight: number): Promise<string> {
  mkdirSync(FOLDER, { recursive: true });
  const file = join(FOLDER, `${name}.jpg`);
  const [w, h] = [Math.round(uprightWidth / 2), Math.round(uprightHeight / 2)];
  const rgb = ([r, g, b]: readonly number[]) => `rgb(${r},${g},${b})`;
  const quarters = Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${uprightWidth}" height="${uprightHeight}">
    <rect width="${w}" height="${h}" fill="${rgb(CORNERS.topLeft)}"/><rect x="${w}" width="${w}" height="${h}" ` +
      `fill="${rgb(CORNERS.topRight)}"/>
    <rect y="${h}" width="${w}" height="${h}" fill="${rgb(CORNERS.bottomLeft)}"/><rect x="${w}" y="${h}" ` +
      `width="${w}" height="${h}" fill="${rgb(CORNERS.bottomRight)}"/></svg>`,
  );
  const noise = await sharp({
    create: {
      width: Math.round(uprightWidth / 4),
      height: Math.round(uprightHeight / 4),
      channels: 3,
      background: '#808080',
      noise: { type: 'gaussian', mean: 128, sigma: 24 },
    },
  })
    .resize(uprightWidth, uprightHeight, { fit: 'fill' })
    .png({ compressionLevel: 1 })
    .toBuffer();
  const upright = await sharp(quarters)
    .composite([{ input: noise, blend: 'soft-light' }])
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  // Orientation 6: turned a quarter clockwise it is upright, so it is stored turned the other way.
  await sharp(upright.data, { raw: upright.info })
    .rotate(-90)
    .jpeg({ quality: 88 })
    .withMetadata({ orientation: 6 })
    .toFile(file);
  return file;
}

/** A drawing as a PNG file. */
export async function drawing(name: string, body: string, width = 900, height = 600): Promise<string> {
  const folder = join(process.cwd(), '.cache', 'pictures');
  mkdirSync(folder, { recursive: true });
  const file = join(folder, `${name}.png`);
  await sharp(Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">${body}</svg>`))
    .png()
    .toFile(file);
  return file;
}
