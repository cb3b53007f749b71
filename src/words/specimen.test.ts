import { layingGuide } from '@/core/coat';
import { surfaceById } from '@/core/craft';
import { planPiece } from '@/core/plan';
import { NOTHING_SAID } from '@/core/at-hand';
import { NOW, PICTURE, readyPiece } from '@/testing/builders';
import { guideWords, specimenWords } from './specimen';
import { wordingIn } from './units';

const plan = planPiece(readyPiece(), PICTURE, NOW, NOTHING_SAID);
const { blank, print } = plan.surface;
const described = { surface: 'painted wood', blank, landed: print!.formed.landed, layers: [], grainDeg: null };

it('says what is where, in the person’s units', () => {
  const said = specimenWords(described, wordingIn('metric'));
  expect(said[0]).toBe('The object, painted wood: 24 cm wide, 18 cm high.');
  expect(said[1]).toMatch(/^The print: .+ cm wide, .+ cm high\.$/);
  expect(said[2]).toMatch(
    /^It lies .+ from the left and .+ from the top; .+ are left at the right and .+ at the foot\.$/,
  );
  expect(specimenWords(described, wordingIn('inch'))[0]).toContain('9 7/16 in wide');
});

it('has the blank alone where nothing has landed, and says so where it is not measured', () => {
  expect(specimenWords({ ...described, landed: [] }, wordingIn('metric'))).toHaveLength(1);
  expect(specimenWords({ ...described, blank: null }, wordingIn('metric'))).toEqual([
    'The object is not measured yet.',
  ]);
});

it.each([
  [0, 'Grain runs across, left to right.'],
  [90, 'Grain runs upright.'],
  [-90, 'Grain runs upright.'],
  [30, 'Grain is turned 30° clockwise from running across.'],
  [-12, 'Grain is turned 12° anticlockwise from running across.'],
])('grain at %s°', (grainDeg, expected) => {
  expect(specimenWords({ ...described, grainDeg }, wordingIn('metric'))).toContain(expected);
});

it('names openings and lettering with their places', () => {
  const said = specimenWords(
    {
      ...described,
      blank: { ...blank!, openings: [{ kind: 'knob', xMm: 120, yMm: 90, diameterMm: 28 }] },
      layers: [
        {
          id: 'l',
          kind: 'text',
          mode: 'transfer',
          text: 'Upper Wren',
          font: 'oswald',
          sizeMm: 12,
          colour: '#000000',
          xMm: 120,
          yMm: 150,
          turnDeg: 0,
          arcRadiusMm: null,
          box: { xMm: 60, yMm: 140, widthMm: 120, heightMm: 20 },
        },
      ],
    },
    wordingIn('metric'),
  );
  expect(said).toContain('A knob of 28 mm. Its middle: 12 cm from the left, 90 mm from the top.');
  expect(said.at(-1)).toBe('Lettering “Upper Wren”, 12 cm wide, 20 mm high, 60 mm from the left, 14 cm from the top.');
});

it('gives the laying guide as a list: where to pour, and every stroke with its way', () => {
  const guide = layingGuide(blank!, print!.formed.landed, surfaceById('painted-wood'));
  const [pour, strokes] = guideWords(guide!, wordingIn('metric'));
  expect(pour).toMatch(/^Pour .+ from the left, .+ from the top\.$/);
  const ways =
    strokes
      ?.replace(/^.*outwards: /, '')
      .replace(/\.$/, '')
      .split(', ') ?? [];
  expect(ways).toHaveLength(8);
  for (const way of ways) expect(way).toMatch(/^(up|down)?( and )?(left|right)?$/);
  // Opposite sides in turn.
  expect(new Set([ways[0], ways[1]])).toEqual(new Set(['right', 'left']));
});
