import { afterTime, dated, isAtNight, writingOf, clockTime, dayName, span } from './times';
import { MS_PER_DAY, MS_PER_MINUTE } from '@/core/shared';

describe('times in words', () => {
  const now = new Date('2026-03-04T10:00:00').getTime();
  const at = (text: string) => new Date(text).getTime();
  it.each([
    ['2026-03-04T14:20:00', '14:20', 'today after 14:20'],
    ['2026-03-05T09:40:00', 'tomorrow 09:40', 'tomorrow after 09:40'],
    ['2026-03-03T09:40:00', 'yesterday 09:40', 'yesterday after 09:40'],
    ['2026-03-07T09:40:00', 'Saturday 09:40', 'Saturday after 09:40'],
    ['2026-03-20T09:40:00', 'Fri 20 Mar, 09:40', 'Fri 20 Mar after 09:40'],
  ])('%s', (time, clock, after) => {
    expect(clockTime(at(time), now)).toBe(clock);
    expect(afterTime(at(time), now)).toBe(after);
  });
  it.each([
    ['en-GB', '12 Dec 2026', 'Sat 12 Dec 18:05'],
    ['de-DE', '12 Dec 2026', 'Sat 12 Dec 18:05'],
    ['en-US', 'Dec 12, 2026', 'Sat Dec 12, 6:05 PM'],
    ['en-AU', '12 Dec 2026', 'Sat 12 Dec 6:05 PM'],
    ['en-CA', 'Dec 12, 2026', 'Sat Dec 12, 6:05 PM'],
  ])('in %s as is usual there', (locale, day, time) => {
    const writing = writingOf(locale);
    expect(dated(at('2026-12-12T18:05:00'), 'd MMM yyyy', writing)).toBe(day);
    expect(dated(at('2026-12-12T18:05:00'), 'EEE d MMM HH:mm', writing)).toBe(time);
    expect(dated(at('2026-12-12T00:00:00'), 'HH:mm', writingOf('en-US'))).toBe('12:00 AM');
  });
  it('names days and spans', () => {
    expect([
      dayName(now, now),
      dayName(at('2026-03-05T23:00:00'), now),
      dayName(at('2026-03-09T01:00:00'), now),
      dayName(at('2026-04-01T01:00:00'), now),
    ]).toEqual(['today', 'tomorrow', 'Monday', 'Wed 1 Apr']);
    expect([
      span(35 * MS_PER_MINUTE),
      span(380 * MS_PER_MINUTE),
      span(-120 * MS_PER_MINUTE),
      span(3 * MS_PER_DAY),
    ]).toEqual(['in 35 min', 'in 6 h 20 min', '2 h ago', 'in 3 days']);
  });
});

it('at night hands rest: from nine in the evening until six', () => {
  const on = (time: string) => isAtNight(new Date(`2026-03-04T${time}`).getTime());
  expect(['20:59', '21:00', '23:59', '00:00', '05:59', '06:00', '12:00'].map(on)).toEqual([
    ...[false, true, true, true, true, false, false],
  ]);
});
