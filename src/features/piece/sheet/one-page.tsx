'use client';
import { Button } from '@mui/material';
import { useMemo } from 'react';
import { pagesThatHold } from '@/core/sheet';
import { fewerPages, type PagesOffer } from '@/core/stations';
import { useStash } from '@/features/at-hand';
import { NextRow, Note, useUnits } from '@/ui';
import { eitherOf } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';

type Holding = ReturnType<typeof pagesThatHold>[number];
const paperWay = ({ paper, orientation }: Holding) =>
  orientation === 'landscape' ? say`${paper.name} landscape` : say`${paper.name} portrait`;

/** Of one print over several pages: a little less of it, or another paper, would take fewer. @param pages it takes now */
export function OnePage({ pages }: { pages: number }) {
  const { piece, plan, change } = useOpenPiece();
  const { atHand } = useStash();
  // Tries many layouts: not at every tick of the clock.
  const offer = useMemo(() => fewerPages(piece, plan, atHand), [piece, plan, atHand]);
  const { print } = plan.surface;
  if (!print) return null;
  const holding = pagesThatHold(print.formed.blocks[0]!);
  const isOne = offer?.pages === 1;
  return (
    <>
      {offer && (
        <NextRow>
          <Button
            variant={isOne ? 'contained' : 'outlined'}
            onClick={() => change('sheet', { margins: offer.margins }, isOne ? say`one page` : say`fewer pages`)}
            data-testid={isOne ? 'one-page' : 'fewer-pages'}
          >
            {isOne ? say`One page instead of ${pages}` : say`${offer.pages} pages instead of ${pages}`}
          </Button>
          <WiderNote wider={offer.wider} />
        </NextRow>
      )}
      {holding.length > 0 && (
        <Note>{say`One page would hold it:
          ${eitherOf(holding.map(paperWay))}.`}</Note>
      )}
    </>
  );
}

function WiderNote({ wider: { acrossMm, alongMm } }: { wider: PagesOffer['wider'] }) {
  const units = useUnits();
  const wide = units.length(Math.max(acrossMm, alongMm));
  const words = () => {
    if (acrossMm > 0 && alongMm > 0) return say`with margins ${wide} wider at most`;
    return acrossMm > 0
      ? say`with margins ${wide} wider left and right`
      : say`with margins ${wide} wider above and below`;
  };
  return <Note>{words()}</Note>;
}
