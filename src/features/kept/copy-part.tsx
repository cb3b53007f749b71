'use client';
import { Button, LinearProgress } from '@mui/material';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { useReport } from '@/features/shell';
import { canHandOver } from '@/features/sheets/save-file';
import { changeCopies, database, type CopiesRecord } from '@/storage';
import { FileButton, Note, Part, TextButton, useFileDrop } from '@/ui';
import { askToWrite, canChooseFolder, chooseFolder } from './folder';
import type { useCopies } from './use-copies';
import css from './kept.module.css';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';
import { sentences } from '@/words';

const RestoreDialog = dynamic(() => import('./restore-dialog').then((file) => file.RestoreDialog), { ssr: false });

/** A copy of everything out, and one in. */
export function CopyPart({ copying, copies }: { copying: ReturnType<typeof useCopies>; copies: CopiesRecord }) {
  const { progress, make } = copying;
  const [file, setFile] = useState<File | null>(null);
  const report = useReport();
  const drop = useFileDrop(setFile);
  const busy = progress !== null;
  const setFolder = async () => {
    const folder = await chooseFolder();
    if (folder && report(await changeCopies(database(), { folder }))) await make('folder');
  };
  const choose = () => void setFolder();
  const stop = () => void changeCopies(database(), { folder: null }).then(report);
  const copyIntoFolder = async () => {
    if (copies.folder && (await askToWrite(copies.folder))) await make('folder');
  };
  return (
    <Part title={say`A copy of everything`}>
      <div className={css.tools} {...drop.frame} data-over={drop.over}>
        <Button
          variant="contained"
          disabled={busy}
          onClick={() => void make('file')}
          data-testid="copy-out"
        >{say`Save a copy`}</Button>
        {canHandOver() && (
          <Button
            variant="outlined"
            disabled={busy}
            onClick={() => void make('hand-over')}
          >{say`Hand it over …`}</Button>
        )}
        <FileButton
          variant="outlined"
          accept=".zip,application/zip"
          disabled={busy}
          onFile={setFile}
          testId="copy-in"
        >{say`Take a copy in`}</FileButton>
      </div>
      {busy && (
        <div className={css.progress}>
          <LinearProgress variant="determinate" value={progress * 100} aria-label={say`Copy being written`} />
          <span>{Math.round(progress * 100)} %</span>
        </div>
      )}
      <Note>
        {sentences(
          say`One file with all pieces, pictures, undo steps, the stash, hours and settings.`,
          say`Taken in elsewhere it joins what is there: what changed in both places is asked about, and nothing is lost.`,
        )}
      </Note>
      {copies.folder ? (
        <p
          className={css.line}
        >{sayWith`Copies go to the folder “${copies.folder.name}” by themselves; the last five are kept.
          ${(<TextButton onClick={() => void copyIntoFolder()}>{say`Copy now`}</TextButton>)}
          ${(<TextButton onClick={stop}>{say`Stop it`}</TextButton>)}`}</p>
      ) : (
        canChooseFolder() && (
          <p
            className={css.line}
          >{sayWith`${(<TextButton onClick={choose} testId="copy-folder">{say`Choose a folder`}</TextButton>)} that
            copies go to by themselves, such as one on another disk.`}</p>
        )
      )}
      {file && <RestoreDialog file={file} onClose={() => setFile(null)} />}
    </Part>
  );
}
