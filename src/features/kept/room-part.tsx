'use client';
import { Button, LinearProgress } from '@mui/material';
import { useEffect, useState } from 'react';
import { useNotice } from '@/features/shell';
import { NEARLY_FULL, storageRoom, type StorageRoom } from '@/features/shell/storage-room';
import { Note, Part } from '@/ui';
import { sizeWords } from '@/words';
import css from './kept.module.css';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

/** How much of the browser's room is used, and whether it may clear what is kept. */
export function RoomPart() {
  const [room, setRoom] = useState<StorageRoom | null>(null);
  const notice = useNotice();
  useEffect(() => {
    let ended = false;
    void storageRoom().then((read) => {
      if (!ended) setRoom(read);
    });
    return () => {
      ended = true;
    };
  }, []);
  if (!room) return null;
  const ask = async () => {
    const granted = await navigator.storage.persist();
    setRoom({ ...room, lasting: granted });
    if (!granted)
      notice({
        text: say`The browser did not promise it. Install Fobbet, or keep copies: both are safer.`,
        tone: 'info',
      });
  };
  const share = room.quota > 0 ? room.used / room.quota : 0;
  return (
    <Part title={say`Room in this browser`}>
      {room.quota > 0 ? (
        <div className={css.meter} data-full={share >= NEARLY_FULL} data-testid="meter">
          <LinearProgress variant="determinate" value={Math.min(100, share * 100)} aria-label={say`Storage used`} />
          <p>
            {sayWith`${(<b>{sizeWords(room.used)}</b>)} of ${sizeWords(room.quota)} used.`}
            {share >= NEARLY_FULL && <> {say`Nearly full: save a copy, then remove pieces for good.`}</>}
          </p>
        </div>
      ) : (
        <Note>{say`This browser does not say how much room there is.`}</Note>
      )}
      {room.lasting === null && <Note>{say`This browser may clear what a page keeps when its disk is full.`}</Note>}
      {room.lasting === true && <Note>{say`The browser has promised not to clear it when the disk gets full.`}</Note>}
      {room.lasting === false && (
        <p className={css.line}>
          {say`The browser may clear it when the disk gets full.`}{' '}
          <Button
            size="small"
            variant="outlined"
            onClick={() => void ask()}
            data-testid="persist"
          >{say`Ask it not to`}</Button>
        </p>
      )}
    </Part>
  );
}
