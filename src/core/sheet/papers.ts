import type { RectMm, SizeMm } from '@/core/shape';

export type PaperId = 'letter' | 'legal' | 'tabloid' | 'a4' | 'a3' | 'custom';
export type Orientation = 'auto' | 'portrait' | 'landscape';

export const PAPERS: Readonly<Record<Exclude<PaperId, 'custom'>, { name: string } & SizeMm>> = {
  letter: { name: 'Letter', widthMm: 215.9, heightMm: 279.4 },
  legal: { name: 'Legal', widthMm: 215.9, heightMm: 355.6 },
  tabloid: { name: 'Tabloid', widthMm: 279.4, heightMm: 431.8 },
  a4: { name: 'A4', widthMm: 210, heightMm: 297 },
  a3: { name: 'A3', widthMm: 297, heightMm: 420 },
};
export const PAPER_IDS: readonly PaperId[] = ['letter', 'legal', 'tabloid', 'a4', 'a3', 'custom'];

/** A paper with its upright size. */
export interface Paper extends SizeMm {
  id: PaperId;
  name: string;
}
export const paperOf = (id: PaperId, custom: SizeMm): Paper =>
  id === 'custom' ? { id, name: 'Own size', ...custom } : { id, ...PAPERS[id] };

/** What most printers leave white; a calibrated printer says its own. */
export const UNPRINTABLE_MM = 5;

export const pageSize = (paper: SizeMm, orientation: Exclude<Orientation, 'auto'>): SizeMm =>
  orientation === 'portrait' ? { widthMm: paper.widthMm, heightMm: paper.heightMm } : turnedSize(paper);

/** The page less the margin that its printer leaves white. */
export const printableOf = (page: SizeMm, marginMm: number): RectMm => ({
  xMm: marginMm,
  yMm: marginMm,
  widthMm: page.widthMm - 2 * marginMm,
  heightMm: page.heightMm - 2 * marginMm,
});

/** A quarter turn. */
export const turnedSize = ({ widthMm, heightMm }: SizeMm): SizeMm => ({ widthMm: heightMm, heightMm: widthMm });

/** A page as it goes through the printer. */
export interface Frame {
  paper: Paper;
  orientation: Exclude<Orientation, 'auto'>;
  page: SizeMm;
  printable: RectMm;
}

export const frameOf = (paper: Paper, orientation: Frame['orientation'], marginMm: number): Frame => {
  const page = pageSize(paper, orientation);
  return { paper, orientation, page, printable: printableOf(page, marginMm) };
};
