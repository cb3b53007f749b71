'use client';
import { useId } from 'react';
import { useObjectUrl, useStoredPicture, type PlannedPiece } from '@/features/shell';
import { CroppedPicture, SurfaceFill } from '@/ui';

const UNKNOWN = { widthMm: 240, heightMm: 170 };
export const figureSize = ({ plan }: PlannedPiece) => plan.blank ?? UNKNOWN;

const HAZE_UNDER_PAPER = 0.75;

/** One piece drawn small at a given scale, as it stands now. */
export function PieceFigure({ planned, pxPerMm }: { planned: PlannedPiece; pxPerMm: number }) {
  const { piece, plan, states } = planned;
  const id = useId();
  const url = useObjectUrl(useStoredPicture(piece.picture.pictureId)?.preview ?? null);
  const size = figureSize(planned);
  const underPaper = piece.lay.laidAt !== null && piece.rub.done.length === 0;
  return (
    <svg width={size.widthMm * pxPerMm} height={size.heightMm * pxPerMm} viewBox={`0 0 ${size.widthMm} ${size.heightMm}`} role="img" aria-label={`${piece.name} at its size`} style={{ isolation: 'isolate', display: 'block', overflow: 'visible' }}>
      <SurfaceFill id={id} size={size} surface={plan.surface} colour={plan.surface ? plan.groundColour : 'var(--sheet)'} coated={piece.surface.baseCoat !== 'none'} pxPerMm={pxPerMm} />
      {plan.print && url && (
        <>
          {plan.binder?.base === 'white' && <rect x={plan.print.rect.xMm} y={plan.print.rect.yMm} width={plan.print.rect.widthMm} height={plan.print.rect.heightMm} fill="#fcfbf8" />}
          <CroppedPicture href={url} crop={plan.print.crop} at={plan.print.rect} blend="multiply" opacity={states.lay === 'done' ? 1 : 0.55} />
          {underPaper && <rect x={plan.print.rect.xMm} y={plan.print.rect.yMm} width={plan.print.rect.widthMm} height={plan.print.rect.heightMm} fill="#f4f3ee" opacity={HAZE_UNDER_PAPER} />}
        </>
      )}
      <rect width={size.widthMm} height={size.heightMm} fill="none" stroke="var(--ink)" strokeWidth={1.2} vectorEffect="non-scaling-stroke" strokeDasharray={plan.blank ? undefined : '6 5'} />
    </svg>
  );
}
