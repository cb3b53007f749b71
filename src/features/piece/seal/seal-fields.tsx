'use client';
import { SHEENS } from '@/core/craft';
import { ChoiceField, Fields, FigureField, Note, Part, Wide } from '@/ui';
import { SHEEN_WORDS } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { UseField } from '../use-field';

/** What the sealer follows from: use and sheen; and how many coats. */
export function SealFields() {
  const { piece, plan, change } = useOpenPiece();
  if (plan.surface.record?.laundered)
    return <Note>{say`Cloth is worn and washed: nothing goes over the picture.`}</Note>;
  return (
    <Part title={say`Change`}>
      <Fields>
        <Wide>
          <UseField at="seal" testId="seal-use" />
        </Wide>
        <ChoiceField
          label={say`Sheen`}
          value={plan.method.sheen}
          options={SHEENS.map((id) => ({ id, name: SHEEN_WORDS[id].name }))}
          onCommit={(sheen) => change('seal', { sheen, sealer: null }, say`sheen`)}
        />
        <FigureField
          label={say`Coats`}
          value={piece.seal.coats}
          whole
          min={1}
          max={20}
          computed={`${plan.seal.sealing?.sealer.coats.min ?? ''}`}
          onCommit={(coats) => change('seal', { coats }, say`number of coats`)}
          testId="coats"
        />
      </Fields>
    </Part>
  );
}
