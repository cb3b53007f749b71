'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { PICTURE_ACCEPT } from '@/core/picture';
import { newId, storedFrom, useNotice, useReport } from '@/features/shell';
import { setPath } from '@/features/shell/places';
import {
  changedBy,
  numberedName,
  ownLetteringOf,
  pieceLike,
  withOwnLettering,
  type Piece,
  type StoredPicture,
} from '@/records';
import { addPieces, database, removePiece, savePiece, type SetTable } from '@/storage';
import { FigureField, FileButton, LineField, Note, TickRow, useClock, useUnits } from '@/ui';
import { counted, sentenceFor } from '@/words';
import { inspectPicture } from '@/workers/picture/client';
import css from './piece-head.module.css';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

/** What a table and pictures would make, before anything is made. */
interface Read extends SetTable {
  pictures: ReadonlyMap<string, StoredPicture>;
}

const MOST_ALIKE = 60;

/** Pieces like this one that are planned as one, each with the name, lettering and picture that a table gives it. */
export function SetDialog({ piece, onClose }: { piece: Piece; onClose: () => void }) {
  const [read, setRead] = useState<Read | null>(null);
  const [busy, setBusy] = useState(false);
  const [name, setName] = useState(piece.name);
  const [alike, setAlike] = useState(0);
  // What nothing was done to is the pattern of the set: it would be one too many.
  const [asTemplate, setAsTemplate] = useState(!piece.template && piece.set === null && piece.work.done.length === 0);
  const report = useReport();
  const notice = useNotice();
  const units = useUnits();
  const clock = useClock();
  const router = useRouter();
  const lettered = ownLetteringOf(piece) !== null;
  const count = read?.rows.length ?? alike;

  const take = async (files: File[]) => {
    const table = files.find(({ name }) => /\.csv$/i.test(name));
    if (!table) return notice({ text: say`Choose the table (CSV), and its pictures with it.`, tone: 'error' });
    setBusy(true);
    const { readSetCsv } = await import('@/storage/set-csv');
    const found = readSetCsv(new Uint8Array(await table.arrayBuffer()));
    if (report(found) && found.ok) setRead(await withPictures(found.value, files));
    setBusy(false);
  };

  /** A row whose picture is missing or can't be read stays out. */
  const withPictures = async (table: SetTable, files: readonly File[]): Promise<Read> => {
    const pictures = new Map<string, StoredPicture>();
    const faults = [...table.faults];
    const rows: SetTable['rows'] = [];
    for (const row of table.rows) {
      const file = row.picture === null ? null : files.find(({ name }) => name === row.picture);
      if (file === undefined) {
        faults.push({ line: row.line, reason: say`its picture “${row.picture}” is not among the files` });
        continue;
      }
      if (file && !pictures.has(file.name)) {
        const found = await inspectPicture(file, (preview) => preview.close()).done;
        if (!found?.ok) {
          faults.push({
            line: row.line,
            reason: found ? sentenceFor(found.error, units) : say`its picture was not read`,
          });
          continue;
        }
        pictures.set(file.name, storedFrom(found.value, { name: file.name, bytes: found.value.file.size }));
      }
      rows.push(row);
    }
    return { encoding: table.encoding, rows, faults: faults.sort((a, b) => a.line - b.line), pictures };
  };

  const make = async () => {
    setBusy(true);
    const set = { id: newId(), name: name.trim() || piece.name };
    const rows = read?.rows ?? Array.from({ length: alike }, (_, at) => alikeRow(piece, at + 1));
    const pieces = rows.map((row, at): Piece => {
      const like = pieceLike(piece, { id: newId(), name: row.name, now: clock(), withoutPicture: false });
      const own = row.picture === null ? null : (read?.pictures.get(row.picture)?.id ?? null);
      const lettered = withOwnLettering({ ...like, set: { ...set, at } }, row.text);
      return own === null ? lettered : changedBy(lettered, { picture: { pictureId: own } });
    });
    const added = await addPieces(database(), pieces, [...(read?.pictures.values() ?? [])]);
    if (report(added) && (!asTemplate || report(await keptAsTemplate(true)))) {
      onClose();
      router.push(setPath(set.id));
      notice({
        text: say`${set.name}: ${counted(pieces.length, 'piece', 'pieces')} with one plan.`,
        tone: 'success',
        action: { label: say`Take them back`, run: () => void takeBack(pieces) },
      });
    }
    setBusy(false);
  };
  const keptAsTemplate = (template: boolean) =>
    savePiece(database(), {
      base: { ...piece, template: !template },
      mine: { ...piece, template },
      label: say`kept as a template`,
      now: clock(),
    });
  const takeBack = async (pieces: readonly Piece[]) => {
    router.push('/pieces');
    for (const { id } of pieces) report(await removePiece(database(), id, clock()));
    if (asTemplate) report(await keptAsTemplate(false));
  };

  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth data-testid="set-dialog">
      <DialogTitle component="h2">
        {read ? say`${counted(count, 'piece', 'pieces')} like ${piece.name}` : say`A set like ${piece.name}`}
      </DialogTitle>
      <DialogContent>
        {read ? (
          <>
            <p>{say`${read.rows.map(({ name }) => name).join(', ')}${read.rows.length > 0 && '.'} Nothing is made yet.`}</p>
            {read.encoding === 'windows-1252' && (
              <p>{say`It is written in an older way (Windows-1252): look whether all letters are right.`}</p>
            )}
            {read.faults.length > 0 && (
              <ul className={css.faults}>
                {read.faults.map(({ line, reason }) => (
                  <li key={line}>{sayWith`${(<b>{say`Line ${line}`}</b>)} stays out: ${reason}.`}</li>
                ))}
              </ul>
            )}
          </>
        ) : (
          <>
            <p>{say`One plan for all of them: what is chosen for one holds for each, and each is counted through on its own.`}</p>
            <FigureField
              label={say`So many, all alike`}
              value={alike}
              whole
              min={0}
              max={MOST_ALIKE}
              onCommit={(value) => setAlike(value ?? 0)}
              testId="set-alike"
            />
            <p>{sayWith`Or a table (CSV) with a column ${(<b>{say`name`}</b>)}, and where you want them
              ${(<b>{say`text`}</b>)} for each one’s own lettering and ${(<b>{say`picture`}</b>)} for the name of
              its picture’s file. Choose the table and the pictures together.`}</p>
          </>
        )}
        <LineField
          label={say`Name of the set`}
          value={name}
          mostCharacters={120}
          onChange={(event) => setName(event.target.value)}
          testId="set-name"
        />
        {!piece.template && (
          <TickRow checked={asTemplate} onToggle={() => setAsTemplate((before) => !before)}>
            {say`Keep ${piece.name} itself as a template`}
            <small>{say`It leaves the plan: else it is made as one more, by itself.`}</small>
          </TickRow>
        )}
        {!lettered && (
          <Note>{say`This piece has no lettering: add some at Picture first, and each of the set gets its own text there.`}</Note>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{say`Make nothing`}</Button>
        <FileButton
          accept={`.csv,text/csv,${PICTURE_ACCEPT}`}
          onFiles={(files) => void take(files)}
          variant={count > 0 ? 'text' : 'contained'}
          disabled={busy}
          testId="set-files"
        >
          {busy ? say`Reading …` : read ? say`Other files` : say`Choose the table`}
        </FileButton>
        {(read !== null || alike > 0) && (
          <Button
            variant="contained"
            disabled={busy || count === 0}
            onClick={() => void make()}
            data-testid="make-set"
          >{say`Make ${count}`}</Button>
        )}
      </DialogActions>
    </Dialog>
  );
}

/** One of several that only their number tells apart. */
const alikeRow = (piece: Piece, number: number): Omit<SetTable['rows'][number], 'line'> => ({
  name: numberedName(piece.name, number),
  text: ownLetteringOf(piece) ?? '',
  picture: null,
});
