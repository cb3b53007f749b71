'use client';
import { Button, type ButtonProps } from '@mui/material';
import { useRef, type ReactNode } from 'react';

type Takes =
  | { onFile: (file: File) => void; onFiles?: undefined; folder?: undefined }
  /** Several at once, or all of a folder. */
  | { onFiles: (files: File[]) => void; onFile?: undefined; folder?: boolean };

/** A button that asks for a file, or for several. The same file can be chosen again. */
export function FileButton({
  accept,
  onFile,
  onFiles,
  folder = false,
  children,
  testId,
  camera = false,
  ...button
}: Omit<ButtonProps, 'onClick'> &
  Takes & {
    accept?: string;
    children: ReactNode;
    testId?: string | undefined;
    /** Opens the camera at once; offered where a finger points. */
    camera?: boolean;
  }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button {...button} {...(camera ? { className: 'coarse' } : {})} onClick={() => input.current?.click()}>
        {children}
      </Button>
      <input
        ref={(element) => {
          input.current = element;
          if (folder) element?.setAttribute('webkitdirectory', '');
        }}
        type="file"
        accept={accept}
        capture={camera ? 'environment' : undefined}
        hidden
        multiple={onFiles !== undefined}
        data-testid={testId}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])].filter(({ name }) => !name.startsWith('.'));
          event.target.value = '';
          const [first] = files;
          if (!first) return;
          if (onFiles) onFiles(files);
          else onFile(first);
        }}
      />
    </>
  );
}
