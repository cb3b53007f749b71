'use client';
import { Button, IconButton, ToggleButton, ToggleButtonGroup } from '@mui/material';
import { RotateCcw, RotateCw } from 'lucide-react';
import { useCallback, useState } from 'react';
import { FULL_CROP, MOST_STRAIGHTEN_DEG, NOT_TURNED, RATIOS, ratioAspect, type CropRatio } from '@/core/picture';
import type { Finding, FindingId } from '@/core/plan';
import { stageOptics } from '@/core/render';
import type { StoredPicture } from '@/records';
import { Answer, Because, Cautions, ChoiceField, Fields, FigureField, NextRow, Note, Part, SelectField, Wide, useUnits, type ReasonLine } from '@/ui';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { useFindings } from '../use-analysis';
import { useTakePicture } from '../use-take-picture';
import { LandingDrawing } from '../drawings/landing';
import { SheetDrawing } from '../drawings/sheet';
import { CropEditor } from './crop-editor';
import { FindingsList } from './findings-list';
import { LayerHandles } from './layer-handles';
import { LayersPanel } from './layers-panel';
import { PictureDrop, PicturePick } from './picture-drop';
import { TonePanel } from './tone-panel';
import { VERDICT_WORDS } from './verdict-words';

const RATIO_NAMES: Readonly<Record<CropRatio, string>> = { blank: 'As the blank', free: 'Free', '1:1': 'Square 1:1', '5:4': '5:4', '4:5': '4:5', '3:2': '3:2', '2:3': '2:3', '16:9': '16:9' };
type View = 'crop' | 'piece';

export function PictureStation() {
  const { piece, plan, picture, change, side } = useOpenPiece();
  const units = useUnits();
  const [view, setView] = useState<View>('crop');
  const [shownId, setShownId] = useState<FindingId | null>(null);
  const keep = useCallback((taken: StoredPicture) => {
    change('picture', { pictureId: taken.id, crop: FULL_CROP, ...NOT_TURNED }, `picture “${taken.name}”`, [taken]);
  }, [change]);
  const taking = useTakePicture(keep);
  const found = useFindings();
  const { turns, straightenDeg } = piece.picture;
  const chosen = piece.picture.pictureId !== null;
  const aspect = ratioAspect(piece.picture.ratio, plan.window ? plan.window.widthMm / plan.window.heightMm : null);
  const shown = found.findings.find((finding) => finding.id === shownId);
  const toPiece = useCallback(() => { if (plan.blank && plan.look) setView('piece'); }, [plan.blank, plan.look]);
  const turn = (by: 1 | 3) => change('picture', { turns: (turns + by) % 4, crop: FULL_CROP }, 'quarter turn');

  const views = (
    <ToggleButtonGroup exclusive size="small" value={view} aria-label="What is shown" onChange={(_, next: View | null) => next && setView(next)}>
      <ToggleButton value="crop">Picture</ToggleButton><ToggleButton value="piece" disabled={!plan.look || !plan.blank}>On the piece</ToggleButton>
    </ToggleButtonGroup>
  );
  const specimen = side === 'printed' ? <SheetDrawing />
    : !chosen || !picture || taking.busy ? <PictureDrop taking={taking} />
      : view === 'piece' && plan.look && plan.blank
        ? <LandingDrawing optics={stageOptics(piece.seal.sheen)} caption={`As it should look, sealed ${piece.seal.sheen}.`} actions={views} grips={piece.picture.layers.length > 0} overlay={({ pxPerMm }) => <LayerHandles pxPerMm={pxPerMm} />} />
        : <CropEditor aspect={aspect} taking={taking} shown={shown && found.analysis ? { finding: shown, analysis: found.analysis } : null} actions={views} />;

  const reasons: ReasonLine[] = [];
  if (picture) {
    reasons.push({ figure: `${(picture.widthPx * picture.heightPx / 1e6).toFixed(1)} MP`, text: `${picture.widthPx} × ${picture.heightPx} pixels, upright` });
    if (plan.print) {
      const { widthMm, heightMm } = plan.print.picture;
      reasons.push({ figure: `${Math.round(plan.print.ppi)} ppi`, text: `in a print of ${units.size(widthMm, heightMm)}: ${VERDICT_WORDS[plan.print.verdict]}` });
      if (plan.print.verdict === 'soft') reasons.push({ figure: units.length(plan.print.largestWidthMm), text: 'is the widest print these pixels carry acceptably' });
    }
  }
  const worst = found.findings.at(0);

  return (
    <StationLayout specimen={specimen}>
      <Answer>{answer(chosen, picture, plan.print?.verdict ?? null, piece.picture.lettering, worst)}</Answer>
      {!chosen && <Note>A photo, drawing or scan as JPEG, PNG or WebP. It stays in this browser: nothing is sent anywhere. Never use an original: Fobbet prints a copy.</Note>}
      <Because reasons={reasons} />
      {picture && <FindingsList found={found} shownId={shownId} onShow={(id) => { setShownId(id); if (id) setView('crop'); }} />}
      {chosen && (
        <Part title="Change">
          <Fields>
            <Wide>
              <ChoiceField label="Has it lettering? Anything that must not read backwards" value={piece.picture.lettering} options={[{ id: 'yes', name: 'It has lettering' }, { id: 'no', name: 'None' }]} onCommit={(lettering) => change('picture', { lettering }, 'lettering')} />
            </Wide>
            <SelectField label="Shape of the crop" value={piece.picture.ratio} options={RATIOS.map((id) => ({ id, name: RATIO_NAMES[id] }))} onCommit={(ratio) => change('picture', { ratio }, 'shape of the crop')} testId="crop-ratio" />
            <FigureField label="Straighten" value={straightenDeg} unit="°" min={-MOST_STRAIGHTEN_DEG} max={MOST_STRAIGHTEN_DEG} decimals={1} onCommit={(degrees) => change('picture', { straightenDeg: degrees ?? 0 }, 'straightening')} hint="clockwise; less than 0 the other way" testId="straighten" />
            <Wide>
              <NextRow>
                <IconButton size="small" aria-label="A quarter turn to the left" onClick={() => turn(3)}><RotateCcw size={19} /></IconButton>
                <IconButton size="small" aria-label="A quarter turn to the right" onClick={() => turn(1)} data-testid="turn-right"><RotateCw size={19} /></IconButton>
                <Button size="small" variant="outlined" onClick={() => change('picture', { crop: FULL_CROP }, 'whole picture')}>Use the whole picture</Button>
                <PicturePick taking={taking} label="Choose another picture" />
              </NextRow>
            </Wide>
          </Fields>
        </Part>
      )}
      {picture && <TonePanel onTouch={toPiece} />}
      {picture && <LayersPanel onTouch={toPiece} />}
      {piece.picture.lettering === 'yes' && <Note>Lettering: the sheet is printed mirrored so that it reads true on the piece. Turn the specimen with <kbd>M</kbd> to see both.</Note>}
      <MissingList station="picture" />
      <Cautions ids={['picture-rights']} />
      <NextRow><NextLink station="surface" /></NextRow>
    </StationLayout>
  );
}

function answer(chosen: boolean, picture: StoredPicture | null, verdict: keyof typeof VERDICT_WORDS | null, lettering: string | null, worst: Finding | undefined): string {
  if (!chosen) return 'Choose the picture you want to move.';
  if (!picture) return 'Reading the picture.';
  if (verdict === 'soft') return 'This picture is too small for this print: it will look soft.';
  if (lettering === null) return 'Say whether this picture has lettering.';
  if (verdict === null) return 'The picture is in. How sharp it prints follows from the blank’s size.';
  if (worst?.weight === 'act') return `Look at this first: ${worst.figure} ${worst.text.split(/[:;]/)[0].replace(/\.$/, '')}.`;
  return verdict === 'acceptable' ? 'The picture will do: its pixels just carry this print.' : 'The picture carries this print.';
}
