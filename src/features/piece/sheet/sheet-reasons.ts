import type { SheetPack } from '@/core/sheet';
import { bendFor, ringsBox } from '@/core/shape';
import type { PiecePlan } from '@/core/stations';
import type { Piece } from '@/records';
import type { ReasonLine } from '@/ui';
import { counted, type Wording } from '@/words';
import { say } from '@/words/say';
import { VERDICT_WORDS } from '../picture/verdict-words';

type Print = NonNullable<PiecePlan['surface']['print']>;

/** Closer than this the crop has the blank's own shape. */
const SAME_SHAPE_MM = 0.5;

/** Why the sheet is as it is. */
export function sheetReasons({ sheet }: Piece, plan: PiecePlan, units: Wording): ReasonLine[] {
  const { print, blank } = plan.surface;
  if (!print || !blank) return [];
  const pack = plan.sheet.pack?.ok ? plan.sheet.pack.value : null;
  const isTrimmed = sheet.form.trimMm > 0 || sheet.form.edge !== 'cut';
  return [
    {
      figure: units.size(print.rect.widthMm, print.rect.heightMm),
      text: bendFor(blank)
        ? say`the bent print’s own box on paper`
        : say`print: the object of ${units.size(blank.widthMm, blank.heightMm)} less its margins`,
    },
    ...centred(print, plan.surface.window),
    {
      figure: say`${Math.round(print.ppi)} ppi`,
      text: plan.surface.record?.coarse
        ? say`of the picture’s own pixels: ${VERDICT_WORDS[print.verdict]} (a coarse surface forgives a third less)`
        : say`of the picture’s own pixels: ${VERDICT_WORDS[print.verdict]}`,
    },
    ...(pack ? pagesOf(pack, units) : []),
    ...(isTrimmed ? [landed(print, units)] : []),
    ...(pack ? [dotsOf(pack, plan.method.mirrored)] : []),
  ];
}

function centred(print: Print, window: PiecePlan['surface']['window']): ReasonLine[] {
  const off = window
    ? Math.abs(window.widthMm - print.picture.widthMm) + Math.abs(window.heightMm - print.picture.heightMm)
    : 0;
  return off > SAME_SHAPE_MM
    ? [
        {
          figure: say`centred`,
          text: say`the crop has another shape than the object, so it is placed in the middle`,
        },
      ]
    : [];
}

function pagesOf(pack: SheetPack, units: Wording): ReasonLine[] {
  const lines: ReasonLine[] = [];
  const prints = pack.prints.length * pack.copies;
  if (pack.columns * pack.rows > 1)
    lines.push({
      figure: `${pack.columns} × ${pack.rows}`,
      text: say`pages: each goes on ${units.length(pack.overlapMm)} under the next, which is trimmed at the join`,
    });
  if (prints > 1)
    lines.push({
      figure: say`${prints} prints`,
      text:
        pack.pages.length < pack.pagesApart
          ? say`on ${counted(pack.pages.length, 'page', 'pages')}: ${pack.pagesApart - pack.pages.length} fewer than one by one`
          : say`on ${pack.pages.length} pages`,
    });
  return lines;
}

function landed({ formed }: Print, units: Wording): ReasonLine {
  const box = formed.landed.length > 0 ? ringsBox(formed.landed) : { widthMm: 0, heightMm: 0 };
  return { figure: units.size(box.widthMm, box.heightMm), text: say`what lands, once it is trimmed` };
}

function dotsOf({ pages, prints }: SheetPack, mirrored: boolean): ReasonLine {
  const { widthPx, heightPx } = prints[0]!;
  return {
    figure: say`${pages[0]!.rasterPpi} ppi`,
    text: mirrored
      ? say`printed as ${widthPx} × ${heightPx} dots, mirrored`
      : say`printed as ${widthPx} × ${heightPx} dots, not mirrored: this way is not laid face down`,
  };
}
