'use client';
import { Menu, MenuItem } from '@mui/material';
import { placeOf } from '@/ui';
import { say } from '@/words/say';

/** What can be done with a piece as a whole. `onCalendar` is null while it has no times. */
export function FilesMenu({
  anchor,
  onClose,
  onBundle,
  onHandOver,
  onCalendar,
  onCard,
  onAnother,
  onTemplate,
  onSet,
  onAway,
  isAway,
  onRemove,
}: {
  anchor: HTMLElement;
  onClose: () => void;
  onBundle: () => void;
  /** Null where the system has no way to hand a file on. */
  onHandOver: (() => void) | null;
  onCalendar: (() => void) | null;
  /** One page for the bench. */
  onCard: () => void;
  /** Begins another with all that was chosen; without its picture where another one is wanted. */
  onAnother: (withoutPicture: boolean) => void;
  /** Null where it is one. */
  onTemplate: (() => void) | null;
  /** Several like it, planned as one. */
  onSet: () => void;
  /** Null where it stands in no plan. */
  onAway: (() => void) | null;
  isAway: boolean;
  onRemove: () => void;
}) {
  const pick = (run: () => void) => () => {
    onClose();
    run();
  };
  return (
    <Menu anchorEl={anchor} container={placeOf(anchor)} open onClose={onClose}>
      <MenuItem onClick={pick(onBundle)}>{say`Save as a bundle (.fobbet.zip)`}</MenuItem>
      {onHandOver && <MenuItem onClick={pick(onHandOver)}>{say`Hand it over …`}</MenuItem>}
      <MenuItem onClick={pick(() => onCalendar?.())} disabled={onCalendar === null}>
        {onCalendar === null ? say`Times for the calendar: none until it is laid` : say`Times for the calendar (.ics)`}
      </MenuItem>
      <MenuItem onClick={pick(onCard)}>{say`Work card on paper (.pdf)`}</MenuItem>
      <MenuItem onClick={pick(() => onAnother(false))}>{say`Another like this`}</MenuItem>
      <MenuItem onClick={pick(() => onAnother(true))}>{say`The same with another picture`}</MenuItem>
      <MenuItem onClick={pick(onSet)}>{say`A set like this …`}</MenuItem>
      {onTemplate && <MenuItem onClick={pick(onTemplate)}>{say`Keep as a template`}</MenuItem>}
      {onAway && <MenuItem onClick={pick(onAway)}>{isAway ? say`Take it out again` : say`Put it away`}</MenuItem>}
      <MenuItem onClick={pick(onRemove)}>{say`Remove this piece`}</MenuItem>
    </Menu>
  );
}
