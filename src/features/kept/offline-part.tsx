'use client';
import { Button } from '@mui/material';
import { useEffect, useState } from 'react';
import { askToNotify, canNotify, type NotifyState } from '@/features/timers';
import { Part } from '@/ui';
import css from './kept.module.css';

type Offline = 'kept' | 'coming' | 'none';

/** Whether Fobbet opens without its server, and rings. */
export function OfflinePart() {
  const [offline, setOffline] = useState<Offline | null>(null);
  const [notify, setNotify] = useState<NotifyState | null>(null);
  useEffect(() => {
    let ended = false;
    void offlineState().then((state) => {
      if (ended) return;
      setOffline(state);
      setNotify(canNotify());
    });
    return () => {
      ended = true;
    };
  }, []);
  if (!offline || !notify) return null;
  return (
    <Part title="Without the server, and while away">
      <p className={css.line} data-testid="offline">
        {OFFLINE_WORDS[offline]}
      </p>
      <p className={css.line}>
        {NOTIFY_WORDS[notify]}{' '}
        {notify === 'default' && (
          <Button size="small" variant="outlined" onClick={() => void askToNotify().then(setNotify)}>
            Allow notifications
          </Button>
        )}
      </p>
      <p className={css.line}>
        Closed, it can’t ring: no browser lets a page that is closed. A plan’s calendar file rings on any phone, and
        what passed meanwhile is told when Fobbet opens.
      </p>
    </Part>
  );
}

const OFFLINE_WORDS: Readonly<Record<Offline, string>> = {
  kept: 'Every place and station opens without the server. The copy shop and the room’s sensor need it.',
  coming: 'Fobbet is being kept in this browser; once it is, every place opens without the server.',
  none: 'This browser does not keep Fobbet itself: it works while its server runs. Pages need https, or localhost.',
};
const NOTIFY_WORDS: Readonly<Record<NotifyState, string>> = {
  granted: 'Timers and ripe pieces come up as notifications while Fobbet is open in any window, also a hidden one.',
  default: 'Notifications tell of timers and ripe pieces while Fobbet is in the background.',
  denied: 'Notifications are off for this page: the browser’s settings turn them on. Timers ring while it is open.',
  none: 'This browser has no notifications for pages. Timers ring while Fobbet is open.',
};

async function offlineState(): Promise<Offline> {
  if (!('serviceWorker' in navigator)) return 'none';
  try {
    const registration = await navigator.serviceWorker.getRegistration();
    if (registration?.active) return 'kept';
    return registration ? 'coming' : 'none';
  } catch {
    return 'none';
  }
}
