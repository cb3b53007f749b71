import type { PrintId } from '@/core/craft';
import type { UnitSystem } from '@/core/measure';

/** Edges of a page as it is read: a tile is trimmed at some and goes under the next page at others. */
export type PageEdge = 'left' | 'top' | 'right' | 'bottom';

/** How a print ends: cut, torn, close round a motif, or running out. */
export type PrintEdge = 'cut' | 'torn' | 'motif' | 'fade';

/**
 * Everything that a sheet and its templates say in words: handed in, so that the core has none. Sizes arrive worded in
 * the person's units.
 */
export interface SheetWords {
  /** Beside the arrowhead at the edge that is up. */
  up: string;
  /** Large on the sheet, and what explains it. */
  mirrored: { heading: string; note: string };
  unmirrored: { heading: string; note: string };
  bar: (system: UnitSystem) => string;
  /** At the corner marks. */
  trim: string;
  edges: Readonly<Record<PrintEdge, string>>;
  tile: (trimmed: readonly PageEdge[], under: readonly PageEdge[]) => string;
  turned: string;
  copyOf: (copy: number, copies: number) => string;
  nthCopyOf: (copy: number, copies: number) => string;
  pageOf: (page: number, pages: number) => string;
  printOf: (size: string) => string;
  prints: (count: number) => string;
  printedWith: (kind: PrintId) => string;
  corrected: (across: number, along: number) => string;
  documentTitle: (title: string, mirrored: boolean) => string;
  bookmark: (at: {
    page: number;
    names: string;
    tile: { row: number; column: number } | null;
    copy: number | null;
  }) => string;
  calibration: { title: (paper: string) => string; lines: (system: UnitSystem) => readonly string[] };
  cutLines: (name: string) => string;
  placement: (name: string) => string;
  placementFullSize: (name: string) => string;
  offsets: (left: string, top: string) => string;
}
