'use client';
import { useState } from 'react';
import { PICTURE_ACCEPT } from '@/core/picture';
import { FileButton } from '@/ui';
import { useBeginWith } from './use-begin-with';
import { say } from '@/words/say';

/** A new piece from its picture, in one go. */
export function BeginButton({ label, size = 'medium' }: { label: string; size?: 'medium' | 'large' }) {
  const begin = useBeginWith();
  const [busy, setBusy] = useState(false);
  return (
    <FileButton
      accept={PICTURE_ACCEPT}
      variant="contained"
      size={size}
      disabled={busy}
      testId="begin-with"
      onFile={(file) => {
        setBusy(true);
        void begin([file]).finally(() => setBusy(false));
      }}
    >
      {busy ? say`Reading the picture …` : label}
    </FileButton>
  );
}
