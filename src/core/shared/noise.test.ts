import { NoiseSampler, layeredNoise, valueNoise } from './noise';

// Rows of near places, a jump, and places left of and above nothing: the kept cell must never answer for another.
const PLACES = Array.from({ length: 400 }, (_, k) => [(k % 40) * 0.13 - 2.5, Math.floor(k / 40) * 0.7 - 3] as const);

test('a sampler answers as the noise does, wherever it was asked last', () => {
  const sampler = new NoiseSampler(11);
  for (const [x, y] of [...PLACES, [812.25, -77.5] as const, ...PLACES])
    expect(sampler.at(x, y)).toBeCloseTo(valueNoise(x, y, 11), 12);
});

test('with octaves too, and always from 0 to 1', () => {
  const sampler = new NoiseSampler(3, 4);
  for (const [x, y] of PLACES) {
    const value = sampler.at(x, y);
    expect(value).toBeCloseTo(layeredNoise(x, y, 3, 4), 12);
    expect(value >= 0 && value <= 1).toBe(true);
  }
});
