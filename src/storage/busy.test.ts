import ICAL from 'ical.js';
import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';
import { calendarOf } from '@/features/ahead/calendar-of';
import type { Schedule } from '@/features/agenda';
import { planPiece, runSteps } from '@/core/plan';
import { EMPTY_AGENDA } from '@/records';
import { NOW, PICTURE, readyPiece } from '@/testing/builders';
import { readBusyTimes } from './busy';
import { writeCalendar } from './calendar';

const FROM = Date.UTC(2026, 9, 20);
const UNTIL = Date.UTC(2026, 10, 10);
const LONDON = [
  'BEGIN:VTIMEZONE',
  'TZID:Europe/London',
  'BEGIN:DAYLIGHT',
  'TZOFFSETFROM:+0000',
  'TZOFFSETTO:+0100',
  'TZNAME:BST',
  'DTSTART:19700329T010000',
  'RRULE:FREQ=YEARLY;BYDAY=-1SU;BYMONTH=3',
  'END:DAYLIGHT',
  'BEGIN:STANDARD',
  'TZOFFSETFROM:+0100',
  'TZOFFSETTO:+0000',
  'TZNAME:GMT',
  'DTSTART:19701025T020000',
  'RRULE:FREQ=YEARLY;BYDAY=-1SU;BYMONTH=10',
  'END:STANDARD',
  'END:VTIMEZONE',
];
const calendar = (...events: string[][]) =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//test//EN',
    ...LONDON,
    ...events.flatMap((lines, index) => [
      'BEGIN:VEVENT',
      `UID:e${index}`,
      'DTSTAMP:20260101T000000Z',
      ...lines,
      'END:VEVENT',
    ]),
    'END:VCALENDAR',
  ].join('\r\n');
const read = (text: string) => readBusyTimes(text, FROM, UNTIL);
const spans = (text: string) => {
  const found = read(text);
  return found.ok
    ? found.value.map(
        ({ fromAt, untilAt }) => `${new Date(fromAt).toISOString().slice(5, 16)}/${(untilAt - fromAt) / MS_PER_MINUTE}`,
      )
    : found.error.code;
};

describe('busy times from a calendar', () => {
  it.each([
    ['daily', '19700101', 'FREQ=DAILY', '20261019'],
    ['every third day', '20150102', 'FREQ=DAILY;INTERVAL=3', null],
    ['weekly on two days, every other week', '20150107', 'FREQ=WEEKLY;INTERVAL=2;BYDAY=WE,FR', null],
    ['daily in some months only', '20160101', 'FREQ=DAILY;BYMONTH=10', null],
    ['with its end', '19700101', 'FREQ=DAILY;UNTIL=20261025T000000Z', null],
  ])('what repeats %s since long ago is found as if every turn were counted', (_, day, rule, near) => {
    const lines = (from: string, more = '') => [
      `DTSTART;TZID=Europe/London:${from}T183000`,
      `DTEND;TZID=Europe/London:${from}T193000`,
      `RRULE:${rule}${more}`,
      'EXDATE;TZID=Europe/London:20261023T183000',
    ];
    const found = spans(calendar(lines(day)));
    // A count far beyond the window has every turn counted from the first.
    if (!rule.includes('UNTIL') && day > '2') expect(found).toEqual(spans(calendar(lines(day, ';COUNT=9000'))));
    if (near) expect(found).toEqual(spans(calendar(lines(near))));
    expect(found.length).toBeGreaterThan(1);
    expect(found).not.toContain('10-23T17:30/60');
  });

  it('single ones in UTC and in a zone, on either side of the change of the clock', () => {
    expect(
      spans(
        calendar(
          ['DTSTART:20261021T100000Z', 'DTEND:20261021T113000Z'],
          ['DTSTART;TZID=Europe/London:20261024T180000', 'DURATION:PT2H'],
          ['DTSTART;TZID=Europe/London:20261026T180000', 'DURATION:PT2H'],
        ),
      ),
    ).toEqual(['10-21T10:00/90', '10-24T17:00/120', '10-26T18:00/120']);
  });

  it('repeating ones turned out over the change, with what was moved and taken out', () => {
    const weekly = calendar([
      'DTSTART;TZID=Europe/London:20260901T190000',
      'DTEND;TZID=Europe/London:20260901T210000',
      'RRULE:FREQ=WEEKLY',
      'EXDATE;TZID=Europe/London:20261027T190000',
      'SUMMARY:Choir',
    ]);
    expect(spans(weekly)).toEqual(['10-20T18:00/120', '11-03T19:00/120']);
    const moved = weekly.replace(
      'END:VCALENDAR',
      [
        'BEGIN:VEVENT',
        'UID:e0',
        'DTSTAMP:20260101T000000Z',
        'RECURRENCE-ID;TZID=Europe/London:20261103T190000',
        'DTSTART;TZID=Europe/London:20261104T200000',
        'DTEND;TZID=Europe/London:20261104T210000',
        'END:VEVENT',
        'END:VCALENDAR',
      ].join('\r\n'),
    );
    expect(spans(moved)).toEqual(['10-20T18:00/120', '11-04T20:00/60']);
  });

  it('whole days; not what is cancelled, free, or outside', () => {
    const found = read(
      calendar(
        ['DTSTART;VALUE=DATE:20261102', 'DTEND;VALUE=DATE:20261104'],
        ['DTSTART:20261021T100000Z', 'DTEND:20261021T110000Z', 'STATUS:CANCELLED'],
        ['DTSTART:20261021T100000Z', 'DTEND:20261021T110000Z', 'TRANSP:TRANSPARENT'],
        ['DTSTART:20271021T100000Z', 'DTEND:20271021T110000Z'],
      ),
    );
    expect(found.ok && found.value.map(({ fromAt, untilAt }) => (untilAt - fromAt) / MS_PER_HOUR)).toEqual([48]);
  });

  it.each([
    ['nothing', '', 'calendar-unreadable'],
    ['no calendar', 'hello, this is a letter', 'calendar-unreadable'],
    [
      'cut short',
      calendar(['DTSTART:20261021T100000Z', 'DTEND:20261021T110000Z']).slice(0, -30),
      'calendar-unreadable',
    ],
    ['nothing busy', calendar(['DTSTART:20271021T100000Z', 'DTEND:20271021T110000Z']), 'calendar-none'],
    ['a broken date', calendar(['DTSTART:2026-99-99', 'DTEND:nonsense']), 'calendar-unreadable'],
    ['huge', 'x'.repeat(2_000_001), 'calendar-too-large'],
    [
      'every minute for ever',
      calendar(['DTSTART:20261020T000000Z', 'DTEND:20261020T000030Z', 'RRULE:FREQ=MINUTELY']),
      'calendar-too-many',
    ],
    [
      'every second since long ago',
      calendar(['DTSTART:20200101T000000Z', 'DTEND:20200101T000001Z', 'RRULE:FREQ=SECONDLY']),
      'calendar-too-many',
    ],
  ])('%s is refused with its reason', (_, text, code) =>
    expect(read(text)).toMatchObject({ ok: false, error: { code } }),
  );
});

describe('the plan as a calendar', () => {
  const piece = readyPiece();
  const steps = runSteps(piece, planPiece(piece, PICTURE, NOW));
  const at = Date.UTC(2026, 9, 24, 17);
  const plan = (shiftMs: number, revision: number) =>
    writeCalendar(
      calendarOf(
        {
          pieces: [],
          agenda: { ...EMPTY_AGENDA, alarmMinutes: 15 },
          entries: steps.map((step, index): Schedule['entries'][number] => ({
            key: `piece-1/${step.id}`,
            stepKey: `piece-1/${step.id}`,
            minutes: step.handsMinutes,
            who: [0],
            sitting: null,
            batch: `piece-1/${step.id}`,
            piece,
            step,
            startAt: at + index * MS_PER_DAY + shiftMs,
            endAt: at + index * MS_PER_DAY + shiftMs + step.handsMinutes * MS_PER_MINUTE,
            ripeAt: null,
            pinned: false,
          })),
        },
        NOW,
      ),
      revision,
      NOW,
    );
  const events = (text: string) =>
    new ICAL.Component(ICAL.parse(text) as ConstructorParameters<typeof ICAL.Component>[0]).getAllSubcomponents(
      'vevent',
    );

  it('is read by another reader: one event a step, at its instant on both sides of the change of the clock, ringing before', () => {
    const found = events(plan(0, 3)).map((event) => new ICAL.Event(event));
    expect(found).toHaveLength(steps.length);
    found.forEach((event, index) => {
      expect(event.startDate.toJSDate().getTime()).toBe(at + index * MS_PER_DAY);
      expect(event.startDate.zone.tzid).toBe('UTC');
      expect(event.duration.toSeconds()).toBe(steps[index].handsMinutes * 60);
      const alarm = event.component.getFirstSubcomponent('valarm');
      expect(String(alarm?.getFirstPropertyValue('trigger'))).toBe('-PT15M');
    });
    const london = new Intl.DateTimeFormat('en-GB', { timeZone: 'Europe/London', hour: '2-digit', minute: '2-digit' });
    expect([0, 1].map((index) => london.format(found[index].startDate.toJSDate()))).toEqual(['18:00', '17:00']);
  });

  it('a second import updates by id: the same ids, a higher sequence', () => {
    const ids = (text: string) => events(text).map((event) => String(event.getFirstPropertyValue('uid')));
    expect(ids(plan(0, 3))).toEqual(ids(plan(7_200_000, 4)));
    expect(new Set(ids(plan(0, 3))).size).toBe(steps.length);
    expect(events(plan(0, 4)).every((event) => Number(event.getFirstPropertyValue('sequence')) === 4)).toBe(true);
  });
});
