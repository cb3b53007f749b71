import { expect, test as plain } from '@playwright/test';

export { expect };

/** Each journey, whatever else it is about, keeps to the pages' policy and asks nothing of another host. */
export const test = plain.extend<{ ownHostOnly: undefined }>({
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
