import { useHotkeys } from 'react-hotkeys-hook';
import type { KeyId } from '@/records';
import { useSettings } from './settings';
import { say } from '@/words/say';

/** Whether what has the focus was reached by pressing it with a pointer: then no ring shows that it has it. */
let byPointer = false;
if (typeof window !== 'undefined') {
  window.addEventListener('pointerdown', () => (byPointer = true), true);
  window.addEventListener('keydown', ({ key }) => key === 'Tab' && (byPointer = false), true);
}

const CONTROL = say`a[href], button, input, select, textarea, summary, [role], [contenteditable], [tabindex="0"]`;
const TYPED = say`input, select, textarea, [contenteditable], [role="slider"], [role="radio"], [role="listbox"], [role="menu"]`;

/** A key belongs to what has the focus, and to an open dialog: there no single key does anything else. */
function isTaken({ target }: KeyboardEvent): boolean {
  if (!(target instanceof Element)) return false;
  if (target.closest('[role="dialog"], [role="menu"], [role="listbox"]')) return true;
  return byPointer ? target.closest(TYPED) !== null : target.matches(CONTROL) && target !== document.body;
}

/** Runs with one key, as the person set it, unless single keys are off or the focus is in something that takes keys. */
export function useShortcut(id: KeyId, run: () => void): void {
  const { settings } = useSettings();
  useKeys(settings.keys[id] === '' ? [] : [settings.keys[id]], run);
}

/** The same for keys that are not changed one by one: digits, and the steps of a scale. */
export function useKeys(keys: readonly string[], run: (key: string) => void): void {
  const { settings } = useSettings();
  useHotkeys(
    '*',
    (event) => {
      const key = event.key.toLowerCase();
      if (event.ctrlKey || event.metaKey || event.altKey || event.isComposing || !keys.includes(key)) return;
      event.preventDefault();
      run(key);
    },
    { enabled: settings.keysOn && keys.length > 0, ignoreEventWhen: isTaken },
    [keys, run, settings.keysOn],
  );
}

/** Whether an arrow or the space bar is free: the first is also while a button has the focus, the second is not. */
export const isKeyTaken = isTaken;
export const isTyping = ({ target }: KeyboardEvent): boolean =>
  target instanceof Element && target.closest(`${TYPED}, [role="dialog"]`) !== null;
