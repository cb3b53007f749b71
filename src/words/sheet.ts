import type { PageEdge, SheetWords } from '@/core/sheet';
import { listOf } from './text';

const EDGE_NAMES: Readonly<Record<PageEdge, string>> = { left: 'left', top: 'top', right: 'right', bottom: 'bottom' };

const edgeList = (edges: readonly PageEdge[]): string => listOf(edges.map((edge) => EDGE_NAMES[edge]));

/** What a printed sheet and its templates say. */
export const SHEET_WORDS: SheetWords = {
  up: 'UP',
  mirrored: {
    heading: 'READS TRUE ON THE PIECE',
    note: 'Mirrored sheet: the words above read backwards here.',
  },
  unmirrored: { heading: 'NOT MIRRORED ON PURPOSE', note: 'Right way round: it is not laid face down.' },
  bar: (system) =>
    `This bar measures ${system === 'inch' ? '4 in' : '100 mm'}. If not: print again at 100 %, no scaling.`,
  trim: 'Trim at the corner marks, inside the edge: no white rim.',
  edges: {
    cut: 'Cut on the red line; fold at dashes.',
    torn: 'Tear along the red line: wet it with a fine brush, then pull.',
    motif: 'Cut round the motif on the red line.',
    fade: 'The edge runs out: trim at the corner marks.',
  },
  tile: (trimmed, under) =>
    [
      trimmed.length > 0 ? `Trim the ${edgeList(trimmed)} edge along the corner marks.` : '',
      under.length > 0 ? `The ${edgeList(under)} edge goes under the next page, up to the thick marks.` : '',
    ]
      .filter(Boolean)
      .join(' '),
  turned: 'turned',
  copyOf: (copy, copies) => `${copy} of ${copies}`,
  nthCopyOf: (copy, copies) => `copy ${copy} of ${copies}`,
  pageOf: (page, pages) => `page ${page} of ${pages}`,
  printOf: (size) => `print ${size}`,
  prints: (count) => `${count} prints`,
  corrected: (across, along) => `printer corrected × ${across.toFixed(4)} across, × ${along.toFixed(4)} along`,
  documentTitle: (title, mirrored) => `${title} – ${mirrored ? 'mirrored print' : 'print, not mirrored on purpose'}`,
  bookmark: ({ page, names, tile, copy }) => {
    const place = tile ? `, row ${tile.row}, column ${tile.column}` : '';
    return `Page ${page}: ${names}${place}${copy === null ? '' : `, copy ${copy}`}`;
  },
  calibration: {
    title: (paper) => `Printer calibration, ${paper}`,
    lines: (system) => [
      'ACROSS: measure the bar above, end to end.',
      'ALONG: measure the upright bar on the left, end to end.',
      `MARGIN: find the outermost frame that is whole on all four sides; its number is in ${system === 'inch' ? 'sixteenths of an inch' : 'millimetres'}.`,
      'Print at 100 %, without fitting to the page. Type what you measured at Sheet, under Your printer.',
    ],
  },
  cutLines: (name) => `${name}: cut lines`,
  placement: (name) => `${name}: placement`,
  placementFullSize: (name) => `${name}: placement, full size`,
  offsets: (left, top) => `${left} from the left, ${top} from the top`,
};
