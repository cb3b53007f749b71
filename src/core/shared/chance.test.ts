import { hashBytes } from './hash';
import { clamp, seededChance, sum } from './index';

describe('seeded chance', () => {
  it('is the published row of its seed, on every machine', () => {
    const chance = seededChance(1);
    expect([chance(), chance(), chance()]).toEqual([0.6270739405881613, 0.002735721180215478, 0.5274470399599522]);
  });
  it('lies in 0 to 1, evenly', () => {
    const chance = seededChance(7);
    const drawn = Array.from({ length: 20_000 }, chance);
    expect(Math.min(...drawn)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...drawn)).toBeLessThan(1);
    for (let tenth = 0; tenth < 10; tenth++) {
      const share = drawn.filter((value) => Math.floor(value * 10) === tenth).length / drawn.length;
      expect(Math.abs(share - 0.1)).toBeLessThan(0.01);
    }
  });
});

describe('small things that all rest on', () => {
  it('holds a figure between two', () => {
    expect([clamp(-1, 0, 5), clamp(3, 0, 5), clamp(9, 0, 5)]).toEqual([0, 3, 5]);
  });
  it('adds figures, none of them too', () => {
    expect([sum([]), sum([1, -4, 2.5])]).toEqual([0, -0.5]);
  });
  it('hashes as the standard says, with or without the browser’s own', async () => {
    const abc = new Uint8Array([0x61, 0x62, 0x63]);
    const known = 'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad';
    expect(await hashBytes(abc)).toBe(known);
    const own = Object.getOwnPropertyDescriptor(globalThis, 'crypto')!;
    Object.defineProperty(globalThis, 'crypto', { value: undefined, configurable: true });
    expect(await hashBytes(abc)).toBe(known);
    Object.defineProperty(globalThis, 'crypto', own);
  });
});
