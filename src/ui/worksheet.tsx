import { CircleAlert, Hand } from 'lucide-react';
import type { ReactNode } from 'react';
import { CAUTION_LEVELS, type CautionId } from '@/core/craft';
import { CAUTION_TEXTS } from '@/words';
import css from './worksheet.module.css';

/** The worksheet of a station: its answer, because, change, cautions, next, in this order. */
export const Worksheet = ({ children }: { children: ReactNode }) => <div className={css.sheet}>{children}</div>;

export const Answer = ({ children, stop = false }: { children: ReactNode; stop?: boolean }) => (
  <h2 className={css.answer} data-tone={stop ? 'stop' : undefined} data-testid="answer">
    {children}
  </h2>
);

export function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className={css.part}>
      <h3>{title}</h3>
      {children}
    </section>
  );
}

export interface ReasonLine {
  figure: string;
  text: ReactNode;
  overruled?: boolean;
}

/** The figures an answer rests on. One that the crafter overruled is underlined with dots and says so. */
export function Because({ reasons, title = 'Because' }: { reasons: readonly ReasonLine[]; title?: string }) {
  if (reasons.length === 0) return null;
  return (
    <Part title={title}>
      <ul className={css.reasons}>
        {reasons.map(({ figure, text, overruled }, index) => (
          <li key={index} className={css.reason}>
            <span className={css.figure}>
              <span className={overruled ? css.overruled : undefined}>{figure}</span>
            </span>
            <span>
              {text}
              {overruled ? ' (your figure)' : ''}
            </span>
          </li>
        ))}
      </ul>
    </Part>
  );
}

export function Cautions({ ids }: { ids: readonly CautionId[] }) {
  if (ids.length === 0) return null;
  const minded = [...new Set(ids)]
    .map((id) => ({ id, level: CAUTION_LEVELS[id] }))
    .sort((a, b) => Number(b.level === 'danger') - Number(a.level === 'danger'));
  return (
    <Part title="Mind">
      <ul className={css.cautions}>
        {minded.map(({ id, level }) => (
          <li key={id} className={css.caution} data-level={level}>
            {level === 'danger' ? (
              <CircleAlert size={17} aria-label="Can hurt you:" />
            ) : (
              <Hand size={17} aria-label="Can spoil the piece:" />
            )}
            <span>{CAUTION_TEXTS[id]}</span>
          </li>
        ))}
      </ul>
    </Part>
  );
}

export const Fields = ({ children }: { children: ReactNode }) => <div className={css.fields}>{children}</div>;
export const Wide = ({ children }: { children: ReactNode }) => <div className={css.wide}>{children}</div>;
export const Note = ({ children, apart = false }: { children: ReactNode; apart?: boolean }) => (
  <p className={css.note} data-apart={apart}>
    {children}
  </p>
);
export const Steps = ({ children }: { children: ReactNode }) => <ol className={css.steps}>{children}</ol>;
export const NextRow = ({ children, apart = false }: { children: ReactNode; apart?: boolean }) => (
  <div className={css.next} data-apart={apart}>
    {children}
  </div>
);
/** A mark beside its words. */
export const Marked = ({ children }: { children: ReactNode }) => <span className={css.marked}>{children}</span>;
