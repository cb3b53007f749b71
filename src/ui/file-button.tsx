'use client';
import { Button, type ButtonProps } from '@mui/material';
import { useRef, type ReactNode } from 'react';

/** A button that asks for one file. The same file can be chosen again. */
export function FileButton({
  accept,
  onFile,
  children,
  testId,
  ...button
}: Omit<ButtonProps, 'onClick'> & {
  accept: string;
  onFile: (file: File) => void;
  children: ReactNode;
  testId?: string | undefined;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button {...button} onClick={() => input.current?.click()}>
        {children}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        hidden
        data-testid={testId}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) onFile(file);
          event.target.value = '';
        }}
      />
    </>
  );
}
