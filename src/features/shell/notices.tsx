'use client';
import dynamic from 'next/dynamic';
import { NOTICES_KEPT, type Notice, type SaidNotice } from './notice';
import { createContext, useCallback, useContext, useState, type ReactNode } from 'react';
import { useClock } from '@/ui';

const NoticeContext = createContext<(notice: Notice) => void>(() => undefined);
const SaidContext = createContext<readonly SaidNotice[]>([]);
/** Shows one sentence at the foot of the page. */
export const useNotice = () => useContext(NoticeContext);
/** All that was said since the program was opened, the newest first. */
export const useSaidNotices = () => useContext(SaidContext);

const NoticeBar = dynamic(() => import('./notice-bar').then((file) => file.NoticeBar), { ssr: false });

export function NoticeProvider({ children }: { children: ReactNode }) {
  const clock = useClock();
  const [said, setSaid] = useState<readonly SaidNotice[]>([]);
  const [open, setOpen] = useState(false);
  const show = useCallback(
    (next: Notice) => {
      setSaid((before) => [{ ...next, id: (before[0]?.id ?? 0) + 1, at: clock() }, ...before].slice(0, NOTICES_KEPT));
      setOpen(true);
    },
    [clock],
  );
  const close = useCallback(() => setOpen(false), []);
  const [last] = said;
  return (
    <NoticeContext.Provider value={show}>
      <SaidContext.Provider value={said}>
        {children}
        {last && <NoticeBar key={last.id} notice={last} open={open} onClose={close} />}
      </SaidContext.Provider>
    </NoticeContext.Provider>
  );
}
