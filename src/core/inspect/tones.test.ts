import { cellsOf } from './cells';
import type { ExpectedPiece } from './expected-piece';
import type { Cells, Sight, Triple } from './layers';
import { tonesExplained, tonesToTell } from './tones';

type Level = (u: number, v: number) => readonly [number, number, number];

/** A print of 60 × 40 mm whose levels run over it. */
function printed(level: Level): ExpectedPiece {
  const [width, height] = [120, 80];
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) data.set([...level(x / width, y / height), 255], (y * width + x) * 4);
  return {
    picture: { data, width, height },
    landed: new Uint8Array(width * height).fill(255),
    pxPerMm: 2,
    margin: null,
    ground: [0.8, 0.8, 0.8],
    wetted: [1, 1, 1],
    white: null,
  };
}

/** The print as it would be seen, cell by cell, in some light. */
function seenOf(
  { columns, rows, toner, ground }: Cells,
  lit: (u: number, v: number, channel: number) => number,
): Sight {
  const channel = (c: 0 | 1 | 2) =>
    Float32Array.from(toner[c], (light, at) => {
      const [u, v] = [(at % columns) / columns, Math.floor(at / columns) / rows];
      return ground[c] * light * lit(u, v, c);
    });
  return {
    light: [channel(0), channel(1), channel(2)] as Triple<Float32Array>,
    seen: new Uint8Array(columns * rows).fill(1),
  };
}

const SUNSET = printed((u, v) => [200 - 90 * v, 120 + 60 * Math.sin(4 * u), 60 + 150 * v * u]);
const cells = cellsOf(SUNSET, 2);

it('a print explains what is seen of it, in a lamp’s light too, and hardly what lies turned round', () => {
  const lamp = (u: number, v: number) => 0.7 * Math.exp(-0.8 * u + 0.5 * v - 0.4 * u * u);
  const told = tonesExplained(cells, seenOf(cells, lamp));
  const seen = seenOf(cells, lamp);
  const turned: Sight = { ...seen, light: seen.light.map((light) => light.toReversed()) as Triple<Float32Array> };
  expect(told).toBeGreaterThan(1);
  expect(tonesExplained(cells, turned)).toBeLessThan(0.3 * told);
  expect(
    tonesExplained(
      cells,
      seenOf(cells, () => 0.5),
    ),
  ).toBeGreaterThan(told * 0.9);
});

it('its negative explains nothing, nor does what is not seen', () => {
  const seen = seenOf(cells, () => 1);
  const negative: Sight = {
    ...seen,
    light: seen.light.map((light) => light.map((one) => 0.9 - one)) as Triple<Float32Array>,
  };
  expect(tonesExplained(cells, negative)).toBe(0);
  expect(tonesExplained(cells, { ...seen, seen: new Uint8Array(seen.seen.length) })).toBe(0);
});

it('a plain print has next to nothing to tell, one of many tones much', () => {
  expect(
    tonesToTell(
      cellsOf(
        printed(() => [120, 122, 118]),
        2,
      ),
    ),
  ).toBeLessThan(0.05);
  expect(tonesToTell(cells)).toBeGreaterThan(2);
});
