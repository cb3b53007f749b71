/**
 * `npm run bench`, part one: analysis of a 12-megapixel picture (all findings' figures) beside sharp's stats() plus one
 * resize of the same pixels. Median of 7, in one run.
 */
import sharp from 'sharp';
import { FULL_CROP, analyse, ghostlyRegions, lightRegions } from '../src/core/picture';
import { medianMs } from './support.mts';

const [W, H] = [4000, 3000];
const { data } = await sharp({
  create: {
    width: W / 4,
    height: H / 4,
    channels: 3,
    background: '#888',
    noise: { type: 'gaussian', mean: 140, sigma: 60 },
  },
})
  .resize(W, H)
  .ensureAlpha()
  .raw()
  .toBuffer({ resolveWithObject: true });
const pixels = new Uint8ClampedArray(data.buffer, data.byteOffset, data.length);
const source = {
  widthPx: W,
  heightPx: H,
  readRows: (from: number, count: number) => pixels.subarray(from * W * 4, (from + count) * W * 4),
};
const raw = { raw: { width: W, height: H, channels: 4 as const } };

const ours = await medianMs(7, () => {
  const found = analyse(source, FULL_CROP, null);
  ghostlyRegions(found.blocks);
  lightRegions(found.blocks);
  return Promise.resolve();
});
const theirs = await medianMs(7, async () => {
  await sharp(data, raw).stats();
  await sharp(data, raw).resize(1600).raw().toBuffer();
});
console.log(
  `analysis of ${((W * H) / 1e6).toFixed(0)} megapixels: ${ours.toFixed(0)} ms; sharp stats() and one resize: ` +
    `${theirs.toFixed(0)} ms; ratio ${(ours / theirs).toFixed(2)}`,
);
