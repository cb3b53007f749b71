'use client';
import { DISAGREEMENTS, type Disagreement } from '@/core/craft';
import { Fold, Part } from '@/ui';
import { useOpenPiece } from './piece-context';
import css from './piece-page.module.css';
import { DISAGREEMENT_WORDS, counted } from '@/words';
import { say } from '@/words/say';

/** Where schools disagree on what is decided here: both sides, and what Fobbet takes. */
export function DisagreementNotes({ at }: { at: Disagreement['at'] }) {
  const { plan } = useOpenPiece();
  const {
    method: { binder },
  } = plan;
  const found = binder
    ? DISAGREEMENTS.filter((disagreement) => disagreement.at === at && disagreement.applies(binder))
    : [];
  if (found.length === 0) return null;
  return (
    <Part title={say`Where makers disagree`} folded={counted(found.length, 'question', 'questions')}>
      {found.map(({ id }) => (
        <div key={id} className={css.disagreement} data-disagreement={id}>
          <Fold summary={DISAGREEMENT_WORDS[id].question}>
            <p>{DISAGREEMENT_WORDS[id].oneSide}</p>
            <p>{DISAGREEMENT_WORDS[id].otherSide}</p>
            <p>
              <b>{say`Taken here:`}</b> {DISAGREEMENT_WORDS[id].taken}
            </p>
          </Fold>
        </div>
      ))}
    </Part>
  );
}
