import { createCanvas, GlobalFonts, type SKRSContext2D } from '@napi-rs/canvas';
import { join } from 'node:path';
import { looksLettered } from './reads';

const FONTS = join(process.cwd(), 'node_modules/@fontsource');
const FACES = ['oswald', 'playfair-display', 'special-elite', 'alfa-slab-one'] as const;
for (const face of FACES)
  GlobalFonts.registerFromPath(join(FONTS, face, 'files', `${face}-latin-400-normal.woff`), face);

const [WIDTH, HEIGHT] = [720, 440];
/** Worn type is only found where it is small. */
const CASES = FACES.flatMap((face) =>
  (face === 'special-elite' ? [20] : [20, 40, 90]).map((px) => [face, px] as const),
);

type Draw = (context: SKRSContext2D) => void;
const seen = (draw: Draw): boolean => {
  const context = createCanvas(WIDTH, HEIGHT).getContext('2d');
  context.fillStyle = '#f4f1e8';
  context.fillRect(0, 0, WIDTH, HEIGHT);
  draw(context);
  return looksLettered(new Uint8ClampedArray(context.getImageData(0, 0, WIDTH, HEIGHT).data), WIDTH, HEIGHT);
};
const written =
  (
    face: string,
    px: number,
    { ink = '#22303a', ground = null as string | null, tilt = 0, text = 'Wrenfold Halt' } = {},
  ): Draw =>
  (context) => {
    if (ground) {
      context.fillStyle = ground;
      context.fillRect(0, 0, WIDTH, HEIGHT);
    }
    context.translate(40, 250);
    context.rotate(tilt);
    context.fillStyle = ink;
    context.font = `${px}px "${face}"`;
    context.fillText(text, 0, 0);
  };

describe('lettering is taken for lettering', () => {
  it.each(CASES)('%s at %d px', (face, px) => {
    expect(seen(written(face, px))).toBe(true);
  });
  it('light on dark, a little askew, capitals and figures', () => {
    expect(seen(written('oswald', 60, { ink: '#ffffff', ground: '#20303c' }))).toBe(true);
    expect(seen(written('oswald', 60, { tilt: 0.06 }))).toBe(true);
    expect(seen(written('playfair-display', 50, { text: 'EST. 1894' }))).toBe(true);
  });
});

describe('what only stands in rows is not', () => {
  const row =
    (draw: (context: SKRSContext2D, at: number) => void): Draw =>
    (context) => {
      context.fillStyle = '#22303a';
      for (let at = 0; at < 14; at++) draw(context, at);
    };
  it.each<[string, Draw]>([
    ['an even ground', () => undefined],
    ['windows', row((context, at) => context.fillRect(20 + at * 48, 200, 34, 44))],
    ['a fence', row((context, at) => context.fillRect(40 + at * 40, 150, 10, 160))],
    [
      'beads',
      row((context, at) => {
        context.beginPath();
        context.arc(40 + at * 48, 220, 18, 0, 7);
        context.fill();
      }),
    ],
    ['four letters alone', written('oswald', 60, { text: 'Halt' })],
    ['faint ink', written('oswald', 60, { ink: '#e6e2d8' })],
    [
      'stones that lie about',
      row((context, at) => {
        context.beginPath();
        context.ellipse(
          90 + at * 58,
          320 + 60 * Math.sin(at * 2.4),
          8 + ((at * 7) % 19),
          8 + ((at * 5) % 13),
          at,
          0,
          7,
        );
        context.fill();
      }),
    ],
    [
      'a chequered cloth',
      (context) => {
        context.fillStyle = '#7d2f2a';
        for (let y = 0; y < 18; y++) for (let x = y % 2; x < 26; x += 2) context.fillRect(x * 40, y * 40, 40, 40);
      },
    ],
  ])('%s', (_, draw) => {
    expect(seen(draw)).toBe(false);
  });
});

test('a picture of one pixel, and of one row', () => {
  expect(looksLettered(new Uint8ClampedArray([0, 0, 0, 255]), 1, 1)).toBe(false);
  expect(looksLettered(new Uint8ClampedArray(4 * 50).fill(255), 50, 1)).toBe(false);
});
