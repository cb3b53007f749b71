'use client';
import { formatSpans, parseSpans, type DaySpan } from '@/core/measure';
import { TypedField } from '@/ui';

/** Stretches of a day, typed as "18-21" or "9:30–12, 14–17". Empty is none. */
export function SpansField({ label, spans, onCommit, onRemove, single = false, testId }: { label: string; spans: readonly DaySpan[]; onCommit: (spans: DaySpan[]) => void; onRemove?: () => void; single?: boolean; testId?: string }) {
  return (
    <div style={{ display: 'flex', gap: 8, alignItems: 'end' }}>
      <TypedField<readonly DaySpan[]> label={label} value={spans.length ? spans : null} clearable computed="not free" parse={(text) => parseSpans(text, single)} format={formatSpans} onCommit={(value) => onCommit([...(value ?? [])])} testId={testId} />
      {onRemove && <button type="button" className="plain" onClick={onRemove}>as usual</button>}
    </div>
  );
}
