'use client';
import { Alert, Button, Snackbar } from '@mui/material';
import type { Notice } from './notice';

const SHOWN_MS = 7000;

/** One sentence at the foot of the page, for a while; a failure until it is closed. */
export const NoticeBar = ({ notice, open, onClose }: { notice: Notice; open: boolean; onClose: () => void }) => (
  <Snackbar
    open={open}
    autoHideDuration={notice.tone === 'error' ? null : SHOWN_MS}
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
