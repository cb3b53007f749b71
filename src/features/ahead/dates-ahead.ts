import { sealDatesOf } from '@/core/stations';
import type { SealDate } from '@/core/seal';
import type { Schedule } from '@/features/agenda';
import type { Piece } from '@/records';

export interface DateAhead extends SealDate {
  piece: Pick<Piece, 'id' | 'name'>;
}

/** What follows the sealing of every piece, from its coats as they are planned; coats are steps of the plan themselves. */
export const datesAhead = ({ pieces, entries }: Pick<Schedule, 'pieces' | 'entries'>, now: number): DateAhead[] =>
  pieces
    .flatMap(({ planned: { piece }, foreseen: { job, plan } }) => {
      const plannedAt: (number | null)[] = [];
      for (const { step, startAt, piece: of } of entries)
        if (of.id === piece.id && step.step.kind === 'coat') plannedAt[step.step.number - 1] = startAt;
      return sealDatesOf(job, plan, now, plannedAt)
        .filter(({ code }) => code !== 'coat')
        .map((date): DateAhead => ({ ...date, piece: { id: piece.id, name: piece.name } }));
    })
    .sort((a, b) => a.at - b.at);
