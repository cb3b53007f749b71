import { execFile, execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { buildSync } from 'esbuild';
import sharp, { type Sharp } from 'sharp';
import { layoutPack, paperOf, type PaperId, type SheetPack } from '@/core/sheet';
import { writeSheetPdf } from '@/core/sheet/pdf';
import { demoPixels } from '@/testing/demo-pictures';
import type { PhotoReading, Shot } from '@/testing/read-photos';
import { DENSITY, judgeProof, type ExpectedPage } from './index';
import { TRUE_PRINTER } from '@/core/at-hand';
import { SHEET_WORDS } from '@/words/sheet';

const PRINTED_DENSITY = 5;
const folder = process.env.PROOF_DIR ?? mkdtempSync(join(tmpdir(), 'fobbet-proof-'));
const OWN = { widthMm: 210, heightMm: 150 };

const DRAWN_DENSITY = 10;

/**
 * Raw RGBA of a PDF's pages at two densities, in files: drawn by another reader than what wrote them, densely, because
 * it lays pictures on whole pixels.
 */
async function rasters(file: string): Promise<{ printed: Picture[]; sparse: Picture[] }> {
  execFileSync('pdftoppm', ['-r', String(DRAWN_DENSITY * 25.4), '-png', file, file]);
  const pages = execFileSync('sh', ['-c', `ls ${file}-*.png`], { encoding: 'utf8' })
    .trim()
    .split('\n');
  const at = async (page: string, density: number) => {
    const by = DRAWN_DENSITY / density;
    const { width, height } = await sharp(page).metadata();
    const [w, h] = [Math.floor(width / by), Math.floor(height / by)];
    return pictureFile(
      sharp(page)
        .extract({ left: 0, top: 0, width: w * by, height: h * by })
        .resize(w, h, { fit: 'fill', kernel: 'cubic' }),
      `${page}-${density}`,
    );
  };
  return {
    printed: await Promise.all(pages.map((page) => at(page, PRINTED_DENSITY))),
    sparse: await Promise.all(pages.map((page) => at(page, DENSITY))),
  };
}

async function pictureFile(picture: Sharp, name: string): Promise<Picture> {
  const { data, info } = await picture
    .flatten({ background: '#fff' })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  writeFileSync(`${name}.rgba`, data);
  return { file: `${name}.rgba`, width: info.width, height: info.height };
}

interface Picture {
  file: string;
  width: number;
  height: number;
}
interface Case {
  name: string;
  pack: SheetPack;
  printed: Picture[];
  expected: (Omit<ExpectedPage, 'raster'> & { raster: Picture })[];
}

/**
 * A pack's pages as they should come out, drawn by another reader of the PDF: dense for the photo, sparse for the
 * reading.
 */
async function caseOf(
  name: string,
  picture: { widthPx: number; heightPx: number; rgba: Uint8ClampedArray },
  widthMm: number,
  paper: PaperId,
): Promise<Case> {
  const size = { widthMm, heightMm: (widthMm * picture.heightPx) / picture.widthPx };
  const made = layoutPack([size], { paper: paperOf(paper, OWN), orientation: 'auto', overlapMm: 10, marginMm: 5 });
  if (!made.ok) throw new Error(made.error.code);
  const pack = made.value;
  const whole = await sharp(Buffer.from(picture.rgba), {
    raw: { width: picture.widthPx, height: picture.heightPx, channels: 4 },
  })
    .flatten({ background: '#fff' })
    .flop()
    .resize(1200, Math.round((1200 * size.heightMm) / widthMm), { fit: 'fill' })
    .png()
    .toBuffer();
  const images = await Promise.all(
    pack.pages.map(
      async ({
        places: [
          {
            tile: { window },
          },
        ],
      }) => {
        const px = (mm: number) => Math.round((mm / widthMm) * 1200);
        const rows = Math.min(px(window.heightMm), Math.round((1200 * size.heightMm) / widthMm) - px(window.yMm));
        const jpeg = await sharp(whole)
          .extract({
            left: px(window.xMm),
            top: px(window.yMm),
            width: Math.min(px(window.widthMm), 1200 - px(window.xMm)),
            height: rows,
          })
          .jpeg()
          .toBuffer();
        return [[{ jpeg, top: 0, rows: Math.round((window.heightMm / 25.4) * 300) }]];
      },
    ),
  );
  const file = join(folder, `${name}.pdf`);
  writeFileSync(
    file,
    await writeSheetPdf(pack, images, {
      truth: TRUE_PRINTER,
      words: SHEET_WORDS,
      text: {
        title: name,
        unitSystem: 'metric',
        mirrored: true,
        createdAt: new Date(0),
        prints: [{ name, cut: null, folds: [], edge: 'cut' }],
      },
    }),
  );
  const { printed, sparse } = await rasters(file);
  return {
    name,
    pack,
    printed,
    expected: pack.pages.map((layout, at) => ({
      raster: sparse[at],
      page: layout.page,
      places: layout.places.map((place) => place.place),
      strip: layout.strip.rect,
      landscape: layout.orientation === 'landscape',
    })),
  };
}

let cases: Case[] = [];
let bare: Picture[] = [];
const runner = join(folder, 'read-photos.cjs');
beforeAll(async () => {
  const pictures = await demoPixels(900);
  const [board, viaduct, fern, map, crest, tickets] = pictures;
  cases = await Promise.all([
    caseOf('board', board, 180, 'letter'),
    caseOf('viaduct', viaduct, 240, 'a4'),
    caseOf('fern', fern, 110, 'letter'),
    caseOf('map', map, 380, 'a4'),
    caseOf('crest', crest, 150, 'a4'),
    caseOf('tickets', tickets, 300, 'custom'),
  ]);
  bare = await Promise.all(
    pictures
      .slice(0, 4)
      .map((picture, at) =>
        pictureFile(
          sharp(Buffer.from(picture.rgba), { raw: { width: picture.widthPx, height: picture.heightPx, channels: 4 } }),
          join(folder, `bare-${at}`),
        ),
      ),
  );
  // Pixels are read outside the test's own realm, where looking up a global in a hot loop takes several times as long.
  buildSync({
    entryPoints: [join(process.cwd(), 'src', 'testing', 'read-photos.ts')],
    bundle: true,
    platform: 'node',
    outfile: runner,
    tsconfig: join(process.cwd(), 'tsconfig.json'),
  });
}, 180_000);

const run = promisify(execFile);
/** Draws and reads photos in two processes side by side. */
async function readAll(shots: readonly Shot[]): Promise<PhotoReading[]> {
  const halves = await Promise.all(
    [0, 1].map(async (half) => {
      const file = join(folder, `shots-${half}-${shots.length}-${shots[0].seed}.json`);
      writeFileSync(file, JSON.stringify({ cases, shots: shots.filter((_, at) => at % 2 === half) }));
      return JSON.parse((await run(process.execPath, [runner, file], { maxBuffer: 1 << 26 })).stdout) as PhotoReading[];
    }),
  );
  return halves.flat().sort((a, b) => a.seed - b.seed);
}

/** Few enough for every run; `npm run bench` reads 200. */
const PHOTOS = Number(process.env.PHOTOS ?? 36);

it('reads photos of prints: mirrored or not right in all, size within 0.3 %, and which page it is', async () => {
  const read = await readAll(Array.from({ length: PHOTOS }, (_, at) => ({ seed: at + 1 })));
  expect(read.filter(({ of }) => of.flipped)).toHaveLength(PHOTOS / 2);
  const wrong = read.filter(
    ({ of, page, across, along, reading }) =>
      !reading.ok ||
      reading.value.flipped !== of.flipped ||
      reading.value.page !== page ||
      Math.abs(reading.value.across / across - 1) > 0.003 ||
      Math.abs(reading.value.along / along - 1) > 0.003,
  );
  expect(
    wrong.map(({ seed, page, of, across, along, reading }) => ({ seed, page, of, across, along, reading })),
  ).toEqual([]);
}, 900_000);

it('tells what is wrong with a print, and lets a good one go', async () => {
  const good = {
    flipped: false,
    across: 1.001,
    along: 0.999,
    kept: 0.97,
    marginMm: 0,
    shiftMm: [0.5, -0.5] as [number, number],
  };
  const [fine, pale, cut, short, turned] = await readAll([
    { seed: 301, patch: good },
    { seed: 302, patch: { ...good, kept: 0.55 } },
    { seed: 303, case: 3, patch: { ...good, marginMm: 10.4 } },
    { seed: 304, patch: { ...good, across: 0.97, along: 0.97 } },
    { seed: 305, patch: { ...good, flipped: true } },
  ]);
  const verdict = ({ reading }: PhotoReading) => {
    if (!reading.ok) throw new Error(reading.error.message);
    return judgeProof(reading.value);
  };
  expect(verdict(fine)).toMatchObject({ go: true, reasons: [], cutOff: [] });
  expect(verdict(fine).darknessKept).toBeGreaterThan(0.85);
  expect(verdict(pale)).toMatchObject({ go: false, reasons: ['pale'] });
  expect(verdict(pale).darknessKept).toBeLessThan(0.65);
  expect(verdict(cut).reasons).toContain('cut-off');
  expect(verdict(cut).cutOff).toEqual(expect.arrayContaining(['left', 'right']));
  expect(verdict(short).reasons).toEqual(['scale-across', 'scale-along']);
  expect(verdict(turned).reasons).toEqual(['mirrored']);
}, 200_000);

it('says of a picture without marks that it has none, and of no sheet at all that there is none', async () => {
  const read = await readAll([
    ...bare.map((picture, at) => ({ seed: 401 + at, case: at, bare: picture })),
    ...bare.map((picture, at) => ({ seed: 411 + at, case: at, instead: picture })),
  ]);
  expect(read).toHaveLength(8);
  expect(read.filter(({ reading }) => reading.ok || !/^proof-no-(marks|page)$/.test(reading.error.code))).toEqual([]);
}, 200_000);

it('takes a scan of the sheet alone', async () => {
  const [scan] = await readAll([{ seed: 501, scan: true }]);
  expect(scan.reading).toMatchObject({ ok: true, value: { flipped: false, page: 0 } });
  expect(scan.reading.ok && Math.abs(scan.reading.value.across - 1)).toBeLessThan(0.003);
}, 100_000);
