'use client';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { isQuiet } from '@/core/schedule';
import { MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';
import type { Piece } from '@/records';
import { usePlannedPieces, type PlannedPiece } from '@/features/plans';
import { useNotice } from '@/features/shell';
import { setPath } from '@/features/shell/places';
import { database, storedAgenda } from '@/storage';
import { clockTime, timeZoneHere, useClock } from '@/ui';
import { READY_WORDS } from '@/words';
import { callAt } from './call-at';
import { notify } from './notify';
import { useTrueTime } from './time-watch';
import { isDoubtful } from './true-time';
import { say } from '@/words/say';

const SEEN_KEY = 'fobbet.cure-told';
const readTold = (): string[] => {
  try {
    return JSON.parse(localStorage.getItem(SEEN_KEY) ?? '[]') as string[];
  } catch {
    return [];
  }
};
const writeTold = (told: readonly string[]) => localStorage.setItem(SEEN_KEY, JSON.stringify(told.slice(-KEPT)));
/** More than can lie drying at once: one that is forgotten would be told again. */
const KEPT = 1000;
/** One that was told is told again where it turns out to need so much longer after all. */
const TAKEN_BACK_MS = 30 * MS_PER_MINUTE;
/** Told later than this, it says since when. */
const LATE_MS = MS_PER_MINUTE;

/** What of a set is laid within so long is told once. */
const TOGETHER_MS = 12 * MS_PER_HOUR;

/** Once for each laying, however the estimate moves; again after a new sign. Of a set once for all that was laid together. */
const markOf = ({ id, set, lay, cure }: Piece): string =>
  set
    ? `${set.id}@${Math.floor((lay.laidAt ?? 0) / TOGETHER_MS)}+${cure.signs.length}`
    : `${id}@${lay.laidAt ?? 0}+${cure.signs.length}`;

interface Ripening {
  piece: Piece;
  ripeAt: number;
  ready: string;
  mark: string;
}
const ripeningOf = ({ piece, plan }: PlannedPiece): Ripening | null =>
  plan.cure.clock === null || piece.rub.done.length > 0 || piece.rub.finishedAt !== null
    ? null
    : {
        piece,
        ripeAt: plan.cure.clock.readyAt,
        ready: READY_WORDS[plan.method.school?.removal ?? 'rub'],
        mark: markOf(piece),
      };

/** Forgets that something was told which is not so any more: it will be told when it is. */
function takeBack(ripening: readonly Ripening[], now: number): void {
  const marks = new Set(ripening.map(({ mark }) => mark));
  const stillSo = new Set(ripening.filter(({ ripeAt }) => ripeAt - now < TAKEN_BACK_MS).map(({ mark }) => mark));
  const told = readTold();
  const left = told.filter((mark) => !marks.has(mark) || stillSo.has(mark));
  if (left.length < told.length) writeTold(left);
}

/**
 * Tells once when a laid piece may be rubbed: in the page, and by the browser if it is allowed to. Catches up on what
 * passed while closed.
 */
export function CureWatch() {
  const clock = useClock();
  const notice = useNotice();
  const router = useRouter();
  const { isHeld, settle, gaps } = useTrueTime();
  const { planned } = usePlannedPieces();

  useEffect(() => {
    if (!isHeld) return;
    let isOver = false;
    const tell = async ({ piece, ripeAt, ready, mark }: Ripening) => {
      // Where the clock was set, or the piece changed, it comes back here with its wait as it is then.
      const uncounted = await settle();
      const stored = await database().pieces.get(piece.id);
      if (isOver || stored?.revision !== piece.revision) return;
      if (isDoubtful({ fromAt: piece.lay.laidAt ?? 0, untilAt: ripeAt }, uncounted, clock())) return;
      const told = readTold();
      if (told.includes(mark)) return;
      writeTold([...told, mark]);
      const late = clock() - ripeAt > LATE_MS;
      const name = piece.set?.name ?? piece.name;
      const path = piece.set ? setPath(piece.set.id) : `/piece/${piece.id}/rub`;
      const text = late ? say`${name}: ${ready} since ${clockTime(ripeAt, clock())}.` : say`${name}: ${ready} now.`;
      notice({ text, action: { label: say`Open`, run: () => router.push(path) } });
      // In the quiet hours the page says it, and nothing rings.
      const agenda = await storedAgenda(database());
      const quiet = agenda.ok ? agenda.value.quiet : null;
      if (!isQuiet(quiet, clock(), timeZoneHere())) void notify(text, { tag: mark, path });
    };
    const ripening = planned.map(ripeningOf).filter((one) => one !== null);
    takeBack(ripening, clock());
    const calls = ripening.map((one) => callAt(one.ripeAt, clock, () => void tell(one)));
    return () => {
      isOver = true;
      calls.forEach((cancel) => cancel());
    };
  }, [planned, clock, isHeld, settle, gaps, notice, router]);
  return null;
}
