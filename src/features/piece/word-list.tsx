import type { StationId } from '@/core/stations';
import { GLOSSARY } from '@/words/help';
import css from './piece-page.module.css';

export const WordList = ({ station }: { station: StationId }) => (
  <dl className={css.words}>
    {GLOSSARY.filter(({ at }) => at.includes(station)).map(({ word, meaning }) => (
      <div key={word}>
        <dt>{word}</dt>
        <dd>{meaning}</dd>
      </div>
    ))}
  </dl>
);
