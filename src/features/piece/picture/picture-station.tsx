'use client';
import { Button } from '@mui/material';
import { useCallback } from 'react';
import { RATIOS, ratioAspect, type CropRatio } from '@/core/picture';
import type { StoredPicture } from '@/records';
import { Answer, Because, Cautions, ChoiceField, Fields, NextRow, Note, Part, SelectField, Wide, useUnits, type ReasonLine } from '@/ui';
import { MissingList } from '../missing-list';
import { NextLink } from '../next-link';
import { useOpenPiece } from '../piece-context';
import { StationLayout } from '../station-layout';
import { useTakePicture } from '../use-take-picture';
import { SheetDrawing } from '../drawings/sheet';
import { CropEditor } from './crop-editor';
import { PictureDrop, PicturePick } from './picture-drop';
import { VERDICT_WORDS } from './verdict-words';

const RATIO_NAMES: Readonly<Record<CropRatio, string>> = { blank: 'As the blank', free: 'Free', '1:1': 'Square 1:1', '5:4': '5:4', '4:5': '4:5', '3:2': '3:2', '2:3': '2:3', '16:9': '16:9' };

export function PictureStation() {
  const { piece, plan, picture, change, side } = useOpenPiece();
  const units = useUnits();
  const keep = useCallback((taken: StoredPicture) => {
    change('picture', { pictureId: taken.id, crop: { x: 0, y: 0, width: 1, height: 1 } }, `picture “${taken.name}”`, [taken]);
  }, [change]);
  const taking = useTakePicture(keep);
  const chosen = piece.picture.pictureId !== null;
  const aspect = ratioAspect(piece.picture.ratio, plan.window ? plan.window.widthMm / plan.window.heightMm : null);

  const specimen = side === 'printed' ? <SheetDrawing />
    : chosen && picture && !taking.busy ? <CropEditor aspect={aspect} taking={taking} /> : <PictureDrop taking={taking} />;

  const reasons: ReasonLine[] = [];
  if (picture) {
    reasons.push({ figure: `${(picture.widthPx * picture.heightPx / 1e6).toFixed(1)} MP`, text: `${picture.widthPx} × ${picture.heightPx} pixels, upright` });
    if (plan.print) {
      reasons.push({ figure: `${Math.round(plan.print.ppi)} ppi`, text: `in a print of ${units.size(plan.print.rect.widthMm, plan.print.rect.heightMm)}: ${VERDICT_WORDS[plan.print.verdict]}` });
      if (plan.print.verdict === 'soft') reasons.push({ figure: units.length(plan.print.largestWidthMm), text: 'is the widest print these pixels carry acceptably' });
    }
    reasons.push({ figure: `${Math.round(picture.paleShare * 100)} %`, text: 'is near white: no toner lies there, and a clear binder shows the bare surface' });
    reasons.push({ figure: `${Math.round(picture.darkShare * 100)} %`, text: 'is dark: paper left behind shows there longest' });
  }

  return (
    <StationLayout specimen={specimen}>
      <Answer>{answer(chosen, picture, plan.print?.verdict ?? null, piece.picture.lettering)}</Answer>
      {!chosen && <Note>A photo, drawing or scan as JPEG, PNG or WebP. It stays in this browser: nothing is sent anywhere. Never use an original: Fobbet prints a copy.</Note>}
      <Because reasons={reasons} />
      {chosen && (
        <Part title="Change">
          <Fields>
            <Wide>
              <ChoiceField label="Has it lettering? Anything that must not read backwards" value={piece.picture.lettering} options={[{ id: 'yes', name: 'It has lettering' }, { id: 'no', name: 'None' }]} onCommit={(lettering) => change('picture', { lettering }, 'lettering')} />
            </Wide>
            <SelectField label="Shape of the crop" value={piece.picture.ratio} options={RATIOS.map((id) => ({ id, name: RATIO_NAMES[id] }))} onCommit={(ratio) => change('picture', { ratio }, 'shape of the crop')} testId="crop-ratio" />
            <div>
              <Button size="small" variant="outlined" onClick={() => change('picture', { crop: { x: 0, y: 0, width: 1, height: 1 } }, 'whole picture')}>Use the whole picture</Button>
            </div>
            <Wide><PicturePick taking={taking} label="Choose another picture" /></Wide>
          </Fields>
        </Part>
      )}
      {piece.picture.lettering === 'yes' && <Note>Lettering: the sheet is printed mirrored so that it reads true on the piece. Turn the specimen with <kbd>M</kbd> to see both.</Note>}
      <MissingList station="picture" />
      <Cautions ids={['picture-rights']} />
      <NextRow><NextLink station="surface" /></NextRow>
    </StationLayout>
  );
}

function answer(chosen: boolean, picture: StoredPicture | null, verdict: keyof typeof VERDICT_WORDS | null, lettering: string | null): string {
  if (!chosen) return 'Choose the picture you want to move.';
  if (!picture) return 'Reading the picture.';
  if (verdict === 'soft') return 'This picture is too small for this print: it will look soft.';
  if (lettering === null) return 'Say whether this picture has lettering.';
  if (verdict === null) return 'The picture is in. How sharp it prints follows from the blank’s size.';
  return verdict === 'acceptable' ? 'The picture will do: its pixels just carry this print.' : 'The picture carries this print.';
}
