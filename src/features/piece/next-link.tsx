'use client';
import { Button } from '@mui/material';
import { ArrowRight } from 'lucide-react';
import Link from 'next/link';
import type { StationId } from '@/core/stations';
import { useOpenPiece } from './piece-context';
import { STATION_NAMES } from '@/words';
import { say } from '@/words/say';

/** On to another station; quiet where the person has something to do here first. */
export function NextLink({ station, quiet = false }: { station: StationId; quiet?: boolean }) {
  const { piece } = useOpenPiece();
  return (
    <Button
      component={Link}
      href={`/piece/${piece.id}/${station}`}
      variant={quiet ? 'outlined' : 'contained'}
      endIcon={<ArrowRight size={17} />}
      data-testid="next-station"
    >{say`On to ${STATION_NAMES[station]}`}</Button>
  );
}
