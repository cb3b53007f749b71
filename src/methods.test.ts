import { createServer, request } from 'node:http';
import type { AddressInfo } from 'node:net';
import { refuseOtherMethods } from './methods';

const seen: string[] = [];
const server = createServer(({ method = '', url = '' }, response) => {
  seen.push(`${method} ${url}`);
  response.end('served');
});
beforeAll(async () => {
  refuseOtherMethods();
  await new Promise<void>((resolve) => server.listen(0, resolve));
});
afterAll(() => server.close());
beforeEach(() => {
  seen.length = 0;
});

const asked = (method: string, path: string): Promise<[status: number | undefined, allow: string | undefined]> =>
  new Promise((resolve, reject) => {
    const { port } = server.address() as AddressInfo;
    const sent = request({ port, method, path }, (response) => {
      response.resume();
      response.on('end', () => resolve([response.statusCode, response.headers.allow]));
    });
    sent.on('error', reject);
    sent.end();
  });

it.each(['TRACE', 'PUT', 'DELETE', 'PATCH', 'OPTIONS', 'POST', 'PROPFIND'])(
  'a page asked by %s is refused before anything serves it',
  async (method) => {
    for (const path of ['/', '/piece/x/rub', '/sw.js', '/clock'])
      expect(await asked(method, path)).toEqual([405, 'GET, HEAD']);
    expect(seen).toEqual([]);
  },
);

it('pages are read, and the stand-ins are sent something', async () => {
  expect(await asked('GET', '/')).toEqual([200, undefined]);
  expect(await asked('HEAD', '/stash')).toEqual([200, undefined]);
  expect(await asked('POST', '/standins/copy-shop/quote')).toEqual([200, undefined]);
  expect(await asked('TRACE', '/standins/copy-shop/quote')).toEqual([405, 'GET, HEAD, POST']);
  expect(seen).toEqual(['GET /', 'HEAD /stash', 'POST /standins/copy-shop/quote']);
});
