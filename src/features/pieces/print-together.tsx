'use client';
import { Button } from '@mui/material';
import { FileDown } from 'lucide-react';
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { useId, useMemo, useState } from 'react';
import { runSteps } from '@/core/plan';
import { isPrintRefused } from '@/core/stations';
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
import { useFinishSteps } from '@/features/agenda';
import { saveFile } from '@/features/sheets/save-file';
import { usePlannedPieces, type PlannedPiece } from '@/features/plans';
import { useStash } from '@/features/at-hand';
import { database, savePiece } from '@/storage';
import {
  Place,
  Answer,
  FigureField,
  Fields,
  JobProgress,
  NextRow,
  Note,
  Part,
  SelectField,
  TickRow,
  Worksheet,
  useClock,
  useUnits,
} from '@/ui';
import { counted, remarks, sentenceFor, type Wording } from '@/words';
import { makeSheet } from '@/workers/sheet/client';
import { NestedLook } from './nested-look';
import css from './print-together.module.css';
import { SHEET_WORDS } from '@/words/sheet';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

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
  // What is still to be printed first, then what could be printed once more.
  const ready = useMemo(
    () =>
      planned
        .filter(({ plan }) => plan.surface.print !== null && plan.method.mirrored && plan.sheet.pack?.ok)
        .sort((a, b) => Number(isPrinted(a)) - Number(isPrinted(b))),
    [planned],
  );
  const asked = useSearchParams().get('pieces');
  // Those that the link names, or all that are still to be printed.
  const wanted = useMemo(() => (asked === null ? null : new Set(asked.split(','))), [asked]);
  const [turned, setTurned] = useState<ReadonlySet<string>>(new Set());
  const isLeft = (one: PlannedPiece) =>
    (wanted === null ? isPrinted(one) : !wanted.has(one.piece.id)) !== turned.has(one.piece.id);
  const [packed, setPacked] = useState<readonly string[]>([]);
  const [paper, setPaper] = useState<Exclude<PaperId, 'custom'>>('a4');
  const [spares, setSpares] = useState(0);
  const job = useSheetJob();
  const chosen = ready.filter((one) => !isLeft(one));
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
  const text = useMemo(() => sheetText(repeated, say`Prints together`, units.system, 0), [repeated, units.system]);
  const made = pack?.ok ? pack.value : null;
  const toggle = (id: string) =>
    setTurned((before) => {
      const after = new Set(before);
      if (!after.delete(id)) after.add(id);
      return after;
    });
  const print = () =>
    made &&
    job.run(
      (onProgress) =>
        makeSheet(sheetOrder(repeated, made, atHand.truth, { ...text, createdAt: new Date(clock()) }), onProgress),
      (pdf) => {
        saveFile(new Blob([pdf], { type: 'application/pdf' }), 'prints-together.pdf');
        setPacked(chosen.map(({ piece }) => piece.id));
      },
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
        label: say`one size for a set`,
        pictures: [],
        overrule: false,
        now: clock(),
      });
    }
  };

  return (
    <Place className={css.page}>
      <Worksheet>
        <h1>{say`Print together`}</h1>
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
            >{say`Make the PDF`}</Button>
            {job.progress !== null && (
              <JobProgress progress={job.progress} label={say`Making the prints`} onStop={job.cancel} />
            )}
          </NextRow>
        )}
        <Printed of={planned.filter(({ piece }) => packed.includes(piece.id))} />
        <Part title={say`Pieces`}>
          {ready.length === 0 && (
            <Note>{sayWith`No piece is far enough: each needs its picture, its size and a method that is
              laid face down. ${(<Link href="/pieces">{say`To the pieces`}</Link>)}`}</Note>
          )}
          {ready.map((one) => (
            <TickRow key={one.piece.id} checked={!isLeft(one)} onToggle={() => toggle(one.piece.id)}>
              {one.piece.name}
              <small>{remarks(sizeWords(one, units), isPrinted(one) && say`printed already`)}</small>
            </TickRow>
          ))}
        </Part>
        <Part title={say`Change`}>
          <Fields>
            <SelectField
              label={say`Paper`}
              value={paper}
              options={PAPERS}
              onCommit={setPaper}
              testId="together-paper"
            />
            <FigureField
              label={say`Spares of each`}
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
                <Button
                  size="small"
                  variant="outlined"
                  onClick={() => void equal()}
                  data-testid="one-size"
                >{say`Make them all one size`}</Button>
              </NextRow>
              <Note>{say`A set, such as cushions or tiles, looks right only at one size: the largest that all of these hold.`}</Note>
            </>
          )}
        </Part>
      </Worksheet>
      <div className={css.pages}>
        {made?.pages.map((layout, index) => (
          <PageView key={index} layout={layout} index={index} pack={made} items={repeated} text={text} />
        ))}
      </div>
    </Place>
  );

  function answer(value: SheetPack | null): string {
    if (!value) return chosen.length === 0 ? say`Choose what to print.` : say`These can’t be laid out.`;
    const count =
      value.pages.length === 1 ? say`1 ${value.paper.name} page` : say`${value.pages.length} ${value.paper.name} pages`;
    const saved = value.pagesApart - value.pages.length;
    return saved > 0 ? say`${count}: ${saved} fewer than one by one.` : `${count}.`;
  }
}

/** Whether it has its print already; one that was refused is still to be printed. */
const isPrinted = ({ piece }: PlannedPiece): boolean =>
  piece.lay.laidAt !== null || (piece.sheet.printedAt !== null && !isPrintRefused(piece));

/** Marks as printed what the file held, once it came out of the printer. */
function Printed({ of: all }: { of: readonly PlannedPiece[] }) {
  const { atHand } = useStash();
  const finish = useFinishSteps();
  const open = all.flatMap(({ piece, plan }) => {
    const step = runSteps(piece, plan, atHand.pace).find(
      ({ step, doneAt }) => step.kind === 'print' && doneAt === null,
    );
    return step ? [{ piece, plan, step }] : [];
  });
  if (all.length === 0) return null;
  if (open.length === 0) return <Note>{say`All of them are marked as printed.`}</Note>;
  const mark = () =>
    finish(
      open.map(({ piece, plan, step }) => ({ piece, job: piece, plan, step })),
      { minutes: null },
    );
  return (
    <NextRow>
      <Button
        variant="outlined"
        onClick={() => void mark()}
        data-testid="together-printed"
      >{say`${counted(open.length, 'sheet is', 'sheets are')} printed`}</Button>
      <Note>{say`Measure the bar on the first sheet before you lay any of them.`}</Note>
    </NextRow>
  );
}

const sizeWords = ({ piece, plan }: PlannedPiece, units: Wording): string => {
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
        aria-label={say`Page ${index + 1}: ${layout.places.map((place) => text.prints[place.print]!.name).join(', ')}`}
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
      <figcaption>{say`Page ${index + 1}`}</figcaption>
    </figure>
  );
}
