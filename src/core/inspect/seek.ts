/** What a piece is told by in its photos: it can be made before there is one. */
import { grayOf, type Gray, type Rgba } from '@/core/photo';
import { cellsOf } from './cells';
import type { ExpectedPiece } from './expected-piece';
import { featuresOf, shrunk, type Features } from './features';
import { CHANNELS, type Cells } from './layers';
import { frameOf, type Frame } from './overlay';
import type { CellMap } from './reading';
import { tonesToTell } from './tones';

const EXPECTED_SIDE = 560;
const EXPECTED_POINTS = 800;
/** Pixels for each mm of the frame that patches are compared in, and of the one for a first look. */
const FRAME_DENSITY = 2;
const GLANCE_DENSITY = 0.8;
const CELL_MM = 4;
const BROAD_MM = 3;

/** What stays the same for every photo of a piece: it can be made before there is one. */
export interface Sought {
  expected: ExpectedPiece;
  size: { widthMm: number; heightMm: number };
  features: Features;
  /** Of the features' pixels, those that are a millimetre. */
  density: number;
  frame: Frame;
  /** A coarser one, to tell by which of several places it lies at. */
  glance: Frame;
  cells: Cells;
  /** By whose tones the way round is told. */
  broad: Cells;
  /** How much they tell. */
  toTell: number;
  /** The larger cells that are told, and the print's colour in each. */
  told: CellMap & { colours: number[] };
}

export function seek(expected: ExpectedPiece): Sought {
  const gray = expectedGray(expected);
  const { image, by } = shrunk(gray, EXPECTED_SIDE);
  const cells = cellsOf(expected);
  const broad = cellsOf(expected, BROAD_MM);
  const map = toldBy(cells);
  return {
    expected,
    size: {
      widthMm: expected.picture.width / expected.pxPerMm,
      heightMm: expected.picture.height / expected.pxPerMm,
    },
    features: featuresOf(image, EXPECTED_POINTS),
    density: expected.pxPerMm / by,
    frame: frameOf(gray, expected.pxPerMm, FRAME_DENSITY),
    glance: frameOf(gray, expected.pxPerMm, GLANCE_DENSITY),
    cells,
    broad,
    toTell: tonesToTell(broad),
    told: { ...map, colours: coloursOf(expected.picture, map) },
  };
}

/** Light of the clean print on its ground as the eye weighs it, display coded: 0–1. */
function expectedGray({ picture, ground }: ExpectedPiece): Gray {
  const gray = grayOf(picture);
  const lit = Math.sqrt((ground[0] + ground[1] + ground[2]) / 3);
  return { ...gray, data: gray.data.map((level) => level * lit) };
}

function toldBy({ boxColumns, boxRows, sizeMm }: Cells): CellMap {
  const by = Math.max(1, Math.round(CELL_MM / sizeMm));
  const [columns, rows] = [Math.max(1, Math.round(boxColumns / by)), Math.max(1, Math.round(boxRows / by))];
  return { widthMm: (boxColumns * sizeMm) / columns, heightMm: (boxRows * sizeMm) / rows, columns, rows };
}

/** Mean colour of the picture in each cell. */
function coloursOf({ data, width, height }: Rgba, { columns, rows }: CellMap): number[] {
  const sums = new Float64Array(columns * rows * 4);
  for (let y = 0; y < height; y++) {
    const row = Math.min(rows - 1, Math.floor((y * rows) / height)) * columns;
    for (let x = 0; x < width; x++) {
      const into = (row + Math.min(columns - 1, Math.floor((x * columns) / width))) * 4;
      const from = (y * width + x) * 4;
      for (const channel of CHANNELS) sums[into + channel] += data[from + channel];
      sums[into + 3]++;
    }
  }
  return Array.from({ length: columns * rows }, (_, at) =>
    CHANNELS.reduce<number>((colour, channel) => {
      const mean = Math.round(sums[at * 4 + channel] / Math.max(1, sums[at * 4 + 3]));
      return (colour << 8) | mean;
    }, 0),
  );
}
