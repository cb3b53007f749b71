import type { Schedule } from '@/features/agenda';
import type { CalendarEntry } from '@/storage';
import { lowerFirst, sealDateEntry, stepTitle } from '@/words';
import { datesAhead } from './dates-ahead';

type Planned = Pick<Schedule, 'entries' | 'agenda' | 'pieces'>;

/** A day that is kept, in the calendar: no work, a quarter of an hour. */
const DATE_MINUTES = 15;

/** One event for each step of the plan and each day to keep; ids stay the same however often they are placed anew. */
export const calendarOf = (schedule: Planned, now: number): CalendarEntry[] => [
  ...stepsOf(schedule),
  ...datesAhead(schedule, now)
    .filter(({ at }) => at > now)
    .map((date) => {
      const { title, how } = sealDateEntry(date);
      return {
        id: `${date.piece.id}-seal-${date.code}`,
        title: `${date.piece.name}: ${title}`,
        description: how,
        startsAt: date.at,
        minutes: DATE_MINUTES,
      };
    }),
];

const stepsOf = ({ entries, agenda }: Planned): CalendarEntry[] =>
  entries.flatMap(({ key, piece, step, startAt }) =>
    startAt === null
      ? []
      : [
          {
            id: key.replace('/', '-'),
            title: `${piece.name}: ${lowerFirst(stepTitle(step.title))}`,
            startsAt: startAt,
            minutes: step.handsMinutes,
            alarmMinutes: agenda.alarmMinutes,
            description: `${step.handsMinutes} min of hands${step.waitHours > 0 ? `, then ${step.waitHours < 1 ? `${Math.round(step.waitHours * 60)} min` : `${Number(step.waitHours.toFixed(1))} h`} of waiting` : ''}.`,
          },
        ],
  );
