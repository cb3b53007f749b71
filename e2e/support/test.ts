import { expect, test as plain, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { shiftClock, toldTime } from '../../scripts/told-time.mjs';

export { expect };

/** Tells all pages of a browser's context the time, from now on. @param told as `toldTime` reads it; usually that of all */
export const tellTime = (context: BrowserContext, told?: string): Promise<unknown> =>
  context.addInitScript(shiftClock, toldTime(told).at - Date.now());

/** A page of a browser that knows nothing yet, at the time that is told to all. */
export async function anotherPage(browser: Browser): Promise<Page> {
  const { zone: timezoneId } = toldTime();
  const context = await browser.newContext({ locale: 'en-GB', timezoneId, acceptDownloads: true });
  await tellTime(context);
  return context.newPage();
}

interface Journey {
  /** The instant it begins at and the zone it is in; as it is told to all of them where none is stated. */
  told: string | undefined;
  timeIsTold: undefined;
  ownHostOnly: undefined;
}

/** Each journey begins at a stated instant, and keeps to the pages' policy and asks nothing of another host. */
export const test = plain.extend<Journey>({
  told: [undefined, { option: true }],
  timezoneId: async ({ told }, hand) => hand(toldTime(told).zone),
  timeIsTold: [
    async ({ context, told }, use) => {
      await tellTime(context, told);
      await use(undefined);
    },
    { auto: true },
  ],
  ownHostOnly: [
    async ({ context }, use) => {
      const against: string[] = [];
      context.on('console', (message) => {
        if (message.text().includes('Content Security Policy')) against.push(message.text());
      });
      context.on('request', (request) => {
        const { protocol, hostname } = new URL(request.url());
        if (protocol.startsWith('http') && hostname !== 'localhost') against.push(`asked for ${request.url()}`);
      });
      await use(undefined);
      expect(against).toEqual([]);
    },
    { auto: true },
  ],
});
