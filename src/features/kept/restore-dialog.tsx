'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogTitle, LinearProgress } from '@mui/material';
import { useEffect, useState } from 'react';
import { newId, useNotice, useReport } from '@/features/shell';
import type { RecordKind } from '@/records';
import { database } from '@/storage';
import type { Choice, ComparedPiece, Comparison, OpenBackup } from '@/storage/backup';
import { SelectField, clockTime, dated, useNow, useUnits } from '@/ui';
import { RECORD_WORDS, counted, sentenceFor, type FailureCode } from '@/words';
import type { Failure } from '@/core/shared';
import css from './kept.module.css';
import { say } from '@/words/say';

type State =
  | { at: 'reading'; share: number }
  | { at: 'refused'; error: Failure<FailureCode> }
  | { at: 'read'; backup: OpenBackup; comparison: Comparison; lacking: number }
  | { at: 'taking' };

const PIECE_CHOICES = [
  { id: 'here', name: say`Keep what is here` },
  { id: 'file', name: say`Take the file’s` },
  { id: 'both', name: say`Keep both` },
] as const;
const REMOVED_CHOICES = [
  { id: 'here', name: say`Leave it removed` },
  { id: 'file', name: say`Bring it back` },
] as const;
const STASH_CHOICES = [...PIECE_CHOICES.slice(0, 2), { id: 'both', name: say`Add what is missing here` }] as const;

/** What a copy would bring, before anything is touched; where both changed the person chooses. */
export function RestoreDialog({ file, onClose }: { file: File; onClose: () => void }) {
  const [state, setState] = useState<State>({ at: 'reading', share: 0 });
  const [pieces, setPieces] = useState<Record<string, Choice>>({});
  const [records, setRecords] = useState<Partial<Record<RecordKind, Choice>>>({});
  const notice = useNotice();
  const report = useReport();
  const units = useUnits();
  const now = useNow();

  useEffect(() => {
    let ended = false;
    const set = (next: State) => {
      if (!ended) setState(next);
    };
    void (async () => {
      const { compareBackup, lackingPictures, openBackup } = await import('@/storage/backup');
      const read = await openBackup(file, (share) => set({ at: 'reading', share }));
      if (!read.ok) return set({ at: 'refused', error: read.error });
      const comparison = await compareBackup(database(), read.value);
      set({ at: 'read', backup: read.value, comparison, lacking: lackingPictures(read.value) });
    })();
    return () => {
      ended = true;
    };
  }, [file]);

  const take = async ({ backup, comparison }: Extract<State, { at: 'read' }>) => {
    setState({ at: 'taking' });
    const { restoreBackup } = await import('@/storage/backup');
    const restored = await restoreBackup(database(), {
      backup,
      comparison,
      choices: { pieces, records },
      now: Date.now(),
      newId,
      label: say`taking a copy in`,
      copyName: (name) => say`${name} (copy)`.slice(0, 120),
    });
    onClose();
    if (!report(restored) || !restored.ok) return;
    const { pieces: taken, pictures } = restored.value;
    notice({
      text: say`Taken in: ${counted(taken, 'piece', 'pieces')}, ${counted(pictures, 'picture', 'pictures')}. What gave way can be undone.`,
      tone: 'success',
    });
  };

  return (
    <Dialog
      open
      onClose={state.at === 'taking' ? () => undefined : onClose}
      maxWidth="sm"
      fullWidth
      data-testid="restore"
    >
      <DialogTitle component="h2">
        {state.at === 'read'
          ? say`A copy of ${dated(state.backup.madeAt, 'EEE d MMM HH:mm')}`
          : say`Reading ${file.name}`}
      </DialogTitle>
      <DialogContent>
        {state.at === 'reading' && (
          <LinearProgress
            variant="determinate"
            value={state.share * 100}
            aria-label={say`Copy being read and checked`}
          />
        )}
        {state.at === 'taking' && <LinearProgress aria-label={say`Copy being taken in`} />}
        {state.at === 'refused' && <p role="alert">{sentenceFor(state.error, units)}</p>}
        {state.at === 'read' && (
          <>
            <p>{summary(state.comparison)}</p>
            {bringsNothing(state.comparison) && <p>{say`All that is in it is here already.`}</p>}
            {state.lacking > 0 && (
              <p>{say`${counted(state.lacking, 'picture is', 'pictures are')} not in it: they were lost before it was made.`}</p>
            )}
            <ul className={css.clashes}>
              {state.comparison.pieces
                .filter(({ fate }) => fate === 'both' || fate === 'removed')
                .map((piece) => (
                  <li key={piece.id}>
                    <span>
                      <b>{piece.name}</b>
                      <span>{clashWords(piece, now)}</span>
                    </span>
                    <SelectField
                      label={piece.name}
                      value={pieces[piece.id] ?? 'here'}
                      options={[...(piece.fate === 'removed' ? REMOVED_CHOICES : PIECE_CHOICES)]}
                      onCommit={(choice) => setPieces({ ...pieces, [piece.id]: choice })}
                      testId={`clash-${piece.id}`}
                    />
                  </li>
                ))}
              {state.comparison.records
                .filter(({ fate }) => fate === 'both')
                .map(({ kind }) => (
                  <li key={kind}>
                    <span>
                      <b>{RECORD_WORDS[kind]}</b>
                      <span>{say`differs from what is here`}</span>
                    </span>
                    <SelectField
                      label={RECORD_WORDS[kind]}
                      value={records[kind] ?? 'here'}
                      options={[...(kind === 'stash' ? STASH_CHOICES : PIECE_CHOICES.slice(0, 2))]}
                      onCommit={(choice) => setRecords({ ...records, [kind]: choice })}
                      testId={`clash-${kind}`}
                    />
                  </li>
                ))}
            </ul>
            <p>{say`Nothing is changed yet. It is taken in whole, or not at all.`}</p>
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose} disabled={state.at === 'taking'}>
          {state.at === 'refused' ? say`Close` : say`Take nothing`}
        </Button>
        {state.at === 'read' && (
          <Button
            variant="contained"
            disabled={bringsNothing(state.comparison)}
            onClick={() => void take(state)}
            data-testid="restore-take"
          >{say`Take it in`}</Button>
        )}
      </DialogActions>
    </Dialog>
  );
}

const bringsNothing = ({ pieces, records, removed, mended }: Comparison): boolean =>
  removed === 0 &&
  mended === 0 &&
  pieces.every(({ fate }) => fate === 'same' || fate === 'here') &&
  records.every(({ fate }) => fate === 'same');

function summary({ pieces, records, removed, mended }: Comparison): string {
  const count = (fate: ComparedPiece['fate']) => pieces.filter((piece) => piece.fate === fate).length;
  const fresh = records.filter(({ fate }) => fate === 'new').map(({ kind }) => RECORD_WORDS[kind].toLowerCase());
  const parts = [
    [count('new'), say`new here`],
    [count('file'), say`newer in the file`],
    [count('same') + count('here'), say`as they are here, or older`],
    [count('both') + count('removed'), say`to choose about`],
    [removed, say`in its bin`],
    [mended, mended === 1 ? say`lost picture that it brings back` : say`lost pictures that it brings back`],
  ] as const;
  const said = parts.flatMap(([number, text]) => (number > 0 ? [`${number} ${text}`] : []));
  const all = `${counted(pieces.length, 'piece', 'pieces')}${said.length > 0 ? `: ${said.join(', ')}` : ''}.`;
  return fresh.length > 0 ? say`${all} It brings ${fresh.join(', ')} too.` : all;
}

const clashWords = ({ fate, hereAt, fileAt }: ComparedPiece, now: number): string =>
  fate === 'removed'
    ? say`removed here; in the file of ${clockTime(fileAt, now)}`
    : hereAt === null
      ? say`here of another time, in the file of ${clockTime(fileAt, now)}`
      : say`here of ${clockTime(hereAt, now)}, in the file of ${clockTime(fileAt, now)}`;
