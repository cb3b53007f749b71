'use client';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { isQuiet } from '@/core/schedule';
import { MS_PER_MINUTE } from '@/core/shared';
import type { Piece } from '@/records';
import { usePlannedPieces } from '@/features/shelf';
import { useNotice } from '@/features/shell';
import { database, storedAgenda } from '@/storage';
import { clockTime, timeZoneHere, useClock } from '@/ui';
import { READY_WORDS } from '@/words';
import { callAt } from './call-at';
import { notify } from './notify';

const SEEN_KEY = 'fobbet.cure-told';
const readTold = (): string[] => JSON.parse(localStorage.getItem(SEEN_KEY) ?? '[]') as string[];
const KEPT = 50;
/** Told later than this, it says since when. */
const LATE_MS = MS_PER_MINUTE;

/** Once for each laying, however the estimate moves; again after a new sign. */
const markOf = ({ id, lay, cure }: Piece): string => `${id}@${lay.laidAt ?? 0}+${cure.signs.length}`;

/**
 * Tells once when a laid piece may be rubbed: in the page, and by the browser if it is allowed to. Catches up on what
 * passed while closed.
 */
export function CureWatch() {
  const clock = useClock();
  const notice = useNotice();
  const router = useRouter();
  const { planned } = usePlannedPieces();

  useEffect(() => {
    const tell = (piece: Piece, ripeAt: number, ready: string) => {
      const mark = markOf(piece);
      const told = readTold();
      if (told.includes(mark)) return;
      localStorage.setItem(SEEN_KEY, JSON.stringify([...told, mark].slice(-KEPT)));
      const late = clock() - ripeAt > LATE_MS;
      const text = late
        ? `${piece.name}: ${ready} since ${clockTime(ripeAt, clock())}.`
        : `${piece.name}: ${ready} now.`;
      notice({ text, action: { label: 'Open', run: () => router.push(`/piece/${piece.id}/rub`) } });
      // In the quiet hours the page says it, and nothing rings.
      void storedAgenda(database()).then((agenda) => {
        const quiet = agenda.ok ? agenda.value.quiet : null;
        if (!isQuiet(quiet, clock(), timeZoneHere())) void notify(text, { tag: mark, path: `/piece/${piece.id}/rub` });
      });
    };
    const waiting = planned.filter(
      ({ piece, plan }) => plan.cure.clock !== null && piece.rub.done.length === 0 && piece.rub.finishedAt === null,
    );
    const calls = waiting.map(({ piece, plan }) => {
      const ripeAt = plan.cure.clock?.likelyAt ?? 0;
      const ready = READY_WORDS[plan.method.school?.removal ?? 'rub'];
      return callAt(ripeAt, clock, () => tell(piece, ripeAt, ready));
    });
    return () => calls.forEach((cancel) => cancel());
  }, [planned, clock, notice, router]);
  return null;
}
