import type { PageEdge, SheetWords } from '@/core/sheet';
import { PRINT_WORDS } from './craft/prints';
import { listOf, remarks } from './text';
import { said, say } from './say';

const EDGE_NAMES: Readonly<Record<PageEdge, string>> = {
  left: say`left`,
  top: say`top`,
  right: say`right`,
  bottom: say`bottom`,
};

const edgeList = (edges: readonly PageEdge[]): string => listOf(edges.map((edge) => EDGE_NAMES[edge]));

/** What a printed sheet and its templates say. */
export const SHEET_WORDS: SheetWords = said({
  up: 'UP',
  mirrored: {
    heading: 'READS TRUE ON THE PIECE',
    note: 'Mirrored sheet: the words above read backwards here.',
  },
  unmirrored: { heading: 'NOT MIRRORED ON PURPOSE', note: 'Right way round: it is not laid face down.' },
  bar: (system) =>
    system === 'inch'
      ? say`This bar measures 4 in. If not: print again at 100 %, no scaling.`
      : say`This bar measures 100 mm. If not: print again at 100 %, no scaling.`,
  trim: 'Trim at the corner marks, inside the edge: no white rim.',
  edges: {
    cut: 'Cut on the red line; fold at dashes.',
    torn: 'Tear along the red line: wet it with a fine brush, then pull.',
    motif: 'Cut round the motif on the red line.',
    fade: 'The edge runs out: trim at the corner marks.',
  },
  tile: (trimmed, under) =>
    [
      trimmed.length > 0 ? say`Trim the ${edgeList(trimmed)} edge along the corner marks.` : '',
      under.length > 0 ? say`The ${edgeList(under)} edge goes under the next page, up to the thick marks.` : '',
    ]
      .filter(Boolean)
      .join(' '),
  turned: 'turned',
  copyOf: (copy, copies) => say`${copy} of ${copies}`,
  nthCopyOf: (copy, copies) => say`copy ${copy} of ${copies}`,
  pageOf: (page, pages) => say`page ${page} of ${pages}`,
  printOf: (size) => say`print ${size}`,
  prints: (count) => say`${count} prints`,
  printedWith: (kind) => PRINT_WORDS[kind].inText,
  corrected: (across, along) => say`printer corrected × ${across.toFixed(4)} across, × ${along.toFixed(4)} along`,
  documentTitle: (title, mirrored) =>
    `${title} – ${mirrored ? say`mirrored print` : say`print, not mirrored on purpose`}`,
  bookmark: ({ page, names, tile, copy }) => {
    return remarks(
      say`Page ${page}: ${names}`,
      tile && say`row ${tile.row}, column ${tile.column}`,
      copy !== null && say`copy ${copy}`,
    );
  },
  calibration: {
    title: (paper) => say`Printer calibration, ${paper}`,
    lines: (system) => [
      say`ACROSS: measure the bar above, end to end.`,
      say`ALONG: measure the upright bar on the left, end to end.`,
      system === 'inch'
        ? say`MARGIN: find the outermost frame that is whole on all four sides; its number is in sixteenths of an inch.`
        : say`MARGIN: find the outermost frame that is whole on all four sides; its number is in millimetres.`,
      say`Print at 100 %, without fitting to the page. Type what you measured at Sheet, under Your printer.`,
    ],
  },
  cutLines: (name) => say`${name}: cut lines`,
  placement: (name) => say`${name}: placement`,
  placementFullSize: (name) => say`${name}: placement, full size`,
  offsets: (left, top) => say`${left} from the left, ${top} from the top`,
});
