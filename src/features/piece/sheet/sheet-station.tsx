'use client';
import { Button, LinearProgress } from '@mui/material';
import { FileDown } from 'lucide-react';
import { useState } from 'react';
import {
  PAPER_IDS,
  UNPRINTABLE_MM,
  barVerdict,
  lessForOnePage,
  pagesThatHold,
  paperOf,
  type Orientation,
} from '@/core/sheet';
import { bendFor, ringsBox, type MarginsMm } from '@/core/shape';
import { stageOptics } from '@/core/render';
import {
  Answer,
  Because,
  ChoiceField,
  Fields,
  FigureField,
  LengthField,
  NextRow,
  Note,
  Part,
  SelectField,
  Wide,
  useClock,
  useUnits,
  type ReasonLine,
  dated,
  TextButton,
} from '@/ui';
import { eitherOf, sentenceFor, remarks, sentences, counted } from '@/words';
import { isPrintRefused, letteringOf } from '@/core/stations';
import { LandingDrawing } from '../drawings/landing';
import { MissingList } from '../missing-list';
import { LetteringQuestion } from '../picture/lettering-question';
import { NextLink } from '../next-link';
import { VERDICT_WORDS } from '../picture/verdict-words';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { useStepDone } from '../use-step-done';
import { CopierPart } from './copier-part';
import { PrinterPart } from './printer-part';
import { FormPart } from './form-part';
import { OutputsPart } from './outputs-part';
import { ProofPart } from './proof-part';
import { ShopPart } from './shop-part';
import { useStash } from '@/features/at-hand';
import { useSheet } from './use-sheet';
import { StationCautions, StationTools } from '../station-cautions';
import { BarField } from './bar-field';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

/** Less than a crumb. */
const NOTHING_MM2 = 1;
const NO_SIZE = { widthMm: 0, heightMm: 0 };
const PAPER_OPTIONS = PAPER_IDS.map((id) => ({
  id,
  name: id === 'custom' ? say`Own size` : paperOf(id, NO_SIZE).name,
}));
const ORIENTATIONS: { id: Orientation; name: string }[] = [
  { id: 'auto', name: say`Auto` },
  { id: 'portrait', name: say`Portrait` },
  { id: 'landscape', name: say`Landscape` },
];
const SIDES: { key: keyof MarginsMm; name: string }[] = [
  { key: 'topMm', name: say`Margin above` },
  { key: 'bottomMm', name: say`Margin below` },
  { key: 'leftMm', name: say`Margin left` },
  { key: 'rightMm', name: say`Margin right` },
];

/** More than this is no slightly wider margin. */
const MOST_LESS_MM = 30;
const ONE_PAGE_SPARE_MM = 0.25;

export function SheetStation() {
  const { piece, plan, change } = useOpenPiece();
  const steps = useStepDone();
  const units = useUnits();
  const clock = useClock();
  const { sheet } = piece;
  const { atHand } = useStash();
  const print = plan.surface.print;
  const pack = plan.sheet.pack?.ok ? plan.sheet.pack.value : null;
  const making = useSheet(pack);
  const [asking, setAsking] = useState(false);
  const asked = letteringOf(piece);
  const many = (pack?.pages.length ?? 1) > 1;
  const tiled = (pack?.columns ?? 1) * (pack?.rows ?? 1) > 1;
  const prints = (pack?.prints.length ?? 1) * (pack?.copies ?? 1);
  const refused = plan.sheet.pack && !plan.sheet.pack.ok ? plan.sheet.pack.error : null;
  const paperWay = ({ paper, orientation }: (typeof holding)[number]) =>
    orientation === 'landscape' ? say`${paper.name} landscape` : say`${paper.name} portrait`;
  const printAgain = () => steps.revoke({ kind: 'print' }, say`not printed`);
  const holding = print && tiled && prints === 1 ? pagesThatHold(print.formed.blocks[0]!) : [];
  const less =
    print && tiled && prints === 1 && plan.surface.blank?.layout.kind === 'plain'
      ? lessForOnePage(print.picture, paperOf(sheet.paper, sheet.custom), atHand.truth.marginMm ?? UNPRINTABLE_MM)
      : null;
  /** A little less of it would save pages: said first where it is a few millimetres. */
  const onePage = less && less.widthMm + less.heightMm <= MOST_LESS_MM ? less : null;
  const bar =
    sheet.barMeasuredMm !== null && print
      ? barVerdict(sheet.barMeasuredMm, Math.max(print.rect.widthMm, print.rect.heightMm))
      : null;

  const landedBox =
    print && print.formed.landed.length > 0 ? ringsBox(print.formed.landed) : { widthMm: 0, heightMm: 0 };
  const reasons: ReasonLine[] = [];
  if (print && plan.surface.blank) {
    reasons.push({
      figure: units.size(print.rect.widthMm, print.rect.heightMm),
      text: bendFor(plan.surface.blank)
        ? say`the bent print’s own box on paper`
        : say`print: the blank of ${units.size(plan.surface.blank.widthMm, plan.surface.blank.heightMm)} less its margins`,
    });
    if (
      plan.surface.window &&
      Math.abs(plan.surface.window.widthMm - print.picture.widthMm) +
        Math.abs(plan.surface.window.heightMm - print.picture.heightMm) >
        0.5
    )
      reasons.push({
        figure: say`centred`,
        text: say`the crop has another shape than the blank, so it is placed in the middle`,
      });
    reasons.push({
      figure: say`${Math.round(print.ppi)} ppi`,
      text: plan.surface.record?.coarse
        ? say`of the picture’s own pixels: ${VERDICT_WORDS[print.verdict]} (a coarse surface forgives a third less)`
        : say`of the picture’s own pixels: ${VERDICT_WORDS[print.verdict]}`,
    });
    if (pack && tiled)
      reasons.push({
        figure: `${pack.columns} × ${pack.rows}`,
        text: say`pages: each goes on ${units.length(pack.overlapMm)} under the next, which is trimmed at the join`,
      });
    if (pack && prints > 1)
      reasons.push({
        figure: say`${prints} prints`,
        text:
          pack.pages.length < pack.pagesApart
            ? say`on ${counted(pack.pages.length, 'page', 'pages')}: ${pack.pagesApart - pack.pages.length} fewer than one by one`
            : say`on ${pack.pages.length} pages`,
      });
    if (sheet.form.trimMm > 0 || sheet.form.edge !== 'cut')
      reasons.push({
        figure: units.size(landedBox.widthMm, landedBox.heightMm),
        text: say`what lands, once it is trimmed`,
      });
    if (pack)
      reasons.push({
        figure: say`${pack.pages[0]!.rasterPpi} ppi`,
        text: plan.method.mirrored
          ? say`printed as ${pack.prints[0]!.widthPx} × ${pack.prints[0]!.heightPx} dots, mirrored`
          : say`printed as ${pack.prints[0]!.widthPx} × ${pack.prints[0]!.heightPx} dots, not mirrored: this way is not laid face down`,
      });
  }

  return (
    <StationLayout
      station="sheet"
      act={
        <>
          {' '}
          {pack && (
            <NextRow>
              <Button
                variant="contained"
                startIcon={<FileDown size={18} />}
                onClick={() => (asked === null ? setAsking(true) : making.makePdf())}
                disabled={making.progress !== null}
                data-testid="make-pdf"
              >{say`Make the PDF`}</Button>
              {making.progress !== null && (
                <>
                  <LinearProgress
                    variant="determinate"
                    value={making.progress * 100}
                    sx={{ flex: 1 }}
                    aria-label={say`Making the print`}
                  />
                  <Button onClick={making.cancel}>{say`Stop`}</Button>
                </>
              )}
            </NextRow>
          )}
          {pack && asking && asked === null && (
            <div data-testid="lettering-first">
              <LetteringQuestion
                value={null}
                onCommit={(lettering) => {
                  change('picture', { lettering }, say`lettering`);
                  making.makePdf();
                }}
              />
              {plan.method.mirrored ? null : <Note>{say`This way is printed as it is seen, not mirrored.`}</Note>}
            </div>
          )}
        </>
      }
      answer={
        <Answer stop={refused !== null || (print !== null && print.areaMm2 < NOTHING_MM2) || isPrintRefused(piece)}>
          {answer()}
        </Answer>
      }
      onward={<NextLink station="lay" quiet={sheet.printedAt === null || isPrintRefused(piece)} />}
      specimen={
        <LandingDrawing
          optics={stageOptics(plan.method.sheen)}
          caption={say`As it lands: the right way round on the blank.`}
        />
      }
    >
      {onePage && (
        <NextRow>
          <Button
            variant="contained"
            onClick={toOnePage}
            data-testid="one-page"
          >{say`One page instead of ${pack?.pages.length}`}</Button>
          <Note>{say`with margins ${units.length(Math.max(onePage.widthMm, onePage.heightMm) / 2 + ONE_PAGE_SPARE_MM)} wider`}</Note>
        </NextRow>
      )}
      {holding.length > 0 && (
        <Note>{say`One page would hold it:
          ${eitherOf(holding.map(paperWay))}.`}</Note>
      )}
      <Because reasons={reasons} />
      <Part title={say`Change`}>
        <Fields>
          {SIDES.map(({ key, name }) => (
            <LengthField
              key={key}
              small
              label={name}
              value={sheet.margins[key]}
              onCommit={(value) =>
                value !== null && change('sheet', { margins: { ...sheet.margins, [key]: value } }, name.toLowerCase())
              }
              testId={`margin-${key}`}
            />
          ))}
          <SelectField
            label={say`Paper`}
            value={sheet.paper}
            options={PAPER_OPTIONS}
            onCommit={(paper) => change('sheet', { paper }, say`paper`)}
            testId="paper"
          />
          <ChoiceField
            label={say`Way round`}
            value={sheet.orientation}
            options={ORIENTATIONS}
            onCommit={(orientation) => change('sheet', { orientation }, say`way round`)}
          />
          {sheet.paper === 'custom' && (
            <LengthField
              label={say`Width of the paper`}
              value={sheet.custom.widthMm}
              minMm={50}
              maxMm={1200}
              onCommit={(widthMm) =>
                widthMm !== null && change('sheet', { custom: { ...sheet.custom, widthMm } }, say`width of the paper`)
              }
              testId="paper-width"
            />
          )}
          {sheet.paper === 'custom' && (
            <LengthField
              label={say`Height of the paper`}
              value={sheet.custom.heightMm}
              minMm={50}
              maxMm={1200}
              onCommit={(heightMm) =>
                heightMm !== null &&
                change('sheet', { custom: { ...sheet.custom, heightMm } }, say`height of the paper`)
              }
              testId="paper-height"
            />
          )}
          <FigureField
            label={say`Prints of it, spares included`}
            value={sheet.copies}
            whole
            min={1}
            max={60}
            onCommit={(copies) => change('sheet', { copies: copies ?? 1 }, say`number of prints`)}
            testId="copies"
          />
          {tiled && (
            <LengthField
              small
              label={say`Pages overlap by`}
              value={sheet.overlapMm}
              maxMm={60}
              onCommit={(overlapMm) => overlapMm !== null && change('sheet', { overlapMm }, say`overlap`)}
              testId="overlap"
            />
          )}
        </Fields>
      </Part>
      {print && <FormPart />}
      {pack && (
        <Part title={say`Check the print`}>
          <Fields>
            <BarField
              label={units.system === 'inch' ? say`The 4 in bar measures` : say`The 100 mm bar measures`}
              value={sheet.barMeasuredMm}
              minMm={50}
              maxMm={150}
              clearable
              onCommit={(barMeasuredMm) =>
                change(
                  'sheet',
                  { barMeasuredMm, printedAt: barMeasuredMm === null ? sheet.printedAt : (sheet.printedAt ?? clock()) },
                  say`measured bar`,
                )
              }
              testId="bar-measured"
              hint={units.system === 'inch' ? say`in inches; 4 when right` : say`in mm; 100 when right`}
            />
            <div>
              {sheet.printedAt === null || isPrintRefused(piece) ? (
                <Button
                  variant="outlined"
                  onClick={() => steps.done({ kind: 'print' }, say`printed and trimmed`)}
                  data-testid="printed"
                >
                  {isPrintRefused(piece) ? say`Printed again and trimmed` : say`Printed and trimmed`}
                </Button>
              ) : (
                <Note>{sayWith`Printed ${dated(sheet.printedAt, 'd MMM HH:mm')}.
                  ${(<TextButton onClick={printAgain}>{say`Print again`}</TextButton>)}`}</Note>
              )}
            </div>
            {bar && (
              <Wide>
                <Note>
                  {bar.good
                    ? say`The printer is true to size.`
                    : sentences(
                        say`The printer makes everything ${bar.scalePercent.toFixed(1)} % of its size.`,
                        bar.printErrorMm < 0
                          ? say`This print is ${units.length(-bar.printErrorMm)} too short.`
                          : say`This print is ${units.length(bar.printErrorMm)} too long.`,
                        say`Print again at 100 %, with “fit to page” off.`,
                      )}
                </Note>
              </Wide>
            )}
          </Fields>
          {print?.formed.blocks.some((block) => block.cut !== null) && (
            <Note>
              {sheet.form.edge === 'torn'
                ? say`The thin red line is where to tear, with openings: wet it with a fine brush, then pull. Fold at the dashes.`
                : say`The thin red line is where to cut, with openings; fold at the dashes.`}
            </Note>
          )}
          {tiled && (
            <Note>
              {sentences(
                say`Lay the pages in reading order.`,
                say`Trim a page’s left and top edge where it has a neighbour there, and glue it over the thick
                  marks of the page before; each page says so, and shows its place.`,
              )}
            </Note>
          )}
          <Note>{say`Trim along the corner marks, inside the edge so that no white rim is left.`}</Note>
          <StationTools station="sheet" />
        </Part>
      )}
      {pack && <ProofPart making={making} pack={pack} />}
      {pack && <OutputsPart making={making} />}
      {pack && <ShopPart making={making} />}
      {print && plan.method.mirrored && <CopierPart print={print.picture} />}
      <PrinterPart paper={paperOf(sheet.paper, sheet.custom)} />
      <MissingList station="sheet" />
      <StationCautions station="sheet" />
    </StationLayout>
  );

  function toOnePage() {
    if (!onePage) return;
    const { margins } = sheet;
    const [x, y] = [onePage.widthMm, onePage.heightMm].map((mm) => (mm > 0 ? mm / 2 + ONE_PAGE_SPARE_MM : 0));
    change(
      'sheet',
      {
        margins: {
          topMm: margins.topMm + (y ?? 0),
          bottomMm: margins.bottomMm + (y ?? 0),
          leftMm: margins.leftMm + (x ?? 0),
          rightMm: margins.rightMm + (x ?? 0),
        },
      },
      say`one page`,
    );
  }

  function answer(): string {
    if (refused) return sentenceFor(refused, units);
    if (!print || !pack) return say`The sheet follows from the picture and the blank.`;
    if (print.areaMm2 < NOTHING_MM2) return say`Nothing would land: cut less away from the edge.`;
    if (bar && !bar.good) return say`Print again: this page is not at 100 %.`;
    if (isPrintRefused(piece)) return say`Print again: the proof says why.`;
    if (sheet.printedAt !== null) return say`The sheet is printed and checked.`;
    return `${remarks(
      many ? say`Print ${pack.pages.length} ${pack.paper.name} pages` : say`Print one ${pack.paper.name} page`,
      pack.orientation === 'landscape' ? say`landscape` : say`portrait`,
      plan.method.mirrored ? say`mirrored` : say`not mirrored`,
      say`at 100 %`,
    )}.`;
  }
}
