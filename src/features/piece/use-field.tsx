import { USES } from '@/core/craft';
import { SelectField } from '@/ui';
import { USE_NAMES } from '@/words';
import { useOpenPiece } from './piece-context';

const OPTIONS = USES.map((id) => ({ id, name: USE_NAMES[id] }));
const ELSEWHERE = {
  method: 'The same field stands at Seal.',
  seal: 'As said at Method; changed here, it changes there.',
};

/** What the piece is for decides over the method and over the sealer: one field, shown at both. */
export function UseField({ at, testId }: { at: keyof typeof ELSEWHERE; testId: string }) {
  const { piece, change } = useOpenPiece();
  return (
    <SelectField
      label="What the piece is for"
      value={piece.seal.use}
      options={OPTIONS}
      onCommit={(use) => change('seal', { use, sealer: null }, 'use')}
      hint={ELSEWHERE[at]}
      testId={testId}
    />
  );
}
