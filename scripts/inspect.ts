/**
 * Reads a photo of a dried piece without a browser: `npx tsx scripts/inspect.ts PIECE.fobbet.zip DRY.jpg [WET.jpg]`
 * prints what it says as JSON, or exits with 1 and the reason's code. What it prints: docs/models/inspect.md.
 */
import { readFileSync } from 'node:fs';
import { judgePiece, readPiece, seek } from '@/core/inspect';
import { openBundle } from '@/storage/bundle';
import { Stop, landedOf, rgbaOf, uprightSize } from './in-node';

/** A photo is read at this size; more tells no more. */
const PHOTO_PX = 2_000_000;

async function read([bundle, dry, wet]: readonly string[]): Promise<unknown> {
  if (!bundle || !dry) throw new Stop('usage', 'expected PIECE.fobbet.zip DRY.jpg [WET.jpg]');
  const opened = await openBundle(new Uint8Array(readFileSync(bundle)));
  if (!opened.ok) throw new Stop(opened.error.code, opened.error.message);
  const { blank, print } = await landedOf(opened.value.piece, opened.value.pictures);
  const bytes = readFileSync(dry);
  const [photo, shown] = [await rgbaOf(bytes, PHOTO_PX), await uprightSize(bytes)];
  const reading = readPiece(seek({ ...blank, ...print }), {
    dry: photo,
    wet: wet ? await rgbaOf(readFileSync(wet), PHOTO_PX) : null,
  });
  if (!reading.ok) throw new Stop(reading.error.code, reading.error.message);
  const { areas, decision, minutesLeft, reasons } = judgePiece(reading.value);
  const rounded = (values: (number | null)[]) => values.map((value) => value && Number(value.toFixed(3)));
  const { haze, kept, seen, clearsWet, corners, colours: _, ...rest } = reading.value;
  const scale = shown.width / photo.width;
  return {
    ...rest,
    corners: corners.map(({ x, y }) => ({ x: x * scale, y: y * scale })),
    haze: rounded(haze),
    kept: rounded(kept),
    seen: rounded(seen),
    clearsWet: clearsWet && rounded(clearsWet),
    areas: areas.map(({ cells: _, ...area }) => area),
    decision,
    minutesLeft,
    reasons,
  };
}

read(process.argv.slice(2)).then(
  (told) => process.stdout.write(`${JSON.stringify(told)}\n`),
  (error: unknown) => {
    const code = error instanceof Stop ? error.code : 'failed';
    process.stderr.write(`${code}: ${error instanceof Error ? error.message : String(error)}\n`);
    process.exitCode = 1;
  },
);
