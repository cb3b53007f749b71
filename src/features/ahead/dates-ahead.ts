import { sealDatesOf } from '@/core/stations';
import type { SealDate } from '@/core/seal';
import { thingsOf, type PieceInPlan, type Schedule } from '@/features/agenda';

export interface DateAhead extends SealDate {
  /** The piece it is for, or the set: on the day its last may. */
  of: { key: string; name: string; pieceId: string };
}

/** What follows the sealing of every piece, from its coats as they are planned; coats are steps of the plan themselves. */
export const datesAhead = ({ pieces, entries }: Pick<Schedule, 'pieces' | 'entries'>, now: number): DateAhead[] =>
  thingsOf(pieces)
    .flatMap(({ key, name, pieces: own }) => {
      const dates = new Map<SealDate['code'], DateAhead>();
      for (const inPlan of own)
        for (const date of datesOf(inPlan, entries, now)) {
          const known = dates.get(date.code);
          const of = { key, name, pieceId: inPlan.planned.piece.id };
          if (!known || known.at < date.at) dates.set(date.code, { ...date, of });
        }
      return [...dates.values()];
    })
    .sort((a, b) => a.at - b.at);

function datesOf(
  { planned: { piece }, foreseen: { job, plan } }: PieceInPlan,
  entries: Schedule['entries'],
  now: number,
): SealDate[] {
  const plannedAt: (number | null)[] = [];
  for (const { step, startAt, piece: of } of entries)
    if (of.id === piece.id && step.step.kind === 'coat') plannedAt[step.step.number - 1] = startAt;
  return sealDatesOf(job, plan, now, plannedAt).filter(({ code }) => code !== 'coat');
}
