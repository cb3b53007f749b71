'use client';
import { IconButton } from '@mui/material';
import { Redo2, Undo2 } from 'lucide-react';
import css from './undo-buttons.module.css';
import { say } from '@/words/say';

/** Undo and its counterpart, each named by what it would take back or do again; null where there is nothing. */
export function UndoButtons({
  undo,
  redo,
  onUndo,
  onRedo,
}: {
  undo: string | null;
  redo: string | null;
  onUndo: () => void;
  onRedo: () => void;
}) {
  return (
    <span className={css.pair}>
      <span title={undo ? say`Undo: ${undo}` : say`Nothing to undo`}>
        <IconButton size="small" onClick={onUndo} disabled={!undo} aria-label={undo ? say`Undo: ${undo}` : say`Undo`}>
          <Undo2 size={18} />
        </IconButton>
      </span>
      <span title={redo ? say`Do again: ${redo}` : say`Nothing to do again`}>
        <IconButton
          size="small"
          onClick={onRedo}
          disabled={!redo}
          aria-label={redo ? say`Do again: ${redo}` : say`Redo`}
        >
          <Redo2 size={18} />
        </IconButton>
      </span>
    </span>
  );
}
