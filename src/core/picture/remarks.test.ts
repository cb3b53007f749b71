import sharp from 'sharp';
import { isTransparent, remarksOf } from './index';

const plain = { create: { width: 16, height: 16, channels: 3 as const, background: '#804020' } };

describe('what is to be known of a picture file', () => {
  it('tells inks from light in JPEGs', async () => {
    const rgb = await sharp(plain).jpeg().toBuffer();
    const inks = await sharp(plain).toColourspace('cmyk').jpeg().toBuffer();
    expect(remarksOf('image/jpeg', rgb)).toEqual([]);
    expect(remarksOf('image/jpeg', inks)).toEqual(['inks']);
    for (let at = 0; at < inks.length; at += 7)
      expect(() => remarksOf('image/jpeg', inks.subarray(0, at))).not.toThrow();
  });

  it('tells several frames from one in WebP and PNG', async () => {
    const frames = Buffer.concat([Buffer.alloc(16 * 16 * 3, 40), Buffer.alloc(16 * 16 * 3, 200)]);
    const animated = await sharp(frames, { raw: { width: 16, height: 32, channels: 3, pageHeight: 16 } })
      .webp({ loop: 0, delay: [100, 100] })
      .toBuffer();
    expect(remarksOf('image/webp', animated)).toEqual(['animated']);
    expect(remarksOf('image/webp', await sharp(plain).webp().toBuffer())).toEqual([]);
    const png = await sharp(plain).png().toBuffer();
    expect(remarksOf('image/png', png)).toEqual([]);
    const control = Buffer.concat([
      png.subarray(0, 33),
      Buffer.from('\0\0\0\x08acTL\0\0\0\x02\0\0\0\0\0\0\0\0', 'latin1'),
      png.subarray(33),
    ]);
    expect(remarksOf('image/png', control)).toEqual(['animated']);
  });

  it('tells what is see-through, and not a stray pixel of it', () => {
    const rgba = new Uint8ClampedArray(100 * 100 * 4).fill(255);
    expect(isTransparent(rgba)).toBe(false);
    rgba[3] = 0;
    expect(isTransparent(rgba)).toBe(false);
    for (let at = 3; at < 4000; at += 4) rgba[at] = 120;
    expect(isTransparent(rgba)).toBe(true);
  });
});
