/**
 * Reading photos of half-rubbed pieces, over composites of the repository's own generator: registration, overlap of haze
 * and of loss with the truth, what is judged, the decision, and which places are in doubt. `npx tsx bench/inspect.mts
 * [COUNT] [FIRST SEED]`; `PICTURES=FOLDER` prints parts of the pictures in a folder instead of drawn ones.
 */
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { judgePiece, readPiece, seek } from '../src/core/inspect';
import type { Rgba } from '../src/core/photo';
import { DENSITY, GROUND_KINDS, halfRubbed, photograph, rolls, type ShotOrder } from '../src/testing/half-rubbed';
import { expectedOf, trueCells } from '../src/testing/read-half-rubbed';

const COUNT = Number(process.argv[2] ?? 40);
const FIRST = Number(process.argv[3] ?? 1);
const PHOTO = { width: 1600, height: 1200 };

const FOLDER = process.env.PICTURES;
const pictures = FOLDER
  ? readdirSync(FOLDER, { recursive: true, encoding: 'utf8' })
      .filter((name) => /\.(jpe?g|png|webp)$/i.test(name))
      .sort()
  : [];

/** A part of one of the folder's pictures, as large as the print; null without a folder. */
async function ownPicture({ seed, print }: ShotOrder): Promise<Uint8ClampedArray | null> {
  const name = pictures[(seed * 7) % pictures.length];
  if (!FOLDER || !name) return null;
  const roll = rolls(seed * 977);
  const image = sharp(join(FOLDER, name));
  const { width, height } = await image.metadata();
  const [wide, high] = [Math.round(print.widthMm * DENSITY), Math.round(print.heightMm * DENSITY)];
  const scale = (0.45 + 0.5 * roll()) * Math.min(width / wide, height / high);
  const [w, h] = [Math.floor(wide * scale), Math.floor(high * scale)];
  const part = { left: Math.floor(roll() * (width - w)), top: Math.floor(roll() * (height - h)), width: w, height: h };
  return new Uint8ClampedArray(
    await image.extract(part).resize(wide, high, { fit: 'fill' }).removeAlpha().ensureAlpha().raw().toBuffer(),
  );
}

async function throughJpeg({ data, width, height }: Rgba, quality: number): Promise<Rgba> {
  const jpeg = await sharp(Buffer.from(data.buffer), { raw: { width, height, channels: 4 } })
    .jpeg({ quality })
    .toBuffer();
  const raw = await sharp(jpeg).ensureAlpha().raw().toBuffer();
  return { data: new Uint8ClampedArray(raw), width, height };
}

const overlap = (found: (number | null)[], truth: number[], is: (value: number) => boolean): number | null => {
  let [both, either] = [0, 0];
  found.forEach((value, at) => {
    if (value === null) return;
    if (is(value) || is(truth[at])) either++;
    if (is(value) && is(truth[at])) both++;
  });
  return either === 0 ? null : both / either;
};
const mean = (values: (number | null)[]): number => {
  const told = values.filter((value): value is number => value !== null);
  return told.reduce((sum, value) => sum + value, 0) / Math.max(1, told.length);
};

/** A wet test is right where a cell that is veiled is said to clear: all of this veil does. */
const wetTest = { right: 0, all: 0 };
/** Readings that said seal, and those of them that left too much. */
const sealed = { said: 0, wrong: 0 };
const VEILED = 0.1;
const CLEARS = 0.7;

const results: Record<
  string,
  { haze: (number | null)[]; loss: (number | null)[]; either: (number | null)[]; judged: number[] }
> = {};
const off: number[] = [];
/** Of those, the ones whose place is in doubt. */
const doubted: number[] = [];
let missed = 0;
const times: number[] = [];
for (let k = 0; k < COUNT; k++) {
  const seed = FIRST + k;
  const roll = rolls(seed * 101);
  const portrait = roll() < 0.5;
  const [long, short] = [120 + 150 * roll(), 90 + 100 * roll()];
  const order: ShotOrder = {
    seed,
    ground: GROUND_KINDS[(seed - 1) % 4],
    print: { widthMm: portrait ? short : long, heightMm: portrait ? long : short },
    marginMm: roll() < 0.5 ? 0 : 6 + 14 * roll(),
    photo: PHOTO,
    tiltDeg: 25,
  };
  if (process.env.EDGE && order.marginMm > 0) continue;
  const truth = halfRubbed(order, await ownPicture(order));
  const quality = 70 + Math.floor(23 * roll());
  const [dry, wet] = [photograph(order, truth, false), photograph(order, truth, true)];
  const photos = { dry: await throughJpeg(dry.photo, quality), wet: await throughJpeg(wet.photo, quality) };
  for (const both of [false, true]) {
    const from = performance.now();
    const read = readPiece(seek(expectedOf(order, truth)), { dry: photos.dry, wet: both ? photos.wet : null });
    times.push(performance.now() - from);
    const key = `${order.ground} ${both ? 'dry and wet' : 'dry'} ${order.marginMm === 0 ? 'to the edge' : 'with margin'}`;
    const into = (results[key] ??= { haze: [], loss: [], either: [], judged: [] });
    if (!read.ok) {
      missed++;
      console.log(`seed ${seed} ${key}: ${read.error.code} ${read.error.message}`);
      if (!both) off.push(Infinity);
      continue;
    }
    const reading = read.value;
    if (!both) {
      const scale =
        Math.hypot(dry.corners[1].x - dry.corners[0].x, dry.corners[1].y - dry.corners[0].y) / order.print.widthMm;
      const worst = Math.max(
        ...reading.corners.map(({ x, y }, i) => Math.hypot(x - dry.corners[i].x, y - dry.corners[i].y) / scale),
      );
      off.push(worst);
      if (reading.register.sure === 0) doubted.push(worst);
      if (worst > 1) console.log(`seed ${seed} ${key}: corners off by ${worst.toFixed(2)} mm`);
    }
    const [haze, kept] = [trueCells(truth, reading, truth.haze), trueCells(truth, reading, truth.kept)];
    const h = overlap(reading.haze, haze, (value) => value > 0.15);
    const l = overlap(reading.kept, kept, (value) => value < 0.6);
    if (process.env.EACH) console.log(seed, key, 'haze', h?.toFixed(2), 'loss', l?.toFixed(2));
    into.haze.push(h);
    into.loss.push(l);
    into.either.push(
      overlap(
        reading.haze.map((value, at) =>
          value === null ? null : Number(value > 0.15 || (reading.kept[at] ?? 1) < 0.6),
        ),
        haze.map((value, at) => Number(value > 0.15 || kept[at] < 0.6)),
        (value) => value === 1,
      ),
    );
    const told = reading.haze.filter((value) => value !== null).length;
    if (judgePiece(reading).decision === 'seal') {
      sealed.said++;
      const heavy = reading.haze.filter((value, at) => value !== null && haze[at] > 0.25).length;
      if (heavy > told / 10) sealed.wrong++;
    }
    reading.clearsWet?.forEach((value, at) => {
      if (value === null || haze[at] <= VEILED) return;
      wetTest.all++;
      if (value >= CLEARS) wetTest.right++;
    });
    const carrying = reading.seen.filter((share) => share !== null).length;
    into.judged.push(reading.haze.filter((value) => value !== null).length / Math.max(1, carrying));
  }
}
console.log(`${COUNT} pieces, ${missed} photos not found`);
console.log(`${doubted.length} in doubt, ${doubted.filter((mm) => mm <= 1).length} of them within 1 mm`);
const within = off.filter((mm) => mm <= 1).length / off.length;
off.sort((a, b) => a - b);
console.log(
  `corners within 1 mm: ${(100 * within).toFixed(0)} %; median ${off[off.length >> 1].toFixed(2)} mm, 95th of a ` +
    `hundred ${off[Math.floor(off.length * 0.95)].toFixed(2)} mm`,
);
for (const [key, { haze, loss, either, judged }] of Object.entries(results).sort())
  console.log(
    `${key.padEnd(32)} haze ${mean(haze).toFixed(2)}  loss ${mean(loss).toFixed(2)}  either ` +
      `${mean(either).toFixed(2)}  judged ${mean(judged).toFixed(2)}`,
  );
console.log(
  `“seal” said ${sealed.said} times, ${sealed.wrong} wrongly; wet test right in ` +
    `${((100 * wetTest.right) / Math.max(1, wetTest.all)).toFixed(1)} % of ${wetTest.all} veiled cells`,
);
times.sort((a, b) => a - b);
console.log(
  `a reading takes ${times[times.length >> 1].toFixed(0)} ms in the middle, ${times.at(-1)?.toFixed(0)} at the most`,
);

/** How a reading grows with the print, its cells, and with the photo. */
for (const [widthMm, heightMm, photo] of [
  [120, 90, { width: 1600, height: 1200 }],
  [240, 180, { width: 1600, height: 1200 }],
  [480, 360, { width: 1600, height: 1200 }],
  [240, 180, { width: 800, height: 600 }],
  [240, 180, { width: 2400, height: 1800 }],
] as const) {
  const order: ShotOrder = { seed: 3, ground: 'pine', print: { widthMm, heightMm }, marginMm: 10, photo, tiltDeg: 10 };
  const truth = halfRubbed(order);
  const shot = photograph(order, truth, false);
  const from = performance.now();
  readPiece(seek(expectedOf(order, truth)), { dry: shot.photo, wet: null });
  console.log(
    `a print of ${widthMm} × ${heightMm} mm in a photo of ${photo.width} × ${photo.height}: ${(performance.now() - from).toFixed(0)} ms`,
  );
}
