'use client';
import { Button, Menu, MenuItem } from '@mui/material';
import { useState } from 'react';
import type { PlannedPiece } from '@/features/plans';
import { useBeginLike } from '@/features/shelf/use-begin-like';
import { placeOf } from '@/ui';
import { say } from '@/words/say';

/** A new piece from one of the templates. */
export function BeginFrom({ templates }: { templates: readonly PlannedPiece[] }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const beginLike = useBeginLike();
  return (
    <>
      <Button
        variant="outlined"
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="menu"
        data-testid="from-template"
      >{say`From a template`}</Button>
      {anchor && (
        <Menu anchorEl={anchor} container={placeOf(anchor)} open onClose={() => setAnchor(null)}>
          {templates.map(({ piece }) => (
            <MenuItem
              key={piece.id}
              onClick={() => {
                setAnchor(null);
                void beginLike(piece, { withoutPicture: false });
              }}
            >
              {piece.name}
            </MenuItem>
          ))}
        </Menu>
      )}
    </>
  );
}
