/**
 * Run beside the tests: draws photos of printed sheets by their seeds and reads them back. `node read-photos.cjs
 * JOB.json`, readings to standard output.
 */
import { readFileSync } from 'node:fs';
import { readProof, type ExpectedPage, type ProofCode, type ProofReading } from '@/core/proof';
import type { Rgba } from '@/core/photo';
import type { SheetPack } from '@/core/sheet';
import { type Result, seededChance } from '@/core/shared';
import { photoOf, type PhotoOf } from './photo';

interface Picture {
  file: string;
  width: number;
  height: number;
}
interface Case {
  pack: SheetPack;
  printed: Picture[];
  expected: (Omit<ExpectedPage, 'raster'> & { raster: Picture })[];
}

/** A photo to draw: everything about it comes from the seed but what is patched. */
export interface Shot {
  seed: number;
  case?: number;
  patch?: Partial<PhotoOf>;
  /**
   * A picture on paper instead of the page; a picture alone, without a sheet; the page alone, as a scanner gives it.
   */
  instead?: Picture;
  bare?: Picture;
  scan?: boolean;
  /** The scan's file says how dense it is. */
  dense?: boolean;
  /** Pages of this case are what was sent, whatever is shown. */
  sentCase?: number;
}
export interface PhotoReading {
  seed: number;
  of: { flipped: boolean; turnDeg: number };
  page: number;
  across: number;
  along: number;
  reading: Result<ProofReading, ProofCode>;
}

const PRINTED_DENSITY = 5;
const load = ({ file, width, height }: Picture): Rgba => ({
  data: new Uint8ClampedArray(readFileSync(file)),
  width,
  height,
});

const { cases, shots } = JSON.parse(readFileSync(process.argv[2], 'utf8')) as { cases: Case[]; shots: Shot[] };
const expected = cases.map((one) => one.expected.map((page) => ({ ...page, raster: load(page.raster) })));
const printed = cases.map((one) => one.printed.map(load));

function read({ seed, case: chosen, patch, instead, bare, scan, dense, sentCase }: Shot): PhotoReading {
  const chance = seededChance(seed);
  const between = (low: number, high: number) => low + (high - low) * chance();
  const at = chosen ?? seed % cases.length;
  const { pack } = cases[at];
  const page = scan ? 0 : Math.floor(chance() * pack.pages.length);
  const { widthMm, heightMm } = pack.pages[page].page;
  const picture = instead && load(instead);
  const of: PhotoOf = {
    page: picture ?? printed[at][page],
    pxPerMm: picture ? picture.width / widthMm : PRINTED_DENSITY,
    widthMm,
    heightMm,
    flipped: seed % 2 === 1,
    across: between(0.94, 1.04),
    along: between(0.94, 1.04),
    shiftMm: [between(-2, 2), between(-2, 2)],
    turnDeg: between(-15, 15),
    tilt: [between(-0.22, 0.22), between(-0.22, 0.22)],
    light: between(0, 0.35),
    blurPx: seed % 3,
    noise: between(0, 9),
    seed,
    bowMm: 0,
    bowAcross: seed % 4 < 2,
    glare: null,
    table: 0.36,
    zoom: 1,
    marginMm: 0,
    kept: between(0.8, 1),
    ground: 'plain',
    ...patch,
  };
  const photo = bare ? load(bare) : scan ? printed[at][0] : photoOf(of);
  const landscape = pack.orientation === 'landscape';
  return {
    seed,
    of: { flipped: of.flipped, turnDeg: of.turnDeg },
    page,
    across: landscape ? of.along : of.across,
    along: landscape ? of.across : of.along,
    reading: readProof(
      photo,
      expected[sentCase ?? at],
      dense ? { xPerMm: PRINTED_DENSITY, yPerMm: PRINTED_DENSITY } : null,
    ),
  };
}

process.stdout.write(JSON.stringify(shots.map(read)));
