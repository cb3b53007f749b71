'use client';
import { Menu, MenuItem } from '@mui/material';

/** What can be done with a piece as a whole. `onCalendar` is null while it has no times. */
export function FilesMenu({
  anchor,
  onClose,
  onBundle,
  onHandOver,
  onCalendar,
  onRemove,
}: {
  anchor: HTMLElement;
  onClose: () => void;
  onBundle: () => void;
  /** Null where the system has no way to hand a file on. */
  onHandOver: (() => void) | null;
  onCalendar: (() => void) | null;
  onRemove: () => void;
}) {
  const pick = (run: () => void) => () => {
    onClose();
    run();
  };
  return (
    <Menu anchorEl={anchor} open onClose={onClose}>
      <MenuItem onClick={pick(onBundle)}>Save as a bundle (.fobbet.zip)</MenuItem>
      {onHandOver && <MenuItem onClick={pick(onHandOver)}>Hand it over …</MenuItem>}
      <MenuItem onClick={pick(() => onCalendar?.())} disabled={onCalendar === null}>
        {onCalendar === null ? 'Times for the calendar: none until it is laid' : 'Times for the calendar (.ics)'}
      </MenuItem>
      <MenuItem onClick={pick(onRemove)}>Remove this piece</MenuItem>
    </Menu>
  );
}
