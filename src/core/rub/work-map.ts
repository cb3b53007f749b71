/**
 * The map of the work before rubbing: where haze stays longest (the dark), where paper is easily overlooked (light and
 * even: felt, not seen), where toner goes first, and the sections in order from a light corner of this very picture, with
 * their minutes, breaks and sittings. A section is about half a letter page: as much as stays damp while it is rubbed.
 * Source: bench practice. Known weakness: the picture's sketch is coarse, and its tone as printed is not in it.
 */
import type { SurfaceRecord } from '@/core/craft';
import { fieldAt, readSketch, type Crop, type SizePx, type Turning } from '@/core/picture';
import type { Blank, RectMm } from '@/core/shape';
import { clamp, sum } from '@/core/shared';

export type WorkKind = 'haze-stays' | 'feel-here';
const CORNERS = ['top-left', 'top-right', 'bottom-right', 'bottom-left'] as const;
export type Corner = (typeof CORNERS)[number];
/** Where toner goes before anywhere else. */
export type GoesFirst = 'edges' | 'corners' | 'knots' | 'grain' | 'weave' | 'hollows' | 'folds' | 'openings' | 'rims';

export interface WorkSection {
  number: number;
  box: RectMm;
  /** Of the first pass, and of each later one. */
  minutes: number;
  laterMinutes: number;
  /** Shares of it that are dark, and light and even. */
  darkShare: number;
  feelShare: number;
  /** Fingertips rest, or hands change, before it. */
  breakBefore: boolean;
  /** It begins a sitting of its own: the piece may dry before it, and is wetted anew. */
  sitting: number;
}

export interface WorkMap {
  /** Fields of what is rubbed, row by row over its box; null where nothing is to be said. */
  columns: number;
  rows: number;
  box: RectMm;
  kinds: readonly (WorkKind | null)[];
  goesFirst: readonly GoesFirst[];
  startAt: Corner;
  /** The lightest corner of this picture; the top left where nothing is known of it. */
  isLightest: boolean;
  sections: readonly WorkSection[];
  sittings: number;
}

export interface WorkInput {
  picture: (SizePx & { sketch?: string | null }) | null;
  turning: Turning;
  crop: Crop;
  /** Where the picture lies, and what of it hands reach. */
  place: RectMm;
  box: RectMm;
  blank: Pick<Blank, 'folds' | 'openings' | 'standing'>;
  surface: Pick<SurfaceRecord, 'class' | 'textureMm' | 'dipsToFill' | 'porous'>;
  /** No coat hides grain and knots. */
  bare: boolean;
  knots: number;
  /** Of all of it, the first pass and a later one. */
  minutes: { first: number; later: number };
}

/** Half a letter page, mm². */
const SECTION_MM2 = (215.9 * 279.4) / 2;
const MOST_SECTIONS = 60;
const DARK_LIGHTNESS = 30;
const LIGHT_LIGHTNESS = 80;
const EVEN_SPREAD = 6;
/** Dark places take so much longer than the rest, and light ones that are felt over. */
const DARK_MORE = 0.6;
const FEEL_MORE = 0.25;
const BREAK_AFTER_MINUTES = 35;
const SITTING_MINUTES = 75;
const FIELD_MM = 8;
const MOST_FIELDS = 48;
const ROUGH_MM = 0.3;
/** Of the whole, what counts as a corner. */
const CORNER_SHARE = 0.25;

export function workMap(input: WorkInput): WorkMap {
  const { box } = input;
  const [columns, rows] = [box.widthMm, box.heightMm].map((mm) => clamp(Math.round(mm / FIELD_MM), 1, MOST_FIELDS)) as [
    number,
    number,
  ];
  const tones = tonesOf(input, columns, rows);
  const kinds = Array.from({ length: columns * rows }, (_, at) =>
    kindOf(tones?.lightness[at] ?? NaN, tones?.spread[at] ?? NaN),
  );
  const grid = { columns, rows, box, kinds };
  const startAt = tones ? lightCorner(tones.lightness, columns, rows) : 'top-left';
  const sections = timed(sectionBoxes(box, startAt), grid, input.minutes);
  return {
    ...grid,
    goesFirst: goesFirstOf(input),
    startAt,
    isLightest: tones !== null,
    sections,
    sittings: sections.at(-1)?.sitting ?? 1,
  };
}

const kindOf = (lightness: number, spread: number): WorkKind | null => {
  if (lightness < DARK_LIGHTNESS) return 'haze-stays';
  return lightness > LIGHT_LIGHTNESS && spread < EVEN_SPREAD ? 'feel-here' : null;
};

/** The middle of a field, mm of the face. */
const fieldMiddle = ({ columns, rows, box }: Pick<WorkMap, 'columns' | 'rows' | 'box'>, at: number) => ({
  x: box.xMm + (((at % columns) + 0.5) * box.widthMm) / columns,
  y: box.yMm + ((Math.floor(at / columns) + 0.5) * box.heightMm) / rows,
});

/** Lightness and spread over the box; NaN where no picture lies. */
function tonesOf({ picture, turning, crop, place, box }: WorkInput, columns: number, rows: number) {
  const sketch = readSketch(picture?.sketch);
  if (!picture || !sketch) return null;
  const field = fieldAt(picture, turning);
  const at = (index: number): number | null => {
    const { x, y } = fieldMiddle({ columns, rows, box }, index);
    const [u, v] = [(x - place.xMm) / place.widthMm, (y - place.yMm) / place.heightMm];
    return u < 0 || v < 0 || u > 1 || v > 1 ? null : field(crop.x + u * crop.width, crop.y + v * crop.height);
  };
  const read = (of: Float32Array) =>
    Float32Array.from({ length: columns * rows }, (_, index) => {
      const found = at(index);
      return found === null ? NaN : (of[found] ?? NaN);
    });
  return { lightness: read(sketch.lightness), spread: read(sketch.spread) };
}

/** The corner whose quarter is lightest: there paper shows least where it is begun, and hands learn on it. */
function lightCorner(lightness: Float32Array, columns: number, rows: number): Corner {
  const [wide, high] = [Math.max(1, Math.ceil(columns * CORNER_SHARE)), Math.max(1, Math.ceil(rows * CORNER_SHARE))];
  const mean = (corner: Corner): number => {
    const values = Array.from(lightness).filter((value, at) => {
      const [x, y] = [at % columns, Math.floor(at / columns)];
      const across = corner.endsWith('left') ? x < wide : x >= columns - wide;
      const down = corner.startsWith('top') ? y < high : y >= rows - high;
      return across && down && !Number.isNaN(value);
    });
    return values.length === 0 ? 0 : sum(values) / values.length;
  };
  return CORNERS.map((corner) => ({ corner, light: mean(corner) })).reduce((best, other) =>
    other.light > best.light ? other : best,
  ).corner;
}

/** Fields of about half a letter page, as square as they go, in a snake from the corner along the longer side. */
function sectionBoxes({ xMm, yMm, widthMm, heightMm }: RectMm, startAt: Corner): RectMm[] {
  const wanted = clamp(Math.ceil((widthMm * heightMm) / SECTION_MM2 - 0.02), 1, MOST_SECTIONS);
  const grids = Array.from({ length: wanted }, (_, k) => ({ columns: k + 1, rows: Math.ceil(wanted / (k + 1)) }));
  const lopsided = ({ columns, rows }: { columns: number; rows: number }) =>
    Math.abs(Math.log(widthMm / columns / (heightMm / rows))) + 0.15 * (columns * rows - wanted);
  const { columns, rows } = grids.reduce((best, other) => (lopsided(other) < lopsided(best) ? other : best));
  const [wide, high] = [widthMm / columns, heightMm / rows];
  const along = columns >= rows;
  const [lines, steps] = along ? [rows, columns] : [columns, rows];
  const [fromRight, fromBottom] = [startAt.endsWith('right'), startAt.startsWith('bottom')];
  return Array.from({ length: lines * steps }, (_, at) => {
    const [line, step] = [Math.floor(at / steps), at % steps];
    const snaked = line % 2 === 0 ? step : steps - 1 - step;
    const [column, row] = along ? [snaked, line] : [line, snaked];
    return {
      xMm: xMm + (fromRight ? columns - 1 - column : column) * wide,
      yMm: yMm + (fromBottom ? rows - 1 - row : row) * high,
      widthMm: wide,
      heightMm: high,
    };
  });
}

function timed(
  boxes: readonly RectMm[],
  grid: Pick<WorkMap, 'columns' | 'rows' | 'box' | 'kinds'>,
  minutes: WorkInput['minutes'],
): WorkSection[] {
  const shares = boxes.map((box) => ({
    dark: shareIn(grid, box, 'haze-stays'),
    feel: shareIn(grid, box, 'feel-here'),
  }));
  const weights = shares.map(({ dark, feel }) => 1 + DARK_MORE * dark + FEEL_MORE * feel);
  const total = sum(weights) || 1;
  let [sinceBreak, sinceSitting, sitting] = [0, 0, 1];
  return boxes.map((box, at) => {
    const share = (weights[at] ?? 1) / total;
    const own = minutes.first * share;
    const restart = at > 0 && sinceSitting + own > SITTING_MINUTES;
    if (restart) [sitting, sinceSitting] = [sitting + 1, 0];
    const breakBefore = at > 0 && !restart && sinceBreak + own > BREAK_AFTER_MINUTES;
    sinceBreak = breakBefore || restart ? own : sinceBreak + own;
    sinceSitting += own;
    return {
      number: at + 1,
      box,
      minutes: own,
      laterMinutes: minutes.later * share,
      darkShare: shares[at]?.dark ?? 0,
      feelShare: shares[at]?.feel ?? 0,
      breakBefore,
      sitting,
    };
  });
}

function shareIn(
  { columns, rows, box, kinds }: Pick<WorkMap, 'columns' | 'rows' | 'box' | 'kinds'>,
  part: RectMm,
  kind: WorkKind,
): number {
  let [all, found] = [0, 0];
  kinds.forEach((one, at) => {
    const { x, y } = fieldMiddle({ columns, rows, box }, at);
    if (x < part.xMm || y < part.yMm || x > part.xMm + part.widthMm || y > part.yMm + part.heightMm) return;
    all++;
    if (one === kind) found++;
  });
  return all === 0 ? 0 : found / all;
}

function goesFirstOf({ blank, surface, bare, knots }: WorkInput): GoesFirst[] {
  const round = blank.standing !== null;
  const places: readonly [GoesFirst, boolean][] = [
    ['edges', true],
    ['corners', !round],
    ['folds', blank.folds.length > 0],
    ['openings', blank.openings.length > 0],
    ['rims', round],
    ['knots', bare && surface.class === 'wood' && knots > 0],
    ['grain', bare && surface.class === 'wood' && surface.textureMm >= ROUGH_MM],
    ['weave', surface.dipsToFill],
    ['hollows', bare && surface.class === 'mineral' && surface.textureMm >= ROUGH_MM],
  ];
  return places.filter(([, there]) => there).map(([place]) => place);
}
