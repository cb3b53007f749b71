import { counted } from '@/words';
import { card, type BenchCards } from '../station-feature';

export const sheetCards: BenchCards = (_, __, { sheet: { pack }, surface: { print }, method: { mirrored } }, units) => {
  const pages = pack?.ok ? pack.value.pages.length : 1;
  const size = print ? units.size(print.rect.widthMm, print.rect.heightMm) : null;
  const what = pages === 1 ? 'the page' : `all ${pages} pages`;
  const how = mirrored ? 'toner, mirrored: lettering must read backwards' : 'paper, the right way round';
  return [
    card('print', `Print ${what} at 100 %, on ${how}.`, counted(pages, 'page', 'pages')),
    card('measure', 'Measure the 100 mm bar, and the print across. If either is off, don’t lay it.', size),
    card('trim', 'Trim along the cut line with knife and metal ruler, so that no white rim is left.'),
  ];
};
