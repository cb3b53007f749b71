'use client';
import { Checkbox, FormControlLabel } from '@mui/material';
import type { ReactNode } from 'react';
import { Unbroken } from './unbroken';
import css from './fields.module.css';

/** A row that is ticked off, with its own words beside. */
export function TickRow({
  checked,
  onToggle,
  children,
  disabled,
}: {
  checked: boolean;
  onToggle: () => void;
  children: ReactNode;
  disabled?: boolean;
}) {
  return (
    <FormControlLabel
      className={css.tick ?? ''}
      data-checked={checked}
      disableTypography
      control={<Checkbox size="small" checked={checked} onChange={onToggle} disabled={disabled ?? false} />}
      label={
        <span>
          <Unbroken>{children}</Unbroken>
        </span>
      }
    />
  );
}
