import { sealDatesOf, type PiecePlan } from '@/core/stations';
import type { Piece } from '@/records';
import type { CalendarEntry } from '@/storage';
import { sealDateEntry } from '@/words';
import { say } from '@/words/say';

/** The cure and seal times of a piece as calendar events. Ids stay the same, so that a second import updates. */
export function calendarEntries(piece: Piece, plan: PiecePlan, now: number): CalendarEntry[] {
  const entry = (
    key: string,
    title: string,
    description: string,
    startsAt: number,
    minutes: number,
  ): CalendarEntry => ({ id: `${piece.id}-${key}`, title: `${piece.name}: ${title}`, description, startsAt, minutes });
  const entries: CalendarEntry[] = [];
  if (plan.cure.clock && plan.cure.wait && piece.rub.done.length === 0) {
    const minutes = plan.rub.rubbing?.passes[0]?.minutes ?? 15;
    entries.push(
      entry(
        'rub-likely',
        say`start rubbing`,
        say`Check the sign first: evenly opaque, no cool patch, a corner will not lift.`,
        plan.cure.clock.likelyAt,
        minutes,
      ),
    );
    if (plan.cure.clock.safeAt > plan.cure.clock.likelyAt)
      entries.push(entry('rub-safe', say`safe to rub`, say`The full time is over.`, plan.cure.clock.safeAt, minutes));
  }
  for (const date of sealDatesOf(piece, plan, now)) {
    if (date.at <= now) continue;
    const { title, how } = sealDateEntry(date);
    entries.push(entry(`seal-${date.code}${date.number === null ? '' : `-${date.number}`}`, title, how, date.at, 15));
  }
  return entries;
}
