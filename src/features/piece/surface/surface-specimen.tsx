'use client';
import { Button } from '@mui/material';
import { useState } from 'react';
import { stageOptics } from '@/core/render';
import { useUnits } from '@/ui';
import { SHAPE_WORDS, SURFACE_WORDS, remarks } from '@/words';
import { say } from '@/words/say';
import { LandingDrawing } from '../drawings/landing';
import { useOpenPiece } from '../piece-context';
import { ClearOverlay } from './clear-overlay';
import { ShapeHandles } from './shape-handles';

/** The bare blank with the handles of its shape; the picture on it at a press. */
export function SurfaceSpecimen() {
  const { piece, plan } = useOpenPiece();
  const units = useUnits();
  const [withPicture, setWithPicture] = useState(false);
  const { record, blank, print } = plan.surface;
  return (
    <LandingDrawing
      optics={withPicture && print ? stageOptics(plan.method.sheen) : null}
      grips
      overlay={({ pxPerMm }) => (
        <>
          <ShapeHandles pxPerMm={pxPerMm} />
          {withPicture && <ClearOverlay pxPerMm={pxPerMm} />}
        </>
      )}
      caption={
        record
          ? `${remarks(
              SURFACE_WORDS[record.id].shortName,
              blank && units.size(blank.widthMm, blank.heightMm),
              blank && SHAPE_WORDS[piece.surface.shape.kind].laidFlat,
              !withPicture && say`before the print`,
            )}.`
          : say`The bare object.`
      }
      actions={
        print && (
          <Button
            size="small"
            variant="text"
            aria-pressed={withPicture}
            onClick={() => setWithPicture(!withPicture)}
            data-testid="with-picture"
          >
            {withPicture ? say`Bare` : say`With the picture`}
          </Button>
        )
      }
    />
  );
}
