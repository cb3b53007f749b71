'use client';
import { parseSpans, type DaySpan } from '@/core/measure';
import { TypedField, TextButton, formatHours } from '@/ui';
import css from './ahead.module.css';
import { say } from '@/words/say';

/** Stretches of a day, typed as "18-21" or "9:30–12, 14–17". Empty is none. */
export function SpansField({
  label,
  spans,
  onCommit,
  onRemove,
  single = false,
  testId,
}: {
  label: string;
  spans: readonly DaySpan[];
  /** Resolves to whether they were kept. */
  onCommit: (spans: DaySpan[]) => Promise<boolean>;
  onRemove?: () => void;
  single?: boolean;
  testId?: string;
}) {
  return (
    <div className={css.spans}>
      <TypedField<readonly DaySpan[]>
        label={label}
        value={spans.length ? spans : null}
        clearable
        computed={say`not free`}
        parse={(text) => parseSpans(text, single)}
        format={formatHours}
        onCommit={(value) => onCommit([...(value ?? [])])}
        testId={testId}
      />
      {onRemove && <TextButton onClick={onRemove}>{say`as usual`}</TextButton>}
    </div>
  );
}
