'use client';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { isQuiet } from '@/core/schedule';
import { MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';
import type { Piece } from '@/records';
import { usePlannedPieces } from '@/features/shelf';
import { useNotice } from '@/features/shell';
import { setPath } from '@/features/shell/places';
import { database, storedAgenda } from '@/storage';
import { clockTime, timeZoneHere, useClock } from '@/ui';
import { READY_WORDS } from '@/words';
import { callAt } from './call-at';
import { notify } from './notify';
import { say } from '@/words/say';

const SEEN_KEY = 'fobbet.cure-told';
const readTold = (): string[] => JSON.parse(localStorage.getItem(SEEN_KEY) ?? '[]') as string[];
/** More than can lie drying at once: one that is forgotten would be told again. */
const KEPT = 1000;
/** Told later than this, it says since when. */
const LATE_MS = MS_PER_MINUTE;

/** What of a set is laid within so long is told once. */
const TOGETHER_MS = 12 * MS_PER_HOUR;

/** Once for each laying, however the estimate moves; again after a new sign. Of a set once for all that was laid together. */
const markOf = ({ id, set, lay, cure }: Piece): string =>
  set
    ? `${set.id}@${Math.floor((lay.laidAt ?? 0) / TOGETHER_MS)}+${cure.signs.length}`
    : `${id}@${lay.laidAt ?? 0}+${cure.signs.length}`;

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
      const name = piece.set?.name ?? piece.name;
      const path = piece.set ? setPath(piece.set.id) : `/piece/${piece.id}/rub`;
      const text = late ? say`${name}: ${ready} since ${clockTime(ripeAt, clock())}.` : say`${name}: ${ready} now.`;
      notice({ text, action: { label: say`Open`, run: () => router.push(path) } });
      // In the quiet hours the page says it, and nothing rings.
      void storedAgenda(database()).then((agenda) => {
        const quiet = agenda.ok ? agenda.value.quiet : null;
        if (!isQuiet(quiet, clock(), timeZoneHere())) void notify(text, { tag: mark, path });
      });
    };
    const waiting = planned.filter(
      ({ piece, plan }) => plan.cure.clock !== null && piece.rub.done.length === 0 && piece.rub.finishedAt === null,
    );
    const calls = waiting.map(({ piece, plan }) => {
      const ripeAt = plan.cure.clock?.readyAt ?? 0;
      const ready = READY_WORDS[plan.method.school?.removal ?? 'rub'];
      return callAt(ripeAt, clock, () => tell(piece, ripeAt, ready));
    });
    return () => calls.forEach((cancel) => cancel());
  }, [planned, clock, notice, router]);
  return null;
}
