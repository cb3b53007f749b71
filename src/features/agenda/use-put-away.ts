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
      const set = (away: Iterable<string>) =>
        access?.change(({ putAway }) => ({ putAway: [...putAway.filter((id) => !ids.has(id)), ...away] }));
      const before = access?.agenda.putAway.filter((id) => ids.has(id)) ?? [];
      if (!(await set(put ? ids : []))) return;
      const what = pieces.length === 1 ? (pieces[0]?.name ?? '') : say`${pieces.length} pieces`;
      notice({
        text: `${what}: ${put ? say`put away, and out of the plan` : say`taken out again`}.`,
        tone: 'success',
        action: { label: say`Undo`, run: () => void set(before) },
      });
    },
    [access, notice],
  );
  return { away, putAway };
}
