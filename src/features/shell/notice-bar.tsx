'use client';
import { Alert, Button, Snackbar } from '@mui/material';
import { useReading } from '@/ui';
import type { Settings } from '@/records';
import type { Notice } from './notice';

/** How long one stands, as the person set it; while the pointer or the focus is on it, it stays. */
const SHOWN_MS: Readonly<Record<Settings['notices'], number | null>> = { short: 7000, long: 20_000, stay: null };

/** One sentence at the foot of the page, for a while; a failure until it is closed. */
export function NoticeBar({ notice, open, onClose }: { notice: Notice; open: boolean; onClose: () => void }) {
  const { notices } = useReading();
  return (
    <Snackbar
      open={open}
      autoHideDuration={notice.tone === 'error' ? null : SHOWN_MS[notices]}
      onClose={(_, reason) => reason !== 'clickaway' && onClose()}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
    >
      <Alert
        variant="filled"
        severity={notice.tone ?? 'info'}
        icon={false}
        onClose={onClose}
        sx={{ maxWidth: 620, alignItems: 'center' }}
        data-testid="notice"
        action={
          notice.action && (
            <Button
              color="inherit"
              size="small"
              onClick={() => {
                notice.action?.run();
                onClose();
              }}
            >
              {notice.action.label}
            </Button>
          )
        }
      >
        {notice.text}
      </Alert>
    </Snackbar>
  );
}
