import { ButtonBase } from '@mui/material';
import type { ReactNode } from 'react';

/** A quiet way back or aside: looks like a link, and is a button. */
export function TextButton({
  onClick,
  children,
  testId,
  disabled = false,
}: {
  onClick: () => void;
  children: ReactNode;
  testId?: string | undefined;
  disabled?: boolean;
}) {
  return (
    <ButtonBase className="plain" onClick={onClick} disabled={disabled} data-testid={testId}>
      {children}
    </ButtonBase>
  );
}
