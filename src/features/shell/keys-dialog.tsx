'use client';
import { Dialog, DialogContent, DialogTitle } from '@mui/material';
import css from './keys-dialog.module.css';

const KEYS: readonly [string, string][] = [
  ['1 … 9, 0', 'the ten stations of a piece'],
  ['M', 'turn over: as printed, as it lands'],
  ['U', 'inches or centimetres'],
  ['N', 'new piece'],
  ['B', 'bench'],
  ['/', 'find a piece'],
  ['← →', 'at the bench: step before, step after'],
  ['Space', 'at the bench: start, stop'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['?', 'these keys'],
];

/** The keys that work everywhere. */
export const KeysDialog = ({ onClose }: { onClose: () => void }) => (
  <Dialog open onClose={onClose}>
    <DialogTitle component="h2">Keys</DialogTitle>
    <DialogContent>
      <dl className={css.keys}>
        {KEYS.map(([key, words]) => (
          <div key={key}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
    </DialogContent>
  </Dialog>
);
