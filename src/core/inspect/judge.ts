/**
 * What a reading means for the work: areas with paper left and areas without toner, and whether to rub all over, rub
 * these, mend or seal. Haze that vanishes when it is wet vanishes under a sealer too. Between two readings: whether the
 * rubbing still takes more paper than toner.
 */
import type { CellMap, PieceReading } from './reading';

export type InspectDecision = 'pass' | 'areas' | 'mend' | 'seal';

export interface InspectArea {
  kind: 'haze' | 'loss';
  areaCm2: number;
  /** Mean haze, or mean share of toner that is gone, 0–1. */
  severity: number;
  /** Of hands: to rub it, or to mend it. */
  minutes: number;
  /** mm, from the top left of the print's box. */
  box: { xMm: number; yMm: number; widthMm: number; heightMm: number };
  cells: number[];
}

export type InspectReason =
  | { code: 'hazy'; share: number; cm2: number }
  | { code: 'clears-wet'; cm2: number }
  | { code: 'lost'; cm2: number }
  | { code: 'clean' }
  | { code: 'whitened' }
  | { code: 'unseen'; share: number };

export interface Judgement {
  areas: InspectArea[];
  decision: InspectDecision;
  minutesLeft: number;
  reasons: InspectReason[];
}

const HAZY = 0.15;
/** A sealer clears no more than this, however it looks when wet. */
const HEAVY = 0.25;
const CLEARS = 0.7;
const LOST = 0.6;
/** Shares of what is judged. */
const ALL_OVER = 0.45;
const FEW = 0.02;
const MOST_HEAVY = 0.05;
const FEW_LOST = 0.004;
/** A later pass over a letter-size print, minutes, with what is more for thick paper; and a hole's mending. */
const PASS_MINUTES_PER_CM2 = 6 / 603;
const MEND_MINUTES = 0.5;
const MEND_MINUTES_PER_CM2 = 2;
/** Cells this near each other are one piece of work. */
const NEAR = 2;
const LEAST_CELLS = 3;

const cm2Of = ({ widthMm, heightMm }: CellMap): number => (widthMm * heightMm) / 100;

export function judgePiece({ cell, haze, kept, seen, clearsWet, isWhitened }: PieceReading): Judgement {
  const judged = haze.filter((value) => value !== null).length;
  const carrying = seen.filter((value) => value !== null).length;
  const stays = (at: number): boolean => {
    const value = haze[at];
    if (value === null || value === undefined || value <= HAZY) return false;
    return value > HEAVY || (clearsWet?.[at] ?? 0) < CLEARS;
  };
  const hazy = haze.map((_, at) => stays(at));
  const lost = kept.map((value) => value !== null && value < LOST);
  const clears = haze.filter((value, at) => value !== null && value > HAZY && !stays(at)).length;
  const count = (flags: readonly boolean[]) => flags.filter(Boolean).length;
  const share = (n: number) => n / Math.max(1, judged);
  const heavy = share(haze.filter((value) => value !== null && value > HEAVY).length);
  const hazyAreas = areasOf(hazy, cell, (at) => haze[at] ?? 0, 'haze');
  const lostAreas = areasOf(lost, cell, (at) => 1 - (kept[at] ?? 1), 'loss');
  const decision = decisionOf(share(count(hazy)), heavy, share(count(lost)), judged === 0);
  const wholeCm2 = carrying * cm2Of(cell);
  const rubbing =
    decision === 'pass' ? PASS_MINUTES_PER_CM2 * wholeCm2 : hazyAreas.reduce((sum, { minutes }) => sum + minutes, 0);
  const mending = lostAreas.reduce((sum, { minutes }) => sum + minutes, 0);
  const cm2 = (n: number) => n * cm2Of(cell);
  const reasons: InspectReason[] = [
    ...(count(hazy) > 0 ? [{ code: 'hazy' as const, share: share(count(hazy)), cm2: cm2(count(hazy)) }] : []),
    ...(clears > 0 ? [{ code: 'clears-wet' as const, cm2: cm2(clears) }] : []),
    ...(count(lost) > 0 ? [{ code: 'lost' as const, cm2: cm2(count(lost)) }] : []),
    ...(decision === 'seal' ? [{ code: 'clean' as const }] : []),
    ...(isWhitened ? [{ code: 'whitened' as const }] : []),
    ...(carrying > judged ? [{ code: 'unseen' as const, share: 1 - judged / carrying }] : []),
  ];
  return {
    areas: [...hazyAreas, ...lostAreas],
    decision,
    minutesLeft: Math.round(decision === 'seal' ? 0 : rubbing + mending),
    reasons,
  };
}

function decisionOf(hazy: number, heavy: number, lost: number, nothingJudged: boolean): InspectDecision {
  if (nothingJudged || hazy >= ALL_OVER) return 'pass';
  if (hazy > FEW || heavy > MOST_HEAVY) return 'areas';
  return lost > FEW_LOST ? 'mend' : 'seal';
}

/** Cells that touch, in working order: from the top, row by row of hands. */
function areasOf(
  flags: readonly boolean[],
  cell: CellMap,
  severityAt: (at: number) => number,
  kind: InspectArea['kind'],
): InspectArea[] {
  const { columns, rows, widthMm, heightMm } = cell;
  const taken = new Uint8Array(flags.length);
  const areas: InspectArea[] = [];
  for (let start = 0; start < flags.length; start++) {
    if (!flags[start] || taken[start]) continue;
    const cells = [start];
    taken[start] = 1;
    for (let next = 0; next < cells.length; next++) {
      const [x, y] = [cells[next] % columns, Math.floor(cells[next] / columns)];
      for (let dy = -NEAR; dy <= NEAR; dy++)
        for (let dx = -NEAR; dx <= NEAR; dx++) {
          const [nx, ny] = [x + dx, y + dy];
          if (nx < 0 || ny < 0 || nx >= columns || ny >= rows) continue;
          const beside = ny * columns + nx;
          if (!flags[beside] || taken[beside]) continue;
          taken[beside] = 1;
          cells.push(beside);
        }
    }
    if (cells.length < LEAST_CELLS && kind === 'haze') continue;
    const severity = cells.reduce((sum, at) => sum + severityAt(at), 0) / cells.length;
    const areaCm2 = cells.length * cm2Of(cell);
    const [xs, ys] = [cells.map((at) => at % columns), cells.map((at) => Math.floor(at / columns))];
    const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
    areas.push({
      kind,
      areaCm2,
      severity,
      minutes:
        kind === 'haze'
          ? Math.max(0.5, areaCm2 * PASS_MINUTES_PER_CM2 * (0.6 + 1.6 * severity))
          : MEND_MINUTES + areaCm2 * MEND_MINUTES_PER_CM2,
      box: {
        xMm: x0 * widthMm,
        yMm: y0 * heightMm,
        widthMm: (Math.max(...xs) - x0 + 1) * widthMm,
        heightMm: (Math.max(...ys) - y0 + 1) * heightMm,
      },
      cells,
    });
  }
  const band = 80;
  return areas.sort(
    (a, b) =>
      Math.floor(a.box.yMm / band) - Math.floor(b.box.yMm / band) || a.box.xMm - b.box.xMm || a.box.yMm - b.box.yMm,
  );
}

export interface Change {
  /** cm² whose haze went, weighed by how much of it; and whose toner went. */
  hazeGoneCm2: number;
  tonerGoneCm2: number;
  /** More toner goes than paper: stop. */
  stop: boolean;
}

const LEAST_TONER_CM2 = 0.5;

/** @returns null where the two are not readings of the same print */
export function changeBetween(before: PieceReading, after: PieceReading): Change | null {
  if (before.cell.columns !== after.cell.columns || before.cell.rows !== after.cell.rows) return null;
  let [haze, toner] = [0, 0];
  before.haze.forEach((value, at) => {
    const now = after.haze[at];
    if (value !== null && now !== null && now !== undefined) haze += Math.max(0, value - now);
    const [had, has] = [before.kept[at], after.kept[at]];
    if (had !== null && had !== undefined && has !== null && has !== undefined) toner += Math.max(0, had - has - 0.05);
  });
  const [hazeGoneCm2, tonerGoneCm2] = [haze * cm2Of(before.cell), toner * cm2Of(before.cell)];
  return { hazeGoneCm2, tonerGoneCm2, stop: tonerGoneCm2 > LEAST_TONER_CM2 && tonerGoneCm2 > hazeGoneCm2 };
}
