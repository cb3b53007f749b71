/**
 * What stands in the first screen of a page: words that are read, and controls that are pressed or filled. The frame –
 * top bar, the piece's name, the row of stations – is counted apart; the ruler's figures are not words.
 */
import type { Page } from '@playwright/test';

export interface FirstScreen {
  words: number;
  controls: number;
  frameControls: number;
}

export async function countFirstScreen(page: Page): Promise<FirstScreen> {
  // What runs these scripts names the functions it meets; the page must know how.
  await page.evaluate('globalThis.__name ??= (named) => named');
  return page.evaluate(() => {
    const [wide, high] = [window.innerWidth, window.innerHeight];
    /** What of a box is seen, once all that clips it has clipped it. */
    const isSeen = (element: Element, box: DOMRect): boolean => {
      // What is folded away keeps its place in the layout.
      if (!element.checkVisibility({ visibilityProperty: true })) return false;
      let [left, top, right, bottom] = [Math.max(0, box.left), Math.max(0, box.top), box.right, box.bottom];
      [right, bottom] = [Math.min(wide, right), Math.min(high, bottom)];
      for (let at: Element | null = element; at; at = at.parentElement) {
        const style = getComputedStyle(at);
        if (style.overflow === 'visible' && style.overflowY === 'visible') continue;
        const clip = at.getBoundingClientRect();
        [left, top] = [Math.max(left, clip.left), Math.max(top, clip.top)];
        [right, bottom] = [Math.min(right, clip.right), Math.min(bottom, clip.bottom)];
      }
      return right - left > 2 && bottom - top > 2;
    };
    const isFrame = (element: Element) => element.closest('header, nav, [data-testid="piece-head"]') !== null;
    const main = document.querySelector('main') ?? document.body;
    let words = 0;
    const texts = document.createTreeWalker(main, NodeFilter.SHOW_TEXT);
    for (let node = texts.nextNode(); node; node = texts.nextNode()) {
      const element = node.parentElement;
      if (!element || isFrame(element) || element.closest('svg, select, script, style, [aria-hidden="true"]')) continue;
      for (const match of (node.textContent ?? '').matchAll(/\S*\p{L}\S*/gu)) {
        const range = document.createRange();
        range.setStart(node, match.index);
        range.setEnd(node, match.index + match[0].length);
        if (isSeen(element, range.getBoundingClientRect())) words++;
      }
    }
    const pressed = [
      ...document.querySelectorAll(
        'a[href], button, input, select, textarea, summary, [role="slider"], [role="button"]',
      ),
    ].filter((element) => isSeen(element, element.getBoundingClientRect()));
    const frameControls = pressed.filter(isFrame).length;
    // A row of radio buttons is one choice.
    const groups = new Set<string>();
    const own = pressed.filter((element) => {
      if (isFrame(element)) return false;
      if (!(element instanceof HTMLInputElement) || element.type !== 'radio') return true;
      if (groups.has(element.name)) return false;
      groups.add(element.name);
      return true;
    });
    return { words, controls: own.length, frameControls };
  });
}
