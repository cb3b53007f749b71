import fc from '@/testing/properties';
import {
  formatDuration,
  formatTemperature,
  formatVolume,
  parseFigure,
  parsePercent,
  parseTemperatureC,
  parseVolumeMl,
} from './index';

const value = (read: { ok: true; value: number } | { ok: false; error: { code: string } }) =>
  read.ok ? Number(read.value.toFixed(3)) : read.error.code;

describe('volumes, temperatures and figures', () => {
  it.each([
    ['30 ml', 30],
    ['30', 30],
    ['1 fl oz', 29.574],
    ['1 fl. oz', 29.574],
    ['1/2 l', 500],
    ['2 cl', 20],
  ])('%s', (text, ml) => expect(value(parseVolumeMl(text, 'metric'))).toBe(ml));
  it('takes a bare volume in the unit in use', () => expect(value(parseVolumeMl('8', 'inch'))).toBe(236.588));
  it.each([
    ['21', 21],
    ['21 °C', 21],
    ['72 °F', 22.222],
    ['72F', 22.222],
    ['-5 C', -5],
    ['21°', 21],
  ])('%s', (text, celsius) => expect(value(parseTemperatureC(text, 'metric'))).toBe(celsius));
  it('takes a bare temperature in the unit in use', () => expect(value(parseTemperatureC('68', 'inch'))).toBe(20));
  it('reads percent with or without its sign', () => {
    expect(value(parsePercent('50 %'))).toBe(50);
    expect(value(parsePercent('50'))).toBe(50);
    expect(value(parsePercent('120'))).toBe('quantity-range');
  });
  it.each([
    ['', 'quantity-empty'],
    ['warm', 'quantity-unreadable'],
    ['21 K', 'quantity-unreadable'],
    ['99 C', 'quantity-range'],
  ])('refuses %p', (text, code) => expect(value(parseTemperatureC(text, 'metric'))).toBe(code));
  it('keeps a plain figure in its range', () => {
    expect(value(parseFigure('3', { min: 1, max: 20 }))).toBe(3);
    expect(value(parseFigure('0', { min: 1, max: 20 }))).toBe('quantity-range');
  });

  it('writes what it reads', () => {
    fc.assert(
      fc.property(fc.double({ min: 10, max: 5000, noNaN: true }), (ml) => {
        const read = parseVolumeMl(formatVolume(ml, 'metric'), 'metric');
        expect(read.ok && Math.abs(read.value - ml) <= 0.5).toBe(true);
      }),
    );
    expect(formatTemperature(21, 'metric')).toBe('21 °C');
    expect(formatTemperature(21, 'inch')).toBe('70 °F');
    expect(formatVolume(34, 'inch')).toBe('1.15 fl oz');
  });

  it.each([
    [0.25, '15 min'],
    [1.5, '1 h 30 min'],
    [9.66, '9 h 40 min'],
    [26, '26 h'],
    [96, '4 days'],
    [0.999, '1 h'],
    [48, '48 h'],
  ])('%p h is %s', (hours, text) => expect(formatDuration(hours)).toBe(text));
});
