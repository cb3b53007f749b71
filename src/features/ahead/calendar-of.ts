import type { Schedule } from '@/features/agenda';
import type { CalendarEntry } from '@/storage';
import { lowerFirst, stepTitle } from '@/words';

/** One event for each step of the plan; its id stays the same however often it is placed anew. */
export const calendarOf = ({ entries, agenda }: Pick<Schedule, 'entries' | 'agenda'>): CalendarEntry[] =>
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
