import { BOARD_FORMS, boardPhoto } from '@/testing/board-photo';
import { tracedWell } from '@/testing/traced';
import { traceBoard } from './index';

const SIZE = { width: 880, height: 660 };
const FORMS = { board: 'rectangle', slab: 'outline', stone: 'outline', round: 'round', tray: 'oval' } as const;

// Thirty of them, larger, are traced by `npm run bench`.
describe.each(BOARD_FORMS)('a photographed %s', (form) => {
  it('is traced within a millimetre', () => {
    const traced = tracedWell(101, form, SIZE);
    if (typeof traced === 'string') throw new Error(traced);
    expect(traced.form).toBe(FORMS[form]);
    expect(traced.offMm).toBeLessThan(1);
    expect(traced.shortOff ?? 0).toBeLessThan(0.005);
    expect(traced.grainOff ?? 0).toBeLessThan(5);
    expect(traced.knotOffMm).toBeLessThan(2);
  });
});

const even = (level: number) => {
  const data = new Uint8ClampedArray(240 * 180 * 4).fill(level);
  for (let i = 3; i < data.length; i += 4) data[i] = 255;
  return { data, width: 240, height: 180 };
};

it.each([0, 128, 255])('refuses a photo of nothing, level %p', (level) => {
  const traced = traceBoard(even(level), 300);
  expect(traced.ok ? 'traced' : traced.error.code).toBe('trace-nothing');
});

it('refuses a blank that reaches the rim of the photo', () => {
  const { photo } = boardPhoto(103, 'board', 0, SIZE);
  // The right half of it alone.
  const width = SIZE.width / 2;
  const data = new Uint8ClampedArray(width * SIZE.height * 4);
  for (let y = 0; y < SIZE.height; y++)
    data.set(photo.data.subarray((y * SIZE.width + width) * 4, (y + 1) * SIZE.width * 4), y * width * 4);
  const traced = traceBoard({ data, width, height: SIZE.height }, 300);
  expect(traced.ok ? 'traced' : traced.error.code).toBe('trace-cut-off');
});

it('goes by the typed size: twice as long, everything twice as large', () => {
  const { photo } = boardPhoto(104, 'slab', 1, SIZE);
  const [once, twice] = [traceBoard(photo, 200), traceBoard(photo, 400)];
  if (!once.ok || !twice.ok) throw new Error('not traced');
  expect(twice.value.widthMm).toBeCloseTo(2 * once.value.widthMm, 6);
  expect(twice.value.heightMm).toBeCloseTo(2 * once.value.heightMm, 6);
  expect(Math.max(once.value.widthMm, once.value.heightMm)).toBeCloseTo(200, 0);
});
