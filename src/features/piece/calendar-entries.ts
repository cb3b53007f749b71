import type { PiecePlan } from '@/core/stations';
import { MS_PER_HOUR } from '@/core/shared';
import type { Piece } from '@/records';
import type { CalendarEntry } from '@/storage';
import { SEALER_WORDS } from '@/words';

/** The cure and seal times of a piece as calendar events. Ids stay the same, so that a second import updates. */
export function calendarEntries(piece: Piece, plan: PiecePlan): CalendarEntry[] {
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
        'start rubbing',
        'Check the sign first: evenly opaque, no cool patch, a corner will not lift.',
        plan.cure.clock.likelyAt,
        minutes,
      ),
    );
    if (plan.cure.clock.safeAt > plan.cure.clock.likelyAt)
      entries.push(entry('rub-safe', 'safe to rub', 'The full time is over.', plan.cure.clock.safeAt, minutes));
  }
  if (plan.seal.sealing && plan.seal.clock) {
    const { nextCoatAt, touchAt, lightUseAt, fullCureAt } = plan.seal.clock;
    const done = piece.seal.coatsAt.length;
    if (nextCoatAt !== null) {
      for (let coat = done; coat < plan.seal.sealing.coats; coat++) {
        entries.push(
          entry(
            `seal-coat-${coat + 1}`,
            `seal, coat ${coat + 1} of ${plan.seal.sealing.coats}`,
            SEALER_WORDS[plan.seal.sealing.sealer.id].name,
            nextCoatAt + (coat - done) * plan.seal.sealing.betweenHours * MS_PER_HOUR,
            15,
          ),
        );
      }
    }
    if (touchAt !== null) entries.push(entry('seal-touch', 'dry to the touch', 'Handle it with care.', touchAt, 15));
    if (lightUseAt !== null)
      entries.push(entry('seal-light-use', 'light use', 'The sealer carries light use.', lightUseAt, 15));
    if (fullCureAt !== null && fullCureAt !== lightUseAt)
      entries.push(entry('seal-cured', 'fully cured', 'The sealer is as hard as it gets.', fullCureAt, 15));
  }
  return entries;
}
