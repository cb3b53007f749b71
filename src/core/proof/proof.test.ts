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
import { GROUNDS } from '@/testing/photo';
import { IS_WHOLE, countOf, shareOf } from '@/testing/share';
import type { PhotoReading, Shot } from '@/testing/read-photos';
import { DENSITY, densityOf, judgeProof, type ExpectedPage } from './index';
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
        printKind: null,
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

const isNear = (size: number | null, wanted: number, share: number): boolean =>
  size !== null && Math.abs(size / wanted - 1) <= share;

const PHOTOS = countOf(200, 6);

it('reads photos of prints: mirrored or not and the page right in all, size within 0.3 % or, of few, refused', async () => {
  const read = await readAll(Array.from({ length: PHOTOS }, (_, at) => ({ seed: at + 1 })));
  expect(read.filter(({ of }) => of.flipped)).toHaveLength(PHOTOS / 2);
  const isRefused = ({ reading }: PhotoReading) => !reading.ok || reading.value.sizeUnread !== null;
  const refused = read.filter(isRefused);
  if (IS_WHOLE)
    console.info(
      `${refused.length} of ${PHOTOS} refused:`,
      refused.map(({ seed, reading }) => [seed, reading.ok ? reading.value.sizeUnread : reading.error.code].join(' ')),
    );
  expect(refused.length).toBeLessThanOrEqual(Math.max(1, PHOTOS / 20));
  const wrong = read.filter(
    (photo) =>
      photo.reading.ok &&
      (photo.reading.value.flipped !== photo.of.flipped ||
        photo.reading.value.page !== photo.page ||
        (!isRefused(photo) &&
          !(
            isNear(photo.reading.value.across, photo.across, 0.003) &&
            isNear(photo.reading.value.along, photo.along, 0.003)
          ))),
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
    ...shareOf(bare, 2).map((picture, at) => ({ seed: 401 + at, case: at, bare: picture })),
    ...shareOf(bare, 2).map((picture, at) => ({ seed: 411 + at, case: at, instead: picture })),
  ]);
  expect(read).toHaveLength(2 * shareOf(bare, 2).length);
  expect(read.filter(({ reading }) => reading.ok || !/^proof-no-(marks|page)$/.test(reading.error.code))).toEqual([]);
}, 200_000);

it('takes a scan of the sheet alone, with its size where its file says how dense it is', async () => {
  const [scan, dense] = await readAll([
    { seed: 501, scan: true },
    { seed: 502, scan: true, dense: true },
  ]);
  expect(scan.reading).toMatchObject({
    ok: true,
    value: { flipped: false, page: 0, across: null, along: null, sizeUnread: 'no-edges' },
  });
  expect(dense.reading).toMatchObject({ ok: true, value: { flipped: false, page: 0, sizeUnread: null } });
  expect(dense.reading.ok && isNear(dense.reading.value.across, 1, 0.003)).toBe(true);
}, 100_000);

/** Of each kind. */
const HINDERED = countOf(30, 2);
const kinds = (from: number, make: (at: number) => Omit<Shot, 'seed'>): Shot[] =>
  Array.from({ length: HINDERED }, (_, at) => ({ seed: from + at, ...make(at) }));
const TRUE_SIZE = { across: 1, along: 1, kept: 0.97 };

describe('a photo that hinders', () => {
  const accepted = ({ reading }: PhotoReading) =>
    reading.ok && (reading.value.across !== null || reading.value.along !== null);
  const wrongSize = ({ reading, across, along }: PhotoReading) =>
    reading.ok &&
    reading.value.across !== null &&
    (!isNear(reading.value.across, across, 0.005) || !isNear(reading.value.along, along, 0.005));

  it('of a page that curls: no size that is off is accepted, way round and page are kept', async () => {
    const read = await readAll(kinds(601, (at) => ({ patch: { ...TRUE_SIZE, bowMm: 4 + at * (44 / HINDERED) } })));
    expect(read.filter(wrongSize).map(({ seed, reading }) => [seed, reading])).toEqual([]);
    const strong = read.slice(Math.floor(HINDERED / 2));
    expect(strong.filter(accepted)).toEqual([]);
    const kept = read.filter(({ reading }) => reading.ok);
    expect(kept.length).toBeGreaterThan(HINDERED * 0.25);
    for (const { reading, of, page } of kept) expect(reading).toMatchObject({ value: { flipped: of.flipped, page } });
  }, 400_000);

  it('with a lamp in it: never said to be pale or cut off', async () => {
    const read = await readAll(
      kinds(641, (at) => ({
        patch: {
          ...TRUE_SIZE,
          flipped: false,
          glare: {
            x: 0.35 + 0.06 * (at % 5),
            y: 0.4 + 0.05 * (at % 4),
            radius: 0.12 + 0.02 * (at % 5),
            strength: 0.7 + 0.1 * (at % 4),
          },
        },
      })),
    );
    const verdicts = read.flatMap(({ reading }) => (reading.ok ? [judgeProof(reading.value)] : []));
    expect(verdicts.length).toBeGreaterThanOrEqual(HINDERED * 0.75);
    expect(verdicts.filter(({ reasons }) => reasons.includes('pale') || reasons.includes('cut-off'))).toEqual([]);
    expect(read.filter(wrongSize)).toEqual([]);
  }, 400_000);

  it('without the page’s edges: no size, unless it is right', async () => {
    const read = await readAll(
      kinds(681, (at) => ({
        patch: { ...TRUE_SIZE, zoom: 1.06 + 0.03 * (at % 8), turnDeg: (at % 5) - 2, tilt: [0.02, -0.02] },
      })),
    );
    expect(
      read
        .filter(accepted)
        .filter(wrongSize)
        .map(({ seed, reading }) => [seed, reading]),
    ).toEqual([]);
    expect(
      read.filter(({ reading }) => reading.ok && reading.value.sizeUnread === null && reading.value.across === null),
    ).toEqual([]);
  }, 400_000);

  it('of another page than any that was sent, on dark and on pale tables: refused', async () => {
    const read = await readAll(
      kinds(721, (at) => ({
        case: at % 6,
        sentCase: (at + 1 + (at % 4)) % 6,
        patch: { ...TRUE_SIZE, table: at % 2 === 0 ? 0.36 : 0.7 },
      })),
    );
    expect(read.filter(({ reading }) => reading.ok).map(({ seed, reading }) => [seed, reading])).toEqual([]);
  }, 400_000);
});

/** Of each ground. */
const GROUNDED = countOf(45, 1);
const LONGEST_MS = Math.max(400_000, GROUNDED * 60_000);

describe('on a ground with edges of its own', () => {
  it(
    'no size is told that is half a hundredth off: checks, stripes, planks, tiles, papers, a print, hands, a shadow',
    async () => {
      const shots = GROUNDS.filter((ground) => ground !== 'plain').flatMap((ground, kind) =>
        Array.from({ length: GROUNDED }, (_, at): Shot => ({ seed: 1001 + kind * 100 + at, patch: { ground } })),
      );
      const read = await readAll(shots);
      const groundOf = (seed: number) => shots.find((shot) => shot.seed === seed)?.patch?.ground;
      const wrong = read.filter(
        ({ reading, across, along }) =>
          reading.ok &&
          ((reading.value.across !== null && !isNear(reading.value.across, across, 0.005)) ||
            (reading.value.along !== null && !isNear(reading.value.along, along, 0.005))),
      );
      const told = read.filter(({ reading }) => reading.ok && reading.value.sizeUnread === null);
      if (IS_WHOLE)
        for (const ground of GROUNDS.slice(1)) {
          const count = (all: readonly PhotoReading[]) => all.filter(({ seed }) => groundOf(seed) === ground).length;
          console.info(`${ground}: of ${GROUNDED} photos ${count(told)} told, ${count(wrong)} of them wrong`);
        }
      // Wood is no ground to give up on.
      expect(told.filter(({ seed }) => groundOf(seed) === 'planks').length).toBeGreaterThan(GROUNDED / 2);
      expect(
        wrong.map(({ seed, across, along, reading }) => [
          seed,
          groundOf(seed),
          across,
          along,
          reading.ok && [reading.value.across, reading.value.along, reading.value.match],
        ]),
      ).toEqual([]);
    },
    LONGEST_MS,
  );
});

describe('the density of a scan', () => {
  it('is read from PNG and JPEG, and not made up', async () => {
    const raw = { create: { width: 8, height: 8, channels: 3 as const, background: '#fff' } };
    for (const format of ['png', 'jpeg'] as const) {
      const dense = await sharp(raw).withMetadata({ density: 300 })[format]().toBuffer();
      expect(densityOf(dense)?.xPerMm).toBeCloseTo(300 / 25.4, 1);
    }
    expect(densityOf(new Uint8Array([1, 2, 3]))).toBeNull();
    expect(densityOf(new Uint8Array(0))).toBeNull();
    const cut = await sharp(raw).withMetadata({ density: 300 }).png().toBuffer();
    for (let at = 0; at < cut.length; at++) expect(() => densityOf(cut.subarray(0, at))).not.toThrow();
  });
});
