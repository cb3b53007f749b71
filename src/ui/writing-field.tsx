'use client';
import { FormControl, Input, InputLabel } from '@mui/material';
import { useId, useState } from 'react';

/** Free writing over several lines, kept on leaving it. */
export function WritingField({
  label,
  shownLabel = true,
  value,
  rows = 1,
  mostCharacters,
  onCommit,
  testId,
}: {
  label: string;
  shownLabel?: boolean;
  value: string;
  rows?: number;
  mostCharacters: number;
  onCommit: (value: string) => void;
  testId: string;
}) {
  const [draft, setDraft] = useState<string | null>(null);
  const id = useId();
  return (
    <FormControl variant="standard" size="small" fullWidth>
      {shownLabel && (
        <InputLabel htmlFor={id} shrink>
          {label}
        </InputLabel>
      )}
      <Input
        id={id}
        multiline
        minRows={rows}
        value={draft ?? value}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={() => {
          if (draft !== null && draft !== value) onCommit(draft);
          setDraft(null);
        }}
        slotProps={{
          input: {
            maxLength: mostCharacters,
            'data-testid': testId,
            ...(shownLabel ? {} : { 'aria-label': label }),
          } as object,
        }}
      />
    </FormControl>
  );
}
