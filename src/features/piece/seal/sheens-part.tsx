'use client';
import { useMemo } from 'react';
import { Button } from '@mui/material';
import { hazeLeft, sheenFor, sheenViews, type SheenView } from '@/core/advice';
import { LookCanvas, landingOrder } from '@/features/look';
import { Note, Part, useKeyed } from '@/ui';
import { SHEEN_ADVICE, SHEEN_WORDS } from '@/words';
import { useOpenPiece } from '../piece-context';
import css from './seal.module.css';
import { say } from '@/words/say';

const SHOWN_PX = 190;
const FILLS_SHARE = 0.98;

/** The piece under each sheen, side by side, with the haze that the last photo leaves in sight. */
export function SheensPart() {
  const { piece, plan, change } = useOpenPiece();
  const { blank, print } = plan.surface;
  const left = useMemo(() => hazeLeft(piece), [piece]);
  if (!blank || !print || plan.seal.sealing?.sealer.bare) return null;
  const lip = print.areaMm2 < FILLS_SHARE * blank.areaMm2 && plan.method.binder?.wholeSurface === false;
  const advised = sheenFor(left, lip);
  return (
    <Part title={say`Under each sheen`}>
      <ul className={css.sheens}>
        {sheenViews(left, lip).map((view) => (
          <li key={view.sheen} data-chosen={view.sheen === plan.method.sheen}>
            <Shown view={view} />
            <b>{SHEEN_WORDS[view.sheen].name}</b>
            <small>{sheenWords(view, left !== null)}</small>
          </li>
        ))}
      </ul>
      {advised && (
        <Note>
          {SHEEN_ADVICE[advised.reason]}{' '}
          {advised.sheen !== plan.method.sheen && (
            <Button
              size="small"
              variant="outlined"
              onClick={() => change('seal', { sheen: advised.sheen, sealer: null }, say`sheen`)}
              data-testid="take-sheen"
            >{say`Take ${SHEEN_WORDS[advised.sheen].inText}`}</Button>
          )}
        </Note>
      )}
      {!left && (
        <Note>{say`Read it from a photo at Rub, dry and wetted: then the haze that stays is drawn here too.`}</Note>
      )}
    </Part>
  );
}

const sheenWords = ({ hazeInSight, showsLip }: SheenView, isRead: boolean): string =>
  [
    isRead && (hazeInSight < 0.01 ? say`no haze in sight` : say`${Math.round(hazeInSight * 100)} % haze in sight`),
    showsLip ? say`the edge shows` : say`the edge is hidden`,
  ]
    .filter(Boolean)
    .join(', ');

function Shown({ view: { optics } }: { view: SheenView }) {
  const { piece, plan, picture, moved } = useOpenPiece();
  const { blank } = plan.surface;
  const pxPerMm = blank ? Math.min(SHOWN_PX / blank.widthMm, SHOWN_PX / blank.heightMm) : 1;
  const order = useKeyed(
    [optics, pxPerMm, piece.picture, piece.surface, piece.method, plan.method.kept],
    [moved, picture?.id],
    () => landingOrder({ job: piece, plan, picture, layers: moved, tone: piece.picture.tone, optics, pxPerMm }, true),
  );
  return <LookCanvas order={order} className={css.sheen ?? ''} />;
}
