import fc from '@/testing/properties';
import {
  FULL_CROP,
  MAX_PICTURE_BYTES,
  acceptPicture,
  checkBytes,
  cropAspect,
  cropPixels,
  cropToAspect,
  effectivePpi,
  isWhole,
  largestAcceptableWidthMm,
  ratioAspect,
  resolutionVerdict,
  toneShares,
} from './index';
import { lightnessOf } from '@/core/colour';

const PHOTO = { widthPx: 4000, heightPx: 3000 };

describe('crop', () => {
  it('keeps its centre and takes the aspect asked for', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        fc.double({ min: 0.2, max: 0.6, noNaN: true }),
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        (x, width, aspect) => {
          const crop = { x, y: x / 2, width, height: width / 2 };
          const cut = cropToAspect(crop, PHOTO, aspect);
          expect(cropAspect(cut, PHOTO)).toBeCloseTo(aspect, 6);
          expect(cut.x + cut.width / 2).toBeCloseTo(crop.x + crop.width / 2, 9);
          expect(cut.y + cut.height / 2).toBeCloseTo(crop.y + crop.height / 2, 9);
          expect(cut.width).toBeLessThanOrEqual(crop.width + 1e-12);
          expect(cut.height).toBeLessThanOrEqual(crop.height + 1e-12);
        },
      ),
    );
  });
  it('knows the shapes by name', () => {
    expect(ratioAspect('3:2', null)).toBe(1.5);
    expect(ratioAspect('blank', 1.25)).toBe(1.25);
    expect(ratioAspect('free', 1.25)).toBeNull();
    expect(cropPixels({ x: 0.5, y: 0, width: 0.5, height: 1 }, PHOTO)).toEqual({
      xPx: 2000,
      yPx: 0,
      widthPx: 2000,
      heightPx: 3000,
    });
    expect(cropAspect(FULL_CROP, PHOTO)).toBeCloseTo(4 / 3, 9);
  });
});

describe('resolution', () => {
  it('is what the pixels give on paper', () => {
    expect(effectivePpi({ widthPx: 3000, heightPx: 2400 }, { widthMm: 254, heightMm: 203.2 })).toBeCloseTo(300, 6);
    expect(effectivePpi({ widthPx: 3000, heightPx: 1200 }, { widthMm: 254, heightMm: 203.2 })).toBeCloseTo(150, 6);
  });
  it.each([
    [300, 'excellent'],
    [299.4, 'good'],
    [200, 'good'],
    [199.6, 'good'],
    [199.4, 'acceptable'],
    [150, 'acceptable'],
    [149, 'soft'],
  ] as const)('%p ppi is %s', (ppi, verdict) => expect(resolutionVerdict(ppi, false)).toBe(verdict));
  it('is forgiven a third on a coarse surface', () => {
    expect(resolutionVerdict(100, true)).toBe('acceptable');
    expect(resolutionVerdict(99, true)).toBe('soft');
    expect(largestAcceptableWidthMm({ widthPx: 1500, heightPx: 1000 }, false)).toBeCloseTo(254, 6);
    expect(largestAcceptableWidthMm({ widthPx: 1500, heightPx: 1000 }, true)).toBeCloseTo(381, 6);
  });
});

describe('tones', () => {
  const grey = (levels: number[]) => Uint8ClampedArray.from(levels.flatMap((level) => [level, level, level, 255]));
  it('gives the shares that were painted', () => {
    const levels = [...Array<number>(300).fill(255), ...Array<number>(450).fill(12), ...Array<number>(250).fill(128)];
    const { paleShare, darkShare } = toneShares(grey(levels));
    expect(paleShare).toBeCloseTo(0.3, 3);
    expect(darkShare).toBeCloseTo(0.45, 3);
  });
  it('counts what is transparent as paper', () =>
    expect(toneShares(Uint8ClampedArray.from([0, 0, 0, 0])).paleShare).toBe(1));
  it('knows CIE lightness', () => {
    expect(lightnessOf('#ffffff')).toBeCloseTo(100, 3);
    expect(lightnessOf('#000000')).toBe(0);
    expect(lightnessOf('#777777')).toBeCloseTo(50.03, 1);
    expect(() => lightnessOf('white')).toThrow('expected a colour');
  });
});

describe('what is taken in', () => {
  const jpeg = { type: 'jpg', width: 4000, height: 3000 };
  it('turns a JPEG upright by its orientation', () => {
    for (const orientation of [1, 2, 3, 4])
      expect(acceptPicture(1000, { ...jpeg, orientation })).toMatchObject({
        ok: true,
        value: { widthPx: 4000, heightPx: 3000 },
      });
    for (const orientation of [5, 6, 7, 8])
      expect(acceptPicture(1000, { ...jpeg, orientation })).toMatchObject({
        ok: true,
        value: { widthPx: 3000, heightPx: 4000, orientation },
      });
  });
  it.each([
    [0, jpeg, 'picture-empty'],
    [MAX_PICTURE_BYTES + 1, jpeg, 'picture-too-large'],
    [1000, { ...jpeg, width: 12_001, height: 10_000 }, 'picture-too-many-pixels'],
    [1000, { ...jpeg, type: 'gif' }, 'picture-type'],
    [1000, { ...jpeg, type: 'svg' }, 'picture-type'],
    [1000, { ...jpeg, type: 'toString' }, 'picture-type'],
    [1000, null, 'picture-type'],
    [1000, { ...jpeg, width: 0 }, 'picture-broken'],
  ])('%p bytes of %p: %s', (bytes, header, code) =>
    expect(acceptPicture(bytes, header)).toMatchObject({ ok: false, error: { code } }),
  );
  it('takes exactly the limits', () => {
    expect(acceptPicture(MAX_PICTURE_BYTES, { ...jpeg, width: 12_000, height: 10_000 }).ok).toBe(true);
    expect(checkBytes(1).ok).toBe(true);
  });
  it('sees a file that was cut short', () => {
    expect(isWhole('image/jpeg', Uint8Array.from([0xff, 0xd8, 1, 2, 0xff, 0xd9, 0, 0]))).toBe(true);
    expect(isWhole('image/jpeg', Uint8Array.from([0xff, 0xd8, 1, 2, 3]))).toBe(false);
    expect(isWhole('image/png', Uint8Array.from([0x89, 0x50, 0x49, 0x45, 0x4e, 0x44, 0, 0, 0, 0]))).toBe(true);
    expect(isWhole('image/png', Uint8Array.from([0x89, 0x50, 0x4e, 0x47]))).toBe(false);
    const webp = Uint8Array.from([0x52, 0x49, 0x46, 0x46, 8, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0]);
    expect(isWhole('image/webp', webp)).toBe(true);
    expect(isWhole('image/webp', webp.subarray(0, 14))).toBe(false);
  });
});
