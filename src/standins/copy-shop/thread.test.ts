/** The shop's machine beside the server: what is slow or broken there ends there. */
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { PDFDocument } from '@cantoo/pdf-lib';
import { measureApart, proofApart } from './thread';

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
