/**
 * Everything on a page besides the pictures, as a list of marks in page millimetres, y down: what the PDF, the picture
 * of a page, the specimen and the proof check all draw. Marks stand outside the prints; on a mirrored sheet words of
 * the print itself read true from the back.
 */
import type { PrintId } from '@/core/craft';
import { MM_PER_INCH, formatSize, type UnitSystem } from '@/core/measure';
import type { PointMm, RectMm, Ring } from '@/core/shape';
import type { Line } from './line';
import { LONG_STRIP_MM, placeMatrix, type PlacedPrint, type SheetLayout, type SheetPack } from './sheet-page';
import { wordsMm, wrapped } from './wrap-words';
import { BAR_MM, drawnBarMm, printerScale, type PrinterTruth } from '@/core/at-hand';
import type { PageEdge, PrintEdge, SheetWords } from './sheet-words';

export type Mark =
  | { kind: 'line'; line: Line; widthMm: number }
  /** Closed outlines and open folds, seen only within `clip`. */
  | { kind: 'outline'; rings: readonly Ring[]; folds: readonly Line[]; clip: RectMm }
  | { kind: 'fill'; ring: Ring }
  | { kind: 'box'; rect: RectMm; filled: boolean }
  /**
   * Begins at its baseline's left end, or right where it is mirrored; turned a quarter clockwise it runs down.
   * Shortened to `maxMm`.
   */
  | {
      kind: 'words';
      words: string;
      at: PointMm;
      sizeMm: number;
      bold: boolean;
      mirrored: boolean;
      turned: boolean;
      maxMm: number;
    };

/** What is said of one print. */
export interface PrintText {
  name: string;
  /** Cut line and folds in the print's own millimetres, as it lands; null where the corner marks say it all. */
  cut: readonly Ring[] | null;
  folds: readonly Line[];
  edge: PrintEdge;
}

export interface SheetText {
  title: string;
  unitSystem: UnitSystem;
  /** False where it is traced: then it is printed the right way round, and says so. */
  mirrored: boolean;
  /** What the pages are printed with; null where their prints differ, or nothing is laid of them. */
  printKind: PrintId | null;
  prints: readonly PrintText[];
  /** Written into the file, so that it is the same whenever it is made. */
  createdAt: Date;
}

export const MARK_MM = { hairline: 0.14, join: 0.39, cut: 0.18, bar: 0.32 } as const;
const BAR_TICK_MM = 1.6;
/** Facts, instructions, and the heading, as high as they are printed. */
const SMALL_MM = 2;
const WORDS_MM = 2.4;
const LARGE_MM = 3;
/** A cut line on the print's rim is drawn whole. */
const BLEED_MM = 0.3;
const MAP_MM = 16;
const WORDS_START_MM = BAR_MM + 5;
/** Room that a caption or the up mark needs beside a print. */
const CAPTION_MM = 3;

/** What a sheet is marked from. */
export interface MarkedSheet {
  pack: SheetPack;
  text: SheetText;
  truth: PrinterTruth;
  words: SheetWords;
}

export function sheetMarks(layout: SheetLayout, sheet: MarkedSheet): Mark[] {
  return [
    ...layout.places.flatMap((place) => printMarks(place, layout, sheet)),
    ...barMarks(layout, sheet.text.unitSystem),
    ...stripMarks(layout, sheet),
  ];
}

function printMarks(placed: PlacedPrint, layout: SheetLayout, sheet: MarkedSheet): Mark[] {
  const { pack, text, words } = sheet;
  const own = text.prints[placed.print]!;
  const hairlines = [...placed.trimCorners, ...placed.centreMarks].map((line): Mark => ({
    kind: 'line',
    line,
    widthMm: MARK_MM.hairline,
  }));
  const joins = placed.joinMarks.map((line): Mark => ({ kind: 'line', line, widthMm: MARK_MM.join }));
  const { xMm, yMm, widthMm, heightMm } = placed.place;
  const clip = {
    xMm: xMm - BLEED_MM,
    yMm: yMm - BLEED_MM,
    widthMm: widthMm + 2 * BLEED_MM,
    heightMm: heightMm + 2 * BLEED_MM,
  };
  const onPage = pageMap(placed, pack, text.mirrored);
  const outline: Mark[] =
    own.cut || own.folds.length > 0
      ? [
          {
            kind: 'outline',
            rings: (own.cut ?? []).map((ring) => ring.map(onPage)),
            folds: own.folds.map((fold) =>
              lineOf(onPage({ xMm: fold.x1, yMm: fold.y1 }), onPage({ xMm: fold.x2, yMm: fold.y2 })),
            ),
            clip,
          },
        ]
      : [];
  return [...hairlines, ...outline, ...joins, ...upMark(placed, layout, words.up), ...caption(placed, layout, sheet)];
}

const lineOf = (point: PointMm, other: PointMm): Line => ({
  x1: point.xMm,
  y1: point.yMm,
  x2: other.xMm,
  y2: other.yMm,
});

/** From a print's own millimetres as it lands to the page. */
export function pageMap(placed: PlacedPrint, pack: SheetPack, mirrored: boolean): (point: PointMm) => PointMm {
  const [a, b, c, d, e, f] = placeMatrix(placed);
  const { widthMm } = pack.prints[placed.print]!;
  return ({ xMm, yMm }) => {
    const x = mirrored ? widthMm - xMm : xMm;
    return { xMm: a * x + c * yMm + e, yMm: b * x + d * yMm + f };
  };
}

/** A small solid arrowhead at the edge that is up, where there is room for it. */
function upMark({ place, turned, tile }: PlacedPrint, { printable }: SheetLayout, up: string): Mark[] {
  if (tile.row > 0) return [];
  const room = turned ? printable.xMm + printable.widthMm - place.xMm - place.widthMm : place.yMm - printable.yMm;
  if (room < CAPTION_MM) return [];
  const [x, y] = turned
    ? [place.xMm + place.widthMm + 0.7, place.yMm + place.heightMm * 0.3]
    : [place.xMm + place.widthMm * 0.3, place.yMm - 0.7];
  const ring = turned
    ? [
        { xMm: x, yMm: y },
        { xMm: x, yMm: y + 2.4 },
        { xMm: x + 2, yMm: y + 1.2 },
      ]
    : [
        { xMm: x, yMm: y },
        { xMm: x + 2.4, yMm: y },
        { xMm: x + 1.2, yMm: y - 2 },
      ];
  const words: Mark = {
    kind: 'words',
    words: up,
    at: turned ? { xMm: x, yMm: y + 3.2 } : { xMm: x + 3.2, yMm: y },
    sizeMm: SMALL_MM,
    bold: true,
    mirrored: false,
    turned,
    maxMm: 8,
  };
  return [{ kind: 'fill', ring }, words];
}

/** Name, size and which of several, under the print; mirrored with it, so that it is read from the back. */
function caption(
  { place, print, copy, turned }: PlacedPrint,
  { printable, strip, places }: SheetLayout,
  { pack, text, words: say }: MarkedSheet,
): Mark[] {
  const bottom = place.yMm + place.heightMm;
  const limit = strip.vertical ? printable.yMm + printable.heightMm : strip.rect.yMm;
  if (limit - bottom < CAPTION_MM || (places.length === 1 && pack.copies === 1)) return [];
  const { widthMm, heightMm } = pack.prints[print]!;
  const facts = [
    formatSize([widthMm, heightMm], text.unitSystem),
    ...(pack.copies > 1 ? [say.copyOf(copy + 1, pack.copies)] : []),
    ...(turned ? [say.turned] : []),
  ].join(' · ');
  // Half of the width: the centre mark stands in the middle.
  const maxMm = place.widthMm / 2 - 3;
  if (wordsMm(facts, SMALL_MM) > maxMm) return [];
  const words = withName(text.prints[print]!.name, facts, maxMm);
  return [
    {
      kind: 'words',
      words,
      at: { xMm: place.xMm + 1.5, yMm: bottom + 2.4 },
      sizeMm: SMALL_MM,
      bold: false,
      mirrored: text.mirrored,
      turned: false,
      maxMm,
    },
  ];
}

/** Ticks at every centimetre or half inch, longer at fives and at whole inches. */
function barMarks({ bar: line, strip }: SheetLayout, system: UnitSystem): Mark[] {
  const lengthMm = drawnBarMm(system);
  const bar = strip.vertical ? { ...line, y2: line.y1 + lengthMm } : { ...line, x2: line.x1 + lengthMm };
  const [stepMm, longEach] = system === 'inch' ? [MM_PER_INCH / 2, 2] : [10, 5];
  const ticks = Array.from({ length: Math.round(lengthMm / stepMm) + 1 }, (_, index): Mark => {
    const [mm, tick] = [index * stepMm, index % longEach === 0 ? BAR_TICK_MM : BAR_TICK_MM / 2];
    return {
      kind: 'line',
      widthMm: MARK_MM.hairline,
      line: strip.vertical
        ? { x1: bar.x1 - tick, y1: bar.y1 + mm, x2: bar.x1, y2: bar.y1 + mm }
        : { x1: bar.x1 + mm, y1: bar.y1 - tick, x2: bar.x1 + mm, y2: bar.y1 },
    };
  });
  return [{ kind: 'line', line: bar, widthMm: MARK_MM.bar }, ...ticks];
}

function stripMarks(layout: SheetLayout, { pack, text, truth, words: say }: MarkedSheet): Mark[] {
  const { strip } = layout;
  const first = layout.places[0]!;
  const tiled = isTile(first, pack);
  const lengthMm = strip.vertical ? strip.rect.heightMm : strip.rect.widthMm;
  // Along the strip: x from its inner end, y towards the page's edge; there the bar lies.
  const write = (
    words: string,
    xMm: number,
    yMm: number,
    sizeMm: number,
    maxMm: number,
    options: { bold?: boolean; mirrored?: boolean } = {},
  ): Mark => ({
    kind: 'words',
    words,
    sizeMm,
    maxMm,
    bold: options.bold ?? false,
    mirrored: options.mirrored ?? false,
    turned: strip.vertical,
    at: strip.vertical
      ? { xMm: strip.rect.xMm + yMm, yMm: strip.rect.yMm + xMm }
      : { xMm: strip.rect.xMm + xMm, yMm: strip.rect.yMm + yMm },
  });
  const mapMm = tiled ? MAP_MM + 2 : 0;
  const says = text.mirrored ? say.mirrored : say.unmirrored;
  const instruction = tiled ? tileWords(first, say) : edgeWords(layout, text, say);
  const isLong = lengthMm >= LONG_STRIP_MM;
  const fullMm = lengthMm - 2 - mapMm;
  const lines = (
    words: string,
    xMm: number,
    { sizeMm, maxMm, at }: { sizeMm: number; maxMm: number; at: readonly number[] },
  ): Mark[] =>
    wrapped(words, sizeMm, maxMm)
      .slice(0, at.length)
      .map((line, index) => write(line, xMm, at[index]!, sizeMm, maxMm));
  const besideMm = lengthMm - WORDS_START_MM - 1 - mapMm;
  const headingMm = isLong
    ? Math.min(LARGE_MM, (besideMm / wordsMm(says.heading, 1, true)) * 0.98)
    : Math.min(LARGE_MM, (fullMm / wordsMm(says.heading, 1, true)) * 0.98);
  const bar = write(say.bar(text.unitSystem), 1, ROWS.bar, SMALL_MM, drawnBarMm(text.unitSystem) + 2);
  const heading = (xMm: number, yMm: number) =>
    write(says.heading, xMm, yMm, headingMm, isLong ? besideMm : fullMm, { bold: true, mirrored: text.mirrored });
  const facts = (maxMm: number) => factsOf(layout, { pack, text, truth, words: say }, 2 * maxMm);
  const map = tiled ? mapMarks(layout, pack) : [];
  // A long strip says what to do in one line over all else; a short one needs two, and the rest below the bar.
  return isLong
    ? [
        ...lines(instruction, 1, { sizeMm: WORDS_MM, maxMm: fullMm, at: ROWS.instruction }),
        bar,
        heading(WORDS_START_MM, ROWS.heading),
        ...lines(says.note, WORDS_START_MM, { sizeMm: SMALL_MM, maxMm: besideMm, at: [ROWS.note] }),
        ...lines(facts(besideMm), WORDS_START_MM, { sizeMm: SMALL_MM, maxMm: besideMm, at: ROWS.facts }),
        ...map,
      ]
    : [
        ...lines(instruction, 1, { sizeMm: WORDS_MM, maxMm: fullMm, at: ROWS.instruction }),
        bar,
        heading(1, SHORT_ROWS.heading),
        ...lines(says.note, 1, { sizeMm: SMALL_MM, maxMm: fullMm, at: [SHORT_ROWS.note] }),
        ...lines(facts(fullMm), 1, { sizeMm: SMALL_MM, maxMm: fullMm, at: SHORT_ROWS.facts }),
        ...map,
      ];
}

/** Baselines from the strip's inner side, mm; on a short strip what stands beside the bar stands under it. */
const ROWS = { instruction: [2.5, 5.1], bar: 7.8, heading: 5.9, note: 7.8, facts: [9.65, 11.5] } as const;
const SHORT_ROWS = { heading: 13.6, note: 15.8, facts: [17.7, 19.5] } as const;

/** Name, size, paper, page and correction; a name that is too long for it all is cut, the facts are not. */
function factsOf(layout: SheetLayout, { pack, text, truth, words: say }: MarkedSheet, maxMm: number): string {
  const { places, paper } = layout;
  const first = places[0]!;
  const size = pack.prints[first.print]!;
  const facts = [
    ...(places.length === 1
      ? [say.printOf(formatSize([size.widthMm, size.heightMm], text.unitSystem))]
      : [say.prints(places.length)]),
    paper.name,
    ...(pack.pages.length > 1 ? [say.pageOf(pack.pages.indexOf(layout) + 1, pack.pages.length)] : []),
    ...(pack.copies > 1 && places.length === 1 ? [say.nthCopyOf(first.copy + 1, pack.copies)] : []),
    ...corrected(truth, say),
    ...(text.printKind ? [say.printedWith(text.printKind)] : []),
  ].join(' · ');
  const names = [...new Set(places.map((place) => text.prints[place.print]!.name))].join(', ');
  // Breaking loses some of each line.
  return withName(names, facts, maxMm * 0.85);
}

/** A name before facts: cut where there is no room for all of it, and left out where there is none. */
function withName(whole: string, facts: string, maxMm: number): string {
  const left = maxMm - wordsMm(` · ${facts}`, SMALL_MM);
  if (wordsMm(whole, SMALL_MM) <= left) return `${whole} · ${facts}`;
  let name = whole;
  while (name.length > 0 && wordsMm(`${name}…`, SMALL_MM) > left) name = name.slice(0, -1).trimEnd();
  return name.length > 1 ? `${name}… · ${facts}` : facts;
}

const isTile = ({ tile, print }: PlacedPrint, pack: SheetPack): boolean =>
  tile.window.widthMm < pack.prints[print]!.widthMm - 1e-6 ||
  tile.window.heightMm < pack.prints[print]!.heightMm - 1e-6;

function edgeWords({ places }: SheetLayout, text: SheetText, say: SheetWords): string {
  const shown = places.map((place) => text.prints[place.print]!);
  const edges = [
    ...new Set(
      shown
        .filter((print) => print.cut !== null || print.folds.length > 0 || print.edge === 'fade')
        .map((print) => print.edge),
    ),
  ];
  return edges.length > 0 ? edges.map((edge) => say.edges[edge]).join(' ') : say.trim;
}

const corrected = (truth: PrinterTruth, say: SheetWords): string[] => {
  const { across, along } = printerScale(truth);
  return across === 1 && along === 1 ? [] : [say.corrected(across, along)];
};

/** What to do with this tile: which sides are cut, which go under the next page. */
function tileWords({ tile }: PlacedPrint, say: SheetWords): string {
  const trimmed: PageEdge[] = [];
  if (tile.column > 0) trimmed.push('left');
  if (tile.row > 0) trimmed.push('top');
  const under: PageEdge[] = [];
  if (tile.joinXMm !== null) under.push('right');
  if (tile.joinYMm !== null) under.push('bottom');
  return say.tile(trimmed, under);
}

/** A small map of the print's pages at the end of the strip, this one filled. */
function mapMarks(layout: SheetLayout, pack: SheetPack): Mark[] {
  const { print, tile, copy } = layout.places[0]!;
  const tiles = pack.pages
    .flatMap(({ places }) => places)
    .filter((place) => place.print === print && place.copy === copy)
    .map((place) => place.tile);
  const columns = Math.max(...tiles.map((one) => one.column)) + 1;
  const rows = Math.max(...tiles.map((one) => one.row)) + 1;
  const { rect, vertical } = layout.strip;
  const cell = Math.min(MAP_MM / columns, ((vertical ? rect.widthMm : rect.heightMm) - 2) / rows);
  const left = rect.xMm + rect.widthMm - columns * cell - (vertical ? 1 : 0);
  const top = vertical ? rect.yMm + rect.heightMm - rows * cell - 1 : rect.yMm + 1;
  return tiles.map((one): Mark => ({
    kind: 'box',
    rect: { xMm: left + one.column * cell, yMm: top + one.row * cell, widthMm: cell, heightMm: cell },
    filled: one.column === tile.column && one.row === tile.row,
  }));
}
