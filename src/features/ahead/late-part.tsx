'use client';
import dynamic from 'next/dynamic';
import type { Schedule } from '@/features/agenda';
import { Note, Part, TextButton } from '@/ui';
import css from './ahead.module.css';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

const LatePieces = dynamic(() => import('./late-pieces').then((file) => file.LatePieces), { ssr: false });

/** What can’t make its date, and what is set aside for it. */
export function LatePart({ schedule }: { schedule: Schedule }) {
  const { pieces, built, change } = schedule;
  return (
    <Part title={say`What can’t make it`}>
      <div data-testid="late-part">
        {pieces.some(({ lateMs }) => lateMs > 0) ? (
          <LatePieces schedule={schedule} />
        ) : (
          <Note>
            {built.steps.length > 0
              ? say`Every piece with a date makes it.`
              : say`Every piece with a date makes it: nothing is left to do.`}
          </Note>
        )}
        {schedule.beyond > 0 && (
          <Note>{say`${schedule.beyond} more pieces wait until there is room in the plan: those due first, or
            worked on last, come first.`}</Note>
        )}
        {schedule.aside.map(({ id, name }) => (
          <p key={id} className={css.late}>{sayWith`${name} is set aside. ${(
            <TextButton
              onClick={() => void change(({ aside }) => ({ aside: aside.filter((pieceId) => pieceId !== id) }))}
            >{say`Take it back in`}</TextButton>
          )}`}</p>
        ))}
      </div>
    </Part>
  );
}
