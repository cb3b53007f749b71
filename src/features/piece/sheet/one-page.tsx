'use client';
import { Button } from '@mui/material';
import type { SizeMm } from '@/core/shape';
import { UNPRINTABLE_MM, lessForFewerPages, lessForOnePage, pagesThatHold, paperOf } from '@/core/sheet';
import { useStash } from '@/features/at-hand';
import { NextRow, Note, useUnits } from '@/ui';
import { eitherOf } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';

/** More than this is no slightly wider margin. */
const MOST_LESS_MM = 30;
const ONE_PAGE_SPARE_MM = 0.25;

type Holding = ReturnType<typeof pagesThatHold>[number];
const paperWay = ({ paper, orientation }: Holding) =>
  orientation === 'landscape' ? say`${paper.name} landscape` : say`${paper.name} portrait`;

/** On each of two sides. */
const widerBy = ({ widthMm, heightMm }: SizeMm): number => Math.max(widthMm, heightMm) / 2 + ONE_PAGE_SPARE_MM;
const waysOf = ({ widthMm, heightMm }: SizeMm): string => {
  if (widthMm > 0 && heightMm > 0) return say`all round`;
  return widthMm > 0 ? say`left and right` : say`above and below`;
};

/** Of one print over several pages: a little less of it, or another paper, would be one page. @param pages it takes now */
export function OnePage({ pages }: { pages: number }) {
  const { piece, plan, change } = useOpenPiece();
  const { atHand } = useStash();
  const units = useUnits();
  const { sheet } = piece;
  const { print, blank } = plan.surface;
  if (!print) return null;
  const holding = pagesThatHold(print.formed.blocks[0]!);
  const paper = paperOf(sheet.paper, sheet.custom);
  const less =
    blank?.layout.kind === 'plain'
      ? lessForOnePage(print.picture, paper, atHand.truth.marginMm ?? UNPRINTABLE_MM)
      : null;
  /** Said first where it is a few millimetres. */
  const onePage = less && less.widthMm + less.heightMm <= MOST_LESS_MM ? less : null;
  const fewer =
    blank?.layout.kind === 'plain'
      ? lessForFewerPages(
          print.picture,
          {
            paper,
            orientation: sheet.orientation,
            overlapMm: sheet.overlapMm,
            marginMm: atHand.truth.marginMm ?? UNPRINTABLE_MM,
          },
          MOST_LESS_MM,
        )
      : null;
  const take = (less: SizeMm, label: string) => {
    const { margins } = sheet;
    const [x, y] = [less.widthMm, less.heightMm].map((mm) => (mm > 0 ? mm / 2 + ONE_PAGE_SPARE_MM : 0));
    change(
      'sheet',
      {
        margins: {
          topMm: margins.topMm + (y ?? 0),
          bottomMm: margins.bottomMm + (y ?? 0),
          leftMm: margins.leftMm + (x ?? 0),
          rightMm: margins.rightMm + (x ?? 0),
        },
      },
      label,
    );
  };
  return (
    <>
      {onePage && (
        <NextRow>
          <Button
            variant="contained"
            onClick={() => take(onePage, say`one page`)}
            data-testid="one-page"
          >{say`One page instead of ${pages}`}</Button>
          <Note>{say`with margins ${units.length(widerBy(onePage))} wider`}</Note>
        </NextRow>
      )}
      {fewer && !onePage && (
        <NextRow>
          <Button
            variant="outlined"
            onClick={() => take(fewer.less, say`fewer pages`)}
            data-testid="fewer-pages"
          >{say`${fewer.pages} pages instead of ${pages}`}</Button>
          <Note>{say`with margins ${units.length(widerBy(fewer.less))} wider ${waysOf(fewer.less)}`}</Note>
        </NextRow>
      )}
      {holding.length > 0 && (
        <Note>{say`One page would hold it:
          ${eitherOf(holding.map(paperWay))}.`}</Note>
      )}
    </>
  );
}
