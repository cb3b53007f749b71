'use client';
import { Button } from '@mui/material';
import { FlipHorizontal2 } from 'lucide-react';
import { useOpenPiece } from '../piece-context';
import { say } from '@/words/say';

/** Turns the specimen over: as printed, as it lands. The M key does the same. */
export function TurnButton() {
  const { side, turnOver } = useOpenPiece();
  return (
    <Button
      size="small"
      variant="text"
      startIcon={<FlipHorizontal2 size={16} />}
      onClick={turnOver}
      data-testid="turn-over"
    >
      {side === 'landing' ? say`Show as printed` : say`Show as it lands`}
      &ensp;
      <kbd>M</kbd>
    </Button>
  );
}
