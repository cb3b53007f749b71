/** @jest-environment jsdom */
import '@/testing/browser';
import { render, screen } from '@testing-library/react';
import type { WaitKind } from '@/core/craft';
import type { Pending } from '@/core/plan';
import type { PlanEntry } from '@/features/agenda';
import { NOW } from '@/testing/builders';
import { WaitCard } from './wait-card';

const at = (hour: number): number => new Date(NOW).setHours(hour, 39, 0, 0) + 24 * 3_600_000;
const shown = (kind: WaitKind, readyAt: number | null): string => {
  const step = { id: 'pass-1', title: { code: 'stick' }, step: { kind: 'pass', number: 1 } };
  const { unmount } = render(
    <WaitCard
      pending={{ before: step, kind, earliestAt: readyAt, readyAt } as unknown as Pending}
      entry={{ key: 'a/pass-1', piece: { id: 'a', name: 'Sign' }, step } as unknown as PlanEntry}
      now={NOW}
      next={undefined}
      onEarly={() => undefined}
    />,
  );
  const text = screen.getByTestId('bench-wait').textContent;
  unmount();
  return text;
};

const MORNING = 'The morning after is as good: waiting longer does no harm.';
const NO_HARM = 'Waiting longer does it no harm.';

test('a wait that ends at night says that the morning will do; by day that longer does no harm', () => {
  expect(shown('dry', at(22))).toContain(MORNING);
  expect(shown('cool', at(3))).toContain(MORNING);
  expect(shown('dry', at(21))).toContain(MORNING);
  expect(shown('dry', at(20))).toContain(NO_HARM);
  expect(shown('dry', at(6))).toContain(NO_HARM);
});

test('what must be caught in time says so, by night too', () => {
  expect(shown('window', at(22))).toContain('Be there in time: later the paper holds.');
  expect(shown('window', at(22))).not.toContain('as good');
});

test('where it isn’t known, or the time isn’t, nothing is said of it', () => {
  for (const text of [shown('soak', at(22)), shown('heat', at(22)), shown('dry', null)]) {
    expect(text).not.toContain('longer');
    expect(text).not.toContain('in time');
  }
});
