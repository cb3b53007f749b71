import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import sharp from 'sharp';
import { DEMO_PICTURES } from '@/demo/scenario';

/** The example's pictures, drawn where they are not yet, as small RGBA. */
export async function demoPixels(
  longestPx: number,
): Promise<{ name: string; widthPx: number; heightPx: number; rgba: Uint8ClampedArray }[]> {
  execFileSync(process.execPath, [join(process.cwd(), 'scripts', 'draw-demo.mjs')]);
  return Promise.all(
    DEMO_PICTURES.map(async ({ file, name }) => {
      const { data, info } = await sharp(join(process.cwd(), 'public', 'demo', file))
        .resize(longestPx, longestPx, { fit: 'inside' })
        .ensureAlpha()
        .raw()
        .toBuffer({ resolveWithObject: true });
      return { name, widthPx: info.width, heightPx: info.height, rgba: new Uint8ClampedArray(data) };
    }),
  );
}
