import { useEffect, useRef, useState, type ReactNode } from 'react';
import css from './hold-button.module.css';

const HOLD_MS = 1500;

/** A button that must be held: for what can spoil a piece by a slip of the finger. By key it is held too. */
export function HoldButton({
  children,
  onHeld,
  testId,
  describedBy,
}: {
  children: ReactNode;
  onHeld: () => void;
  testId?: string;
  describedBy?: string;
}) {
  const [held, setHeld] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const release = () => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    setHeld(false);
  };
  const press = () => {
    if (timer.current) return;
    setHeld(true);
    timer.current = setTimeout(() => {
      release();
      onHeld();
    }, HOLD_MS);
  };
  useEffect(
    () => () => {
      if (timer.current) clearTimeout(timer.current);
    },
    [],
  );
  return (
    <button
      type="button"
      className={css.hold}
      data-held={held}
      data-testid={testId}
      aria-describedby={describedBy}
      onPointerDown={press}
      onPointerUp={release}
      onPointerLeave={release}
      onPointerCancel={release}
      onKeyDown={({ key, repeat }) => (key === 'Enter' || key === ' ') && !repeat && press()}
      onKeyUp={release}
      onBlur={release}
      onContextMenu={(event) => event.preventDefault()}
    >
      {children}
    </button>
  );
}
