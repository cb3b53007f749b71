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

it('every station has a name', () => expect(Object.keys(STATION_NAMES)).toEqual([...STATIONS]));

it.each([
  [[], ''],
  [['left'], 'left'],
  [['left', 'top'], 'left and top'],
  [['a', 'b', 'c'], 'a, b and c'],
])('lists %p', (items, words) => expect(listOf(items)).toBe(words));
