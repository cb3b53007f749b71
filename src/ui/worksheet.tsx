import { ChevronRight, CircleAlert, Hand } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { CAUTION_LEVELS, type CautionId } from '@/core/craft';
import { CAUTION_TEXTS } from '@/words';
import { Unbroken } from './unbroken';
import { useReading } from './reading-context';
import css from './worksheet.module.css';
import { say } from '@/words/say';

/** The worksheet of a station: its answer, because, change, cautions, next, in this order. */
export const Worksheet = ({ children }: { children: ReactNode }) => <div className={css.sheet}>{children}</div>;

export const Answer = ({ children, stop = false }: { children: ReactNode; stop?: boolean }) => (
  <h2 className={css.answer} data-tone={stop ? 'stop' : undefined} aria-live="polite" data-testid="answer">
    <Unbroken>{children}</Unbroken>
  </h2>
);

/** Which parts the person opened or folded since the program was opened, by name: one folded stays folded elsewhere. */
const turned = new Map<string, boolean>();

/**
 * A part of a worksheet. One with a short answer (`folded`) is folded to it, until it is opened; those of one name are
 * open or folded alike at all stations.
 */
export function Part({
  title,
  folded,
  testId,
  children,
}: {
  title: string;
  folded?: string | null;
  testId?: string;
  children: ReactNode;
}) {
  if (folded === undefined || folded === null)
    return (
      <section className={css.part} data-testid={testId}>
        <h3>{title}</h3>
        {children}
      </section>
    );
  return (
    <Folding title={title} folded={folded} testId={testId}>
      {children}
    </Folding>
  );
}

function Folding({
  title,
  folded,
  testId,
  children,
}: {
  title: string;
  folded: string;
  testId: string | undefined;
  children: ReactNode;
}) {
  const { unfolded } = useReading();
  const [open, setOpen] = useState(turned.get(title) ?? unfolded);
  return (
    <details
      className={css.part}
      open={open}
      data-part={title}
      data-testid={testId}
      onToggle={({ currentTarget }) => {
        if (currentTarget.open === open) return;
        turned.set(title, currentTarget.open);
        setOpen(currentTarget.open);
      }}
    >
      <summary>
        <ChevronRight size={15} aria-hidden />
        <h3>{title}</h3>
        <span className={css.folded}>
          <Unbroken>{folded}</Unbroken>
        </span>
      </summary>
      {open && children}
    </details>
  );
}

/** What a moment doesn't need, within a part: the same fold, for a line or two. */
export const Fold = ({
  summary,
  open,
  onToggle,
  children,
}: {
  summary: ReactNode;
  open?: boolean;
  onToggle?: (open: boolean) => void;
  children: ReactNode;
}) => (
  <details className={css.fold} open={open} onToggle={(event) => onToggle?.(event.currentTarget.open)}>
    <summary>
      <ChevronRight size={15} aria-hidden />
      <span>{summary}</span>
    </summary>
    {children}
  </details>
);

export interface ReasonLine {
  figure: string;
  text: ReactNode;
  overruled?: boolean;
}

/**
 * The figures an answer rests on, folded to the first of them. One that the crafter overruled is underlined with dots
 * and says so.
 */
export function Because({
  reasons,
  title = say`Because`,
  whole = false,
}: {
  reasons: readonly ReasonLine[];
  title?: string;
  /** Not folded: the figures are the answer itself. */
  whole?: boolean;
}) {
  if (reasons.length === 0) return null;
  return (
    <Part title={title} folded={whole ? null : foldedTo(reasons[0]!)}>
      <ul className={css.reasons}>
        {reasons.map(({ figure, text, overruled }, index) => (
          <li key={index} className={css.reason}>
            <span className={css.figure}>
              <span className={overruled ? css.overruled : undefined}>
                <Unbroken>{figure}</Unbroken>
              </span>
            </span>
            <span>
              <Unbroken>{text}</Unbroken>
              {overruled && <> {say`(your figure)`}</>}
            </span>
          </li>
        ))}
      </ul>
    </Part>
  );
}

/** Figures that only the reckoning needs: factors, points, films. */
const OF_THE_RECKONING = /^[×+−≥]|µm|kPa|\d ppi/;

/** The first reason, on the line of what is folded. */
const foldedTo = ({ figure, text }: ReasonLine): string => {
  if (typeof text !== 'string' || text === '') return figure;
  return OF_THE_RECKONING.test(figure) ? text : `${figure} ${text}`;
};

export function Cautions({ ids }: { ids: readonly CautionId[] }) {
  if (ids.length === 0) return null;
  const minded = [...new Set(ids)]
    .map((id) => ({ id, level: CAUTION_LEVELS[id] }))
    .sort((a, b) => Number(b.level === 'danger') - Number(a.level === 'danger'));
  return (
    <Part title={say`Mind`}>
      <ul className={css.cautions}>
        {minded.map(({ id, level }) => (
          <li key={id} className={css.caution} data-level={level}>
            {level === 'danger' ? (
              <CircleAlert size={17} aria-label={say`Can hurt you:`} />
            ) : (
              <Hand size={17} aria-label={say`Can spoil the piece:`} />
            )}
            <span>
              <Unbroken>{CAUTION_TEXTS[id]}</Unbroken>
            </span>
          </li>
        ))}
      </ul>
    </Part>
  );
}

/** Fields side by side. Enter in one goes on to the next that is still to be filled in. */
export const Fields = ({ children }: { children: ReactNode }) => (
  <div
    className={css.fields}
    onKeyDown={({ key, target, currentTarget }) => {
      if (key !== 'Enter' || !(target instanceof HTMLInputElement)) return;
      const inputs = [...currentTarget.querySelectorAll('input')];
      inputs
        .slice(inputs.indexOf(target) + 1)
        .find((input) => 'needed' in input.dataset)
        ?.focus();
    }}
  >
    {children}
  </div>
);
export const Wide = ({ children }: { children: ReactNode }) => <div className={css.wide}>{children}</div>;
export const Note = ({ children, apart = false }: { children: ReactNode; apart?: boolean }) => (
  <p className={css.note} data-apart={apart}>
    <Unbroken>{children}</Unbroken>
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
