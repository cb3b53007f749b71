import type { Locator, Page } from '@playwright/test';

const MOST_KEYS = 200;

/** Goes to a control by keys alone, from where the focus is. @returns how many keys that took */
export async function tabTo(page: Page, target: Locator): Promise<number> {
  for (let keys = 0; keys < MOST_KEYS; keys++) {
    const where = await target.evaluate((element) => {
      const held = document.activeElement;
      if (held === element) return 'there';
      return held && element.closest('[role="radiogroup"]')?.contains(held) ? 'beside' : 'elsewhere';
    });
    if (where === 'there') return keys;
    // A row of choices is one stop of Tab; arrows go along it, and take what they come to.
    await page.keyboard.press(where === 'beside' ? 'ArrowRight' : 'Tab');
  }
  throw new Error('Tab does not come to it');
}
