'use client';
import { NativeSelect } from '@mui/material';
import { useState } from 'react';
import { stageOptics, type RenderStage } from '@/core/render';
import { Segments } from '@/ui';
import { say } from '@/words/say';
import { LandingDrawing } from '../drawings/landing';
import { useOpenPiece } from '../piece-context';
import css from './method.module.css';
import { TryOnBoard } from './try-on';

const STAGES: { id: RenderStage; name: string }[] = [
  { id: 'laid', name: say`Just laid` },
  { id: 'pass-1', name: say`After pass 1` },
  { id: 'hazy', name: say`Dry, with haze` },
  { id: 'wet', name: say`Wet` },
  { id: 'matte', name: say`Sealed matte` },
  { id: 'gloss', name: say`Sealed gloss` },
];

/** The piece at a stage of the work, or tried on several surfaces side by side. */
export function MethodSpecimen({ board, onBoard }: { board: boolean; onBoard: (board: boolean) => void }) {
  const { plan, side } = useOpenPiece();
  const { binder } = plan.method;
  const [stage, setStage] = useState<RenderStage>('matte');
  const views = (
    <>
      <label className={css.stage}>
        {say`Shown`}
        <NativeSelect
          value={stage}
          onChange={(event) => setStage(event.target.value as RenderStage)}
          inputProps={{ 'data-testid': 'stage' } as object}
        >
          {STAGES.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </NativeSelect>
      </label>
      <BoardSwitch board={board} onBoard={onBoard} />
    </>
  );
  if (board && side === 'landing') return <TryOnBoard optics={stageOptics(stage)} actions={views} />;
  const ofWhites =
    binder?.base === 'clear' ? say`The surface shows where the picture is white.` : say`White stays white.`;
  return (
    <LandingDrawing
      optics={stageOptics(stage)}
      actions={views}
      caption={binder ? ofWhites : say`Choose a method to see what becomes of the white parts.`}
    />
  );
}

function BoardSwitch({ board, onBoard }: { board: boolean; onBoard: (board: boolean) => void }) {
  const { blank, record } = useOpenPiece().plan.surface;
  return (
    <Segments
      value={board ? 'board' : 'one'}
      aria-label={say`What is shown`}
      options={[
        { id: 'one', name: say`This one` },
        { id: 'board', name: say`Try on`, disabled: !blank || !record, testId: 'try-on-view' },
      ]}
      onCommit={(next) => onBoard(next === 'board')}
    />
  );
}
