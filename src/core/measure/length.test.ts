import fc from '@/testing/properties';
import { formatLength, formatSize, inchesToMm, parseLengthMm, type UnitSystem } from './index';

const mm = (text: string, system: UnitSystem = 'metric', bare?: 'cm' | 'mm') => {
  const read = parseLengthMm(text, system, { minMm: 0, maxMm: 10_000 }, bare);
  return read.ok ? Number(read.value.toFixed(4)) : read.error.code;
};

describe('reading a length as people type it', () => {
  it.each([
    ['11 3/4 in', 298.45],
    ['11.75"', 298.45],
    ['11-3/4"', 298.45],
    ['11¾ in', 298.45],
    ['11.75 inches', 298.45],
    ['11,75 in', 298.45],
    ['30cm', 300],
    ['30 cm', 300],
    ['300 mm', 300],
    ['0.3 m', 300],
    ['1\' 2"', 355.6],
    ['1 ft 2 in', 355.6],
    ['1’ 2½”', 368.3],
    ["2'", 609.6],
    ['3/8 in', 9.525],
    ['.5 in', 12.7],
    ['30 cm.', 300],
  ])('%s', (text, expected) => expect(mm(text)).toBe(expected));

  it('takes a bare number in the unit in use', () => {
    expect(mm('30')).toBe(300);
    expect(mm('12', 'inch')).toBe(304.8);
    expect(mm('12', 'metric', 'mm')).toBe(12);
    expect(mm('12', 'inch', 'mm')).toBe(304.8);
    expect(mm('11 3/4', 'inch')).toBe(298.45);
  });

  it.each([
    ['', 'length-empty'],
    ['  ', 'length-empty'],
    ['wide', 'length-unreadable'],
    ['12 furlongs', 'length-unreadable'],
    ['3/0 in', 'length-unreadable'],
    ['-4 cm', 'length-unreadable'],
    ['1,200', 'length-unclear'],
    ['30 cm cm', 'length-unreadable'],
    ['constructor', 'length-unreadable'],
    ['12 toString', 'length-unreadable'],
    ['200 m', 'length-range'],
  ])('refuses %p with a reason', (text, code) => expect(mm(text)).toBe(code));

  it('says the range it wanted', () => {
    const read = parseLengthMm('5 m', 'metric', { minMm: 10, maxMm: 3000 });
    expect(read).toMatchObject({ ok: false, error: { code: 'length-range', values: { minMm: 10, maxMm: 3000 } } });
  });
});

describe('writing a length', () => {
  it.each([
    [298.45, 'inch', '11 3/4 in'],
    [304.8, 'inch', '12 in'],
    [9.525, 'inch', '3/8 in'],
    [300, 'inch', '11 13/16 in'],
    [294, 'inch', '11 9/16 in'],
    [8.73, 'inch', '11/32 in'],
    [0.2, 'inch', '1/64 in'],
    [300, 'metric', '30 cm'],
    [298.45, 'metric', '29.84 cm'],
    [5, 'metric', '5 mm'],
    [0.35, 'metric', '0.3 mm'],
  ] as const)('%p mm in %s is %s', (value, system, text) => expect(formatLength(value, system)).toBe(text));

  it('says the unit of a size once, and keeps to one unit', () => {
    expect(formatSize([300, 50], 'metric')).toBe('30 × 5 cm');
    expect(formatSize([80, 50], 'metric')).toBe('80 × 50 mm');
    expect(formatSize([298.45, 203.2], 'inch')).toBe('11 3/4 × 8 in');
  });

  it('is read back to what was written, within what it shows', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 3000, noNaN: true }),
        fc.constantFrom<UnitSystem>('metric', 'inch'),
        (value, system) => {
          const read = parseLengthMm(formatLength(value, system), system);
          expect(read.ok).toBe(true);
          if (read.ok) expect(Math.abs(read.value - value)).toBeLessThanOrEqual(system === 'inch' ? 0.794 : 0.0501);
        },
      ),
    );
  });

  it('comes back to the same text however often it is read', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 3000, noNaN: true }),
        fc.constantFrom<UnitSystem>('metric', 'inch'),
        (value, system) => {
          const text = formatLength(value, system);
          const read = parseLengthMm(text, system);
          if (read.ok) expect(formatLength(read.value, system)).toBe(text);
        },
      ),
    );
  });

  it('keeps sixteenths exactly', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1600 }), (sixteenths) => {
        const value = inchesToMm(sixteenths / 16);
        const read = parseLengthMm(formatLength(value, 'inch'), 'inch');
        expect(read.ok && Math.abs(read.value - value) < 1e-9).toBe(true);
      }),
    );
  });
});
