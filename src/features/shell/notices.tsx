'use client';
import dynamic from 'next/dynamic';
import type { Notice } from './notice';
import { createContext, useCallback, useContext, useState, type ReactNode } from 'react';

const NoticeContext = createContext<(notice: Notice) => void>(() => undefined);
/** Shows one sentence at the foot of the page. */
export const useNotice = () => useContext(NoticeContext);

const NoticeBar = dynamic(() => import('./notice-bar').then((file) => file.NoticeBar), { ssr: false });

export function NoticeProvider({ children }: { children: ReactNode }) {
  const [notice, setNotice] = useState<Notice | null>(null);
  const [open, setOpen] = useState(false);
  const show = useCallback((next: Notice) => {
    setNotice(next);
    setOpen(true);
  }, []);
  const close = useCallback(() => setOpen(false), []);
  return (
    <NoticeContext.Provider value={show}>
      {children}
      {notice && <NoticeBar notice={notice} open={open} onClose={close} />}
    </NoticeContext.Provider>
  );
}
