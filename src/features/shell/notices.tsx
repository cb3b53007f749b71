'use client';
import { Alert, Button, Snackbar } from '@mui/material';
import { createContext, useCallback, useContext, useState, type ReactNode } from 'react';

export interface Notice { text: string; tone?: 'info' | 'error' | 'success'; action?: { label: string; run: () => void } }

const NoticeContext = createContext<(notice: Notice) => void>(() => undefined);
/** Shows one sentence at the foot of the page. */
export const useNotice = () => useContext(NoticeContext);

const SHOWN_MS = 7000;

export function NoticeProvider({ children }: { children: ReactNode }) {
  const [notice, setNotice] = useState<Notice | null>(null);
  const [open, setOpen] = useState(false);
  const show = useCallback((next: Notice) => { setNotice(next); setOpen(true); }, []);
  const close = () => setOpen(false);
  return (
    <NoticeContext.Provider value={show}>
      {children}
      <Snackbar open={open} autoHideDuration={notice?.tone === 'error' ? null : SHOWN_MS} onClose={(_, reason) => reason !== 'clickaway' && close()} anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}>
        <Alert
          variant="filled" severity={notice?.tone ?? 'info'} icon={false} onClose={close} sx={{ maxWidth: 620, alignItems: 'center' }} data-testid="notice"
          action={notice?.action && <Button color="inherit" size="small" onClick={() => { notice.action?.run(); close(); }}>{notice.action.label}</Button>}
        >
          {notice?.text}
        </Alert>
      </Snackbar>
    </NoticeContext.Provider>
  );
}
