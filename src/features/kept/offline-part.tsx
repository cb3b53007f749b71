'use client';
import { Button } from '@mui/material';
import { useEffect, useState } from 'react';
import { askToNotify, canNotify, type NotifyState } from '@/features/timers';
import { Part } from '@/ui';
import css from './kept.module.css';
import { say } from '@/words/say';
import { sentences } from '@/words';

type Offline = 'kept' | 'coming' | 'none';

/** Whether Fobbet opens without its server, and rings. */
export function OfflinePart() {
  const [offline, setOffline] = useState<Offline | null>(null);
  const [notify, setNotify] = useState<NotifyState | null>(null);
  useEffect(() => {
    let ended = false;
    const set = (state: Offline) => {
      if (ended) return;
      setOffline(state);
      setNotify(canNotify());
    };
    const look = async () => {
      if (!('serviceWorker' in navigator)) return set('none');
      const registration = await navigator.serviceWorker.getRegistration().catch(() => null);
      if (registration === null) return set('none');
      if (registration?.active) return set('kept');
      // It begins a while after the page does.
      set('coming');
      await navigator.serviceWorker.ready;
      set('kept');
    };
    void look();
    return () => {
      ended = true;
    };
  }, []);
  if (!offline || !notify) return null;
  return (
    <Part title={say`Without the server, and while away`}>
      <p className={css.line} data-testid="offline">
        {OFFLINE_WORDS[offline]}
      </p>
      <p className={css.line}>
        {NOTIFY_WORDS[notify]}{' '}
        {notify === 'default' && (
          <Button
            size="small"
            variant="outlined"
            onClick={() => void askToNotify().then(setNotify)}
          >{say`Allow notifications`}</Button>
        )}
      </p>
      <p className={css.line}>
        {sentences(
          say`Closed, it can’t ring: no browser lets a page that is closed.`,
          say`A plan’s calendar file rings on any phone, and what passed meanwhile is told when Fobbet opens.`,
        )}
      </p>
    </Part>
  );
}

const OFFLINE_WORDS: Readonly<Record<Offline, string>> = {
  kept: say`Every place and station opens without the server. The copy shop and the room’s sensor need it.`,
  coming: say`Fobbet is being kept in this browser; once it is, every place opens without the server.`,
  none: say`This browser does not keep Fobbet itself: it works while its server runs. Pages need https, or localhost.`,
};
const NOTIFY_WORDS: Readonly<Record<NotifyState, string>> = {
  granted: say`Timers and ripe pieces come up as notifications while Fobbet is open in any window, also a hidden one.`,
  default: say`Notifications tell of timers and ripe pieces while Fobbet is in the background.`,
  denied: say`Notifications are off for this page: the browser’s settings turn them on. Timers ring while it is open.`,
  none: say`This browser has no notifications for pages. Timers ring while Fobbet is open.`,
};
