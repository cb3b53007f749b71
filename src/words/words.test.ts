import { STATIONS } from '@/core/stations';
import { FAILURE_CODES, STATION_NAMES, listOf, sentenceFor, wordingIn } from './index';

const units = wordingIn('metric');

describe('sentences of failures', () => {
  it('read as they should', () => {
    const values = {
      most: 60,
      pages: 72,
      widthMm: 330,
      heightMm: 480,
      minMm: 10,
      maxMm: 3000,
      min: 0,
      max: 100,
      bytes: 70 * 1048576,
      megapixels: 140,
      largestWidthMm: 287,
      largestHeightMm: 188,
      paper: 'a4',
      paths: 'surface.widthMm',
      found: 3,
      known: 2,
      name: 'map.jpg',
      text: 'wide',
      percent: 480,
      megabytes: 70,
    };
    expect(
      Object.fromEntries(FAILURE_CODES.map((code) => [code, sentenceFor({ code, message: '', values }, units)])),
    ).toMatchSnapshot();
  });
});

describe('a sentence of any failure', () => {
  const odd = [
    {},
    { text: '', name: '', path: '', type: '', kind: '', paths: '' },
    { most: 0, min: 0, max: 0, bytes: 0, minMm: 0, maxMm: 0, pages: 0, percent: 0 },
    {
      maxMm: 1e9,
      bytes: 1e15,
      most: 1e9,
      text: '${x} {0} %s',
      name: '<b>“”</b>',
      kind: 'constructor',
      type: '__proto__',
    },
  ];
  it.each(['metric', 'inch'] as const)('stands whole whatever its figures are, in %s', (system) => {
    const found = FAILURE_CODES.flatMap((code) =>
      odd.map((values) => ({ code, text: sentenceFor({ code, message: '', values }, wordingIn(system)) })),
    );
    for (const { code, text } of found) {
      expect({ code, text: typeof text }).toEqual({ code, text: 'string' });
      expect({ code, text }).toEqual({ code, text: expect.stringMatching(/^.{10,}[.?]$/s) as string });
      expect({ code, text }).toEqual({
        code,
        text: expect.not.stringMatching(/NaN|undefined|Infinity|\[object|function/) as string,
      });
    }
  });
});

it('every station has a name', () => expect(Object.keys(STATION_NAMES)).toEqual([...STATIONS]));

it.each([
  [[], ''],
  [['left'], 'left'],
  [['left', 'top'], 'left and top'],
  [['a', 'b', 'c'], 'a, b and c'],
])('lists %p', (items, words) => expect(listOf(items)).toBe(words));
