import {
  parseFilmUm,
  parseLengthMm,
  parseSpans,
  parseTemperatureC,
  parseVolumeMl,
  formatSpans,
  type UnitSystem,
} from './index';

type Read = { ok: true; value: unknown } | { ok: false; error: { code: string } };
const said = (read: Read): unknown => {
  if (!read.ok) return read.error.code;
  return typeof read.value === 'number' ? Number(read.value.toFixed(2)) : read.value;
};

/** What people type, the units in use, and what it reads as: mm, ml, °C, or why it is refused. */
const LENGTHS: readonly [string, UnitSystem, number | string][] = [
  ['30', 'metric', 300],
  ['30 cm', 'metric', 300],
  ['30cm', 'metric', 300],
  ['30 CM', 'metric', 300],
  ['30,5 cm', 'metric', 305],
  ['30.5 cm', 'metric', 305],
  ['300 mm', 'metric', 300],
  ['300mm', 'metric', 300],
  ['1 200 mm', 'metric', 1200],
  ['1\u00a0200 mm', 'metric', 1200],
  ['1\u202f200 mm', 'metric', 1200],
  ['1200 mm', 'metric', 1200],
  ['1.200 mm', 'metric', 'length-unclear'],
  ['1,200 mm', 'metric', 'length-unclear'],
  ['1.200 cm', 'metric', 'length-unclear'],
  ['1.200', 'metric', 'length-unclear'],
  ['1.2 m', 'metric', 1200],
  ['1.200 m', 'metric', 1200],
  ['0.125 cm', 'metric', 1.25],
  ['30 cm 5 mm', 'metric', 305],
  ['30cm 5mm', 'metric', 305],
  ['1 m 20 cm', 'metric', 1200],
  ['1 m 5 mm', 'metric', 1005],
  ['30 cm 50 mm', 'metric', 'length-unreadable'],
  ['300', 'metric', 'length-which-unit'],
  ['1200', 'metric', 'length-which-unit'],
  ['150', 'metric', 1500],
  ['11 3/4 in', 'metric', 298.45],
  ['11 3/4', 'inch', 298.45],
  ['11-3/4', 'inch', 298.45],
  ['11-3/4"', 'inch', 298.45],
  ['11.75', 'inch', 298.45],
  ['11¾', 'inch', 298.45],
  ['3/8', 'inch', 9.52],
  ['⅜ in', 'inch', 9.52],
  ['1/16 in', 'inch', 1.59],
  ['1.125 in', 'inch', 28.57],
  ["6'", 'inch', 1828.8],
  ['6\' 2"', 'inch', 1879.6],
  ['6\'2"', 'inch', 1879.6],
  ['6\'-2"', 'inch', 1879.6],
  ['6\'-2 1/2"', 'inch', 1892.3],
  ['6’-2”', 'inch', 1879.6],
  ['6 ft 2 in', 'inch', 1879.6],
  ['6 feet 2 inches', 'inch', 1879.6],
  ['6ft', 'inch', 1828.8],
  ['2 foot', 'inch', 609.6],
  ['12 inches', 'inch', 304.8],
  ['12 in.', 'inch', 304.8],
  ["12''", 'inch', 304.8],
  ['12”', 'inch', 304.8],
  ['300', 'inch', 'length-which-unit'],
  ['96', 'inch', 2438.4],
  ['30 cm', 'inch', 300],
  ['0', 'metric', 0],
  ['', 'metric', 'length-empty'],
  ['   ', 'inch', 'length-empty'],
  ['-5 cm', 'metric', 'length-unreadable'],
  ['−5 cm', 'metric', 'length-unreadable'],
  ['thirty', 'metric', 'length-unreadable'],
  ['30 cubits', 'metric', 'length-unreadable'],
  ['30 x 20', 'metric', 'length-unreadable'],
  ['30 × 20 cm', 'metric', 'length-unreadable'],
  ['1/0 in', 'inch', 'length-unreadable'],
  ['5/', 'inch', 'length-unreadable'],
  ['1e3 mm', 'metric', 'length-unreadable'],
  ['NaN', 'metric', 'length-unreadable'],
  ['Infinity cm', 'metric', 'length-unreadable'],
  ['99999 m', 'metric', 'length-range'],
];

const VOLUMES: readonly [string, UnitSystem, number | string][] = [
  ['30', 'metric', 30],
  ['30 ml', 'metric', 30],
  ['30ml', 'metric', 30],
  ['30 mL', 'metric', 30],
  ['3 cl', 'metric', 30],
  ['0.5 l', 'metric', 500],
  ['1/2 litre', 'metric', 500],
  ['2 litres', 'metric', 2000],
  ['1 liter', 'metric', 1000],
  ['1 500 ml', 'metric', 1500],
  ['8 fl oz', 'inch', 236.59],
  ['8 fl. oz.', 'inch', 236.59],
  ['8', 'inch', 236.59],
  ['8 oz', 'inch', 236.59],
  ['8 ounces', 'inch', 236.59],
  ['1 cup', 'inch', 236.59],
  ['2 cups', 'inch', 473.18],
  ['1 pint', 'inch', 473.18],
  ['1/2 pint', 'inch', 236.59],
  ['1 pt', 'inch', 473.18],
  ['1 quart', 'inch', 946.35],
  ['1 qt', 'inch', 946.35],
  ['1 gallon', 'inch', 3785.41],
  ['1 tbsp', 'inch', 14.79],
  ['3 tsp', 'inch', 14.79],
  ['1 pint', 'metric', 473.18],
  ['', 'metric', 'quantity-empty'],
  ['some', 'metric', 'quantity-unreadable'],
  ['5 jars', 'metric', 'quantity-unreadable'],
  ['-5 ml', 'metric', 'quantity-range'],
  ['1,200 ml', 'metric', 'quantity-unreadable'],
  ['200000 l', 'metric', 'quantity-range'],
];

const TEMPERATURES: readonly [string, UnitSystem, number | string][] = [
  ['21', 'metric', 21],
  ['21 °C', 'metric', 21],
  ['21°C', 'metric', 21],
  ['21 C', 'metric', 21],
  ['21 celsius', 'metric', 21],
  ['21 degrees', 'metric', 21],
  ['21 degrees C', 'metric', 21],
  ['21,5 °C', 'metric', 21.5],
  ['68', 'inch', 20],
  ['68 °F', 'inch', 20],
  ['68 F', 'metric', 20],
  ['68 degrees', 'inch', 20],
  ['68 deg', 'inch', 20],
  ['68 degrees Fahrenheit', 'metric', 20],
  ['68º', 'inch', 20],
  ['-5 °C', 'metric', -5],
  ['−5 °C', 'metric', -5],
  ['–5 °C', 'metric', -5],
  ['20 °C', 'inch', 20],
  ['0 °C', 'metric', 0],
  ['', 'metric', 'quantity-empty'],
  ['warm', 'metric', 'quantity-unreadable'],
  ['300 K', 'metric', 'quantity-unreadable'],
  ['200 °C', 'metric', 'quantity-range'],
];

const FILMS: readonly [string, UnitSystem, number | string][] = [
  ['225', 'metric', 225],
  ['225 µm', 'metric', 225],
  ['225 μm', 'metric', 225],
  ['225 microns', 'metric', 225],
  ['0.2 mm', 'metric', 200],
  ['9', 'inch', 228.6],
  ['9 mil', 'inch', 228.6],
  ['9 mils', 'metric', 228.6],
  ['thick', 'metric', 'quantity-unreadable'],
  ['0', 'metric', 'quantity-range'],
];

const HOURS: readonly [string, string][] = [
  ['18-21', '18:00–21:00'],
  ['18–21', '18:00–21:00'],
  ['18 to 21', '18:00–21:00'],
  ['18:30-21', '18:30–21:00'],
  ['18.30 - 21.15', '18:30–21:15'],
  ['18h-21h', '18:00–21:00'],
  ['18h30-21h', '18:30–21:00'],
  ['18 h – 21 h', '18:00–21:00'],
  ['6-9 pm', '18:00–21:00'],
  ['6 - 9pm', '18:00–21:00'],
  ['6 pm - 9 pm', '18:00–21:00'],
  ['6 p.m. - 9 p.m.', '18:00–21:00'],
  ['6 p.m. to 9 p.m.', '18:00–21:00'],
  ['6:30-9 pm', '18:30–21:00'],
  ['11-1 pm', '11:00–13:00'],
  ['9 am-5', '09:00–17:00'],
  ['9 am - 5 pm', '09:00–17:00'],
  ['8-12 and 1-5 pm', '08:00–12:00, 13:00–17:00'],
  ['8-12, 13-17', '08:00–12:00, 13:00–17:00'],
  ['8-12; 14-16', '08:00–12:00, 14:00–16:00'],
  ['8-12 & 14-16', '08:00–12:00, 14:00–16:00'],
  ['noon-5 pm', '12:00–17:00'],
  ['20-midnight', '20:00–24:00'],
  ['12-1 pm', '12:00–13:00'],
  ['01-05', '01:00–05:00'],
  ['0-24', '00:00–24:00'],
  ['8-12, 1-5', 'spans-unclear'],
  ['1-5', 'spans-unclear'],
  ['9 pm - 6 pm', 'spans-backwards'],
  ['21-18', 'spans-backwards'],
  ['18', 'spans-unreadable'],
  ['18-', 'spans-unreadable'],
  ['evening', 'spans-unreadable'],
  ['25-27', 'spans-unreadable'],
  ['18:75-20', 'spans-unreadable'],
  ['13 pm - 15 pm', 'spans-unreadable'],
  ['18-21, 20-22', 'spans-overlap'],
];

const RANGES = { film: { min: 20, max: 2000 } };

it.each(LENGTHS)('length %p (%s)', (text, system, expected) => {
  const read = parseLengthMm(text, system);
  expect(said(read)).toBe(expected);
});
it.each(VOLUMES)('volume %p (%s)', (text, system, expected) =>
  expect(said(parseVolumeMl(text, system))).toBe(expected),
);
it.each(TEMPERATURES)('temperature %p (%s)', (text, system, expected) =>
  expect(said(parseTemperatureC(text, system))).toBe(expected),
);
it.each(FILMS)('film %p (%s)', (text, system, expected) =>
  expect(said(parseFilmUm(text, system, RANGES.film))).toBe(expected),
);
it.each(HOURS)('hours %p', (text, expected) => {
  const read = parseSpans(text);
  expect(read.ok ? formatSpans(read.value) : read.error.code).toBe(expected);
});
it.each(['06:30–12:00, 13:05–24:00', '00:00–00:30', '11:00–13:00, 18:00–21:00'])(
  '%p by the halves of the day',
  (text) => {
    const spans = parseSpans(text);
    if (!spans.ok) throw new Error(spans.error.code);
    expect(parseSpans(formatSpans(spans.value, 12))).toEqual(spans);
  },
);
it('they are a hundred and fifty at the least', () =>
  expect(LENGTHS.length + VOLUMES.length + TEMPERATURES.length + FILMS.length + HOURS.length).toBeGreaterThanOrEqual(
    150,
  ));
