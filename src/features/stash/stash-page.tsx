'use client';
import { Button } from '@mui/material';
import { Plus, Table2 } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { needsOf, useSchedule, useStashUsers } from '@/features/agenda';
import { newId, useNotice, useReport } from '@/features/shell';
import { useStash } from '@/features/at-hand';
import { UndoOf } from '@/features/kept/undo-of';
import { saveFile } from '@/features/sheets/save-file';
import { ITEM_KINDS, newItem, type StashItem } from '@/records';
import { leftOf, type DecimalSign, type StashCsv } from '@/storage';
import { Place, Answer, FileButton, Note, Part, useClock, useUnits } from '@/ui';
import { ItemTable } from './item-table';
import { KIND_NAMES } from './kinds';
import { NeedsList } from './needs-list';
import css from './stash.module.css';
import { say } from '@/words/say';
import { sentences } from '@/words';

const CsvDialog = dynamic(() => import('./csv-dialog').then((file) => file.CsvDialog), { ssr: false });
const ItemDialog = dynamic(() => import('./item-dialog').then((file) => file.ItemDialog), { ssr: false });

/** What is at hand, what is left of it, what the planned pieces will take, and what to buy. */
export function StashPage() {
  const { stash, change } = useStash();
  const schedule = useSchedule();
  const users = useStashUsers();
  const clock = useClock();
  const notice = useNotice();
  const report = useReport();
  const units = useUnits();
  const [edited, setEdited] = useState<StashItem | null>(null);
  const [csv, setCsv] = useState<{ file: File; table: StashCsv } | null>(null);
  const inPlan = schedule?.pieces;
  const needs = useMemo(() => (inPlan ? needsOf(inPlan, stash, users) : []), [inPlan, stash, users]);
  const lacking = needs.filter(({ lacking: amount }) => amount > 0);

  const save = (item: StashItem) =>
    change(({ items }) => ({
      items: items.some(({ id }) => id === item.id)
        ? items.map((one) => (one.id === item.id ? item : one))
        : [...items, item],
    }));
  // What was not kept stays in its dialog, to be mended or tried again.
  const closeIfKept = (kept: boolean) => {
    if (kept) setEdited(null);
  };
  const readCsv = async (file: File, sign: DecimalSign | null = null) => {
    const { stashTableOf } = await import('@/workers/reading/client');
    const read = await stashTableOf(new Uint8Array(await file.arrayBuffer()), clock(), newId(), sign);
    report(read);
    if (read.ok) setCsv({ file, table: read.value });
  };
  const saveCsv = async () => {
    const { writeStashCsv } = await import('@/storage/stash-csv');
    const text = writeStashCsv(stash.items, (item) => leftOf(item, users));
    saveFile(new Blob([text], { type: 'text/csv' }), 'fobbet-stash.csv');
  };
  const takeCsv = async ({ items: fresh }: StashCsv) => {
    const taken = await change(({ items }) => ({
      items: [...items.filter((item) => !fresh.some(({ id }) => id === item.id)), ...fresh],
    }));
    if (!taken) return;
    setCsv(null);
    notice({ text: say`${fresh.length} items taken in.`, tone: 'success' });
  };

  return (
    <Place title={say`Stash`} className={css.page}>
      <div className={css.items}>
        <Answer>{answer()}</Answer>
        <div className={css.tools}>
          <Button
            variant="contained"
            startIcon={<Plus size={16} />}
            onClick={() => setEdited(newItem(newId(), 'binder', '', clock()))}
            data-testid="new-item"
          >{say`New item`}</Button>
          <FileButton
            variant="outlined"
            accept=".csv,text/csv"
            onFile={(file) => void readCsv(file)}
            testId="csv-in"
          >{say`Take in a table (CSV)`}</FileButton>
          {stash.items.length > 0 && (
            <Button
              variant="outlined"
              startIcon={<Table2 size={16} />}
              onClick={() => void saveCsv()}
              data-testid="csv-out"
            >{say`Save as a table (CSV)`}</Button>
          )}
          <UndoOf kind="stash" />
        </div>
        {stash.items.length === 0 && (
          <Note>
            {sentences(
              say`Nothing is written down yet.`,
              say`With a bottle’s size and price Fobbet says what each piece costs, draws down what steps take,
                and warns before it runs out.`,
            )}
          </Note>
        )}
        {ITEM_KINDS.map((kind) => {
          const items = stash.items.filter((item) => item.kind === kind);
          return (
            items.length > 0 && (
              <Part key={kind} title={KIND_NAMES[kind]}>
                <ItemTable items={items} users={users} onEdit={setEdited} />
              </Part>
            )
          );
        })}
      </div>
      <aside className={css.needs}>
        <NeedsList needs={needs} />
      </aside>
      {edited && (
        <ItemDialog
          item={edited}
          isNew={!stash.items.some(({ id }) => id === edited.id)}
          users={users}
          onSave={(item) => void save(item).then(closeIfKept)}
          onRemove={(id) =>
            void change(({ items }) => ({ items: items.filter((item) => item.id !== id) })).then(closeIfKept)
          }
          onClose={() => setEdited(null)}
        />
      )}
      {csv && (
        <CsvDialog
          csv={csv.table}
          known={stash.items}
          onSign={(sign) => void readCsv(csv.file, sign)}
          onTake={() => void takeCsv(csv.table)}
          onClose={() => setCsv(null)}
        />
      )}
    </Place>
  );

  function answer(): string {
    if (!schedule) return say`Counting …`;
    if (needs.length === 0) return say`No planned piece needs anything.`;
    const short = lacking.find(({ left }) => left !== null);
    if (short)
      return short.pieces.length === 1
        ? say`${short.name} runs out: ${units.volume(short.lacking)} short for ${short.pieces[0]}.`
        : say`${short.name} runs out: ${units.volume(short.lacking)} short for ${short.pieces.length} pieces.`;
    return lacking.length > 0
      ? say`${lacking.length} materials are needed that are not in the stash.`
      : say`All planned pieces are covered.`;
  }
}
