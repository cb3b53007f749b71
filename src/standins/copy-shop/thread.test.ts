/** The shop's machine beside the server: what is slow or broken there ends there. */
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { PDFDocument } from '@cantoo/pdf-lib';
import { isOwn } from './request';
import { measureApart, proofApart, takenIn } from './thread';

beforeAll(() => {
  execFileSync(process.execPath, [join('scripts', 'copy-shop.mjs')]);
});

async function pdfOf(pages: number): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  for (let page = 0; page < pages; page++)
    document.addPage([595, 842]).drawRectangle({ x: 50, y: 50, width: 200, height: 90 });
  return document.save();
}

it('measures and prints in a thread of its own, several at a time, while the server goes on', async () => {
  const pdf = await pdfOf(2);
  let beats = 0;
  const heart = setInterval(() => beats++, 20);
  const [measured, ...proofs] = await Promise.all([
    measureApart(pdf),
    ...[0, 1, 0].map((page) => proofApart(pdf, page, { colour: true, fit: false })),
  ]);
  clearInterval(heart);
  expect(measured).toMatchObject({ ok: true, value: { pages: [{ widthMm: expect.closeTo(209.9, 2) as number }, {}] } });
  for (const proof of proofs) expect(proof.ok && Buffer.from(proof.value).subarray(1, 4).toString()).toBe('PNG');
  expect(beats).toBeGreaterThan(3);
});

it('what is no PDF is refused there too, and the next one is served', async () => {
  expect(await measureApart(new Uint8Array(9))).toMatchObject({ ok: false, error: { code: 'shop-not-pdf' } });
  expect(await measureApart(await pdfOf(1))).toMatchObject({ ok: true });
});

it('holds four waiting beside what is worked on, and lets the next in when one is over', async () => {
  const ends: (() => void)[] = [];
  const one = () => takenIn(() => new Promise<{ ok: true }>((resolve) => ends.push(() => resolve({ ok: true }))));
  const held = Array.from({ length: 6 }, one);
  expect(await one()).toMatchObject({ ok: false, error: { code: 'shop-busy' } });
  ends[0]?.();
  expect(await held[0]).toEqual({ ok: true });
  const next = one();
  ends.forEach((end) => end());
  expect(await next).toEqual({ ok: true });
  await Promise.all(held);
});

it('work ends with its client: what waits is not begun, what is under way is stopped, and the others go on', async () => {
  const pdf = await pdfOf(1);
  const [leaves, left] = [new AbortController(), new AbortController()];
  const options = { colour: true, fit: false };
  const all = [
    proofApart(pdf, 0, options, leaves.signal),
    proofApart(pdf, 0, options),
    proofApart(pdf, 0, options, left.signal),
    proofApart(pdf, 0, options),
  ];
  leaves.abort();
  left.abort();
  const codes = (await Promise.all(all)).map((answer) => (answer.ok ? 'made' : answer.error.code));
  expect(codes).toEqual(['shop-left', 'made', 'shop-left', 'made']);
});

it.each([
  [{}, true],
  [{ host: 'localhost:3000', origin: 'http://localhost:3000', 'sec-fetch-site': 'same-origin' }, true],
  [{ host: '127.0.0.1:3000' }, true],
  [{ host: 'localhost:3000', origin: 'http://elsewhere.example' }, false],
  [{ host: 'localhost:3000', origin: 'null' }, false],
  [{ host: 'localhost:3000', 'sec-fetch-site': 'cross-site' }, false],
  [{ host: 'localhost:3000', origin: 'http://localhost:4000' }, false],
  [{ host: 'rebound.example', origin: 'http://rebound.example' }, false],
])('an order with %j is its own: %s', (headers, own) => {
  expect(isOwn(new Request('http://localhost/', { headers: headers as Record<string, string> }), false)).toBe(own);
});

it('where the home was let in, its own names are good', () => {
  const headers = { host: 'desk.home:3000', origin: 'http://desk.home:3000' };
  expect(isOwn(new Request('http://desk.home/', { headers }), true)).toBe(true);
});
