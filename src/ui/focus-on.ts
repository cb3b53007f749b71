/** Puts the focus on something that can't be reached by keys, without moving the page: its next key goes on from there. */
export function focusOn(target: HTMLElement): void {
  if (!target.hasAttribute('tabindex')) target.tabIndex = -1;
  target.focus({ preventScroll: true });
}
