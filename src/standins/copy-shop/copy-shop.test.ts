import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildSync } from 'esbuild';
import { PDFDocument } from '@cantoo/pdf-lib';
import sharp from 'sharp';
import { MACHINE, quote, type ShopOptions } from './index';
import { MOST_BYTES } from './machine';
import { readRequest } from './request';

const OPTIONS: ShopOptions = { copies: 1, colour: true, paper: 'bond-80', fit: false };
const A4 = { widthMm: 210, heightMm: 297 };
/** A Wednesday, ten in the morning. */
const WEDNESDAY = new Date('2026-03-04T10:00:00').getTime();
const at = (text: string) => new Date(text).getTime();

describe('the copy shop', () => {
  it('answers with price and time, dearer for more, and the same each time', () => {
    const one = quote({ pages: [A4], bytes: 5000 }, OPTIONS, WEDNESDAY);
    expect(one).toMatchObject({ ok: true, value: { price: 1.05, pages: 1, copies: 1 } });
    expect(quote({ pages: [A4], bytes: 5000 }, OPTIONS, WEDNESDAY)).toEqual(one);
    const three = quote({ pages: [A4, A4], bytes: 5000 }, { ...OPTIONS, copies: 3, paper: 'bond-120' }, WEDNESDAY);
    expect(three.ok && three.value.price).toBeCloseTo(0.6 + 6 * 0.53, 6);
    expect(one.ok && new Date(one.value.readyAt).getHours()).toBe(10);
  });
  it('works in its hours only', () => {
    const ready = (now: string) => {
      const answer = quote({ pages: [A4], bytes: 1 }, OPTIONS, at(now));
      return answer.ok ? new Date(answer.value.readyAt).toString().slice(0, 21) : answer.error.code;
    };
    expect(ready('2026-03-04T22:30:00')).toMatch(/^Thu Mar 05 2026 09:15/);
    expect(ready('2026-03-07T17:55:00')).toMatch(/^Mon Mar 09 2026 09:15/);
    expect(ready('2026-03-04T06:00:00')).toMatch(/^Wed Mar 04 2026 09:15/);
  });
  it.each<[string, number, Partial<ShopOptions>, { widthMm: number; heightMm: number }, number]>([
    ['shop-copies', 1, { copies: 0 }, A4, 1],
    ['shop-no-pages', 0, {}, A4, 1],
    ['shop-too-many-pages', 31, { copies: 2 }, A4, 1],
    ['shop-page-size', 1, {}, { widthMm: 330, heightMm: 480 }, 1],
    ['shop-liner', 1, { paper: 'liner' }, A4, 1],
    ['shop-too-large', 1, {}, A4, 1e9],
  ])('refuses with %s', (code, count, patch, page, bytes) =>
    expect(
      quote({ pages: Array.from({ length: count }, () => page), bytes }, { ...OPTIONS, ...patch }, WEDNESDAY),
    ).toMatchObject({ ok: false, error: { code } }),
  );

  it('checks what it is sent', async () => {
    const sent = (fields: Record<string, string | Blob>) => {
      const form = new FormData();
      for (const [key, value] of Object.entries(fields)) form.set(key, value);
      return readRequest(new Request('http://shop/quote', { method: 'POST', body: form }));
    };
    const pdf = new Blob([Buffer.from('%PDF-')]);
    expect(await sent({ pdf, copies: '2', colour: 'true', paper: 'bond-80', fit: 'false' })).toMatchObject({
      ok: true,
      value: { copies: 2, colour: true, fit: false, page: 0 },
    });
    expect(await sent({ copies: '2' })).toMatchObject({ ok: false, error: { code: 'shop-not-pdf' } });
    expect(await sent({ pdf, copies: 'many', colour: 'true', paper: 'gold', fit: 'false' })).toMatchObject({
      ok: false,
      error: { code: 'shop-request' },
    });
  });

  it('gives up a body that streams on and on, whatever its header says', async () => {
    let sentBytes = 0;
    const body = new ReadableStream<Uint8Array>({
      pull(controller) {
        sentBytes += 2 ** 20;
        controller.enqueue(new Uint8Array(2 ** 20));
      },
    });
    const request = new Request('http://shop/quote', {
      method: 'POST',
      body,
      headers: { 'content-type': 'multipart/form-data; boundary=x', 'content-length': '10' },
      duplex: 'half',
    } as RequestInit);
    expect(await readRequest(request)).toMatchObject({ ok: false, error: { code: 'shop-too-large' } });
    expect(sentBytes).toBeLessThan(MOST_BYTES + 8 * 2 ** 20);
  });
});

/** Drawn outside the test's realm: the PDF reader is a module of its own kind. */
async function shopDraws(pdf: Uint8Array, fit: boolean): Promise<{ data: Buffer; width: number; height: number }> {
  const folder = mkdtempSync(join(tmpdir(), 'fobbet-shop-'));
  writeFileSync(join(folder, 'in.pdf'), pdf);
  const runner = join(process.cwd(), '.cache', `shop-${process.pid}.mjs`);
  buildSync({
    stdin: {
      contents:
        `import { measurePdf, printProof } from '@/standins/copy-shop/reading'; import { readFileSync, ` +
        `writeFileSync } from 'node:fs';
      const pdf = new Uint8Array(readFileSync(process.argv[2])); const job = await measurePdf(pdf); const made = ` +
        `await printProof(pdf, 0, { colour: true, fit: process.argv[4] === 'fit' });
      if (!job.ok || !made.ok) { console.log(JSON.stringify(job.ok ? made : job)); process.exit(0); } ` +
        `writeFileSync(process.argv[3], made.value); console.log(JSON.stringify(job));`,
      resolveDir: process.cwd(),
      loader: 'ts',
    },
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile: runner,
    tsconfig: join(process.cwd(), 'tsconfig.json'),
    packages: 'external',
    alias: { '@': join(process.cwd(), 'src') },
  });
  const said = JSON.parse(
    execFileSync(process.execPath, [runner, join(folder, 'in.pdf'), join(folder, 'out.png'), fit ? 'fit' : 'true'], {
      encoding: 'utf8',
    })
      .trim()
      .split('\n')
      .slice(-1)[0],
  ) as { ok: boolean };
  if (!said.ok) throw new Error(JSON.stringify(said));
  const { data, info } = await sharp(join(folder, 'out.png')).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}

describe('its proof', () => {
  it('is the page a little stretched, paler and white at the rim; shrunk where that was asked for', async () => {
    const document = await PDFDocument.create();
    const mm = (value: number) => (value / 25.4) * 72;
    document.addPage([mm(210), mm(297)]).drawRectangle({ x: mm(1), y: mm(97), width: mm(150), height: mm(150) });
    const pdf = await document.save();
    for (const fit of [false, true]) {
      const { data, width, height } = await shopDraws(pdf, fit);
      const perMm = width / 210;
      expect(height / width).toBeCloseTo(297 / 210, 2);
      const row = Math.round(perMm * 120);
      const dark = Array.from({ length: width }, (_, x) => x).filter((x) => data[(row * width + x) * 3] < 120);
      // White as far as the grippers hold; the far edge where the machine's stretch puts it.
      const shrink = fit ? (210 - 2 * MACHINE.marginMm) / 210 : 1;
      expect(dark[0] / perMm).toBeGreaterThan(MACHINE.marginMm - 0.3);
      expect(
        Math.abs(
          (dark[dark.length - 1] + 1) / perMm - (105 + MACHINE.shiftMm[0] + (151 - 105) * MACHINE.across * shrink),
        ),
      ).toBeLessThan(0.3);
      expect(data[(row * width + dark[20]) * 3]).toBeGreaterThan(15);
    }
  }, 60_000);
  it('refuses a page that is larger than any machine, and more pages than it takes', async () => {
    const large = await PDFDocument.create();
    large.addPage([14_000, 14_000]);
    await expect(shopDraws(await large.save(), false)).rejects.toThrow('shop-page-size');
    const many = await PDFDocument.create();
    for (let page = 0; page < 61; page++) many.addPage([200, 200]);
    await expect(shopDraws(await many.save(), false)).rejects.toThrow('shop-too-many-pages');
  }, 60_000);
  it('refuses what is no PDF', async () => {
    await expect(shopDraws(Buffer.from('GIF89a'), false)).rejects.toThrow('shop-not-pdf');
  }, 60_000);
});
