'use client';
import { Button } from '@mui/material';
import { useState } from 'react';
import { askToNotify, canNotify } from '@/features/timers';
import { NextRow, Note } from '@/ui';
import { sentences } from '@/words';
import { say } from '@/words/say';

/** Offers the browser's own notification; the page tells in any case while it is open. */
export function TellMe() {
  const [permission, setPermission] = useState(canNotify);
  if (permission === 'none') return null;
  if (permission === 'granted')
    return <Note>{say`The browser will tell you when it is time, as long as Fobbet is open in some window.`}</Note>;
  if (permission === 'denied')
    return (
      <Note>
        {sentences(
          say`Notifications are off for this page.`,
          say`Fobbet shows it under Today; a calendar file from the piece’s menu rings on its own.`,
        )}
      </Note>
    );
  return (
    <NextRow>
      <Button
        variant="outlined"
        size="small"
        onClick={() => void askToNotify().then(setPermission)}
      >{say`Tell me when it is time`}</Button>
    </NextRow>
  );
}
