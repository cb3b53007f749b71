import { namedOf, rowsByClock, type PlanEntry, type Schedule } from '@/features/agenda';
import type { CalendarEntry } from '@/storage';
import { lowerFirst, sealDateEntry, stepTitle, remarks } from '@/words';
import { datesAhead } from './dates-ahead';
import { say } from '@/words/say';

type Planned = Pick<Schedule, 'entries' | 'agenda' | 'pieces'>;

/** A day that is kept, in the calendar: no work, a quarter of an hour. */
const DATE_MINUTES = 15;

/**
 * One event for each step of the plan, of a set for all done in one go, and each day to keep; ids stay the same however
 * often they are placed anew.
 */
export const calendarOf = (schedule: Planned, now: number): CalendarEntry[] => [
  ...stepsOf(schedule),
  ...datesAhead(schedule, now)
    .filter(({ at }) => at > now)
    .map((date) => {
      const { title, how } = sealDateEntry(date);
      return {
        id: `${date.of.key.replace('/', '-')}-seal-${date.code}`,
        title: `${date.of.name}: ${title}`,
        description: how,
        startsAt: date.at,
        minutes: DATE_MINUTES,
      };
    }),
];

const stepsOf = ({ entries, agenda }: Planned): CalendarEntry[] => {
  const counts = new Map<string, number>();
  return rowsByClock(entries).flatMap((row) =>
    namedOf(row).flatMap(({ name, entries: own }) => {
      const [first] = own;
      if (!first || first.startAt === null) return [];
      const minutes = own.reduce((sum, one) => sum + one.minutes, 0);
      return {
        id: own.length > 1 ? idOfSet(first, counts) : first.key.replace('/', '-'),
        title: `${name}: ${lowerFirst(stepTitle(first.step.title))}`,
        startsAt: first.startAt,
        minutes,
        alarmMinutes: agenda.alarmMinutes,
        description: `${remarks(say`${minutes} min of hands`, waitWords(first.step.waitHours))}.`,
      };
    }),
  );
};

/** The first, second … time that several of a set have this step. */
function idOfSet({ piece, step }: PlanEntry, counts: Map<string, number>): string {
  const id = `set-${piece.set?.id}-${step.id}`;
  const count = (counts.get(id) ?? 0) + 1;
  counts.set(id, count);
  return count === 1 ? id : `${id}-${count}`;
}

function waitWords(hours: number): string | null {
  if (hours <= 0) return null;
  return hours < 1
    ? say`then ${Math.round(hours * 60)} min of waiting`
    : say`then ${Number(hours.toFixed(1))} h of waiting`;
}
