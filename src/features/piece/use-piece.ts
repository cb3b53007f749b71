'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { equalData, type Failure } from '@/core/shared';
import type { FailureCode } from '@/words';
import { changedBy, readPiece, type Piece, type StoredPicture } from '@/records';
import { useReport } from '@/features/shell';
import { setUnkept, unkeptOf, type Unkept } from '@/features/shell/not-kept';
import { database, historyState, nameOf, savePiece, stepHistory, type PieceHistory } from '@/storage';
import { type JobPatch } from '@/core/stations';
import { useClock } from '@/ui';

type Sections = Pick<
  Piece,
  'picture' | 'surface' | 'method' | 'sheet' | 'lay' | 'cure' | 'rub' | 'mend' | 'seal' | 'keep'
>;

/** What this window shows of its own: on its way, on the disk, or without room there. */
interface Local {
  piece: Piece;
  label: string;
  state: 'saving' | 'saved' | 'unsaved';
}

export interface PieceAccess {
  piece: Piece;
  /** Lays a patch over one section and saves it. `label` names the change for undo. */
  change: <S extends keyof Sections>(
    section: S,
    patch: Partial<Sections[S]>,
    label: string,
    pictures?: StoredPicture[],
  ) => void;
  /** Lays values over several sections as one change. */
  changeAll: (patch: JobPatch, label: string, pictures?: StoredPicture[]) => void;
  rename: (patch: Partial<Pick<Piece, 'name' | 'dueOn'>>, label: string) => void;
  undo: () => void;
  redo: () => void;
  history: { undo: string | null; redo: string | null };
  /** A save that did not go through, with what it would have saved, and whether the same can be tried again. */
  trouble: { error: Failure<FailureCode>; change: Unkept; again: boolean } | null;
  settle: (choice: 'theirs' | 'mine' | 'later') => void;
  /** Tries again to keep what the disk had no room for; null where everything is kept. */
  retry: (() => void) | null;
  /** A change of this window, or a step of undo or redo, is on its way to the disk. */
  saving: boolean;
}

export type Loaded =
  | { state: 'loading' }
  | { state: 'gone' }
  | { state: 'unreadable'; error: Failure<FailureCode>; name: string | null; data: unknown }
  | { state: 'open'; access: PieceAccess };

/**
 * What this window shows: its own change while that is being saved, and what it saved until the stored piece is read
 * anew.
 */
const shownPiece = (local: Local | null, stored: Piece | null): Piece | null =>
  local && (local.state !== 'saved' || (stored !== null && stored.revision < local.piece.revision))
    ? local.piece
    : stored;

interface Marks {
  undo: number | null;
  redo: number | null;
}
const marksOf = ({ undo, redo }: PieceHistory): Marks => ({ undo: undo?.mark ?? null, redo: redo?.mark ?? null });
const labelsOf = (history: PieceHistory | undefined) => ({
  undo: history?.undo?.label ?? null,
  redo: history?.redo?.label ?? null,
});

const localOf = (unkept: Unkept | null): Local | null =>
  unkept && { piece: unkept.mine, label: unkept.label, state: 'unsaved' };

/** Failures of the disk, not of the change: the same change can be kept once there is room. */
const CAN_BE_TRIED_AGAIN: readonly FailureCode[] = ['storage-full', 'storage-failed'];

/**
 * One piece, open in this window. Changes show at once and are saved one after the other; what other windows save
 * appears by itself, and a clash is brought to the person instead of being overwritten.
 */
export function usePiece(id: string): Loaded {
  const clock = useClock();
  const report = useReport();
  const stored = useLiveQuery(
    async () => ({ piece: await database().pieces.get(id), history: await historyState(database(), id) }),
    [id],
  );
  const [local, setLocal] = useState<Local | null>(() => localOf(unkeptOf(id)));
  /** What was refused and is not answered yet, the oldest first: nothing but its answer clears it. */
  const [troubles, setTroubles] = useState<readonly NonNullable<PieceAccess['trouble']>[]>([]);
  const trouble = troubles[0] ?? null;
  const shown = useRef<Piece | null>(null);
  const kept = useRef<Piece | null>(null);
  const queue = useRef<Promise<void>>(Promise.resolve());
  const pending = useRef(0);
  /** Steps of undo and redo under way, and those that come next, also before the stored history is read anew. */
  const stepping = useRef(0);
  const [isStepping, setIsStepping] = useState(false);
  const known = useRef<Marks>({ undo: null, redo: null });

  const history = stored?.history;
  const storedPiece = stored?.piece;
  const read = useMemo(() => (storedPiece ? readPiece(storedPiece) : null), [storedPiece]);
  const storedNow = read?.ok ? read.value : null;
  const current = shownPiece(local, storedNow);
  // As soon as it is on the page: a change that is made before the next paint must find what it changes.
  useLayoutEffect(() => {
    shown.current = current;
    kept.current = storedNow;
  }, [current, storedNow]);
  /**
   * Back to what could not be kept yet, or to what is stored. Said at once: what was refused before it was drawn would
   * stand as the base of the next change, and the same once more would be no change.
   */
  const showKept = useCallback(() => {
    // What is on its way stands as it is.
    if (pending.current > 0) return;
    const left = localOf(unkeptOf(id));
    setLocal(left);
    shown.current = left?.piece ?? kept.current;
  }, [id]);
  useLayoutEffect(() => {
    if (history && pending.current + stepping.current === 0) known.current = marksOf(history);
  }, [history]);

  /** Runs one thing after the other; each settles on its own, whatever became of the one before. */
  const inTurn = useCallback((run: () => Promise<void>) => {
    queue.current = queue.current.then(run, run);
  }, []);

  const save = useCallback(
    (change: Unkept, overrule = false) => {
      pending.current++;
      shown.current = change.mine;
      setLocal({ piece: change.mine, label: change.label, state: 'saving' });
      inTurn(async () => {
        // What could not be kept yet: this save takes it along.
        const left = unkeptOf(id);
        const whole =
          left && left !== change
            ? { ...change, base: left.base, pictures: [...left.pictures, ...change.pictures] }
            : change;
        const result = await savePiece(database(), { ...whole, overrule, now: clock() });
        pending.current--;
        // What the disk had no room for stays on the page, to be tried again; what can't be taken is taken back.
        const again = !result.ok && CAN_BE_TRIED_AGAIN.includes(result.error.code);
        setUnkept(id, again ? whole : null);
        if (result.ok) known.current = { undo: result.value.revision, redo: null };
        setTroubles((before) => [
          ...before.filter((one) => !one.again),
          ...(result.ok ? [] : [{ error: result.error, change: whole, again }]),
        ]);
        if (pending.current > 0) return;
        if (result.ok) setLocal({ piece: result.value, label: whole.label, state: 'saved' });
        else showKept();
      });
    },
    [id, clock, inTurn, showKept],
  );

  const apply = useCallback(
    (alter: (piece: Piece) => Piece, label: string, pictures?: StoredPicture[]) => {
      const base = shown.current;
      if (!base) return;
      const mine = alter(base);
      // What changes nothing is no change: it has no undo, and answers no question.
      if (pictures?.length || !equalData(mine, base)) save({ base, mine, label, pictures: pictures ?? [] });
    },
    [save],
  );

  const change: PieceAccess['change'] = useCallback(
    (section, patch, label, pictures) => {
      apply((piece) => changedBy(piece, { [section]: patch }), label, pictures);
    },
    [apply],
  );
  const changeAll: PieceAccess['changeAll'] = useCallback(
    (patch, label, pictures) => apply((piece) => changedBy(piece, patch), label, pictures),
    [apply],
  );
  const rename: PieceAccess['rename'] = useCallback(
    (patch, label) => apply((piece) => ({ ...piece, ...patch }), label),
    [apply],
  );
  const step = useCallback(
    (direction: 'undo' | 'redo') => {
      // One that follows on another's heels takes what that one leaves; else it is the step that the button names.
      const follows = pending.current + stepping.current > 0;
      const named = known.current[direction];
      stepping.current++;
      setIsStepping(true);
      inTurn(async () => {
        const mark = follows ? known.current[direction] : named;
        if (mark !== null) {
          const taken = await stepHistory(database(), id, direction, { mark, now: clock() });
          if (taken.ok) known.current = marksOf(taken.value.history);
          else report(taken);
        }
        stepping.current--;
        setIsStepping(stepping.current > 0);
      });
    },
    [id, clock, inTurn, report],
  );

  const undo = useCallback(() => step('undo'), [step]);
  const redo = useCallback(() => step('redo'), [step]);
  const settle = useCallback(
    (choice: 'theirs' | 'mine' | 'later') => {
      setTroubles((before) => before.slice(1));
      if (!trouble || choice === 'later') return;
      if (choice === 'mine') return save(trouble.change, trouble.error.code === 'piece-conflict');
      if (trouble.again) setUnkept(id, null);
      showKept();
    },
    [id, trouble, save, showKept],
  );
  const labels = useMemo(
    () => (local?.state === 'saving' ? { undo: local.label, redo: null } : labelsOf(history)),
    [local, history],
  );
  const saving = local?.state === 'saving' || isStepping;
  const isUnsaved = local?.state === 'unsaved';
  const retry = useMemo(() => {
    const again = () => {
      const left = unkeptOf(id);
      if (left) save(left);
    };
    return isUnsaved ? again : null;
  }, [id, isUnsaved, save]);
  return useMemo<Loaded>(() => {
    if (stored === undefined) return { state: 'loading' };
    if (!stored.piece) return { state: 'gone' };
    if (read && !read.ok)
      return { state: 'unreadable', error: read.error, name: nameOf(stored.piece), data: stored.piece };
    if (!current) return { state: 'loading' };
    const access = {
      piece: current,
      change,
      changeAll,
      rename,
      undo,
      redo,
      history: labels,
      trouble,
      settle,
      retry,
      saving,
    };
    return { state: 'open', access };
  }, [stored, read, current, change, changeAll, rename, undo, redo, labels, trouble, settle, retry, saving]);
}
