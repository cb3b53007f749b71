'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback, useState } from 'react';
import { useNotice, useReport } from '@/features/shell';
import { canHandOver, handOver, saveFile } from '@/features/sheets/save-file';
import { changeCopies, changesOf, copiesOf, database } from '@/storage';
import { copyName, writeInto } from './folder';
import { say } from '@/words/say';

export type CopyTarget = 'file' | 'folder' | 'hand-over';

/** Makes copies of everything, one at a time, and says what came of it. */
export function useCopies() {
  const copies = useLiveQuery(() => copiesOf(database()));
  const [progress, setProgress] = useState<number | null>(null);
  const notice = useNotice();
  const report = useReport();

  const make = useCallback(
    async (target: CopyTarget): Promise<boolean> => {
      setProgress(0);
      // By the machine's own clock: the program's can be set ahead.
      const now = Date.now();
      const { writeBackup } = await import('@/storage/backup');
      const { all: changes } = await changesOf(database());
      const write = async (out: WritableStream<Uint8Array>) => {
        const written = await writeBackup(database(), out, { now, onProgress: setProgress });
        if (!report(written) || !written.ok) return false;
        const { missing } = written.value;
        if (missing.length > 0)
          notice({
            text:
              missing.length === 1
                ? say`The files of “${missing[0]}” can’t be found in this browser: the copy is without.`
                : say`The files of ${missing.length} pictures can’t be found in this browser: the copy is without.`,
            tone: 'error',
          });
        return true;
      };
      try {
        if (!(await send(target, now, write))) return false;
        report(await changeCopies(database(), { madeAt: now, changes }));
        return true;
      } catch (error) {
        notice({
          text: say`The copy could not be written (${error instanceof Error ? error.message : String(error)}).
            Choose another place for it.`,
          tone: 'error',
        });
        return false;
      } finally {
        setProgress(null);
      }
    },
    [notice, report],
  );
  return { copies, progress, make };
}

async function send(
  target: CopyTarget,
  now: number,
  write: (out: WritableStream<Uint8Array>) => Promise<boolean>,
): Promise<boolean> {
  const { folder } = await copiesOf(database());
  if (target === 'folder') return folder !== null && writeInto(folder, now, write);
  // Through a response: what a picture adds goes to the browser's own store of files, not into memory.
  const { readable, writable } = new TransformStream<Uint8Array, Uint8Array>();
  const collected = new Response(readable, { headers: { 'content-type': 'application/zip' } }).blob().catch(() => null);
  if (!(await write(writable))) return false;
  const blob = await collected;
  if (!blob) throw new Error('no room for the file');
  if (target === 'hand-over' && canHandOver()) return handOver(blob, copyName(now));
  saveFile(blob, copyName(now));
  return true;
}
