'use client';
import { IconButton } from '@mui/material';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useId, useMemo, useState } from 'react';
import { stageOptics } from '@/core/render';
import { BAR_MM, pageSize, paperOf, type Line, type SheetLayout } from '@/core/sheet';
import { isPlainRectangle } from '@/core/shape';
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
  const [wanted, setWanted] = useState(0);
  const pack = plan.sheet?.ok ? plan.sheet.value : null;
  const index = Math.min(wanted, (pack?.pages.length ?? 1) - 1);
  const layout = pack?.pages[index] ?? null;
  const sort = paperOf(piece.sheet.paper, piece.sheet.custom);
  const orientation = layout?.orientation ?? (piece.sheet.orientation === 'landscape' ? 'landscape' : 'portrait');
  const page = layout?.page ?? pageSize(sort, orientation);
  const paper = sort.name;
  const many = (pack?.pages.length ?? 1) > 1;
  const outline = plan.print && !layout ? plan.print.rect : null;
  const way = plan.mirrored ? 'mirrored' : 'not mirrored on purpose';
  return (
    <Specimen
      size={page} side="printed" actions={<>{pack && many && <Pager index={index} count={pack.pages.length} onPage={setWanted} />}<TurnButton /></>} label={`${piece.name}: ${paper} page as printed, ${way}`}
      caption={layout && many ? `Page ${index + 1} of ${pack?.pages.length}, as printed: column ${layout.tile.column + 1}, row ${layout.tile.row + 1}.` : layout ? `As printed: ${way}, ${paper} ${orientation}, ${units.size(page.widthMm, page.heightMm)}.` : `${paper} page, ${units.size(page.widthMm, page.heightMm)}: nothing laid out on it yet.`}
    >
      {({ pxPerMm }) => (
        <g>
          <rect width={page.widthMm} height={page.heightMm} fill="#fff" stroke="var(--ink)" strokeWidth={1} vectorEffect="non-scaling-stroke" />
          {layout && (
            <>
              <rect {...rectOf(layout.printable)} fill="none" stroke="#9aa2aa" strokeWidth={1} strokeDasharray="3 4" vectorEffect="non-scaling-stroke" />
              <TileLook layout={layout} pxPerMm={pxPerMm} />
              {layout.joinMarks.map((line, at) => <MarkLine key={at} line={line} width={2.5} />)}
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

/** The tile's window of the whole print. */
function TileLook({ layout, pxPerMm }: { layout: SheetLayout; pxPerMm: number }) {
  const { plan } = useOpenPiece();
  const { blank, print } = plan;
  const id = useId();
  const { window } = layout.tile;
  const [xMm, yMm] = [layout.print.xMm - window.xMm, layout.print.yMm - window.yMm];
  return (
    <>
      <clipPath id={`${id}-tile`}><rect {...rectOf(layout.print)} /></clipPath>
      <g clipPath={`url(#${id}-tile)`}>
        <g transform={plan.mirrored ? `translate(${2 * xMm + (print?.rect.widthMm ?? 0)} 0) scale(-1 1)` : undefined} data-testid={plan.mirrored ? 'picture-mirrored' : 'picture-unmirrored'}>
          <PrintLook xMm={xMm} yMm={yMm} pxPerMm={pxPerMm} />
          {blank && print && !isPlainRectangle(blank) && (
            <g transform={`translate(${xMm - print.rect.xMm} ${yMm - print.rect.yMm})`} stroke="#D41A6B" strokeWidth={1.2} fill="none">
              <path d={blank.path} vectorEffect="non-scaling-stroke" />
              {blank.folds.map((fold, at) => <line key={at} {...fold} strokeDasharray="5 5" vectorEffect="non-scaling-stroke" />)}
            </g>
          )}
        </g>
      </g>
    </>
  );
}

const Pager = ({ index, count, onPage }: { index: number; count: number; onPage: (index: number) => void }) => (
  <span role="group" aria-label="Pages" style={{ display: 'inline-flex', alignItems: 'center' }}>
    <IconButton size="small" aria-label="Page before" disabled={index === 0} onClick={() => onPage(index - 1)}><ChevronLeft size={18} /></IconButton>
    <IconButton size="small" aria-label="Next page" disabled={index === count - 1} onClick={() => onPage(index + 1)} data-testid="next-page"><ChevronRight size={18} /></IconButton>
  </span>
);

const PAPER_OPTICS = stageOptics('gloss');

/** The print as its pixels are: toned, faded, with the layers that are moved; not yet mirrored. */
function PrintLook({ xMm, yMm, pxPerMm }: { xMm: number; yMm: number; pxPerMm: number }) {
  const { plan, piece, picture, moved, tone } = useOpenPiece();
  const { print, binder, look } = plan;
  const key = JSON.stringify([print?.rect, print?.picture, print?.crop, binder?.id, look, piece.seal.sheen, piece.picture.turns, piece.picture.straightenDeg, Math.round(pxPerMm * 100)]);
  const order = useMemo(
    () => printOrder({ job: piece, plan, picture, layers: moved, tone, optics: PAPER_OPTICS, pxPerMm }),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [key, tone, moved, picture?.id],
  );
  return <LookInSvg order={order} xMm={xMm} yMm={yMm} widthMm={print?.rect.widthMm ?? 0} heightMm={print?.rect.heightMm ?? 0} />;
}

function StripWords({ layout: { strip, bar }, mirrored }: { layout: SheetLayout; mirrored: boolean }) {
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
