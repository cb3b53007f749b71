'use client';
import { FormControl, FormHelperText, Input, InputLabel, type InputProps } from '@mui/material';
import { useId } from 'react';

/**
 * One line of text with its label and what is said of it. Leaner than the library's own text field, which brings the
 * select and its menu.
 */
export function LineField({
  label,
  problem = null,
  hint,
  testId,
  mostCharacters,
  needed = false,
  ...input
}: Pick<InputProps, 'value' | 'placeholder' | 'onChange' | 'onBlur' | 'onKeyDown' | 'inputRef' | 'type'> & {
  label: string;
  problem?: string | null;
  hint?: string | undefined;
  testId?: string | undefined;
  mostCharacters?: number;
  /** Still to be filled in: Enter in the field before goes here. */
  needed?: boolean;
}) {
  const id = useId();
  const said = problem ?? hint;
  return (
    <FormControl variant="standard" size="small" fullWidth error={problem !== null}>
      <InputLabel htmlFor={id} shrink>
        {label}
      </InputLabel>
      <Input
        {...input}
        id={id}
        aria-describedby={said === undefined ? undefined : `${id}-said`}
        slotProps={{
          input: {
            'data-testid': testId,
            'data-needed': needed || undefined,
            maxLength: mostCharacters,
            autoComplete: 'off',
            spellCheck: false,
          } as object,
        }}
      />
      {said !== undefined && <FormHelperText id={`${id}-said`}>{said}</FormHelperText>}
    </FormControl>
  );
}
