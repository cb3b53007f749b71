'use client';
import { paperOf } from '@/core/sheet';
import { stageOptics } from '@/core/render';
import { isPrintRefused } from '@/core/stations';
import { Answer, Because, useUnits } from '@/ui';
import { remarks, sentenceFor } from '@/words';
import { say } from '@/words/say';
import { LandingDrawing } from '../drawings/landing';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationCautions } from '../station-cautions';
import { StationLayout } from '../station-layout';
import { CheckPart, useBarVerdict } from './check-part';
import { CopierPart } from './copier-part';
import { FormPart } from './form-part';
import { MakePdf } from './make-pdf';
import { OnePage } from './one-page';
import { OutputsPart } from './outputs-part';
import { PageFields } from './page-fields';
import { PrinterPart } from './printer-part';
import { ProofPart } from './proof-part';
import { sheetReasons } from './sheet-reasons';
import { ShopPart } from './shop-part';
import { useSheet } from './use-sheet';

/** Less than a crumb. */
const NOTHING_MM2 = 1;

export function SheetStation() {
  const { piece, plan } = useOpenPiece();
  const units = useUnits();
  const { sheet } = piece;
  const { print } = plan.surface;
  const pack = plan.sheet.pack?.ok ? plan.sheet.pack.value : null;
  const making = useSheet(pack);
  const tiled = (pack?.columns ?? 1) * (pack?.rows ?? 1) > 1;
  const isOnePrint = (pack?.prints.length ?? 1) * (pack?.copies ?? 1) === 1;
  return (
    <StationLayout
      station="sheet"
      act={pack && <MakePdf making={making} />}
      answer={<SheetAnswer />}
      onward={<NextLink station="lay" quiet={sheet.printedAt === null || isPrintRefused(piece)} />}
      specimen={
        <LandingDrawing
          optics={stageOptics(plan.method.sheen)}
          caption={say`As it lands: the right way round on the object.`}
        />
      }
    >
      {pack && tiled && isOnePrint && <OnePage pages={pack.pages.length} />}
      <Because reasons={sheetReasons(piece, plan, units)} />
      <PageFields tiled={tiled} />
      {print && <FormPart />}
      {pack && <CheckPart tiled={tiled} />}
      {pack && <ProofPart making={making} pack={pack} />}
      {pack && <OutputsPart making={making} />}
      {pack && <ShopPart making={making} />}
      {print && plan.method.mirrored && <CopierPart print={print.picture} />}
      <PrinterPart paper={paperOf(sheet.paper, sheet.custom)} />
      <MissingList station="sheet" />
      <StationCautions station="sheet" />
    </StationLayout>
  );
}

function SheetAnswer() {
  const { piece, plan } = useOpenPiece();
  const units = useUnits();
  const bar = useBarVerdict();
  const { print } = plan.surface;
  const { pack } = plan.sheet;
  const landsNothing = print !== null && print.areaMm2 < NOTHING_MM2;
  const says = (): string => {
    if (pack && !pack.ok) return sentenceFor(pack.error, units);
    if (!print || !pack) return say`The sheet follows from the picture and the object.`;
    if (landsNothing) return say`Nothing would land: cut less away from the edge.`;
    if (bar && !bar.good) return say`Print again: this page is not at 100 %.`;
    if (isPrintRefused(piece)) return say`Print again: the proof says why.`;
    if (piece.sheet.printedAt !== null) return say`The sheet is printed and checked.`;
    const { pages, paper, orientation } = pack.value;
    return `${remarks(
      pages.length > 1 ? say`Print ${pages.length} ${paper.name} pages` : say`Print one ${paper.name} page`,
      orientation === 'landscape' ? say`landscape` : say`portrait`,
      plan.method.mirrored ? say`mirrored` : say`not mirrored`,
      say`at 100 %`,
    )}.`;
  };
  return <Answer stop={pack?.ok === false || landsNothing || isPrintRefused(piece)}>{says()}</Answer>;
}
