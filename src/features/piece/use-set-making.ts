import { useRouter } from 'next/navigation';
import { useState } from 'react';
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
import { useClock, useUnits } from '@/ui';
import { counted, sentenceFor, type Wording } from '@/words';
import { say } from '@/words/say';
import { inspectPicture } from '@/workers/picture/client';

/** What a table and pictures would make, before anything is made. */
export interface SetRead extends SetTable {
  pictures: ReadonlyMap<string, StoredPicture>;
}

/** Reads a table with its pictures, and makes the pieces of a set like one; whole or not at all. */
export function useSetMaking(piece: Piece, onMade: () => void) {
  const [read, setRead] = useState<SetRead | null>(null);
  const [busy, setBusy] = useState(false);
  const report = useReport();
  const notice = useNotice();
  const units = useUnits();
  const clock = useClock();
  const router = useRouter();

  const take = async (files: File[]) => {
    const table = files.find(({ name }) => /\.csv$/i.test(name));
    if (!table) return notice({ text: say`Choose the table (CSV), and its pictures with it.`, tone: 'error' });
    setBusy(true);
    const { readSetCsv } = await import('@/storage/set-csv');
    const found = readSetCsv(new Uint8Array(await table.arrayBuffer()));
    if (report(found) && found.ok) setRead(await withPictures(found.value, files, units));
    setBusy(false);
  };

  const keptAsTemplate = (template: boolean) =>
    savePiece(database(), {
      base: { ...piece, template: !template },
      mine: { ...piece, template },
      label: say`kept as a template`,
      now: clock(),
    });
  const takeBack = async (pieces: readonly Piece[], asTemplate: boolean) => {
    router.push('/pieces');
    for (const { id } of pieces) report(await removePiece(database(), id, clock()));
    if (asTemplate) report(await keptAsTemplate(false));
  };

  const make = async ({ name, alike, asTemplate }: SetWanted) => {
    setBusy(true);
    const set = { id: newId(), name: name.trim() || piece.name };
    const pieces = piecesOf(piece, set, read, { alike, now: clock() });
    const added = await addPieces(database(), pieces, [...(read?.pictures.values() ?? [])]);
    if (report(added) && (!asTemplate || report(await keptAsTemplate(true)))) {
      onMade();
      router.push(setPath(set.id));
      notice({
        text: say`${set.name}: ${counted(pieces.length, 'piece', 'pieces')} with one plan.`,
        tone: 'success',
        action: { label: say`Take them back`, run: () => void takeBack(pieces, asTemplate) },
      });
    }
    setBusy(false);
  };
  return { read, busy, take, make };
}

/** A set to be made: its name, how many where no table says, and whether its pattern is kept apart. */
export interface SetWanted {
  name: string;
  alike: number;
  asTemplate: boolean;
}

function piecesOf(
  piece: Piece,
  set: { id: string; name: string },
  read: SetRead | null,
  { alike, now }: { alike: number; now: number },
): Piece[] {
  const rows = read?.rows ?? Array.from({ length: alike }, (_, at) => alikeRow(piece, at + 1));
  return rows.map((row, at) => {
    const like = pieceLike(piece, { id: newId(), name: row.name, now, withoutPicture: false });
    const own = row.picture === null ? null : (read?.pictures.get(row.picture)?.id ?? null);
    const lettered = withOwnLettering({ ...like, set: { ...set, at } }, row.text);
    return own === null ? lettered : changedBy(lettered, { picture: { pictureId: own } });
  });
}

/** One of several that only their number tells apart. */
const alikeRow = (piece: Piece, number: number): Omit<SetTable['rows'][number], 'line'> => ({
  name: numberedName(piece.name, number),
  text: ownLetteringOf(piece) ?? '',
  picture: null,
});

/** A row whose picture is missing or can't be read stays out. */
async function withPictures(table: SetTable, files: readonly File[], units: Wording): Promise<SetRead> {
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
}
