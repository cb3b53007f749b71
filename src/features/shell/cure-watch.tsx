'use client';
import { useEffect } from 'react';
import { isQuiet } from '@/core/schedule';
import { database, storedAgenda } from '@/storage';
import { clockTime, timeZoneHere, useClock } from '@/ui';
import { useNotice } from './notices';
import { usePlannedPieces, useShelf } from './use-shelf';
import { useRouter } from 'next/navigation';

const SEEN_KEY = 'fobbet.cure-told';
const readTold = (): string[] => JSON.parse(localStorage.getItem(SEEN_KEY) ?? '[]') as string[];
const KEPT = 50;

/** Tells once when a laid piece may be rubbed: in the page, and by the browser if it is allowed to. Catches up on what passed while closed. */
export function CureWatch() {
  const clock = useClock();
  const notice = useNotice();
  const router = useRouter();
  const planned = usePlannedPieces(useShelf(), 0);

  useEffect(() => {
    const timers = planned
      .filter(({ piece, plan }) => plan.cureClock !== null && piece.rub.done.length === 0 && piece.rub.finishedAt === null)
      .map(({ piece, plan }) => {
        const ripeAt = plan.cureClock?.likelyAt ?? 0;
        // Once for each laying, however the estimate moves; again after a new sign.
        const mark = `${piece.id}@${piece.lay.laidAt ?? 0}+${piece.cure.signs.length}`;
        const tell = () => {
          const told = readTold();
          if (told.includes(mark)) return;
          localStorage.setItem(SEEN_KEY, JSON.stringify([...told, mark].slice(-KEPT)));
          const late = clock() - ripeAt > 60_000;
          const text = late ? `${piece.name}: ready to rub since ${clockTime(ripeAt, clock())}.` : `${piece.name}: ready to rub now.`;
          notice({ text, action: { label: 'Open', run: () => router.push(`/piece/${piece.id}/rub`) } });
          // In the quiet hours the page says it, and nothing rings.
          if ('Notification' in window && Notification.permission === 'granted') void storedAgenda(database()).then(({ quiet }) => { if (!isQuiet(quiet, clock(), timeZoneHere())) new Notification('Fobbet', { body: text, tag: mark }); });
        };
        // A timer holds at most 24 days; a longer wait is renewed when the page is next opened.
        return setTimeout(tell, Math.min(2 ** 31 - 1, Math.max(0, ripeAt - clock())));
      });
    return () => timers.forEach(clearTimeout);
  }, [planned, clock, notice, router]);
  return null;
}
