'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback } from 'react';
import type { Agenda } from '@/records';
import { changeAgenda, database, storedAgenda } from '@/storage';

export interface AgendaAccess { agenda: Agenda; change: (alter: Partial<Agenda> | ((agenda: Agenda) => Partial<Agenda>)) => Promise<void> }

/** Free hours and the plan of all pieces, live across windows; undefined while it is read. */
export function useAgenda(): AgendaAccess | undefined {
  const agenda = useLiveQuery(() => storedAgenda(database()));
  const change = useCallback<AgendaAccess['change']>((alter) => changeAgenda(database(), (now) => (typeof alter === 'function' ? alter(now) : alter)), []);
  return agenda && { agenda, change };
}
