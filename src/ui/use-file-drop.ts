'use client';
import { useState, type DragEvent } from 'react';

/** A frame that takes one dropped file of any kind: what it is, its content says, not its name. */
export function useFileDrop(onFile: (file: File) => void) {
  const [over, setOver] = useState(false);
  const isFile = (event: DragEvent) => event.dataTransfer.types.includes('Files');
  const hold = (event: DragEvent) => {
    if (!isFile(event)) return;
    // Without this the browser would open the file in place of the page.
    event.preventDefault();
    event.dataTransfer.dropEffect = 'copy';
    setOver(true);
  };
  const frame = {
    onDragEnter: hold,
    onDragOver: hold,
    onDragLeave: ({ currentTarget, relatedTarget }: DragEvent) => {
      if (!currentTarget.contains(relatedTarget as Node | null)) setOver(false);
    },
    onDrop: (event: DragEvent) => {
      if (!isFile(event)) return;
      event.preventDefault();
      setOver(false);
      const file = event.dataTransfer.files.item(0);
      if (file) onFile(file);
    },
  };
  return { frame, over };
}
