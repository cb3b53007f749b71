'use client';
import { Button, LinearProgress } from '@mui/material';
import { FileDown } from 'lucide-react';
import Link from 'next/link';
import { useId, useMemo, useState } from 'react';
import {
  PAPER_IDS,
  areOneSize,
  commonSize,
  layoutPack,
  marginsFor,
  paperOf,
  placeMatrix,
  sheetMarks,
  UNPRINTABLE_MM,
  type PaperId,
  type SheetLayout,
  type SheetPack,
  type SheetText,
} from '@/core/sheet';
import { PageMarks, sheetOrder, sheetText, useSheetItems, useSheetJob, type SheetItem } from '@/features/sheets';
import { saveFile } from '@/features/sheets/save-file';
import { usePlannedPieces, type PlannedPiece } from '@/features/shelf';
import { useStash } from '@/features/at-hand';
import { database, savePiece } from '@/storage';
import {
  Answer,
  FigureField,
  Fields,
  NextRow,
  Note,
  Part,
  SelectField,
  TickRow,
  Worksheet,
  useClock,
  useUnits,
} from '@/ui';
import { sentenceFor } from '@/words';
import { makeSheet } from '@/workers/sheet/client';
import { NestedLook } from './nested-look';
import css from './print-together.module.css';
import { SHEET_WORDS } from '@/words/sheet';

const PAPERS = PAPER_IDS.filter((id) => id !== 'custom').map((id) => ({
  id,
  name: paperOf(id, { widthMm: 0, heightMm: 0 }).name,
}));
const PAGE_PX = 300;

/** Prints of several pieces on as few pages as possible. */
export function PrintTogetherPage() {
  const units = useUnits();
  const clock = useClock();
  const { atHand } = useStash();
  const { planned } = usePlannedPieces();
  const ready = useMemo(
    () => planned.filter(({ plan }) => plan.surface.print !== null && plan.method.mirrored && plan.sheet.pack?.ok),
    [planned],
  );
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [paper, setPaper] = useState<Exclude<PaperId, 'custom'>>('a4');
  const [spares, setSpares] = useState(0);
  const job = useSheetJob();
  const chosen = ready.filter(({ piece }) => !left.has(piece.id));
  const items = useSheetItems(chosen);
  const repeated = useMemo(
    () => items.flatMap((item) => Array.from({ length: item.job.sheet.copies + spares }, () => item)),
    [items, spares],
  );
  const pack = useMemo(
    () =>
      repeated.length === 0
        ? null
        : layoutPack(
            repeated.flatMap(({ plan }) => plan.surface.print?.formed.blocks ?? []),
            {
              paper: paperOf(paper, { widthMm: 0, heightMm: 0 }),
              orientation: 'auto',
              overlapMm: 10,
              marginMm: atHand.truth.marginMm ?? UNPRINTABLE_MM,
            },
          ),
    [repeated, paper, atHand],
  );
  const text = useMemo(() => sheetText(repeated, 'Prints together', units.system, 0), [repeated, units.system]);
  const made = pack?.ok ? pack.value : null;
  const toggle = (id: string) =>
    setLeft((before) => {
      const after = new Set(before);
      if (!after.delete(id)) after.add(id);
      return after;
    });
  const print = () =>
    made &&
    job.run(
      (onProgress) =>
        makeSheet(sheetOrder(repeated, made, atHand.truth, { ...text, createdAt: new Date(clock()) }), onProgress),
      (pdf) => saveFile(new Blob([pdf], { type: 'application/pdf' }), 'prints-together.pdf'),
    );
  const sizes = chosen.flatMap(({ plan }) => (plan.surface.print ? [plan.surface.print.picture] : []));
  const plain =
    chosen.length > 1 &&
    chosen.every(
      ({ piece, plan }) =>
        plan.surface.window !== null && plan.surface.blank !== null && piece.surface.shape.kind === 'rectangle',
    );
  const equal = async () => {
    const common = commonSize(chosen.flatMap(({ plan }) => (plan.surface.window ? [plan.surface.window] : [])));
    for (const { piece, plan } of chosen) {
      if (!plan.surface.blank) continue;
      const mine = {
        ...piece,
        picture: { ...piece.picture, ratio: 'blank' as const },
        sheet: { ...piece.sheet, margins: marginsFor(plan.surface.blank, piece.sheet.margins, common) },
      };
      await savePiece(database(), {
        base: piece,
        mine,
        label: 'one size for a set',
        pictures: [],
        overrule: false,
        now: clock(),
      });
    }
  };

  return (
    <main className={css.page}>
      <Worksheet>
        <h1>Print together</h1>
        <Answer>{answer(made)}</Answer>
        {pack && !pack.ok && <Note>{sentenceFor(pack.error, units)}</Note>}
        {made && (
          <NextRow>
            <Button
              variant="contained"
              startIcon={<FileDown size={18} />}
              onClick={print}
              disabled={job.progress !== null || items.length !== chosen.length}
              data-testid="together-pdf"
            >
              Make the PDF
            </Button>
            {job.progress !== null && (
              <>
                <LinearProgress
                  variant="determinate"
                  value={job.progress * 100}
                  sx={{ flex: 1 }}
                  aria-label="Making the prints"
                />
                <Button onClick={job.cancel}>Stop</Button>
              </>
            )}
          </NextRow>
        )}
        <Part title="Pieces">
          {ready.length === 0 && (
            <Note>
              No piece is far enough: each needs its picture, its blank’s size and a method that is laid face down.{' '}
              <Link href="/pieces">To the pieces</Link>
            </Note>
          )}
          {ready.map((one) => (
            <TickRow key={one.piece.id} checked={!left.has(one.piece.id)} onToggle={() => toggle(one.piece.id)}>
              {one.piece.name}
              <small>{sizeWords(one, units)}</small>
            </TickRow>
          ))}
        </Part>
        <Part title="Change">
          <Fields>
            <SelectField label="Paper" value={paper} options={PAPERS} onCommit={setPaper} testId="together-paper" />
            <FigureField
              label="Spares of each"
              value={spares}
              whole
              min={0}
              max={10}
              onCommit={(count) => setSpares(count ?? 0)}
              testId="spares"
            />
          </Fields>
          {plain && !areOneSize(sizes) && (
            <>
              <NextRow>
                <Button size="small" variant="outlined" onClick={() => void equal()} data-testid="one-size">
                  Make them all one size
                </Button>
              </NextRow>
              <Note>
                A set, such as cushions or tiles, looks right only at one size: the largest that all of these hold.
              </Note>
            </>
          )}
        </Part>
      </Worksheet>
      <div className={css.pages}>
        {made?.pages.map((layout, index) => (
          <PageView key={index} layout={layout} index={index} pack={made} items={repeated} text={text} />
        ))}
      </div>
    </main>
  );

  function answer(value: SheetPack | null): string {
    if (!value) return chosen.length === 0 ? 'Choose what to print.' : 'These can’t be laid out.';
    const count = `${value.pages.length} ${value.paper.name} ${value.pages.length === 1 ? 'page' : 'pages'}`;
    const saved = value.pagesApart - value.pages.length;
    return saved > 0 ? `${count}: ${saved} fewer than one by one.` : `${count}.`;
  }
}

const sizeWords = ({ piece, plan }: PlannedPiece, units: ReturnType<typeof useUnits>): string => {
  const blocks = plan.surface.print?.formed.blocks ?? [];
  const size = blocks[0] ? units.size(blocks[0].widthMm, blocks[0].heightMm) : '';
  return `${blocks.length * piece.sheet.copies > 1 ? `${blocks.length * piece.sheet.copies} × ` : ''}${size}`;
};

function PageView({
  layout,
  index,
  pack,
  items,
  text,
}: {
  layout: SheetLayout;
  index: number;
  pack: SheetPack;
  items: readonly SheetItem[];
  text: SheetText;
}) {
  const { atHand } = useStash();
  const id = useId();
  const { widthMm, heightMm } = layout.page;
  const pxPerMm = PAGE_PX / Math.max(widthMm, heightMm);
  const blocks = items.flatMap((item) =>
    (item.plan.surface.print?.formed.blocks ?? []).map((block) => ({ item, block })),
  );
  return (
    <figure className={css.figure} data-testid="together-page">
      <svg
        width={widthMm * pxPerMm}
        height={heightMm * pxPerMm}
        viewBox={`0 0 ${widthMm} ${heightMm}`}
        role="img"
        aria-label={`Page ${index + 1}: ${layout.places.map((place) => text.prints[place.print]!.name).join(', ')}`}
      >
        <rect width={widthMm} height={heightMm} fill="#fff" stroke="var(--ink)" strokeWidth={1 / pxPerMm} />
        {layout.places.map((placed, at) => {
          const { item, block } = blocks[placed.print]!;
          return (
            <g key={at}>
              <clipPath id={`${id}-${at}`}>
                <rect
                  x={placed.place.xMm}
                  y={placed.place.yMm}
                  width={placed.place.widthMm}
                  height={placed.place.heightMm}
                />
              </clipPath>
              <g clipPath={`url(#${id}-${at})`}>
                <g transform={`matrix(${placeMatrix(placed).join(' ')}) translate(${block.widthMm} 0) scale(-1 1)`}>
                  <NestedLook item={item} block={block} pxPerMm={pxPerMm} />
                </g>
              </g>
            </g>
          );
        })}
        <PageMarks
          marks={sheetMarks(layout, { pack, text, truth: atHand.truth, words: SHEET_WORDS })}
          pxPerMm={pxPerMm}
        />
      </svg>
      <figcaption>Page {index + 1}</figcaption>
    </figure>
  );
}
