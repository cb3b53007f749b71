'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Failure } from '@/core/shared';
import { readPiece, type Piece, type StoredPicture } from '@/records';
import { database, historyState, savePiece, stepHistory } from '@/storage';
import { applyPatch, type JobPatch } from '@/core/plan';
import { useClock } from '@/ui';

export type Sections = Pick<Piece, 'picture' | 'surface' | 'method' | 'sheet' | 'lay' | 'cure' | 'rub' | 'mend' | 'seal' | 'keep'>;

export interface PieceAccess {
  piece: Piece;
  /** Lays a patch over one section and saves it. `label` names the change for undo. */
  change: <S extends keyof Sections>(section: S, patch: Partial<Sections[S]>, label: string, pictures?: StoredPicture[]) => void;
  /** Lays values over several sections as one change. */
  changeAll: (patch: JobPatch, label: string) => void;
  rename: (patch: Partial<Pick<Piece, 'name' | 'dueOn'>>, label: string) => void;
  undo: () => void;
  redo: () => void;
  history: { undo: string | null; redo: string | null };
  /** A save that did not go through, with what it would have saved. */
  trouble: { error: Failure; base: Piece; mine: Piece; label: string } | null;
  settle: (choice: 'theirs' | 'mine') => void;
  /** A change of this window is on its way to the disk. */
  saving: boolean;
}

type Loaded = { state: 'loading' } | { state: 'gone' } | { state: 'unreadable'; error: Failure } | { state: 'open'; access: PieceAccess };

/** What this window shows: its own change while that is being saved, and what it saved until the stored piece is read anew. */
const shownPiece = (local: { piece: Piece; saved: boolean } | null, stored: Piece | null): Piece | null =>
  local && (!local.saved || (stored !== null && stored.revision < local.piece.revision)) ? local.piece : stored;

/**
 * One piece, open in this window. Changes show at once and are saved one after the other; what other windows save appears by
 * itself, and a clash is brought to the person instead of being overwritten.
 */
export function usePiece(id: string): Loaded {
  const clock = useClock();
  const stored = useLiveQuery(async () => ({ piece: await database().pieces.get(id), history: await historyState(database(), id) }), [id]);
  const [local, setLocal] = useState<{ piece: Piece; saved: boolean } | null>(null);
  const [trouble, setTrouble] = useState<PieceAccess['trouble']>(null);
  const shown = useRef<Piece | null>(null);
  const queue = useRef<Promise<void>>(Promise.resolve());
  const pending = useRef(0);

  const read = stored?.piece ? readPiece(stored.piece) : null;
  const current = shownPiece(local, read?.ok ? read.value : null);
  useEffect(() => { shown.current = current; }, [current]);

  const save = useCallback((base: Piece, mine: Piece, label: string, pictures: StoredPicture[] = [], overrule = false) => {
    pending.current++;
    shown.current = mine;
    setLocal({ piece: mine, saved: false });
    queue.current = queue.current.then(async () => {
      const result = await savePiece(database(), { base, mine, label, pictures, overrule, now: clock() });
      pending.current--;
      if (!result.ok) setTrouble({ error: result.error, base, mine, label });
      // Once nothing is under way the stored piece is the truth again, a refused change included.
      if (pending.current === 0) setLocal(result.ok ? { piece: result.value, saved: true } : null);
    });
  }, [clock]);

  const apply = useCallback((alter: (piece: Piece) => Piece, label: string, pictures?: StoredPicture[]) => {
    const base = shown.current;
    if (base) save(base, alter(base), label, pictures);
  }, [save]);

  const change: PieceAccess['change'] = useCallback((section, patch, label, pictures) => {
    apply((piece) => ({ ...piece, [section]: { ...piece[section], ...patch } }), label, pictures);
  }, [apply]);
  const changeAll: PieceAccess['changeAll'] = useCallback((patch, label) => apply((piece) => applyPatch(piece, patch), label), [apply]);
  const rename: PieceAccess['rename'] = useCallback((patch, label) => apply((piece) => ({ ...piece, ...patch }), label), [apply]);
  const step = useCallback((direction: 'undo' | 'redo') => {
    queue.current = queue.current.then(async () => { await stepHistory(database(), id, direction, clock()); });
  }, [id, clock]);

  if (stored === undefined) return { state: 'loading' };
  if (!stored.piece) return { state: 'gone' };
  if (read && !read.ok) return { state: 'unreadable', error: read.error };
  if (!current) return { state: 'loading' };
  const settle = (choice: 'theirs' | 'mine') => {
    if (trouble && choice === 'mine') save(trouble.base, trouble.mine, trouble.label, [], true);
    setTrouble(null);
  };
  return { state: 'open', access: { piece: current, change, changeAll, rename, undo: () => step('undo'), redo: () => step('redo'), history: stored.history, trouble, settle, saving: local !== null && !local.saved } };
}
