import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from '@/testing/properties';
import sharp from 'sharp';
import { writeCalibrationPdf } from './calibration';
import {
  PAPER_IDS,
  PLAIN_FORM,
  barVerdict,
  formPrint,
  layoutPack,
  lessForFewerPages,
  pagesThatHold,
  paperOf,
  type Line,
  type Orientation,
  type PaperId,
} from './index';
import { resolveBlank, type RectMm } from '@/core/shape';
import { wordsMm } from './wrap-words';
import { writeSheetPdf, type SheetImages } from './pdf';
import { sheetMarks, type SheetText } from './marks';
import { PRINTS } from '@/core/craft';
import { TRUE_PRINTER, printerScale, type PrinterTruth } from '@/core/at-hand';
import { SHEET_WORDS } from '@/words/sheet';

const OWN = { widthMm: 330, heightMm: 480 };
const SMALL = { widthMm: 148, heightMm: 105 };
const pack = (
  print: { widthMm: number; heightMm: number },
  paper: PaperId,
  orientation: Orientation = 'auto',
  overlapMm = 10,
) => layoutPack([print], { paper: paperOf(paper, OWN), orientation, overlapMm, marginMm: 5 });
const onePage = (print: { widthMm: number; heightMm: number }, paper: PaperId, orientation: Orientation = 'auto') => {
  const made = pack(print, paper, orientation);
  if (!made.ok || made.value.pages.length !== 1) throw new Error('expected one page');
  return made.value.pages[0];
};
const packOne = (print: { widthMm: number; heightMm: number }, paper: PaperId) => {
  const made = pack(print, paper);
  if (!made.ok) throw new Error(made.error.code);
  return made.value;
};
const text = (patch: Partial<SheetText> = {}): SheetText => ({
  title: 'Ticket desk',
  unitSystem: 'metric',
  mirrored: true,
  printKind: null,
  prints: [{ name: 'Ticket desk', cut: null, folds: [], edge: 'cut' }],
  createdAt: new Date(0),
  ...patch,
});
const inWords = (of: SheetText, truth: PrinterTruth = TRUE_PRINTER) => ({ text: of, truth, words: SHEET_WORDS });
const whole = (jpeg: Uint8Array, heightPx: number): SheetImages => [[[{ jpeg, top: 0, rows: heightPx }]]];

const overlap = (one: RectMm, other: RectMm): boolean =>
  one.xMm < other.xMm + other.widthMm - 0.05 &&
  other.xMm < one.xMm + one.widthMm - 0.05 &&
  one.yMm < other.yMm + other.heightMm - 0.05 &&
  other.yMm < one.yMm + one.heightMm - 0.05;
const length = ({ x1, y1, x2, y2 }: Line) => Math.hypot(x2 - x1, y2 - y1);

describe('laying a print out on a page', () => {
  it('keeps print, marks and bar on the printable page, and the marks off the print', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 300, noNaN: true }),
        fc.double({ min: 5, max: 300, noNaN: true }),
        fc.constantFrom<PaperId>('letter', 'a4'),
        (widthMm, heightMm, paper) => {
          const result = pack({ widthMm, heightMm }, paper);
          if (!result.ok) throw new Error(result.error.code);
          if (result.value.pages.length > 1)
            return expect(pagesThatHold({ widthMm, heightMm }).filter((page) => page.paper.id === paper)).toEqual([]);
          const {
            printable,
            places: [{ place: print, trimCorners, centreMarks, rasterPx }],
            bar,
            page,
          } = result.value.pages[0];
          expect(print).toMatchObject({ widthMm, heightMm });
          const inside = (x: number, y: number) =>
            x >= printable.xMm - 1e-9 &&
            y >= printable.yMm - 1e-9 &&
            x <= printable.xMm + printable.widthMm + 1e-9 &&
            y <= printable.yMm + printable.heightMm + 1e-9;
          for (const line of [...trimCorners, ...centreMarks, bar])
            expect(inside(line.x1, line.y1) && inside(line.x2, line.y2)).toBe(true);
          expect(inside(print.xMm, print.yMm) && inside(print.xMm + widthMm, print.yMm + heightMm)).toBe(true);
          expect(printable.xMm).toBe(5);
          expect(page.widthMm - printable.widthMm).toBeCloseTo(10, 9);
          expect(length(bar)).toBeCloseTo(100, 9);
          const within = (x: number, y: number) =>
            x > print.xMm && x < print.xMm + widthMm && y > print.yMm && y < print.yMm + heightMm;
          for (const line of [...trimCorners, ...centreMarks, bar])
            expect(within((line.x1 + line.x2) / 2, (line.y1 + line.y2) / 2)).toBe(false);
          expect(rasterPx.widthPx).toBe(Math.max(1, Math.round((widthMm / 25.4) * 300)));
        },
      ),
    );
  });

  it.each(['laser-plain', 'inkjet-liner', null] as const)(
    'says on its strip what it is printed with: %p',
    (printKind) => {
      const pack = packOne({ widthMm: 120, heightMm: 80 }, 'a4');
      const words = sheetMarks(pack.pages[0], { pack, ...inWords(text({ printKind })) }).flatMap((mark) =>
        mark.kind === 'words' ? [mark.words] : [],
      );
      const named = PRINTS.filter(({ id }) => words.join(' ').includes(SHEET_WORDS.printedWith(id)));
      expect(named.map(({ id }) => id)).toEqual(printKind === null ? [] : [printKind]);
    },
  );

  describe('a little less of it would take fewer pages', () => {
    const letter = { paper: paperOf('letter', OWN), orientation: 'auto' as const, overlapMm: 9.525, marginMm: 5 };
    const pagesOf = (print: { widthMm: number; heightMm: number }) => {
      const made = layoutPack([print], letter);
      return made.ok ? made.value.pages.length : NaN;
    };
    it('14 1/2 × 11 in on Letter takes four; some 26 mm off its height two', () => {
      const board = { widthMm: 368.3, heightMm: 279.4 };
      expect(pagesOf(board)).toBe(4);
      const fewer = lessForFewerPages(board, letter, 30);
      expect(fewer).toMatchObject({ pages: 2, less: { widthMm: 0 } });
      expect(fewer?.less.heightMm).toBeLessThan(27);
    });
    it('is the least of it: what is offered takes so many, half a millimetre less doesn’t', () => {
      fc.assert(
        fc.property(fc.integer({ min: 200, max: 700 }), fc.integer({ min: 200, max: 700 }), (widthMm, heightMm) => {
          const fewer = lessForFewerPages({ widthMm, heightMm }, letter, 30);
          if (!fewer) return;
          const { less, pages } = fewer;
          const at = (spare: number) =>
            pagesOf({
              widthMm: widthMm - Math.max(0, less.widthMm - (less.widthMm > 0 ? spare : 0)),
              heightMm: heightMm - Math.max(0, less.heightMm - (less.heightMm > 0 ? spare : 0)),
            });
          expect(at(0)).toBe(pages);
          expect(pages).toBeLessThan(pagesOf({ widthMm, heightMm }));
          expect(at(0.51)).toBeGreaterThan(pages);
          expect(Math.max(less.widthMm, less.heightMm)).toBeLessThanOrEqual(30);
        }),
        { numRuns: 40 },
      );
    });
    it('nothing is offered where nothing within reach helps, or one page holds it', () => {
      expect(lessForFewerPages({ widthMm: 100, heightMm: 100 }, letter, 30)).toBeNull();
      expect(lessForFewerPages({ widthMm: 368.3, heightMm: 279.4 }, letter, 3)).toBeNull();
    });
  });

  it('takes the commonest print on Letter: 8 × 10 in', () => {
    expect(onePage({ widthMm: 203.2, heightMm: 254 }, 'letter', 'portrait').orientation).toBe('portrait');
    expect(onePage({ widthMm: 254, heightMm: 203.2 }, 'letter').orientation).toBe('landscape');
    expect(
      pagesThatHold({ widthMm: 190, heightMm: 270 }).map(({ paper, orientation }) => `${paper.id} ${orientation}`),
    ).toEqual(['legal portrait', 'tabloid portrait', 'a4 portrait', 'a3 portrait', 'a3 landscape']);
  });

  it.each([
    ['print-empty', { widthMm: 0, heightMm: 10 }, 'a4', 10],
    ['print-too-large', { widthMm: 3001, heightMm: 10 }, 'a4', 10],
    ['too-many-pages', { widthMm: 2900, heightMm: 2900 }, 'letter', 10],
    ['page-too-small', { widthMm: 900, heightMm: 900 }, 'a4', 190],
  ] as const)('refuses with %s', (code, print, paper, overlap) =>
    expect(pack(print, paper, 'auto', overlap)).toMatchObject({ ok: false, error: { code } }),
  );
});

describe('a print over several pages', () => {
  const size = fc.record({
    widthMm: fc.double({ min: 30, max: 900, noNaN: true }),
    heightMm: fc.double({ min: 30, max: 700, noNaN: true }),
  });
  it('is covered whole, joined without a gap, and every tile lies on its page with its marks', () => {
    fc.assert(
      fc.property(
        size,
        fc.constantFrom(...PAPER_IDS),
        fc.double({ min: 0, max: 30, noNaN: true }),
        (print, paper, overlap) => {
          const made = pack(print, paper, 'auto', overlap);
          if (!made.ok) return expect(made.error.code).toBe('too-many-pages');
          const { pages, columns, rows } = made.value;
          expect(pages).toHaveLength(columns * rows);
          for (const {
            places: [{ tile, place, joinMarks, trimCorners }],
            printable,
            strip,
          } of pages) {
            const { window } = tile;
            expect(place.xMm).toBeGreaterThanOrEqual(printable.xMm - 1e-9);
            expect(place.xMm + place.widthMm).toBeLessThanOrEqual(printable.xMm + printable.widthMm + 1e-9);
            expect(place.yMm).toBeGreaterThanOrEqual(printable.yMm - 1e-9);
            if (!strip.vertical) expect(place.yMm + place.heightMm).toBeLessThanOrEqual(strip.rect.yMm + 1e-9);
            expect([place.widthMm, place.heightMm]).toEqual([window.widthMm, window.heightMm]);
            const right = pages
              .map(({ places: [one] }) => one)
              .find((one) => one.tile.row === tile.row && one.tile.column === tile.column + 1);
            expect(right === undefined).toBe(tile.joinXMm === null);
            if (right && tile.joinXMm !== null) {
              // The next page begins exactly at the join, and this one goes on under it.
              expect(right.tile.window.xMm).toBeCloseTo(window.xMm + tile.joinXMm, 9);
              expect(window.xMm + window.widthMm).toBeGreaterThanOrEqual(
                Math.min(right.tile.window.xMm + overlap, print.widthMm) - 1e-9,
              );
              expect((right.tile.window.xMm / 25.4) * 300).toBeCloseTo(
                Math.round((right.tile.window.xMm / 25.4) * 300),
                6,
              );
              expect(joinMarks.length).toBeGreaterThan(0);
            } else if (tile.joinXMm === null) expect(window.xMm + window.widthMm).toBeCloseTo(print.widthMm, 9);
            expect(trimCorners.length).toBeGreaterThan(0);
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  it('takes the way round that needs fewer pages', () => {
    const made = pack({ widthMm: 380, heightMm: 250 }, 'a4');
    expect(made.ok && [made.value.orientation, made.value.pages.length]).toEqual(['portrait', 2]);
  });
});

describe('a printer that is not true', () => {
  it('is taken back by the inverse of what it does', () => {
    expect(printerScale(TRUE_PRINTER)).toEqual({ across: 1, along: 1 });
    const { across, along } = printerScale({ acrossMm: 98.8, alongMm: 100.4, marginMm: null });
    expect(across * 98.8).toBeCloseTo(100, 9);
    expect(along * 100.4).toBeCloseTo(100, 9);
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
    const layout = onePage({ widthMm, heightMm }, paper);
    // As the worker hands it over: already mirrored, so the picture's left half, red, lies on the right.
    const half = await sharp({ create: { width: 300, height: 400, channels: 3, background: BLUE } })
      .png()
      .toBuffer();
    const jpeg = await sharp({ create: { width: 600, height: 400, channels: 3, background: RED } })
      .composite([{ input: half, left: 0, top: 0 }])
      .jpeg({ quality: 95 })
      .toBuffer();
    const pdf = await writeSheetPdf(
      packOne({ widthMm, heightMm }, paper),
      whole(jpeg, layout.places[0].rasterPx.heightPx),
      inWords(text({ title: name, prints: [{ name, cut: null, folds: [], edge: 'cut' }] })),
    );
    const file = join(folder, `${widthMm}-${paper}.pdf`);
    writeFileSync(file, pdf);
    return { layout, file, pdf };
  }

  it.each([
    [203.2, 254, 'letter'],
    [254, 203.2, 'letter'],
    [150, 200, 'a4'],
    [278, 180, 'a4'],
  ] as const)('%p × %p mm on %s has its page, print and bar to 0.1 mm', async (widthMm, heightMm, paper) => {
    const { layout, file } = await make(widthMm, heightMm, paper);
    const info = execFileSync('pdfinfo', ['-box', file], { encoding: 'utf8' });
    const [, mediaWidth, mediaHeight] = /MediaBox:\s+0.00\s+0.00\s+([\d.]+)\s+([\d.]+)/.exec(info) ?? [];
    expect(Math.abs((Number(mediaWidth) / 72) * 25.4 - layout.page.widthMm)).toBeLessThan(0.1);
    expect(Math.abs((Number(mediaHeight) / 72) * 25.4 - layout.page.heightMm)).toBeLessThan(0.1);

    const ppi = 508;
    execFileSync('pdftoppm', ['-r', String(ppi), '-png', '-singlefile', '-aa', 'no', '-aaVector', 'no', file, file]);
    const { data, info: size } = await sharp(`${file}.png`).removeAlpha().raw().toBuffer({ resolveWithObject: true });
    const pixel = (x: number, y: number) => [...data.subarray((y * size.width + x) * 3, (y * size.width + x) * 3 + 3)];
    const toPx = (mm: number) => Math.round((mm / 25.4) * ppi);
    const coloured = ([r, g, b]: number[]) => Math.max(r, g, b) - Math.min(r, g, b) > 80;
    const row = toPx(layout.places[0].place.yMm + heightMm / 2 + 7);
    const column = toPx(layout.places[0].place.xMm + widthMm / 4);
    const xs = Array.from({ length: size.width }, (_, x) => x).filter((x) => coloured(pixel(x, row)));
    const ys = Array.from({ length: size.height }, (_, y) => y).filter((y) => coloured(pixel(column, y)));
    const mm = (px: number) => (px / ppi) * 25.4;
    expect(Math.abs(mm(xs.length) - widthMm)).toBeLessThanOrEqual(0.1);
    expect(Math.abs(mm(ys.length) - heightMm)).toBeLessThanOrEqual(0.1);
    expect(Math.abs(mm(xs[0]) - layout.places[0].place.xMm)).toBeLessThanOrEqual(0.1);
    expect(pixel(toPx(layout.places[0].place.xMm + 5), row)[2]).toBeGreaterThan(180);
    expect(pixel(toPx(layout.places[0].place.xMm + widthMm - 5), row)[0]).toBeGreaterThan(180);

    const { bar, strip } = layout;
    const dark = ([r, g, b]: number[]) => r + g + b < 260;
    const along = strip.vertical
      ? Array.from({ length: size.height }, (_, y) => y).filter(
          (y) => y < toPx(bar.y2 + 2) && y > toPx(bar.y1 - 2) && dark(pixel(toPx(bar.x1), y)),
        )
      : Array.from({ length: size.width }, (_, x) => x).filter(
          (x) => x < toPx(bar.x2 + 2) && x > toPx(bar.x1 - 2) && dark(pixel(x, toPx(bar.y1))),
        );
    // The end ticks are hairlines: half their width stands over at each end.
    expect(Math.abs(mm(along.length) - 100)).toBeLessThanOrEqual(0.2);
  });

  const RASTER_PPI = 254;
  async function drawn(file: string, page: number) {
    execFileSync('pdftoppm', [
      '-r',
      String(RASTER_PPI),
      '-f',
      String(page),
      '-l',
      String(page),
      '-png',
      '-singlefile',
      file,
      `${file}-${page}`,
    ]);
    const { data, info } = await sharp(`${file}-${page}.png`).removeAlpha().raw().toBuffer({ resolveWithObject: true });
    return { data, width: info.width, height: info.height };
  }

  it('draws the cut line of a round blank where it is, mirrored with the print', async () => {
    // A disc of 120 mm, its print 10 mm wider on the left than on the right.
    const blank = resolveBlank({ kind: 'round' }, { widthMm: 120, heightMm: 120 });
    if (!blank.ok) throw new Error(blank.error.code);
    const print = { xMm: 20, yMm: 0, widthMm: 100, heightMm: 120 };
    const layout = onePage(print, 'a4');
    const white = await sharp({ create: { width: 100, height: 120, channels: 3, background: '#fff' } })
      .jpeg()
      .toBuffer();
    const file = join(folder, 'disc.pdf');
    const {
      blocks: [block],
    } = formPrint(blank.value, PLAIN_FORM, print, [], null);
    writeFileSync(
      file,
      await writeSheetPdf(
        packOne(print, 'a4'),
        whole(white, layout.places[0].rasterPx.heightPx),
        inWords(text({ prints: [{ name: 'Disc', cut: block.cut, folds: [], edge: 'cut' }] })),
      ),
    );
    const page = await drawn(file, 1);
    const red = (xMm: number, yMm: number) => {
      const at = (Math.floor((yMm / 25.4) * RASTER_PPI) * page.width + Math.floor((xMm / 25.4) * RASTER_PPI)) * 3;
      return page.data[at] - page.data[at + 1] > 60;
    };
    // Along the disc's middle: its right rim lies on the print's left edge as printed, its left rim is cut off by the
    // print.
    const middle = layout.places[0].place.yMm + 60;
    const found = Array.from({ length: 2100 }, (_, i) => i / 10).filter((mm) => red(mm, middle));
    expect(Math.abs(Math.min(...found) - layout.places[0].place.xMm)).toBeLessThan(0.25);
    // Off the middle the chord is shorter by the circle's own measure.
    const off = layout.places[0].place.yMm + 60 - 48;
    const chord = Array.from({ length: 2100 }, (_, i) => i / 10).filter((mm) => red(mm, off));
    expect(Math.abs(Math.min(...chord) - (layout.places[0].place.xMm + 60 - 36))).toBeLessThan(0.35);
    expect(Math.abs(Math.max(...chord) - (layout.places[0].place.xMm + 60 + 36))).toBeLessThan(0.35);
  });

  it.each([
    ['plain', TRUE_PRINTER],
    ['on a printer 1.2 % short across and 0.4 % long along', { acrossMm: 98.8, alongMm: 100.4, marginMm: null }],
  ] as const)(
    'tiles, cut at their marks and put together again, are the print: %s',
    async (_, truth) => {
      const print = { widthMm: 380, heightMm: 230 };
      const made = layoutPack([print], {
        paper: paperOf('custom', { widthMm: 210, heightMm: 150 }),
        orientation: 'portrait',
        overlapMm: 10,
        marginMm: 5,
      });
      if (!made.ok) throw new Error(made.error.code);
      const {
        prints: [printPx],
        pages: layouts,
      } = made.value;
      expect(layouts.length).toBeGreaterThan(2);
      // A smooth picture that is different everywhere, as printed.
      const level = (x: number, y: number) => [
        40 + 170 * (x / printPx.widthPx),
        40 + 170 * (y / printPx.heightPx),
        Math.abs(((x + 2 * y) % 1600) - 800) / 4 + 30,
      ];
      const images: SheetImages = await Promise.all(
        layouts.map(async ({ places: [layout] }) => {
          const [left, top] = [
            Math.round((layout.tile.window.xMm / 25.4) * 300),
            Math.round((layout.tile.window.yMm / 25.4) * 300),
          ];
          const { widthPx, heightPx } = layout.rasterPx;
          const pixels = Buffer.alloc(widthPx * heightPx * 3);
          for (let y = 0; y < heightPx; y++)
            for (let x = 0; x < widthPx; x++) {
              const [r, g, b] = level(left + x, top + y);
              pixels[(y * widthPx + x) * 3] = r;
              pixels[(y * widthPx + x) * 3 + 1] = g;
              pixels[(y * widthPx + x) * 3 + 2] = b;
            }
          return [
            [
              {
                top: 0,
                rows: heightPx,
                jpeg: await sharp(pixels, { raw: { width: widthPx, height: heightPx, channels: 3 } })
                  .jpeg({ quality: 95 })
                  .toBuffer(),
              },
            ],
          ];
        }),
      );
      const file = join(folder, `tiles-${truth.acrossMm}.pdf`);
      writeFileSync(file, await writeSheetPdf(made.value, images, inWords(text({ title: 'Route map' }), truth)));
      expect(execFileSync('pdfinfo', [file], { encoding: 'utf8' })).toMatch(new RegExp(`Pages:\\s+${layouts.length}`));
      const words = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
      expect(words).toContain(`page 1 of ${layouts.length}`);
      expect(words).toContain('goes under the next page');
      expect(words.includes('printer corrected')).toBe(truth.acrossMm !== null);

      // What such a printer puts on paper: the page squeezed about its middle, as it is fed.
      const [across, along] = [(truth.acrossMm ?? 100) / 100, (truth.alongMm ?? 100) / 100];
      let [total, count, worst] = [0, 0, 0];
      for (const [index, layout] of layouts.entries()) {
        const page = await drawn(file, index + 1);
        const [sx, sy] = layout.orientation === 'landscape' ? [along, across] : [across, along];
        const { window, joinXMm, joinYMm } = layout.places[0].tile;
        const [ownX, ownY] = [joinXMm ?? window.widthMm, joinYMm ?? window.heightMm];
        // Where each place of the tile must lie on the printed paper if it is true to size there.
        for (let y = 0.5; y < ownY; y += 2.3)
          for (let x = 0.5; x < ownX; x += 2.3) {
            const onPaper = { x: layout.places[0].place.xMm + x, y: layout.places[0].place.yMm + y };
            const inFile = {
              x: (onPaper.x - layout.page.widthMm / 2) / sx + layout.page.widthMm / 2,
              y: (onPaper.y - layout.page.heightMm / 2) / sy + layout.page.heightMm / 2,
            };
            const px =
              (Math.min(page.height - 1, Math.floor((inFile.y / 25.4) * RASTER_PPI)) * page.width +
                Math.min(page.width - 1, Math.floor((inFile.x / 25.4) * RASTER_PPI))) *
              3;
            const expected = level(((window.xMm + x) / 25.4) * 300, ((window.yMm + y) / 25.4) * 300);
            for (let c = 0; c < 3; c++) {
              const off = Math.abs(page.data[px + c] - expected[c]);
              total += off;
              count++;
              worst = Math.max(worst, off);
            }
          }
      }
      expect(total / count).toBeLessThan(2);
      expect(worst).toBeLessThan(16);
    },
    120_000,
  );

  it.each(['portrait', 'landscape'] as const)(
    'measures right to a tenth of a millimetre on a printer 1.2 %% short across and 0.4 %% long along, %s',
    async (way) => {
      const truth = { acrossMm: 98.8, alongMm: 100.4, marginMm: null };
      const print = { widthMm: 150, heightMm: 100 };
      const made = pack(print, 'a4', way);
      if (!made.ok) throw new Error(made.error.code);
      const [
        {
          places: [{ rasterPx }],
        },
      ] = made.value.pages;
      const jpeg = await sharp({ create: { width: 600, height: 400, channels: 3, background: '#c01818' } })
        .jpeg({ quality: 95 })
        .toBuffer();
      const file = join(folder, `true-${way}.pdf`);
      writeFileSync(file, await writeSheetPdf(made.value, whole(jpeg, rasterPx.heightPx), inWords(text(), truth)));
      const ppi = 762;
      execFileSync('pdftoppm', ['-r', String(ppi), '-png', '-singlefile', '-aa', 'no', '-aaVector', 'no', file, file]);
      const { data, info } = await sharp(`${file}.png`).removeAlpha().raw().toBuffer({ resolveWithObject: true });
      const red = (x: number, y: number) => data[(y * info.width + x) * 3] - data[(y * info.width + x) * 3 + 1] > 100;
      const [row, column] = [Math.round(info.height * 0.47), Math.round(info.width * 0.43)];
      const count = (length: number, seen: (at: number) => boolean) =>
        (Array.from({ length }, (_, at) => at).filter(seen).length / ppi) * 25.4;
      const [inFileX, inFileY] = [count(info.width, (x) => red(x, row)), count(info.height, (y) => red(column, y))];
      // What this printer makes of it: a landscape page is fed upright, so its width runs along the feed.
      const [sx, sy] = way === 'portrait' ? [0.988, 1.004] : [1.004, 0.988];
      expect(Math.abs(inFileX * sx - print.widthMm)).toBeLessThan(0.1);
      expect(Math.abs(inFileY * sy - print.heightMm)).toBeLessThan(0.1);
    },
  );

  it('the calibration page has its bars, and its frames where they say', async () => {
    const file = join(folder, 'calibration.pdf');
    writeFileSync(file, await writeCalibrationPdf(paperOf('a4', OWN), new Date(0), SHEET_WORDS.calibration));
    const page = await drawn(file, 1);
    const dark = (xMm: number, yMm: number) => {
      const at = (Math.round((yMm / 25.4) * RASTER_PPI) * page.width + Math.round((xMm / 25.4) * RASTER_PPI)) * 3;
      return page.data[at] < 140;
    };
    const run = (from: number, vertical: boolean, fixed: number) => {
      let mm = from;
      while (mm < 290 && (vertical ? dark(fixed, mm) : dark(mm, fixed))) mm += 0.05;
      return mm;
    };
    const [left, top] = [(210 - 100) / 2, (297 - 100) / 2];
    expect(Math.abs(run(left + 0.3, false, top) - left - 100)).toBeLessThan(0.3);
    expect(Math.abs(run(top + 8.3, true, left) - top - 108)).toBeLessThan(0.3);
    const columns = Array.from({ length: 140 }, (_, i) => i / 10).filter((mm) => dark(mm, 60));
    for (const frame of [2, 3, 5, 8, 12]) expect(columns.some((mm) => Math.abs(mm - frame) < 0.25)).toBe(true);
  });

  it.each([
    ['one page', { widthMm: 150, heightMm: 100 }, 'a4', 'auto', 1],
    ['beside its print', { widthMm: 190, heightMm: 255 }, 'a4', 'landscape', 1],
    ['six pages', { widthMm: 400, heightMm: 500 }, 'letter', 'auto', 1],
    ['nine pages, landscape', { widthMm: 700, heightMm: 400 }, 'a4', 'landscape', 1],
    ['legal', { widthMm: 200, heightMm: 320 }, 'legal', 'auto', 1],
    ['tabloid', { widthMm: 270, heightMm: 400 }, 'tabloid', 'auto', 1],
    ['copies', { widthMm: 60, heightMm: 40 }, 'a4', 'auto', 5],
    ['a small paper of one’s own', { widthMm: 90, heightMm: 60 }, 'custom', 'auto', 1],
    ['tiles on a small paper', { widthMm: 220, heightMm: 120 }, 'custom', 'auto', 1],
  ] as const)(
    '%s: every sentence is read back whole, within the printable area, clear of prints and bar',
    async (name, print, paper, way, copies) => {
      for (const mirrored of [true, false])
        for (const unitSystem of ['metric', 'inch'] as const) {
          const made = layoutPack(
            [print],
            { paper: paperOf(paper, SMALL), orientation: way, overlapMm: 10, marginMm: 5 },
            copies,
          );
          if (!made.ok) throw new Error(`${name}: ${made.error.code}`);
          const say = inWords(
            text({
              mirrored,
              unitSystem,
              prints: [
                {
                  name: 'The departures board of Wrenfold Halt, for the waiting room',
                  cut: null,
                  folds: [],
                  edge: 'cut',
                },
              ],
            }),
            { acrossMm: 99.2, alongMm: 100.7, marginMm: null },
          );
          const file = join(folder, 'sentences.pdf');
          const images: SheetImages = made.value.pages.map(({ places }) => places.map(() => []));
          writeFileSync(file, await writeSheetPdf(made.value, images, say));
          const plain = (words: string) => words.replaceAll(/\s+/g, '').replaceAll('…', '');
          const read = plain(execFileSync('pdftotext', ['-raw', file, '-'], { encoding: 'utf8' }));
          for (const layout of made.value.pages) {
            const marks = sheetMarks(layout, { pack: made.value, ...say });
            for (const mark of marks) {
              if (mark.kind !== 'words') continue;
              expect(mark.sizeMm).toBeGreaterThanOrEqual(2);
              expect(read).toContain(plain(mark.words));
              const length = Math.min(mark.maxMm, wordsMm(mark.words, mark.sizeMm, mark.bold));
              const box = mark.turned
                ? { xMm: mark.at.xMm - 0.25 * mark.sizeMm, yMm: mark.at.yMm, widthMm: mark.sizeMm, heightMm: length }
                : { xMm: mark.at.xMm, yMm: mark.at.yMm - 0.75 * mark.sizeMm, widthMm: length, heightMm: mark.sizeMm };
              const { printable } = layout;
              expect(box.xMm).toBeGreaterThan(printable.xMm - 0.1);
              expect(box.yMm).toBeGreaterThan(printable.yMm - 0.1);
              expect(box.xMm + box.widthMm).toBeLessThan(printable.xMm + printable.widthMm + 0.3);
              expect(box.yMm + box.heightMm).toBeLessThan(printable.yMm + printable.heightMm + 0.3);
              for (const { place } of layout.places) expect(overlap(box, place)).toBe(false);
            }
          }
        }
    },
  );

  it('carries its title, asks not to be scaled, and is the same each time', async () => {
    const [first, second] = [
      await make(150, 200, 'a4', 'Zürich – “Łódź” 木'),
      await make(150, 200, 'a4', 'Zürich – “Łódź” 木'),
    ];
    expect(Buffer.compare(Buffer.from(first.pdf), Buffer.from(second.pdf))).toBe(0);
    expect(execFileSync('pdfinfo', [first.file], { encoding: 'utf8' })).toContain('mirrored print');
    expect(readFileSync(first.file, 'latin1')).toContain('/PrintScaling /None');
    const words = execFileSync('pdftotext', [first.file, '-'], { encoding: 'utf8' });
    expect(words).toContain('This bar measures 100 mm');
    expect(words).toContain('Zürich – “?ódz” ?');
    expect(readFileSync(first.file, 'latin1')).toContain('/Outlines');
    expect(words).toContain([...'READS TRUE ON THE PIECE'].reverse().join(''));
    expect(words).toContain('15 × 20 cm');
  });
});
