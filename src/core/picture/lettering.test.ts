import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'opentype.js';
import { FONT_IDS, letteringOutline, type FontId, type TextLayer } from './index';

const WEIGHTS: Readonly<Record<FontId, number>> = {
  oswald: 500,
  'playfair-display': 600,
  'im-fell-english': 400,
  'dancing-script': 600,
  'special-elite': 400,
  'alfa-slab-one': 400,
  'stardos-stencil': 700,
};
const font = (id: FontId) => {
  const bytes = readFileSync(
    join(process.cwd(), 'node_modules', '@fontsource', id, 'files', `${id}-latin-${WEIGHTS[id]}-normal.woff`),
  );
  return parse(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength));
};
const layer = (patch: Partial<TextLayer> = {}): Omit<TextLayer, 'box'> => ({
  id: 'a',
  kind: 'text',
  mode: 'transfer',
  text: 'HEH',
  font: 'oswald',
  sizeMm: 20,
  colour: '#000000',
  xMm: 100,
  yMm: 80,
  turnDeg: 0,
  arcRadiusMm: null,
  ...patch,
});
const OSWALD = font('oswald');
const middle = ({ xMm, widthMm, yMm, heightMm }: { xMm: number; widthMm: number; yMm: number; heightMm: number }) => [
  xMm + widthMm / 2,
  yMm + heightMm / 2,
];

describe('lettering', () => {
  it.each(FONT_IDS)('%s: capitals are as high as they are asked to be, and stand round their middle', (id) => {
    const { box, path } = letteringOutline(font(id), layer({ font: id, text: 'H' }));
    expect(path.startsWith('M')).toBe(true);
    expect(Math.abs(box.heightMm - 20)).toBeLessThan(
      id === 'dancing-script' || id === 'special-elite' || id === 'im-fell-english' ? 4.5 : 1,
    );
    expect(Math.abs(middle(box)[0] - 100)).toBeLessThan(3);
    expect(Math.abs(middle(box)[1] - 80)).toBeLessThan(3);
  });

  it('grows with its size and its words', () => {
    const width = (patch: Partial<TextLayer>) => letteringOutline(OSWALD, layer(patch)).box.widthMm;
    expect(width({ sizeMm: 40 }) / width({})).toBeCloseTo(2, 2);
    expect(width({ text: 'HEHHEH' })).toBeGreaterThan(width({}) * 1.9);
  });

  it('turned by a quarter stands upright', () => {
    const [plain, turned] = [
      letteringOutline(OSWALD, layer()).box,
      letteringOutline(OSWALD, layer({ turnDeg: 90 })).box,
    ];
    expect(turned.heightMm).toBeCloseTo(plain.widthMm, 1);
    expect(turned.widthMm).toBeCloseTo(plain.heightMm, 1);
  });

  it('arches up and hangs down: the ends lie lower or higher than the middle', () => {
    const plain = letteringOutline(OSWALD, layer({ text: 'HHHHHHHHHH' })).box;
    const arch = letteringOutline(OSWALD, layer({ text: 'HHHHHHHHHH', arcRadiusMm: 120 })).box;
    const bowl = letteringOutline(OSWALD, layer({ text: 'HHHHHHHHHH', arcRadiusMm: -120 })).box;
    expect(arch.heightMm).toBeGreaterThan(plain.heightMm * 1.15);
    expect(bowl.heightMm).toBeGreaterThan(plain.heightMm * 1.15);
    expect(arch.yMm + arch.heightMm).toBeGreaterThan(plain.yMm + plain.heightMm);
    expect(bowl.yMm).toBeLessThan(arch.yMm);
    expect(arch.widthMm).toBeLessThan(plain.widthMm * 1.1);
  });

  it('on a very large arc is as good as straight, and stays finite on a very tight one', () => {
    const plain = letteringOutline(OSWALD, layer()).box;
    const wide = letteringOutline(OSWALD, layer({ arcRadiusMm: 5000 })).box;
    expect(Math.abs(wide.heightMm - plain.heightMm)).toBeLessThan(0.3);
    const tight = letteringOutline(OSWALD, layer({ text: 'WRENFOLD HALT', arcRadiusMm: 5 })).box;
    expect(Number.isFinite(tight.widthMm)).toBe(true);
    expect(tight.widthMm).toBeLessThan(400);
  });

  it('blanks have no outline', () =>
    expect(letteringOutline(OSWALD, layer({ text: ' ' })).box).toMatchObject({ widthMm: 0, heightMm: 0 }));
});
