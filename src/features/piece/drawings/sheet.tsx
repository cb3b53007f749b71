'use client';
import { IconButton } from '@mui/material';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useId } from 'react';
import { stageOptics } from '@/core/render';
import {
  pageSize,
  paperOf,
  placeMatrix,
  sheetMarks,
  type PlacedPrint,
  type PrintBlock,
  type SheetPack,
} from '@/core/sheet';
import { LookInSvg, printOrder } from '@/features/look';
import { PageMarks, sheetText } from '@/features/sheets';
import { useStash } from '@/features/at-hand';
import { Specimen, useUnits, useKeyed } from '@/ui';
import { useOpenPiece } from '../piece-context';
import { rectOf } from './rect-of';
import { TurnButton } from './turn-button';
import { SHEET_WORDS } from '@/words/sheet';
import { useTone } from '../tone-context';
import css from './drawings.module.css';
import { remarks, counted } from '@/words';
import { say } from '@/words/say';

/** The page as it comes out of the printer: mirrored, with its marks and check bar. */
export function SheetDrawing() {
  const { plan, piece, page: index, showPage } = useOpenPiece();
  const { atHand } = useStash();
  const units = useUnits();
  const pack = plan.sheet.pack?.ok ? plan.sheet.pack.value : null;
  const layout = pack?.pages[index] ?? null;
  const sort = paperOf(piece.sheet.paper, piece.sheet.custom);
  const orientation = layout?.orientation ?? (piece.sheet.orientation === 'landscape' ? 'landscape' : 'portrait');
  const page = layout?.page ?? pageSize(sort, orientation);
  const many = (pack?.pages.length ?? 1) > 1;
  const outline = plan.surface.print && !layout ? plan.surface.print.rect : null;
  const way = plan.method.mirrored ? say`mirrored` : say`not mirrored on purpose`;
  const marks =
    layout && pack
      ? sheetMarks(layout, {
          pack,
          text: sheetText([{ job: piece, plan }], piece.name, units.system, piece.createdAt),
          truth: atHand.truth,
          words: SHEET_WORDS,
        })
      : [];
  return (
    <Specimen
      size={page}
      side="printed"
      actions={
        <>
          {pack && many && <Pager index={index} count={pack.pages.length} onPage={showPage} />}
          <TurnButton />
        </>
      }
      label={say`${piece.name}: ${remarks(say`${sort.name} page as printed`, way)}`}
      caption={
        layout && pack
          ? captionOf()
          : say`${sort.name} page, ${units.size(page.widthMm, page.heightMm)}: nothing laid out on it yet.`
      }
    >
      {({ pxPerMm }) => (
        <g>
          <rect
            width={page.widthMm}
            height={page.heightMm}
            fill="#fff"
            stroke="var(--ink)"
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
          />
          {layout && pack && (
            <>
              <rect
                {...rectOf(layout.printable)}
                fill="none"
                stroke="#9aa2aa"
                strokeWidth={1}
                strokeDasharray="3 4"
                vectorEffect="non-scaling-stroke"
              />
              {layout.places.map((placed, at) => (
                <PlacedLook key={at} placed={placed} pack={pack} pxPerMm={pxPerMm} />
              ))}
              <PageMarks marks={marks} pxPerMm={pxPerMm} />
            </>
          )}
          {outline && (
            <rect
              x={(page.widthMm - outline.widthMm) / 2}
              y={(page.heightMm - outline.heightMm) / 2}
              width={outline.widthMm}
              height={outline.heightMm}
              fill="none"
              stroke="var(--brick)"
              strokeWidth={2}
              strokeDasharray="6 4"
              vectorEffect="non-scaling-stroke"
            />
          )}
        </g>
      )}
    </Specimen>
  );

  function captionOf(): string {
    if (!layout || !pack) return '';
    const { tile } = layout.places[0]!;
    const laid = orientation === 'landscape' ? say`${sort.name} landscape` : say`${sort.name} portrait`;
    if (!many) return say`As printed: ${remarks(way, laid, units.size(page.widthMm, page.heightMm))}.`;
    const which =
      pack.columns * pack.rows > 1 && layout.places.length === 1
        ? say`column ${tile.column + 1}, row ${tile.row + 1}`
        : layout.places.length === 1
          ? way
          : remarks(counted(layout.places.length, 'print', 'prints'), way);
    return say`Page ${index + 1} of ${pack.pages.length}, as printed: ${which}.`;
  }
}

/** A print, or a tile of it, on its page. */
function PlacedLook({ placed, pack, pxPerMm }: { placed: PlacedPrint; pack: SheetPack; pxPerMm: number }) {
  const { plan } = useOpenPiece();
  const id = useId();
  const block = plan.surface.print?.formed.blocks[placed.print];
  if (!block) return null;
  const { widthMm } = pack.prints[placed.print]!;
  return (
    <>
      <clipPath id={`${id}-tile`}>
        <rect {...rectOf(placed.place)} />
      </clipPath>
      <g clipPath={`url(#${id}-tile)`}>
        <g transform={`matrix(${placeMatrix(placed).join(' ')})`}>
          <g
            transform={plan.method.mirrored ? `translate(${widthMm} 0) scale(-1 1)` : undefined}
            data-testid={plan.method.mirrored ? 'picture-mirrored' : 'picture-unmirrored'}
          >
            <PrintLook block={block} pxPerMm={pxPerMm} />
          </g>
        </g>
      </g>
    </>
  );
}

const Pager = ({ index, count, onPage }: { index: number; count: number; onPage: (index: number) => void }) => (
  <span role="group" aria-label={say`Pages`} className={css.pager}>
    <IconButton size="small" aria-label={say`Page before`} disabled={index === 0} onClick={() => onPage(index - 1)}>
      <ChevronLeft size={18} />
    </IconButton>
    <IconButton
      size="small"
      aria-label={say`Next page`}
      disabled={index === count - 1}
      onClick={() => onPage(index + 1)}
      data-testid="next-page"
    >
      <ChevronRight size={18} />
    </IconButton>
  </span>
);

const PAPER_OPTICS = stageOptics('gloss');

/** A block as its pixels are: toned, faded, with the layers that are moved; not yet mirrored. */
function PrintLook({ block, pxPerMm }: { block: PrintBlock; pxPerMm: number }) {
  const { plan, piece, picture, moved } = useOpenPiece();
  const { tone } = useTone();
  const {
    surface: { print, look },
    method: { binder },
  } = plan;
  const order = useKeyed(
    [
      block,
      print?.crop,
      binder?.id,
      look,
      plan.method.sheen,
      piece.picture.turns,
      piece.picture.straightenDeg,
      piece.sheet.form.sideColour,
      Math.round(pxPerMm * 100),
    ],
    [tone, moved, picture?.id],
    () => printOrder({ job: piece, plan, picture, layers: moved, tone, optics: PAPER_OPTICS, pxPerMm }, block),
  );
  return <LookInSvg order={order} xMm={0} yMm={0} widthMm={block.widthMm} heightMm={block.heightMm} />;
}
