/** @jest-environment jsdom */
import '@/testing/browser';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import * as planning from '@/core/plan';
import { StashProvider } from '@/features/at-hand';
import { addPieces, database, savePiece } from '@/storage';
import { NOW, readyPiece } from '@/testing/builders';
import { ShelfProvider } from '@/features/shelf';
import { PlansProvider, usePlannedPieces } from './index';

jest.mock('@/core/plan', () => {
  const plan = jest.requireActual<typeof planning>('@/core/plan');
  return { ...plan, planningPiece: jest.fn(plan.planningPiece) };
});

const wrapper = ({ children }: { children: ReactNode }) => (
  <ShelfProvider>
    <StashProvider>
      <PlansProvider>{children}</PlansProvider>
    </StashProvider>
  </ShelfProvider>
);

afterAll(() => database().close());

it('computes each piece’s plan once a change, and looks at the clock then', async () => {
  await addPieces(database(), [readyPiece(), { ...readyPiece(), id: 'piece-2' }], []);
  const { result } = renderHook(usePlannedPieces, { wrapper });
  await waitFor(() => expect(result.current.planned).toHaveLength(2));
  await act(() => new Promise((resolve) => setTimeout(resolve, 100)));

  const computed = jest.mocked(planning.planningPiece).mock.calls.length;
  const before = Date.now();
  const base = readyPiece();
  await act(() => savePiece(database(), { base, mine: { ...base, name: 'Timetable' }, label: 'name', now: NOW }));
  await waitFor(() => expect(result.current.planned.map(({ piece }) => piece.name)).toContain('Timetable'));
  expect(jest.mocked(planning.planningPiece).mock.calls.length - computed).toBe(1);
  expect(result.current.now).toBeGreaterThanOrEqual(before);
});

it('a piece that can’t be planned is named, and takes none of the others with it', async () => {
  const real = jest.requireActual<typeof planning>('@/core/plan').planningPiece;
  const said = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  jest.mocked(planning.planningPiece).mockImplementation((...given) => {
    if ('id' in given[0] && given[0].id === 'piece-2') throw new Error('not foreseen');
    return real(...given);
  });
  const { result } = renderHook(usePlannedPieces, { wrapper });
  await waitFor(() => expect(result.current.planned.map(({ piece }) => piece.id)).toEqual(['piece-1']));
  expect(result.current.unplanned.map(({ id }) => id)).toEqual(['piece-2']);
  said.mockRestore();
});
