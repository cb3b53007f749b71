'use client';
import { useTaker } from '@/features/intake';
import { Button, IconButton, ToggleButton, ToggleButtonGroup } from '@mui/material';
import { RotateCcw, RotateCw } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useCallback, useState } from 'react';
import { FULL_CROP, MOST_STRAIGHTEN_DEG, RATIOS, ratioAspect, type CropRatio } from '@/core/picture';
import type { Finding, FindingId } from '@/core/findings';
import { stageOptics } from '@/core/render';
import { letteringOf } from '@/core/stations';
import type { StoredPicture } from '@/records';
import {
  Answer,
  Because,
  Fields,
  FigureField,
  NextRow,
  Note,
  Part,
  SelectField,
  Wide,
  useUnits,
  type ReasonLine,
} from '@/ui';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { useFindings } from '../use-analysis';
import { useTakePicture } from '../use-take-picture';
import { CropEditor } from './crop-editor';
import { FindingsList } from './findings-list';
import { LetteringQuestion } from './lettering-question';
import { LayersPanel } from './layers-panel';
import { PictureDrop } from './picture-drop';
import { PicturePick } from './picture-pick';
import { TonePanel } from './tone-panel';
import { VERDICT_WORDS } from './verdict-words';
import { StationCautions } from '../station-cautions';
import { findingFigure, findingWords, sentences } from '@/words';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

const LandingDrawing = dynamic(() => import('../drawings/landing').then((file) => file.LandingDrawing), { ssr: false });
const LayerHandles = dynamic(() => import('./layer-handles').then((file) => file.LayerHandles), { ssr: false });
const SheetDrawing = dynamic(() => import('../drawings/sheet').then((file) => file.SheetDrawing), { ssr: false });

const RATIO_NAMES: Readonly<Record<CropRatio, string>> = {
  blank: say`As the blank`,
  free: say`Free`,
  '1:1': say`Square 1:1`,
  '5:4': '5:4',
  '4:5': '4:5',
  '3:2': '3:2',
  '2:3': '2:3',
  '16:9': '16:9',
};
type View = 'crop' | 'piece';

export function PictureStation() {
  const { piece, plan, picture, change, side } = useOpenPiece();
  const units = useUnits();
  const [view, setView] = useState<View>('crop');
  const [shownId, setShownId] = useState<FindingId | null>(null);
  const keep = useCallback(
    (taken: StoredPicture) => {
      change('picture', { pictureId: taken.id }, say`picture “${taken.name}”`, [taken]);
    },
    [change],
  );
  const taking = useTakePicture(keep);
  useTaker(say`it becomes the picture of this piece`, taking.take);
  const found = useFindings();
  const { turns, straightenDeg } = piece.picture;
  const chosen = piece.picture.pictureId !== null;
  const aspect = ratioAspect(
    piece.picture.ratio,
    plan.surface.window ? plan.surface.window.widthMm / plan.surface.window.heightMm : null,
  );
  const shown = found.findings.find((finding) => finding.id === shownId);
  const toPiece = useCallback(() => {
    if (plan.surface.blank && plan.surface.look) setView('piece');
  }, [plan.surface.blank, plan.surface.look]);
  const turn = (by: 1 | 3) => change('picture', { turns: (turns + by) % 4, crop: FULL_CROP }, say`quarter turn`);

  const views = (
    <ToggleButtonGroup
      exclusive
      size="small"
      value={view}
      aria-label={say`What is shown`}
      onChange={(_, next: View | null) => next && setView(next)}
    >
      <ToggleButton value="crop">{say`Picture`}</ToggleButton>
      <ToggleButton
        value="piece"
        disabled={!plan.surface.look || !plan.surface.blank}
      >{say`On the piece`}</ToggleButton>
    </ToggleButtonGroup>
  );
  const specimen = () => {
    if (side === 'printed') return <SheetDrawing />;
    if (!chosen || !picture || taking.busy) return <PictureDrop taking={taking} />;
    if (view === 'piece' && plan.surface.look && plan.surface.blank)
      return (
        <LandingDrawing
          optics={stageOptics(plan.method.sheen)}
          caption={say`As it should look, sealed ${plan.method.sheen}.`}
          actions={views}
          grips={piece.picture.layers.length > 0}
          overlay={({ pxPerMm }) => <LayerHandles pxPerMm={pxPerMm} />}
        />
      );
    return (
      <CropEditor
        aspect={aspect}
        taking={taking}
        shown={shown && found.analysis ? { finding: shown, analysis: found.analysis } : null}
        actions={views}
      />
    );
  };

  const reasons: ReasonLine[] = [];
  if (picture) {
    reasons.push({
      figure: say`${((picture.widthPx * picture.heightPx) / 1e6).toFixed(1)} MP`,
      text: say`${picture.widthPx} × ${picture.heightPx} pixels`,
    });
    if (plan.surface.print) {
      const { widthMm, heightMm } = plan.surface.print.picture;
      reasons.push({
        figure: say`${Math.round(plan.surface.print.ppi)} ppi`,
        text: say`in a print of ${units.size(widthMm, heightMm)}: ${VERDICT_WORDS[plan.surface.print.verdict]}`,
      });
      if (plan.surface.print.verdict === 'soft')
        reasons.push({
          figure: units.length(plan.surface.print.largestWidthMm),
          text: say`is the widest print these pixels carry acceptably`,
        });
    }
  }
  const worst = found.findings.at(0);

  return (
    <StationLayout
      station="picture"
      answer={
        <Answer>{answer(chosen, picture, plan.surface.print?.verdict ?? null, letteringOf(piece), worst)}</Answer>
      }
      act={
        picture &&
        letteringOf(piece) === null && (
          <LetteringQuestion value={null} onCommit={(lettering) => change('picture', { lettering }, say`lettering`)} />
        )
      }
      onward={<NextLink station="surface" quiet={!picture || letteringOf(piece) === null} />}
      specimen={specimen()}
    >
      {!chosen && (
        <Note>
          {sentences(
            say`A photo, drawing or scan as JPEG, PNG or WebP.`,
            say`It stays in this browser: nothing is sent anywhere.`,
            say`Never use an original: Fobbet prints a copy.`,
          )}
        </Note>
      )}
      <Because reasons={reasons} />
      {picture && (
        <FindingsList
          found={found}
          shownId={shownId}
          onShow={(id) => {
            setShownId(id);
            if (id) setView('crop');
          }}
        />
      )}
      {chosen && (
        <Part title={say`Change`}>
          <Fields>
            {letteringOf(piece) !== null && (
              <Wide>
                <LetteringQuestion
                  value={letteringOf(piece)}
                  onCommit={(lettering) => change('picture', { lettering }, say`lettering`)}
                />
              </Wide>
            )}
            <SelectField
              label={say`Shape of the crop`}
              value={piece.picture.ratio}
              options={RATIOS.map((id) => ({ id, name: RATIO_NAMES[id] }))}
              onCommit={(ratio) => change('picture', { ratio }, say`shape of the crop`)}
              testId="crop-ratio"
            />
            <FigureField
              label={say`Straighten`}
              value={straightenDeg}
              unit="°"
              min={-MOST_STRAIGHTEN_DEG}
              max={MOST_STRAIGHTEN_DEG}
              decimals={1}
              onCommit={(degrees) => change('picture', { straightenDeg: degrees ?? 0 }, say`straightening`)}
              hint={say`clockwise; less than 0 the other way`}
              testId="straighten"
            />
            <Wide>
              <NextRow>
                <IconButton size="small" aria-label={say`A quarter turn to the left`} onClick={() => turn(3)}>
                  <RotateCcw size={19} />
                </IconButton>
                <IconButton
                  size="small"
                  aria-label={say`A quarter turn to the right`}
                  onClick={() => turn(1)}
                  data-testid="turn-right"
                >
                  <RotateCw size={19} />
                </IconButton>
                <Button
                  size="small"
                  variant="outlined"
                  onClick={() => change('picture', { crop: FULL_CROP }, say`whole picture`)}
                >{say`Use the whole picture`}</Button>
                <PicturePick taking={taking} label={say`Choose another picture`} />
              </NextRow>
            </Wide>
          </Fields>
        </Part>
      )}
      {picture && <TonePanel onTouch={toPiece} />}
      {picture && <LayersPanel onTouch={toPiece} />}
      {letteringOf(piece) === 'yes' && (
        <Note>{sayWith`Lettering: the sheet is printed mirrored so that it reads true on the piece. Turn the
          specimen with ${(<kbd>M</kbd>)} to see both.`}</Note>
      )}
      <MissingList station="picture" />
      <StationCautions station="picture" />
    </StationLayout>
  );
}

function answer(
  chosen: boolean,
  picture: StoredPicture | null,
  verdict: keyof typeof VERDICT_WORDS | null,
  lettering: string | null,
  worst: Finding | undefined,
): string {
  if (!chosen) return say`Choose the picture you want to move.`;
  if (!picture) return say`Reading the picture.`;
  if (verdict === 'soft') return say`This picture is too small for this print: it will look soft.`;
  if (lettering === null) return say`Say whether there is lettering, or will be.`;
  if (verdict === null) return say`The picture is in. How sharp it prints follows from the blank’s size.`;
  if (worst?.weight === 'act')
    return say`Look at this first: ${findingFigure(worst.figure)} ${findingWords(worst.fact).lead}.`;
  return verdict === 'acceptable'
    ? say`The picture will do: its pixels just carry this print.`
    : say`The picture carries this print.`;
}
