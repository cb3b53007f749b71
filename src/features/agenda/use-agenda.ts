'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback, useMemo } from 'react';
import { useReport } from '@/features/shell';
import { EMPTY_AGENDA, type Agenda } from '@/records';
import { changeAgenda, database, storedAgenda } from '@/storage';

export interface AgendaAccess {
  agenda: Agenda;
  /** Resolves to whether it was kept; what was not is said. */
  change: (
    alter: Partial<Agenda> | ((agenda: Agenda) => Partial<Agenda>),
    options?: { remembered?: boolean },
  ) => Promise<boolean>;
}

/** Free hours and the plan of all pieces, live across windows; undefined while it is read. */
export function useAgenda(): AgendaAccess | undefined {
  const stored = useLiveQuery(() => storedAgenda(database()));
  const report = useReport();
  const change = useCallback<AgendaAccess['change']>(
    async (alter, options) =>
      report(await changeAgenda(database(), (now) => (typeof alter === 'function' ? alter(now) : alter), options)),
    [report],
  );
  // One that can't be read is said above the page; until then the usual hours hold.
  const agenda = stored && (stored.ok ? stored.value : EMPTY_AGENDA);
  return useMemo(() => agenda && { agenda, change }, [agenda, change]);
}
