'use client';
import { Button } from '@mui/material';
import {
  cutTemplate,
  formPrint,
  layoutPack,
  paperOf,
  placementTemplate,
  UNPRINTABLE_MM,
  type PrintBlock,
} from '@/core/sheet';
import { PLAIN_LAYOUT, unionRect } from '@/core/shape';
import { tracingOrder, useSheetJob } from '@/features/sheets';
import { fileName, saveFile } from '@/features/sheets/save-file';
import { useReport } from '@/features/shell';
import { useStash } from '@/features/at-hand';
import { NextRow, Note, Part, useUnits } from '@/ui';
import { makeSheet } from '@/workers/sheet/client';
import { useOpenPiece } from '../piece-context';
import type { SheetMaking } from './use-sheet';
import { SHEET_WORDS } from '@/words/sheet';
import { say } from '@/words/say';

const saveSvg = (text: string, name: string): void =>
  saveFile(new Blob([text], { type: 'image/svg+xml' }), fileName(name, 'svg'));

/** Besides the PDF: a page as a picture, templates to cut and to place by, and the sheet that is traced. */
export function OutputsPart({ making }: { making: SheetMaking }) {
  const { piece, plan, page, layers } = useOpenPiece();
  const units = useUnits();
  if (!plan.surface.print || !plan.surface.blank) return null;
  const { formed } = plan.surface.print;
  const {
    surface: { blank },
  } = plan;
  const cutLines = () =>
    formed.blocks.forEach((block: PrintBlock) =>
      saveSvg(
        cutTemplate(SHEET_WORDS.cutLines(piece.name), block, plan.method.mirrored),
        say`${piece.name} cut lines${block.part === null ? '' : ` ${block.part + 1}`}`,
      ),
    );
  return (
    <Part title={say`Other files`} folded={say`PNG, SVG`}>
      <NextRow>
        <Button
          size="small"
          variant="outlined"
          onClick={() => making.makePng(page)}
          disabled={making.progress !== null}
          data-testid="make-png"
        >{say`Page ${page + 1} as PNG`}</Button>
        <Button
          size="small"
          variant="outlined"
          onClick={cutLines}
          data-testid="cut-lines"
        >{say`Cut lines (SVG)`}</Button>
        <Button
          size="small"
          variant="outlined"
          onClick={() =>
            saveSvg(
              placementTemplate(SHEET_WORDS, piece.name, blank, formed, units.system),
              say`${piece.name} placement`,
            )
          }
          data-testid="placement"
        >{say`Placement mask (SVG)`}</Button>
      </NextRow>
      {layers.some(({ layer }) => layer.mode === 'trace') && <TracingRow />}
    </Part>
  );
}

/** What is traced goes on a sheet of its own, the right way round, at its place's size. */
function TracingRow() {
  const { piece, plan, layers } = useOpenPiece();
  const { atHand } = useStash();
  const units = useUnits();
  const report = useReport();
  const job = useSheetJob();
  const make = () => {
    const traced = layers.filter(({ layer }) => layer.mode === 'trace');
    if (!plan.surface.blank) return;
    const around = unionRect(traced.map(({ layer }) => layer.box));
    const block = formPrint(
      { ...plan.surface.blank, layout: PLAIN_LAYOUT },
      { ...piece.sheet.form, edge: 'cut', trimMm: 0 },
      around,
      [],
      null,
    ).blocks[0]!;
    const pack = layoutPack([block], {
      paper: paperOf(piece.sheet.paper, piece.sheet.custom),
      orientation: 'auto',
      overlapMm: piece.sheet.overlapMm,
      marginMm: atHand.truth.marginMm ?? UNPRINTABLE_MM,
    });
    report(pack);
    if (!pack.ok) return;
    const text = {
      title: say`${piece.name}, to trace`,
      unitSystem: units.system,
      mirrored: false,
      printKind: null,
      createdAt: new Date(piece.createdAt),
      prints: [{ name: say`${piece.name}, to trace`, cut: null, folds: [], edge: 'cut' as const }],
    };
    job.run(
      (onProgress) =>
        makeSheet(
          tracingOrder(
            block,
            traced.map(({ drawn }) => drawn),
            pack.value,
            atHand.truth,
            text,
          ),
          onProgress,
        ),
      (pdf) =>
        saveFile(
          new Blob([pdf], { type: 'application/pdf' }),
          fileName(say`${piece.name} to trace, not mirrored`, 'pdf'),
        ),
    );
  };
  return (
    <>
      <NextRow>
        <Button
          size="small"
          variant="outlined"
          onClick={make}
          disabled={job.progress !== null}
          data-testid="tracing-sheet"
        >{say`Sheet to trace (PDF, not mirrored)`}</Button>
      </NextRow>
      <Note>{say`What is traced and painted is printed on its own sheet, the right way round: it is not laid face down.`}</Note>
    </>
  );
}
