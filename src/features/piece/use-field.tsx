import { USES } from '@/core/craft';
import { SelectField } from '@/ui';
import { USE_NAMES } from '@/words';
import { useOpenPiece } from './piece-context';
import { say } from '@/words/say';

const OPTIONS = USES.map((id) => ({ id, name: USE_NAMES[id] }));
const ELSEWHERE = {
  method: say`The same field stands at Seal.`,
  seal: say`As said at Method; changed here, it changes there.`,
};

/** What the piece is for decides over the method and over the sealer: one field, shown at both. */
export function UseField({ at, testId }: { at: keyof typeof ELSEWHERE; testId: string }) {
  const { piece, plan, change } = useOpenPiece();
  if (plan.surface.record?.laundered) return null;
  return (
    <SelectField
      label={say`What the piece is for`}
      value={piece.seal.use}
      options={OPTIONS}
      onCommit={(use) => change('seal', { use, sealer: null }, say`use`)}
      hint={ELSEWHERE[at]}
      testId={testId}
    />
  );
}
