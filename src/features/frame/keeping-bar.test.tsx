/** @jest-environment jsdom */
import '@/testing/browser';
import { act, render, screen, waitFor } from '@testing-library/react';
import { addPieces, changeCopies, database } from '@/storage';
import { readyPiece } from '@/testing/builders';
import type * as next from '@/testing/next';
import { KeepingBar } from './keeping-bar';

jest.mock('next/link', () => jest.requireActual<typeof next>('@/testing/next').LINK);

const room = (usage: number, quota: number) =>
  Object.assign(navigator, {
    storage: { estimate: () => Promise.resolve({ usage, quota }), persisted: () => Promise.resolve(false) },
  });
const shown = async (): Promise<string | null> => {
  const { container, unmount } = render(<KeepingBar />);
  await act(() => new Promise((resolve) => setTimeout(resolve, 60)));
  const text = container.querySelector('[data-testid]')?.getAttribute('data-testid') ?? null;
  unmount();
  return text;
};

beforeEach(async () => {
  localStorage.clear();
  room(1e6, 1e9);
  await database().delete({ disableAutoOpen: false });
});
afterAll(() => database().close());

it('says nothing while there is room and little was changed', async () => {
  await addPieces(database(), [readyPiece()]);
  expect(await shown()).toBeNull();
});

it('reminds of a copy after so many changes, not after one was made or put off', async () => {
  await addPieces(database(), [{ ...readyPiece(), revision: 70 }]);
  expect(await shown()).toBe('keeping-copy');
  await changeCopies(database(), { madeAt: Date.now() - 9e8, changes: 5 });
  expect(await shown()).toBe('keeping-copy');
  await changeCopies(database(), { madeAt: Date.now() - 9e8, changes: 60 });
  expect(await shown()).toBeNull();
  await changeCopies(database(), { madeAt: null, changes: 0 });
  render(<KeepingBar />);
  await waitFor(() => expect(screen.getByTestId('keeping-copy').textContent).toContain('70 changes and no copy yet'));
  act(() => screen.getByRole('button', { name: 'Later' }).click());
  expect(screen.queryByTestId('keeping-copy')).toBeNull();
  expect(await shown()).toBeNull();
});

it('warns before the room is full, with what is used', async () => {
  room(85e6, 100e6);
  render(<KeepingBar />);
  await waitFor(() => expect(screen.getByTestId('keeping-full').textContent).toContain('82 MB of 96 MB'));
});
