'use client';
import { FormControl, FormHelperText, InputLabel, NativeSelect } from '@mui/material';
import { useId } from 'react';
import type { Option } from './option';

/**
 * One of several, by the machine's own list: it fits a phone, and weighs nothing on the page. `empty` stands while none
 * is chosen.
 */
export function SelectField<V extends string>({
  label,
  value,
  options,
  onCommit,
  empty,
  hint,
  testId,
}: {
  label: string;
  value: V | null;
  options: readonly Option<V>[];
  onCommit: (value: V) => void;
  empty?: string;
  hint?: string;
  testId?: string | undefined;
}) {
  const id = useId();
  return (
    <FormControl variant="standard" size="small" fullWidth>
      <InputLabel htmlFor={id} shrink>
        {label}
      </InputLabel>
      <NativeSelect
        value={value ?? ''}
        onChange={(event) => onCommit(event.target.value as V)}
        inputProps={{ id, 'data-testid': testId, ...(hint ? { 'aria-describedby': `${id}-said` } : {}) } as object}
      >
        {value === null && (
          <option value="" disabled>
            {empty ?? ''}
          </option>
        )}
        {options.map((option) => (
          <option key={option.id} value={option.id} disabled={option.disabled}>
            {option.name}
          </option>
        ))}
      </NativeSelect>
      {hint && <FormHelperText id={`${id}-said`}>{hint}</FormHelperText>}
    </FormControl>
  );
}
