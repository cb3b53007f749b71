import { ButtonBase } from '@mui/material';
import type { ReactNode } from 'react';

/** A quiet way back or aside: looks like a link, and is a button. */
export function TextButton({
  onClick,
  children,
  testId,
}: {
  onClick: () => void;
  children: ReactNode;
  testId?: string | undefined;
}) {
  return (
    <ButtonBase className="plain" onClick={onClick} data-testid={testId}>
      {children}
    </ButtonBase>
  );
}
