import type { PiecePlan } from '@/core/plan';
import type { Piece } from '@/records';
import type { CalendarEntry } from '@/storage';

/** The cure and seal times of a piece as calendar events. Ids stay the same, so that a second import updates. */
export function calendarEntries(piece: Piece, plan: PiecePlan): CalendarEntry[] {
  const entry = (key: string, title: string, description: string, startsAt: number, minutes: number): CalendarEntry =>
    ({ id: `${piece.id}-${key}`, title: `${piece.name}: ${title}`, description, startsAt, minutes });
  const entries: CalendarEntry[] = [];
  if (plan.cureClock && plan.cure && piece.rub.done.length === 0) {
    const minutes = plan.rub?.passes[0]?.minutes ?? 15;
    entries.push(entry('rub-likely', 'start rubbing', 'Check the sign first: evenly opaque, no cool patch, a corner will not lift.', plan.cureClock.likelyAt, minutes));
    if (plan.cureClock.safeAt > plan.cureClock.likelyAt) entries.push(entry('rub-safe', 'safe to rub', 'The full time is over.', plan.cureClock.safeAt, minutes));
  }
  if (plan.seal && plan.sealClock) {
    const { nextCoatAt, touchAt, lightUseAt, fullCureAt } = plan.sealClock;
    const done = piece.seal.coatsAt.length;
    if (nextCoatAt !== null) {
      for (let coat = done; coat < plan.seal.coats; coat++) {
        entries.push(entry(`seal-coat-${coat + 1}`, `seal, coat ${coat + 1} of ${plan.seal.coats}`, plan.seal.sealer.name, nextCoatAt + (coat - done) * plan.seal.betweenHours * 3_600_000, 15));
      }
    }
    if (touchAt !== null) entries.push(entry('seal-touch', 'dry to the touch', 'Handle it with care.', touchAt, 15));
    if (lightUseAt !== null) entries.push(entry('seal-light-use', 'light use', 'The sealer carries light use.', lightUseAt, 15));
    if (fullCureAt !== null && fullCureAt !== lightUseAt) entries.push(entry('seal-cured', 'fully cured', 'The sealer is as hard as it gets.', fullCureAt, 15));
  }
  return entries;
}
