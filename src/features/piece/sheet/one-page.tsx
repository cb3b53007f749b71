'use client';
import { Button } from '@mui/material';
import { UNPRINTABLE_MM, lessForOnePage, pagesThatHold, paperOf } from '@/core/sheet';
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
  const toOnePage = () => {
    if (!onePage) return;
    const { margins } = sheet;
    const [x, y] = [onePage.widthMm, onePage.heightMm].map((mm) => (mm > 0 ? mm / 2 + ONE_PAGE_SPARE_MM : 0));
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
      say`one page`,
    );
  };
  return (
    <>
      {onePage && (
        <NextRow>
          <Button
            variant="contained"
            onClick={toOnePage}
            data-testid="one-page"
          >{say`One page instead of ${pages}`}</Button>
          <Note>{say`with margins ${units.length(Math.max(onePage.widthMm, onePage.heightMm) / 2 + ONE_PAGE_SPARE_MM)} wider`}</Note>
        </NextRow>
      )}
      {holding.length > 0 && (
        <Note>{say`One page would hold it:
          ${eitherOf(holding.map(paperWay))}.`}</Note>
      )}
    </>
  );
}
