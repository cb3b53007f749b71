'use client';
import { useReport } from '@/features/shell';
import { useVersions } from './use-versions';
import { Note, Part, TextButton, clockTime, useNow } from '@/ui';
import { RECORD_WORDS, changeWords, upperFirst, sentences } from '@/words';
import type { RecordKind } from '@/records';
import css from './kept.module.css';
import { say } from '@/words/say';

const KINDS: readonly RecordKind[] = ['stash', 'agenda', 'room', 'settings'];
const SHOWN = 8;

/** Changes of stash, hours, room and settings, the latest first: each can be taken back. */
export const VersionsPart = () => (
  <Part title={say`Changes that can be taken back`}>
    <Note>
      {sentences(
        say`Pieces have theirs at each station (Ctrl+Z).`,
        say`These are of what stands beside them; going back to one takes back all that came after it.`,
      )}
    </Note>
    {KINDS.map((kind) => (
      <VersionsOf key={kind} kind={kind} />
    ))}
  </Part>
);

function VersionsOf({ kind }: { kind: RecordKind }) {
  const now = useNow();
  const report = useReport();
  const { versions, step } = useVersions(kind);
  if (!versions || (versions.all.length === 0 && !versions.redo)) return null;
  const backTo = async (count: number) => {
    for (const { mark } of versions.all.slice(0, count)) if (!report(await step('undo', mark))) return;
  };
  return (
    <>
      <h4 className={css.kind}>{RECORD_WORDS[kind]}</h4>
      <ul className={css.rows} data-testid={`versions-${kind}`}>
        {versions.redo && (
          <li>
            <b>{upperFirst(changeWords(kind, versions.redo.what))}</b>
            <span>{say`taken back`}</span>
            <TextButton
              onClick={() => void step('redo', versions.redo?.mark ?? 0).then(report)}
            >{say`Do it again`}</TextButton>
          </li>
        )}
        {versions.all.slice(0, SHOWN).map(({ mark, at, what }, index) => (
          <li key={mark}>
            <b>{upperFirst(changeWords(kind, what))}</b>
            <span>{clockTime(at, now)}</span>
            <TextButton onClick={() => void backTo(index + 1)} testId={`take-back-${kind}-${index}`}>
              {index === 0 ? say`Take back` : say`Back to before this`}
            </TextButton>
          </li>
        ))}
      </ul>
    </>
  );
}
