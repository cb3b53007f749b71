/** @jest-environment jsdom */
import '@/testing/browser';
import { act, render } from '@testing-library/react';
import type { LookOrder } from '@/workers/look/protocol';
import { LookCanvas } from './look-canvas';

const mockDraws: { order: LookOrder; answer: (bitmap: ImageBitmap | null) => void }[] = [];
jest.mock('@/workers/look/client', () => ({
  drawLook: (order: LookOrder) =>
    new Promise<ImageBitmap | null>((answer) => {
      mockDraws.push({ order, answer });
    }),
}));
jest.mock('@/features/shelf', () => ({ useStoredPicture: () => undefined }));

const order = (pxPerMm: number) => ({ pxPerMm, look: null }) as unknown as LookOrder;
const bitmap = (close = jest.fn()) => ({ width: 4, height: 3, close }) as unknown as ImageBitmap;
/** Answers the drawing that is under way. */
const drawn = async (shown: ImageBitmap | null) => {
  const under = mockDraws.at(-1)!;
  await act(async () => {
    under.answer(shown);
    await Promise.resolve();
  });
};
const asked = () => mockDraws.map(({ order: { pxPerMm } }) => pxPerMm);

beforeEach(() => {
  mockDraws.length = 0;
});

it('shows something soon, then the same at its full size, and is done', async () => {
  render(<LookCanvas order={order(9)} />);
  expect(asked()).toEqual([3]);
  await drawn(bitmap());
  expect(asked()).toEqual([3, 9]);
  await drawn(bitmap());
  expect(asked()).toEqual([3, 9]);
});

it('asks for nothing more once its canvas is gone', async () => {
  const view = render(<LookCanvas order={order(9)} />);
  view.unmount();
  const close = jest.fn();
  await drawn(bitmap(close));
  expect(close).toHaveBeenCalledTimes(1);
  expect(asked()).toEqual([3]);
});

it('a drawing that fails is tried once more, then given up until there is another order', async () => {
  const { rerender } = render(<LookCanvas order={order(9)} />);
  await drawn(null);
  await drawn(null);
  expect(asked()).toEqual([3, 3]);
  rerender(<LookCanvas order={order(12)} />);
  expect(asked()).toEqual([3, 3, 4]);
  await drawn(bitmap());
  expect(asked()).toEqual([3, 3, 4, 12]);
});

it('of what changes while a drawing is under way only the newest is drawn', async () => {
  const { rerender } = render(<LookCanvas order={order(9)} />);
  for (const pxPerMm of [12, 15, 18]) rerender(<LookCanvas order={order(pxPerMm)} />);
  await drawn(bitmap());
  await drawn(bitmap());
  expect(asked()).toEqual([3, 18]);
});
