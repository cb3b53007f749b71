/** @jest-environment jsdom */
import '@/testing/browser';
import { act, render, renderHook, screen, waitFor } from '@testing-library/react';
import { Component, type ReactNode } from 'react';
import * as planning from '@/core/plan';
import { StashProvider } from '@/features/at-hand';
import { ShelfProvider } from '@/features/shelf';
import type { Piece } from '@/records';
import { changeStash, database } from '@/storage';
import { readyPiece } from '@/testing/builders';
import { usePlan } from './use-plan';

jest.mock('@/core/plan', () => {
  const plan = jest.requireActual<typeof planning>('@/core/plan');
  return { ...plan, planningPiece: jest.fn(plan.planningPiece) };
});

const wrapper = ({ children }: { children: ReactNode }) => (
  <ShelfProvider>
    <StashProvider>{children}</StashProvider>
  </ShelfProvider>
);

afterAll(() => database().close());

it('the first plan waits for what is at hand; after that a change shows at once', async () => {
  await changeStash(database(), () => ({ skill: 3 }));
  const piece = readyPiece();
  const { result, rerender } = renderHook(usePlan, { wrapper, initialProps: piece });
  expect(result.current).toBeNull();
  await waitFor(() => expect(result.current).not.toBeNull());
  const asked = jest.mocked(planning.planningPiece).mock.calls;
  expect(asked.length).toBeGreaterThan(0);
  expect(asked.map(([, , , { skill }]) => skill)).toEqual(asked.map(() => 3));

  const { now, plan } = result.current!;
  const larger: Piece = { ...piece, surface: { ...piece.surface, widthMm: 400 } };
  await act(() => Promise.resolve(rerender(larger)));
  expect(result.current!.plan.surface).toEqual(planning.planPiece(larger, null, now).surface);
  expect(result.current!.plan.surface).not.toEqual(plan.surface);
});

class Boundary extends Component<{ children: ReactNode }> {
  override state = { failed: false };
  static getDerivedStateFromError = () => ({ failed: true });
  override render = () => (this.state.failed ? 'This place stopped' : this.props.children);
}

it('a piece that can’t be planned fails while it is drawn, where that is caught', async () => {
  const said = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const broken = { ...readyPiece(), surface: null } as unknown as Piece;
  const Page = () => (usePlan(broken) ? 'planned' : 'opening');
  render(
    <Boundary>
      <Page />
    </Boundary>,
    { wrapper },
  );
  expect(screen.getByText('opening')).toBeDefined();
  await screen.findByText('This place stopped');
  said.mockRestore();
});
