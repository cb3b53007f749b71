'use client';
import { DISAGREEMENTS, type Disagreement } from '@/core/craft';
import { Part } from '@/ui';
import { useOpenPiece } from './piece-context';
import css from './piece-page.module.css';

/** Where schools disagree on what is decided here: both sides, and what Fobbet takes. */
export function DisagreementNotes({ at }: { at: Disagreement['at'] }) {
  const { plan } = useOpenPiece();
  const { binder, school } = plan;
  const found = binder && school ? DISAGREEMENTS.filter((one) => one.at === at && one.applies(binder, school)) : [];
  if (found.length === 0) return null;
  return (
    <Part title="Where schools disagree">
      {found.map(({ id, question, one, other, taken }) => (
        <details key={id} className={css.disagreement} data-disagreement={id}>
          <summary>{question}</summary>
          <p>{one}</p><p>{other}</p><p><b>Taken here:</b> {taken.charAt(0).toLowerCase()}{taken.slice(1)}</p>
        </details>
      ))}
    </Part>
  );
}
