'use client';
import Link from 'next/link';
import { useEffect, useRef, type FocusEvent, type ReactNode } from 'react';
import type { StationId } from '@/core/stations';
import { Worksheet, focusOn } from '@/ui';
import { FirstSteps } from './first-steps';
import css from './piece-page.module.css';
import { WordsMet } from './words-met';
import { say } from '@/words/say';

/**
 * The specimen with the worksheet beside it: the answer with what to do above, and the way on below, stay in sight; what
 * stands between them scrolls. On a phone they stand over the specimen, and the way on keeps to the foot of the screen.
 */
export const StationLayout = ({
  station,
  hint = true,
  answer,
  act,
  onward,
  specimen,
  children,
}: {
  station: StationId;
  /** Whether a first piece's sentence stands under the answer; not while something else is asked. */
  hint?: boolean;
  answer: ReactNode;
  /** The one thing to do at this station, where there is one. */
  act?: ReactNode;
  /** The way on. */
  onward?: ReactNode;
  specimen: ReactNode;
  children: ReactNode;
}) => (
  <div className={css.split} {...useFocusKept()}>
    <div className={css.head}>
      {answer}
      {hint && <FirstSteps station={station} />}
      {act && <div className={css.act}>{act}</div>}
    </div>
    <div className={css.worksheet} tabIndex={-1}>
      <Worksheet>
        {children}
        <WordsMet station={station} />
      </Worksheet>
    </div>
    <div className={css.foot}>
      <Link href={`/help#working-${station}`} data-testid="how">{say`How is this worked out?`}</Link>
      {onward}
    </div>
    <div className={css.specimen}>{specimen}</div>
  </div>
);

/** A button that is gone once it did its work leaves the focus with the answer, which says what came of it. */
function useFocusKept() {
  const held = useRef<Element | null>(null);
  const whole = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!held.current || held.current.isConnected || document.activeElement !== document.body) return;
    held.current = null;
    const answer = whole.current?.querySelector<HTMLElement>('[data-testid="answer"]');
    if (answer) focusOn(answer);
  });
  return {
    ref: whole,
    onFocus: ({ target }: FocusEvent) => {
      held.current = target;
    },
    // Left by the person: nothing to keep. What is taken off the page loses the focus too, and is gone a moment later.
    onBlur: ({ target }: FocusEvent) => {
      setTimeout(() => {
        if (target.isConnected && held.current === target) held.current = null;
      });
    },
  };
}
