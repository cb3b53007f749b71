import { useDrag } from '@use-gesture/react';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { isKeyTaken, isTyping, useSettings } from '@/features/shell';
import { speak, useTimers } from '@/features/timers';
import type { BenchStep, StepAtBench } from './use-bench-step';

const SWIPE_PX = 40;

/**
 * Keys of the bench, its voice, and its swipe.
 *
 * @returns what an element needs to be swiped
 */
export function useBenchKeys({ card, run, running, move }: BenchStep, { entry }: Pick<StepAtBench, 'entry'>) {
  const router = useRouter();
  const { start, timers, toggle } = useTimers();
  const { speech } = useSettings().settings;
  useHotkeys('right, pagedown', () => move(1), { ignoreEventWhen: isTyping }, [run.cards.length, running]);
  useHotkeys('left, pageup', () => move(-1), { ignoreEventWhen: isTyping }, [run.cards.length, running]);
  useHotkeys(
    'space',
    () => {
      const first = timers.find(({ rangAt }) => rangAt === null);
      if (first) toggle(first);
      else if (card.timer) start({ ...card.timer, pieceId: entry.piece.id, step: entry.key });
    },
    { preventDefault: true, ignoreEventWhen: isKeyTaken },
    [timers, card],
  );
  useHotkeys('escape', () => router.push('/'), [router]);
  useEffect(() => {
    if (speech) speak(card.text);
  }, [speech, card.text]);
  return useDrag(
    ({ last, movement: [across] }) => {
      // By its way, not its speed: a wet hand is slow.
      if (last && Math.abs(across) >= SWIPE_PX) move(-Math.sign(across));
    },
    { axis: 'x', filterTaps: true },
  );
}
