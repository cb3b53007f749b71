import { execFile } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { buildSync } from 'esbuild';
import { GROUND_KINDS, type ShotOrder } from '@/testing/half-rubbed';
import type { PieceShot, PieceShotRead } from '@/testing/read-half-rubbed';
import { shareOf } from '@/testing/share';
import { changeBetween, judgePiece, type PieceReading } from './index';

const folder = mkdtempSync(join(tmpdir(), 'fobbet-inspect-'));
const runner = join(folder, 'read-half-rubbed.cjs');
buildSync({
  entryPoints: ['src/testing/read-half-rubbed.ts'],
  bundle: true,
  platform: 'node',
  outfile: runner,
  tsconfig: 'tsconfig.json',
});

const order = (seed: number, patch: Partial<ShotOrder> = {}): ShotOrder => ({
  seed,
  ground: GROUND_KINDS[seed % 4],
  print: { widthMm: 150, heightMm: 110 },
  marginMm: 12,
  photo: { width: 1200, height: 900 },
  tiltDeg: 25,
  ...patch,
});

const run = promisify(execFile);
/** Draws and reads photos in two processes side by side. */
async function readAll(shots: readonly PieceShot[]): Promise<PieceShotRead[]> {
  const halves = await Promise.all(
    [0, 1].map(async (half) => {
      const file = join(folder, `shots-${shots[0].order.seed}-${half}.json`);
      writeFileSync(file, JSON.stringify(shots.filter((_, at) => at % 2 === half)));
      const { stdout } = await run(process.execPath, [runner, file], { maxBuffer: 1 << 27 });
      return JSON.parse(stdout) as PieceShotRead[];
    }),
  );
  return shots.map((_, at) => halves[at % 2][at >> 1]);
}

const readingOf = ({ reading }: PieceShotRead): PieceReading => {
  if (!reading.ok) throw new Error(`${reading.error.code}: ${reading.error.message}`);
  return reading.value;
};

const told = (values: readonly (number | null)[]): number[] => values.filter((value) => value !== null);
const mean = (values: readonly (number | null)[]): number =>
  told(values).reduce((sum, value) => sum + value, 0) / Math.max(1, told(values).length);

/** How far the worst corner lies off, mm. */
function mostOffMm(one: PieceShotRead): number {
  const [a, b] = one.corners;
  const perMm = Math.hypot(b.x - a.x, b.y - a.y) / 150;
  return Math.max(
    ...readingOf(one).corners.map(({ x, y }, i) => Math.hypot(x - one.corners[i].x, y - one.corners[i].y) / perMm),
  );
}

/** How much of what either calls so both call so, over the cells that were judged. */
function overlap(found: (number | null)[], truth: number[], is: (value: number) => boolean): number {
  let [both, either] = [0, 0];
  found.forEach((value, at) => {
    if (value === null) return;
    if (is(value) || is(truth[at])) either++;
    if (is(value) && is(truth[at])) both++;
  });
  return either === 0 ? 1 : both / either;
}

it('photos dry and wet, of every ground, with bare blank and without: where it lies, haze and loss', async () => {
  // Held apart from the seeds that anything was set by.
  const shots = shareOf([4001, 4002, 4003, 4004], 2).map((seed, at) =>
    order(seed, { marginMm: at % 2 === 0 ? 12 : 0 }),
  );
  const read = await readAll(shots.map((shot) => ({ order: shot, wet: true })));
  for (const one of read) {
    const reading = readingOf(one);
    expect(mostOffMm(one)).toBeLessThan(1.3);
    expect(overlap(reading.haze, one.haze, (value) => value > 0.15)).toBeGreaterThan(0.6);
    expect(overlap(reading.kept, one.kept, (value) => value < 0.6)).toBeGreaterThan(0.55);
    const carrying = reading.seen.filter((share) => share !== null).length;
    expect(told(reading.haze).length / carrying).toBeGreaterThan(0.9);
    expect(judgePiece(reading).decision).not.toBe('seal');
  }
  const overlaps = read.map((one) => overlap(readingOf(one).haze, one.haze, (value) => value > 0.15));
  expect(mean(overlaps)).toBeGreaterThan(0.8);
}, 900_000);

it('one dry photo, on grounds unlike paper: haze, and loss by its rim', async () => {
  const shots = shareOf(['pine', 'stone', 'pine', 'stone'] as const, 2).map((ground, at) =>
    order(4031 + at, { ground, marginMm: at < 2 ? 12 : 0 }),
  );
  const read = await readAll(shots.map((shot) => ({ order: shot, wet: false })));
  const haze = read.map((one) => overlap(readingOf(one).haze, one.haze, (value) => value > 0.15));
  const loss = read.map((one) => overlap(readingOf(one).kept, one.kept, (value) => value < 0.6));
  expect(mean(haze)).toBeGreaterThan(0.8);
  expect(mean(loss)).toBeGreaterThan(0.6);
  for (const one of read) expect(judgePiece(readingOf(one)).decision).not.toBe('seal');
}, 900_000);

it('no haze and no loss in, none out; more in, more out; twice the light changes nothing', async () => {
  const pine = { ground: 'pine' } as const;
  const stone = { ground: 'stone' } as const;
  const [clean, little, some, much, dim, bright] = (
    await readAll(
      [
        order(4011, { ...pine, clean: true }),
        ...[0.4, 0.8, 1.2].map((hazeTimes) => order(4012, { ...pine, hazeTimes })),
        ...[0.6, 1.2].map((exposure) => order(4013, { ...stone, exposure })),
      ].map((shot) => ({ order: shot, wet: false })),
    )
  ).map(readingOf);
  expect(mean(clean.haze)).toBeLessThan(0.06);
  expect(mean(clean.kept)).toBeGreaterThan(0.94);
  expect(judgePiece(clean)).toMatchObject({ decision: 'seal', minutesLeft: 0 });
  expect(mean(some.haze)).toBeGreaterThan(mean(little.haze));
  expect(mean(much.haze)).toBeGreaterThan(mean(some.haze) + 0.04);
  expect(Math.abs(mean(dim.haze) - mean(bright.haze))).toBeLessThan(0.05);
  expect(judgePiece(dim).decision).toBe(judgePiece(bright).decision);
}, 900_000);

it('on a ground as white as paper one dry photo claims no loss, and asks for a wet one', async () => {
  const shot = order(4014, { ground: 'paint' });
  const [dry, both] = (await readAll([false, true].map((wet) => ({ order: shot, wet })))).map(readingOf);
  expect(dry).toMatchObject({ isWhitened: true, clearsWet: null });
  expect(told(dry.kept)).toEqual([]);
  expect(judgePiece(dry).reasons).toContainEqual({ code: 'whitened' });
  expect(both.isWhitened).toBe(false);
  expect(told(both.kept).length).toBeGreaterThan(100);
}, 600_000);

it('broad tones without points or edges: found by the blank’s outline, the right way round, and mostly for sure', async () => {
  const shots = shareOf(['pine', 'stone', 'canvas', 'paint'] as const, 2).map((ground, at) =>
    order(4041 + at, { ground, motif: 'broad', marginMm: at % 2 === 0 ? 12 : 0, hazeTimes: at < 2 ? 1.5 : 1 }),
  );
  const read = await readAll(shots.map((shot) => ({ order: shot, wet: false })));
  for (const one of read) {
    expect(mostOffMm(one)).toBeLessThan(1.3);
  }
  expect(read.filter((one) => readingOf(one).register.sure > 0).length).toBeGreaterThanOrEqual(read.length * 0.75);
}, 900_000);

it('a plain tone is found by its outline and said to be in doubt; broad tones of another piece are never taken for sure', async () => {
  const broad = order(4051, { motif: 'broad', marginMm: 12 });
  const [plain, ...others] = await readAll([
    { order: order(4052, { motif: 'plain', marginMm: 12 }), wet: false },
    ...shareOf([4053, 4054, 4055], 1).map((seed) => ({
      ...{ order: broad, wet: false, other: order(seed, { motif: 'broad' as const, marginMm: 12 }) },
    })),
  ]);
  expect(readingOf(plain).register.sure).toBe(0);
  for (const { reading } of others) expect(reading.ok ? reading.value.register.sure : 0).toBe(0);
}, 900_000);

it('what is not this piece is refused: black, a bare wall, another piece', async () => {
  const shot = order(4021);
  const read = await readAll([
    { order: shot, wet: false, wall: 0 },
    { order: shot, wet: false, wall: 190 },
    { order: shot, wet: false, other: order(4022) },
  ]);
  const codes = read.map(({ reading }) => (reading.ok ? 'read' : reading.error.code));
  expect(codes.slice(0, 2)).toEqual(['piece-dark', 'piece-not-found']);
  expect(['piece-not-found', 'piece-other']).toContain(codes[2]);
}, 600_000);

describe('judging', () => {
  const CELLS = 400;
  const reading = (
    haze: (at: number) => number,
    kept: (at: number) => number = () => 1,
    wet = false,
  ): PieceReading => ({
    corners: [],
    register: { rmsMm: 0.2, sure: 1 },
    cell: { widthMm: 4, heightMm: 4, columns: 20, rows: 20 },
    haze: Array.from({ length: CELLS }, (_, at) => haze(at)),
    kept: Array.from({ length: CELLS }, (_, at) => kept(at)),
    seen: Array.from({ length: CELLS }, () => 1),
    clearsWet: wet ? Array.from({ length: CELLS }, () => 0.95) : null,
    colours: [],
    isWhitened: false,
  });
  it.each([
    ['everywhere milky', reading(() => 0.4), 'pass'],
    ['a patch of it', reading((at) => (at % 20 < 4 ? 0.4 : 0.02)), 'areas'],
    [
      'faint, and gone when wet',
      reading(
        () => 0.2,
        () => 1,
        true,
      ),
      'seal',
    ],
    [
      'heavy, though gone when wet',
      reading(
        () => 0.35,
        () => 1,
        true,
      ),
      'pass',
    ],
    [
      'clear, with a hole',
      reading(
        () => 0.02,
        (at) => (at % 20 < 2 && at < 60 ? 0.1 : 1),
      ),
      'mend',
    ],
    ['clear', reading(() => 0.03), 'seal'],
  ] as const)('%s: %p', (_, one, decision) => expect(judgePiece(one).decision).toBe(decision));
  it('areas are given with size, place and minutes, in working order', () => {
    const { areas, minutesLeft } = judgePiece(
      reading(
        (at) => (at % 20 < 4 && at < 80 ? 0.5 : 0.02),
        (at) => (at >= 380 && at % 20 > 15 ? 0.2 : 1),
      ),
    );
    expect(areas.map(({ kind, areaCm2, box }) => [kind, areaCm2, box.xMm, box.yMm])).toEqual([
      ['haze', 2.56, 0, 0],
      ['loss', 0.64, 64, 76],
    ]);
    expect(minutesLeft).toBeGreaterThan(0);
  });
  it('between two photos it says stop where toner goes faster than paper', () => {
    const before = reading(() => 0.3);
    expect(
      changeBetween(
        before,
        reading(() => 0.1),
      ),
    ).toMatchObject({ stop: false });
    expect(
      changeBetween(
        before,
        reading(
          () => 0.28,
          (at) => (at < 100 ? 0.3 : 1),
        ),
      ),
    ).toMatchObject({ stop: true });
    expect(changeBetween(before, { ...before, cell: { ...before.cell, columns: 10 } })).toBeNull();
  });
});
