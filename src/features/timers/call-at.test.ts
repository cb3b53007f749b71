import { MS_PER_DAY } from '@/core/shared';
import { callAt } from './call-at';

const NOW = new Date('2026-03-04T10:00:00').getTime();
const DAY = MS_PER_DAY;

beforeEach(() => jest.useFakeTimers({ now: NOW }));
afterEach(() => jest.useRealTimers());

const called = (at: number, clock: () => number = Date.now) => {
  const call = jest.fn();
  return { call, cancel: callAt(at, clock, call) };
};

it('calls at the instant, once, and not before', () => {
  const { call } = called(NOW + 1000);
  jest.advanceTimersByTime(999);
  expect(call).not.toHaveBeenCalled();
  jest.advanceTimersByTime(10_000);
  expect(call).toHaveBeenCalledTimes(1);
});

it('waits longer than one time-out can: thirty and ninety days', () => {
  for (const days of [30, 90]) {
    const { call } = called(Date.now() + days * DAY);
    jest.advanceTimersByTime(days * DAY - 1);
    expect(call).not.toHaveBeenCalled();
    jest.advanceTimersByTime(1);
    expect(call).toHaveBeenCalledTimes(1);
  }
});

it('looks again where the clock was set back meanwhile, so that nothing is told early', () => {
  let behind = 0;
  const { call } = called(NOW + 1000, () => Date.now() - behind);
  behind = 5000;
  jest.advanceTimersByTime(1000);
  expect(call).not.toHaveBeenCalled();
  jest.advanceTimersByTime(5000);
  expect(call).toHaveBeenCalledTimes(1);
});

it('calls for an instant that has passed, and never once it is taken back', () => {
  const past = called(NOW - 1);
  const takenBack = called(NOW + 1000);
  takenBack.cancel();
  jest.advanceTimersByTime(DAY);
  expect(past.call).toHaveBeenCalledTimes(1);
  expect(takenBack.call).not.toHaveBeenCalled();
});
