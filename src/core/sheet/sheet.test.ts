import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import sharp from 'sharp';
import { PAPERS, barVerdict, layoutSheet, pagesThatHold, type Line, type PaperId } from './index';
import { writeSheetPdf } from './pdf';

const length = ({ x1, y1, x2, y2 }: Line) => Math.hypot(x2 - x1, y2 - y1);

describe('laying a print out on a page', () => {
  it('keeps print, marks and bar on the printable page, and the marks off the print', () => {
    fc.assert(fc.property(fc.double({ min: 5, max: 300, noNaN: true }), fc.double({ min: 5, max: 300, noNaN: true }), fc.constantFrom<PaperId>('letter', 'a4'), (widthMm, heightMm, paper) => {
      const result = layoutSheet({ widthMm, heightMm }, paper, 'auto');
      if (!result.ok) return expect(pagesThatHold({ widthMm, heightMm }).filter((page) => page.paper === paper)).toEqual([]);
      const { printable, print, bar, trimCorners, centreMarks, page, rasterPx } = result.value;
      expect(print).toMatchObject({ widthMm, heightMm });
      const inside = (x: number, y: number) => x >= printable.xMm - 1e-9 && y >= printable.yMm - 1e-9 && x <= printable.xMm + printable.widthMm + 1e-9 && y <= printable.yMm + printable.heightMm + 1e-9;
      for (const line of [...trimCorners, ...centreMarks, bar]) expect(inside(line.x1, line.y1) && inside(line.x2, line.y2)).toBe(true);
      expect(inside(print.xMm, print.yMm) && inside(print.xMm + widthMm, print.yMm + heightMm)).toBe(true);
      expect(printable.xMm).toBe(5);
      expect(page.widthMm - printable.widthMm).toBeCloseTo(10, 9);
      expect(length(bar)).toBeCloseTo(100, 9);
      const within = (x: number, y: number) => x > print.xMm && x < print.xMm + widthMm && y > print.yMm && y < print.yMm + heightMm;
      for (const line of [...trimCorners, ...centreMarks, bar]) expect(within((line.x1 + line.x2) / 2, (line.y1 + line.y2) / 2)).toBe(false);
      expect(rasterPx.widthPx).toBe(Math.max(1, Math.round((widthMm / 25.4) * 300)));
    }));
  });

  it('takes the commonest print on Letter: 8 × 10 in', () => {
    expect(layoutSheet({ widthMm: 203.2, heightMm: 254 }, 'letter', 'portrait')).toMatchObject({ ok: true, value: { orientation: 'portrait' } });
    expect(layoutSheet({ widthMm: 254, heightMm: 203.2 }, 'letter', 'auto')).toMatchObject({ ok: true, value: { orientation: 'landscape' } });
  });

  it('says how large it could be where one page does not hold it', () => {
    const result = layoutSheet({ widthMm: 400, heightMm: 300 }, 'a4', 'auto');
    expect(result).toMatchObject({ ok: false, error: { code: 'print-exceeds-page', values: { paper: 'a4', orientation: 'landscape' } } });
    if (!result.ok) {
      const { largestWidthMm, largestHeightMm } = result.error.values as Record<string, number>;
      expect(largestWidthMm / largestHeightMm).toBeCloseTo(4 / 3, 6);
      expect(layoutSheet({ widthMm: largestWidthMm - 0.01, heightMm: largestHeightMm - 0.01 }, 'a4', 'landscape').ok).toBe(true);
    }
    expect(pagesThatHold({ widthMm: 190, heightMm: 270 })).toEqual([{ paper: 'a4', orientation: 'portrait' }]);
  });

  it('refuses what is none or beyond hands', () => {
    expect(layoutSheet({ widthMm: 0, heightMm: 10 }, 'a4', 'auto')).toMatchObject({ ok: false, error: { code: 'print-empty' } });
    expect(layoutSheet({ widthMm: 3001, heightMm: 10 }, 'a4', 'auto')).toMatchObject({ ok: false, error: { code: 'print-too-large' } });
  });
});

describe('the measured bar', () => {
  it('tells the printer’s scale and what it does to the print', () => {
    expect(barVerdict(100, 250)).toMatchObject({ good: true, printErrorMm: 0 });
    expect(barVerdict(99.6, 250).good).toBe(true);
    const short = barVerdict(97, 250);
    expect(short.good).toBe(false);
    expect(short.printErrorMm).toBeCloseTo(-7.5, 9);
    expect(short.scalePercent).toBeCloseTo(97, 9);
  });
});

describe('the PDF, read by poppler', () => {
  const folder = mkdtempSync(join(tmpdir(), 'fobbet-sheet-'));
  const RED = { r: 220, g: 20, b: 20 };
  const BLUE = { r: 20, g: 40, b: 220 };

  async function make(widthMm: number, heightMm: number, paper: PaperId, name = 'Ticket desk') {
    const result = layoutSheet({ widthMm, heightMm }, paper, 'auto');
    if (!result.ok) throw new Error(result.error.code);
    const layout = result.value;
    // As the worker hands it over: already mirrored, so the picture's left half, red, lies on the right.
    const half = await sharp({ create: { width: 300, height: 400, channels: 3, background: BLUE } }).png().toBuffer();
    const jpeg = await sharp({ create: { width: 600, height: 400, channels: 3, background: RED } }).composite([{ input: half, left: 0, top: 0 }]).jpeg({ quality: 95 }).toBuffer();
    const pdf = await writeSheetPdf(layout, jpeg, { pieceName: name, unitSystem: 'metric', mirrored: true, createdAt: new Date(0) });
    const file = join(folder, `${widthMm}-${paper}.pdf`);
    writeFileSync(file, pdf);
    return { layout, file, pdf };
  }

  it.each([[203.2, 254, 'letter'], [254, 203.2, 'letter'], [150, 200, 'a4'], [278, 180, 'a4']] as const)('%p × %p mm on %s has its page, print and bar to 0.1 mm', async (widthMm, heightMm, paper) => {
    const { layout, file } = await make(widthMm, heightMm, paper);
    const info = execFileSync('pdfinfo', ['-box', file], { encoding: 'utf8' });
    const [, mediaWidth, mediaHeight] = /MediaBox:\s+0.00\s+0.00\s+([\d.]+)\s+([\d.]+)/.exec(info) ?? [];
    expect(Math.abs((Number(mediaWidth) / 72) * 25.4 - layout.page.widthMm)).toBeLessThan(0.1);
    expect(Math.abs((Number(mediaHeight) / 72) * 25.4 - layout.page.heightMm)).toBeLessThan(0.1);
    expect([PAPERS[paper].widthMm, PAPERS[paper].heightMm]).toContain(layout.page.widthMm);

    const ppi = 508;
    execFileSync('pdftoppm', ['-r', String(ppi), '-png', '-singlefile', '-aa', 'no', '-aaVector', 'no', file, file]);
    const { data, info: size } = await sharp(`${file}.png`).removeAlpha().raw().toBuffer({ resolveWithObject: true });
    const pixel = (x: number, y: number) => [...data.subarray((y * size.width + x) * 3, (y * size.width + x) * 3 + 3)];
    const toPx = (mm: number) => Math.round((mm / 25.4) * ppi);
    const coloured = ([r, g, b]: number[]) => Math.max(r, g, b) - Math.min(r, g, b) > 80;
    const row = toPx(layout.print.yMm + heightMm / 2 + 7);
    const column = toPx(layout.print.xMm + widthMm / 4);
    const xs = Array.from({ length: size.width }, (_, x) => x).filter((x) => coloured(pixel(x, row)));
    const ys = Array.from({ length: size.height }, (_, y) => y).filter((y) => coloured(pixel(column, y)));
    const mm = (px: number) => (px / ppi) * 25.4;
    expect(Math.abs(mm(xs.length) - widthMm)).toBeLessThanOrEqual(0.1);
    expect(Math.abs(mm(ys.length) - heightMm)).toBeLessThanOrEqual(0.1);
    expect(Math.abs(mm(xs[0]) - layout.print.xMm)).toBeLessThanOrEqual(0.1);
    expect(pixel(toPx(layout.print.xMm + 5), row)[2]).toBeGreaterThan(180);
    expect(pixel(toPx(layout.print.xMm + widthMm - 5), row)[0]).toBeGreaterThan(180);

    const { bar, strip } = layout;
    const dark = ([r, g, b]: number[]) => r + g + b < 260;
    const along = strip.vertical
      ? Array.from({ length: size.height }, (_, y) => y).filter((y) => y < toPx(bar.y2 + 2) && y > toPx(bar.y1 - 2) && dark(pixel(toPx(bar.x1), y)))
      : Array.from({ length: size.width }, (_, x) => x).filter((x) => x < toPx(bar.x2 + 2) && x > toPx(bar.x1 - 2) && dark(pixel(x, toPx(bar.y1))));
    // The end ticks are hairlines: half their width stands over at each end.
    expect(Math.abs(mm(along.length) - 100)).toBeLessThanOrEqual(0.2);
  });

  it('carries its title, asks not to be scaled, and is the same each time', async () => {
    const [first, second] = [await make(150, 200, 'a4', 'Zürich – “Łódź” 木'), await make(150, 200, 'a4', 'Zürich – “Łódź” 木')];
    expect(Buffer.compare(Buffer.from(first.pdf), Buffer.from(second.pdf))).toBe(0);
    expect(execFileSync('pdfinfo', [first.file], { encoding: 'utf8' })).toContain('mirrored print');
    expect(readFileSync(first.file, 'latin1')).toContain('/PrintScaling /None');
    const words = execFileSync('pdftotext', [first.file, '-'], { encoding: 'utf8' });
    expect(words).toContain('This bar measures 100 mm');
    expect(words).toContain('Zürich – “?ódz” ?');
    expect(words).toContain([...'READS TRUE ON THE PIECE'].reverse().join(''));
    expect(words).toContain('15 × 20 cm');
  });
});
