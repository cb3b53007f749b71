'use client';
import { useMemo } from 'react';
import { stageOptics } from '@/core/render';
import { BAR_MM, PAPERS, pageSize, type Line } from '@/core/sheet';
import { LookInSvg, printOrder } from '@/features/look';
import { Specimen, useUnits } from '@/ui';
import { useOpenPiece } from '../piece-context';
import { rectOf } from './rect-of';
import { TurnButton } from './turn-button';

const MarkLine = ({ line, width = 1 }: { line: Line; width?: number }) => <line {...line} stroke="#1E2126" strokeWidth={width} vectorEffect="non-scaling-stroke" />;

/** The page as it comes out of the printer: mirrored, with its marks and check bar. */
export function SheetDrawing() {
  const { plan, piece } = useOpenPiece();
  const units = useUnits();
  const layout = plan.sheet?.ok ? plan.sheet.value : null;
  const orientation = layout?.orientation ?? (piece.sheet.orientation === 'landscape' ? 'landscape' : 'portrait');
  const page = layout?.page ?? pageSize(piece.sheet.paper, orientation);
  const paper = PAPERS[piece.sheet.paper].name;
  const outline = plan.print && !layout ? plan.print.rect : null;
  const way = plan.mirrored ? 'mirrored' : 'not mirrored on purpose';
  return (
    <Specimen
      size={page} side="printed" actions={<TurnButton />} label={`${piece.name}: ${paper} page as printed, ${way}`}
      caption={layout ? `As printed: ${way}, ${paper} ${orientation}, ${units.size(page.widthMm, page.heightMm)}.` : `${paper} page, ${units.size(page.widthMm, page.heightMm)}: nothing laid out on it yet.`}
    >
      {({ pxPerMm }) => (
        <g>
          <rect width={page.widthMm} height={page.heightMm} fill="#fff" stroke="var(--ink)" strokeWidth={1} vectorEffect="non-scaling-stroke" />
          {layout && (
            <>
              <rect {...rectOf(layout.printable)} fill="none" stroke="#9aa2aa" strokeWidth={1} strokeDasharray="3 4" vectorEffect="non-scaling-stroke" />
              <g transform={plan.mirrored ? `translate(${2 * layout.print.xMm + layout.print.widthMm} 0) scale(-1 1)` : undefined} data-testid={plan.mirrored ? 'picture-mirrored' : 'picture-unmirrored'}>
                <PrintLook xMm={layout.print.xMm} yMm={layout.print.yMm} pxPerMm={pxPerMm} />
              </g>
              {[...layout.trimCorners, ...layout.centreMarks].map((line, index) => <MarkLine key={index} line={line} />)}
              <MarkLine line={layout.bar} width={2} />
              <StripWords layout={layout} mirrored={plan.mirrored} />
            </>
          )}
          {outline && (
            <rect x={(page.widthMm - outline.widthMm) / 2} y={(page.heightMm - outline.heightMm) / 2} width={outline.widthMm} height={outline.heightMm} fill="none" stroke="var(--brick)" strokeWidth={2} strokeDasharray="6 4" vectorEffect="non-scaling-stroke" />
          )}
        </g>
      )}
    </Specimen>
  );
}

const PAPER_OPTICS = stageOptics('gloss');

/** The print as its pixels are: toned, faded, with the layers that are moved; not yet mirrored. */
function PrintLook({ xMm, yMm, pxPerMm }: { xMm: number; yMm: number; pxPerMm: number }) {
  const { plan, piece, picture, layers, tone } = useOpenPiece();
  const { print, binder, look } = plan;
  const moved = useMemo(() => layers.filter(({ layer }) => layer.mode === 'transfer').map(({ drawn }) => drawn), [layers]);
  const key = JSON.stringify([print?.rect, print?.picture, print?.crop, binder?.id, look, piece.seal.sheen, piece.picture.turns, piece.picture.straightenDeg, Math.round(pxPerMm * 100)]);
  const order = useMemo(
    () => printOrder({ job: piece, plan, picture, layers: moved, tone, optics: PAPER_OPTICS, pxPerMm }),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [key, tone, moved, picture?.id],
  );
  return <LookInSvg order={order} xMm={xMm} yMm={yMm} widthMm={print?.rect.widthMm ?? 0} heightMm={print?.rect.heightMm ?? 0} />;
}

type Layout = Extract<NonNullable<ReturnType<typeof useOpenPiece>['plan']['sheet']>, { ok: true }>['value'];

function StripWords({ layout: { strip, bar }, mirrored }: { layout: Layout; mirrored: boolean }) {
  const turn = strip.vertical ? `translate(${strip.rect.xMm + strip.rect.widthMm} ${strip.rect.yMm}) rotate(90)` : `translate(${strip.rect.xMm} ${strip.rect.yMm})`;
  const barY = strip.vertical ? strip.rect.xMm + strip.rect.widthMm - bar.x1 : bar.y1 - strip.rect.yMm;
  return (
    <g transform={turn} fill="#1E2126" fontFamily="var(--title)">
      <text x={BAR_MM + 3} y={barY + 1} fontSize={3}>{BAR_MM} mm</text>
      {mirrored
        ? <text transform={`translate(${BAR_MM + 62} ${barY + 1}) scale(-1 1)`} fontSize={3.4} fontWeight={700}>READS TRUE ON THE PIECE</text>
        : <text x={BAR_MM + 16} y={barY + 1} fontSize={3.4} fontWeight={700}>NOT MIRRORED ON PURPOSE</text>}
    </g>
  );
}
