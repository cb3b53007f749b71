import fc from '@/testing/properties';
import { PIGMENTS, type PigmentId } from '@/core/craft';
import { TOUCH, deltaE2000, findMix, labOfHex as lab, mixedColour } from './index';

const hue = (hex: string) => {
  const [, a, b] = lab(hex);
  return ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;
};
const chroma = (hex: string) => Math.hypot(lab(hex)[1], lab(hex)[2]);
const pigment = (id: PigmentId) => PIGMENTS.find((one) => one.id === id)!;
const mixed = (...parts: [PigmentId, number][]) =>
  mixedColour(parts.map(([id, volume]) => ({ paint: pigment(id), parts: volume })));

describe('mixing', () => {
  it.each([
    ['phthalo blue and yellow: green', mixed(['phthalo-blue', 1], ['hansa-yellow', 8]), 105, 200],
    ['phthalo green and yellow: a leaf green', mixed(['phthalo-green', 1], ['hansa-yellow', 8]), 100, 170],
    ['red and yellow: orange', mixed(['naphthol-red', 1], ['hansa-yellow', 2]), 30, 75],
    ['ultramarine and magenta: violet', mixed(['ultramarine-blue', 1], ['quinacridone-magenta', 2]), 290, 350],
  ])('%s', (_, colour, from, until) => {
    expect(hue(colour)).toBeGreaterThan(from);
    expect(hue(colour)).toBeLessThan(until);
    expect(chroma(colour)).toBeGreaterThan(8);
  });

  it('ultramarine and burnt sienna make a dark near-neutral, black in white a grey', () => {
    const dark = mixed(['ultramarine-blue', 1], ['burnt-sienna', 1]);
    expect(lab(dark)[0]).toBeLessThan(32);
    expect(chroma(dark)).toBeLessThan(12);
    const grey = mixed(['carbon-black', 1], ['titanium-white', 10]);
    expect(chroma(grey)).toBeLessThan(8);
    expect(lab(grey)[0]).toBeGreaterThan(32);
    expect(lab(grey)[0]).toBeLessThan(60);
  });

  it('more white is lighter, order and scale of parts are nothing, one paint is itself', () => {
    fc.assert(
      fc.property(fc.constantFrom(...PIGMENTS.slice(1)), fc.integer({ min: 1, max: 12 }), (paint, white) => {
        const tint = (volume: number, scale = 1) =>
          mixedColour([
            { paint, parts: scale },
            { paint: pigment('titanium-white'), parts: volume * scale },
          ]);
        expect(lab(tint(white + 4))[0]).toBeGreaterThan(lab(tint(white))[0]);
        expect(deltaE2000(lab(tint(white)), lab(tint(white, 3)))).toBeLessThan(1);
        expect(mixedColour([{ paint, parts: 5 }])).toBe(paint.masstone);
        expect(mixedColour([])).toBe('#ffffff');
      }),
      { numRuns: 40 },
    );
  });

  it('finds a mix near what two or three of its paints give, in few whole parts', () => {
    const off = [
      mixed(['titanium-white', 3], ['burnt-umber', 1]),
      mixed(['ultramarine-blue', 2], ['titanium-white', 5]),
      mixed(['yellow-ochre', 4], ['titanium-white', 2], ['raw-umber', 1]),
      mixed(['phthalo-green', 1], ['hansa-yellow', 6], ['titanium-white', 3]),
      mixed(['naphthol-red', 2], ['titanium-white', 8], ['yellow-ochre', 1]),
    ].map((wanted) => {
      const found = findMix(wanted, PIGMENTS)!;
      expect(found.parts.length).toBeLessThanOrEqual(3);
      for (const { parts } of found.parts) expect(Number.isInteger(parts)).toBe(true);
      return found.off;
    });
    expect(off.reduce((sum, one) => sum + one, 0) / off.length).toBeLessThan(3);
    expect(findMix('#123456', [])).toBeNull();
    expect(findMix('#fbfbf6', PIGMENTS)).toMatchObject({ parts: [{ parts: 1 }], off: 0 });
  });
});

describe('for a spot', () => {
  const WANTED = ['#2a1d14', '#e8d9c2', '#7a8f5c', '#f3efe6', '#40506a', '#b5553a', '#101010', '#c9b18f'];
  it.each(WANTED)('%s: eight parts in all, as near as that gets', (wanted) => {
    const { parts, off } = findMix(wanted, PIGMENTS, 8)!;
    expect(parts.reduce((sum, part) => sum + part.parts, 0)).toBeLessThanOrEqual(8);
    for (const part of parts) expect(part.parts === TOUCH || Number.isInteger(part.parts)).toBe(true);
    expect(off).toBeLessThanOrEqual(findMix(wanted, PIGMENTS)!.off + 6);
  });
});
