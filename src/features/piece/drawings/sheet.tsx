'use client';
import { BAR_MM, PAPERS, pageSize, type Line } from '@/core/sheet';
import { CroppedPicture, Specimen, useUnits } from '@/ui';
import { useOpenPiece } from '../piece-context';
import { rectOf } from './rect-of';
import { TurnButton } from './turn-button';

const MarkLine = ({ line, width = 1 }: { line: Line; width?: number }) => <line {...line} stroke="#1E2126" strokeWidth={width} vectorEffect="non-scaling-stroke" />;

/** The page as it comes out of the printer: mirrored, with its marks and check bar. */
export function SheetDrawing() {
  const { plan, piece, previewUrl } = useOpenPiece();
  const units = useUnits();
  const layout = plan.sheet?.ok ? plan.sheet.value : null;
  const orientation = layout?.orientation ?? (piece.sheet.orientation === 'landscape' ? 'landscape' : 'portrait');
  const page = layout?.page ?? pageSize(piece.sheet.paper, orientation);
  const paper = PAPERS[piece.sheet.paper].name;
  const outline = plan.print && !layout ? plan.print.rect : null;
  return (
    <Specimen
      size={page} side="printed" actions={<TurnButton />} label={`${piece.name}: ${paper} page as printed, mirrored`}
      caption={layout ? `As printed: mirrored, ${paper} ${orientation}, ${units.size(page.widthMm, page.heightMm)}.` : `${paper} page, ${units.size(page.widthMm, page.heightMm)}: nothing laid out on it yet.`}
    >
      {() => (
        <g>
          <rect width={page.widthMm} height={page.heightMm} fill="#fff" stroke="var(--ink)" strokeWidth={1} vectorEffect="non-scaling-stroke" />
          {layout && (
            <>
              <rect {...rectOf(layout.printable)} fill="none" stroke="#9aa2aa" strokeWidth={1} strokeDasharray="3 4" vectorEffect="non-scaling-stroke" />
              {previewUrl && plan.print && <CroppedPicture href={previewUrl} crop={plan.print.crop} at={layout.print} mirrored />}
              {[...layout.trimCorners, ...layout.centreMarks].map((line, index) => <MarkLine key={index} line={line} />)}
              <MarkLine line={layout.bar} width={2} />
              <StripWords layout={layout} />
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

type Layout = Extract<NonNullable<ReturnType<typeof useOpenPiece>['plan']['sheet']>, { ok: true }>['value'];

function StripWords({ layout: { strip, bar } }: { layout: Layout }) {
  const turn = strip.vertical ? `translate(${strip.rect.xMm + strip.rect.widthMm} ${strip.rect.yMm}) rotate(90)` : `translate(${strip.rect.xMm} ${strip.rect.yMm})`;
  const barY = strip.vertical ? strip.rect.xMm + strip.rect.widthMm - bar.x1 : bar.y1 - strip.rect.yMm;
  return (
    <g transform={turn} fill="#1E2126" fontFamily="var(--title)">
      <text x={BAR_MM + 3} y={barY + 1} fontSize={3}>{BAR_MM} mm</text>
      <text transform={`translate(${BAR_MM + 62} ${barY + 1}) scale(-1 1)`} fontSize={3.4} fontWeight={700}>READS TRUE ON THE PIECE</text>
    </g>
  );
}
