'use client';
import dynamic from 'next/dynamic';
import type { Schedule } from '@/features/agenda';
import { Note, Part, TextButton } from '@/ui';
import css from './ahead.module.css';

const LatePieces = dynamic(() => import('./late-pieces').then((file) => file.LatePieces), { ssr: false });

/** What can’t make its date, and what is set aside for it. */
export function LatePart({ schedule }: { schedule: Schedule }) {
  const { pieces, built, change } = schedule;
  return (
    <Part title="What can’t make it">
      <div data-testid="late-part">
        {pieces.some(({ lateMs }) => lateMs > 0) ? (
          <LatePieces schedule={schedule} />
        ) : (
          <Note>Every piece with a date makes it{built.steps.length ? '' : ': nothing is left to do'}.</Note>
        )}
        {schedule.beyond > 0 && (
          <Note>
            {schedule.beyond} more pieces wait until there is room in the plan: those due first, or worked on last, come
            first.
          </Note>
        )}
        {schedule.aside.map(({ id, name }) => (
          <p key={id} className={css.late}>
            {name} is set aside.{' '}
            <TextButton
              onClick={() => void change(({ aside }) => ({ aside: aside.filter((pieceId) => pieceId !== id) }))}
            >
              Take it back in
            </TextButton>
          </p>
        ))}
      </div>
    </Part>
  );
}
