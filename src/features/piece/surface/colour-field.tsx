'use client';
import { useId, useState } from 'react';

/** A colour picked from the system's own picker, committed when it is left. */
export function ColourField({ label, value, onCommit }: { label: string; value: string; onCommit: (value: string) => void }) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const commit = () => { if (draft && draft !== value) onCommit(draft); setDraft(null); };
  return (
    <div>
      <label htmlFor={id} style={{ display: 'block', fontSize: 12, color: 'var(--muted)', marginBottom: 4 }}>{label}</label>
      <input id={id} type="color" value={draft ?? value} onChange={(event) => setDraft(event.target.value)} onBlur={commit} style={{ width: '100%', height: 30, border: '1px solid var(--rule)', background: 'none', padding: 2 }} />
    </div>
  );
}
