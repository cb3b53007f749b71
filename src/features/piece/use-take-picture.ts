'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { StoredPicture } from '@/records';
import { storedFrom, useNotice, useReport } from '@/features/shell';
import { REMARK_WORDS } from '@/words';
import { inspectPicture } from '@/workers/picture/client';
import type { Running } from '@/workers/running';

export interface PictureTaking {
  /** A bitmap of the picture being read, to be shown meanwhile. */
  first: ImageBitmap | null;
  busy: boolean;
  take: (file: File) => void;
  cancel: () => void;
}

/** Reads a picture file in a worker and hands it on, or says why it can't. Nothing is changed until it is whole. */
export function useTakePicture(onTaken: (picture: StoredPicture) => void): PictureTaking {
  const report = useReport();
  const notice = useNotice();
  const [first, setFirst] = useState<ImageBitmap | null>(null);
  const [busy, setBusy] = useState(false);
  const running = useRef<Running<unknown> | null>(null);

  const finish = useCallback(() => {
    setBusy(false);
    setFirst((bitmap) => {
      bitmap?.close();
      return null;
    });
  }, []);
  useEffect(() => () => running.current?.cancel(), []);

  const take = useCallback(
    (file: File) => {
      running.current?.cancel();
      setBusy(true);
      const job = inspectPicture(file, (bitmap) => setFirst(bitmap));
      running.current = job;
      void job.done.then((result) => {
        if (running.current !== job) return;
        finish();
        if (result === null) return;
        report(result);
        if (!result.ok) return;
        for (const remark of result.value.remarks) notice({ text: REMARK_WORDS[remark] });
        onTaken(storedFrom(result.value, { name: file.name, bytes: result.value.file.size }));
      });
    },
    [finish, report, notice, onTaken],
  );

  const cancel = useCallback(() => {
    running.current?.cancel();
    finish();
  }, [finish]);
  return { first, busy, take, cancel };
}
