'use client';
import { ImageDown } from 'lucide-react';
import { useEffect, useState } from 'react';
import { droppedFiles } from './dropped-files';
import css from './intake.module.css';
import { currentTaker } from './taker';
import { useBeginWith } from './use-begin-with';
import { say } from '@/words/say';

const brings = (data: DataTransfer | null): boolean => data?.types.includes('Files') ?? false;

/** Takes pictures dropped or pasted anywhere in the window, and says before what becomes of them. */
export function IntakeZone() {
  const begin = useBeginWith();
  const [over, setOver] = useState<string | null>(null);
  useEffect(() => {
    let depth = 0;
    const give = (files: readonly File[]) => {
      const taker = currentTaker();
      const [first] = files;
      if (!first) return;
      if (taker && files.length === 1) taker.take(first);
      else void begin(files);
    };
    const enter = ({ dataTransfer }: DragEvent) => {
      if (!brings(dataTransfer)) return;
      depth++;
      setOver(currentTaker()?.what ?? say`a new piece begins with it`);
    };
    const leave = ({ dataTransfer }: DragEvent) => {
      if (brings(dataTransfer) && --depth <= 0) setOver(null);
    };
    const hold = (event: DragEvent) => {
      if (!brings(event.dataTransfer) || event.defaultPrevented) return;
      // Without this the browser would open the file in place of the page.
      event.preventDefault();
      event.dataTransfer!.dropEffect = 'copy';
    };
    const drop = (event: DragEvent) => {
      depth = 0;
      setOver(null);
      if (!event.dataTransfer || !brings(event.dataTransfer) || event.defaultPrevented) return;
      event.preventDefault();
      void droppedFiles(event.dataTransfer).then(give);
    };
    const paste = (event: ClipboardEvent) => {
      const files = [...(event.clipboardData?.files ?? [])];
      if (files.length === 0) return;
      event.preventDefault();
      give(
        files.map((file) => (file.name === 'image.png' ? new File([file], 'Pasted.png', { type: file.type }) : file)),
      );
    };
    window.addEventListener('dragenter', enter);
    window.addEventListener('dragleave', leave);
    window.addEventListener('dragover', hold);
    window.addEventListener('drop', drop);
    window.addEventListener('paste', paste);
    return () => {
      window.removeEventListener('dragenter', enter);
      window.removeEventListener('dragleave', leave);
      window.removeEventListener('dragover', hold);
      window.removeEventListener('drop', drop);
      window.removeEventListener('paste', paste);
    };
  }, [begin]);
  if (over === null) return null;
  return (
    <div className={css.over} data-testid="drop-anywhere">
      <p>
        <ImageDown size={34} strokeWidth={1.4} aria-hidden /> {say`Drop it: ${over}`}
      </p>
    </div>
  );
}
