import type { Job } from '@/core/stations';
import { ChoiceField, Note } from '@/ui';
import { say } from '@/words/say';

const ANSWERS = [
  { id: 'yes', name: say`It has lettering, or will have` },
  { id: 'no', name: say`None` },
] as const;

/** About the photo and about what will be added: asked at Picture, and at Sheet before a page is made. */
export function LetteringQuestion({
  value,
  looksLettered = false,
  onCommit,
}: {
  value: Job['picture']['lettering'];
  /** What is guessed from its pixels; undefined where nothing was. */
  looksLettered?: boolean | undefined;
  onCommit: (lettering: 'yes' | 'no') => void;
}) {
  return (
    <>
      <ChoiceField
        label={say`Is there lettering on it, or will you add any? Names, dates, numbers: what must not read backwards`}
        value={value}
        options={ANSWERS}
        onCommit={onCommit}
      />
      {looksLettered && <Note>{say`It looks as if there is something to read on it.`}</Note>}
    </>
  );
}
