'use client';
import { Button, IconButton } from '@mui/material';
import { RotateCcw, RotateCw } from 'lucide-react';
import { FULL_CROP, MOST_STRAIGHTEN_DEG, RATIOS, type CropRatio } from '@/core/picture';
import { letteringOf } from '@/core/stations';
import { Fields, FigureField, NextRow, Part, SelectField, Wide } from '@/ui';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import type { PictureTaking } from '../use-take-picture';
import { LetteringQuestion } from './lettering-question';
import { PicturePick } from './picture-pick';

const RATIO_NAMES: Readonly<Record<CropRatio, string>> = {
  blank: say`As the object`,
  free: say`Free`,
  '1:1': say`Square 1:1`,
  '5:4': '5:4',
  '4:5': '4:5',
  '3:2': '3:2',
  '2:3': '2:3',
  '16:9': '16:9',
};

/** What is printed of the picture, and which way up. */
export function PictureFields({ taking }: { taking: PictureTaking }) {
  const { piece, change } = useOpenPiece();
  const { pictureId, ratio, straightenDeg } = piece.picture;
  const lettering = letteringOf(piece);
  if (pictureId === null) return null;
  return (
    <Part title={say`Change`}>
      <Fields>
        {lettering !== null && (
          <Wide>
            <LetteringQuestion
              value={lettering}
              onCommit={(answer) => change('picture', { lettering: answer }, say`lettering`)}
            />
          </Wide>
        )}
        <SelectField
          label={say`Shape of the crop`}
          value={ratio}
          options={RATIOS.map((id) => ({ id, name: RATIO_NAMES[id] }))}
          onCommit={(shape) => change('picture', { ratio: shape }, say`shape of the crop`)}
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
          <Turns taking={taking} />
        </Wide>
      </Fields>
    </Part>
  );
}

/** Quarter turns, the whole of the picture again, and another one. */
function Turns({ taking }: { taking: PictureTaking }) {
  const { piece, change } = useOpenPiece();
  const turn = (by: 1 | 3) =>
    change('picture', { turns: (piece.picture.turns + by) % 4, crop: FULL_CROP }, say`quarter turn`);
  return (
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
  );
}
