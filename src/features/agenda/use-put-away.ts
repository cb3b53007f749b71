'use client';
import { useCallback, useMemo } from 'react';
import { useNotice } from '@/features/shell';
import type { Piece } from '@/records';
import { useAgenda } from './use-agenda';
import { say } from '@/words/say';

type Named = Pick<Piece, 'id' | 'name'>;

/** Which pieces are put away, and putting away or taking out again, with a way back. */
export function usePutAway() {
  const access = useAgenda();
  const notice = useNotice();
  const away = useMemo(() => new Set(access?.agenda.putAway ?? []), [access?.agenda.putAway]);
  const putAway = useCallback(
    async (pieces: readonly Named[], put: boolean) => {
      const ids = new Set(pieces.map(({ id }) => id));
      const set = (on: boolean) =>
        access?.change(({ putAway: before }) => {
          const others = before.filter((id) => !ids.has(id));
          return { putAway: on ? [...others, ...ids] : others };
        });
      if (!(await set(put))) return;
      const what = pieces.length === 1 ? (pieces[0]?.name ?? '') : say`${pieces.length} pieces`;
      notice({
        text: `${what}: ${put ? say`put away, and out of the plan` : say`taken out again`}.`,
        tone: 'success',
        action: { label: say`Undo`, run: () => void set(!put) },
      });
    },
    [access, notice],
  );
  return { away, putAway };
}
