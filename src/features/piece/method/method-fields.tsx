'use client';
import { PRINTS } from '@/core/craft';
import type { LookWanted } from '@/core/method';
import { ChoiceField, Fields, Part, SelectField, Wide } from '@/ui';
import { PRINT_WORDS } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { UseField } from '../use-field';

const WHITES = [
  { id: 'either', name: say`Either` },
  { id: 'surface-shows', name: say`Surface shows` },
  { id: 'stay-white', name: say`Stay white` },
] as const;
const LOOKS: { id: LookWanted; name: string }[] = [
  { id: 'any', name: say`Any` },
  { id: 'crisp', name: say`Crisp` },
  { id: 'soft', name: say`Soft` },
  { id: 'distressed', name: say`Worn` },
];

/** What the ranking goes by: the print, what becomes of the whites, the look, and what the piece is for. */
export function MethodFields() {
  const { piece, plan, change } = useOpenPiece();
  const { method } = piece;
  return (
    <Part title={say`Change`}>
      <Fields>
        <Wide>
          <SelectField
            label={say`What the print is made with`}
            value={plan.method.printKind.id}
            options={PRINTS.map(({ id }) => ({ id, name: PRINT_WORDS[id].name }))}
            onCommit={(print) => change('method', { print }, say`kind of print`)}
            testId="print-kind"
          />
        </Wide>
        <Wide>
          <ChoiceField
            label={say`White parts of the picture`}
            value={method.whites}
            options={WHITES}
            onCommit={(whites) => change('method', { whites }, say`white parts`)}
          />
        </Wide>
        <ChoiceField
          label={say`Look wanted`}
          value={method.look}
          options={LOOKS}
          onCommit={(look) => change('method', { look }, say`look wanted`)}
        />
        <UseField at="method" testId="use" />
      </Fields>
    </Part>
  );
}
