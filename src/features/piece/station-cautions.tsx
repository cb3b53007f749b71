'use client';
import { cautionsAt, toolsAt } from '@/core/plan';
import type { StationId } from '@/core/stations';
import { Cautions, Note } from '@/ui';
import { toolList } from '@/words';
import { useOpenPiece } from './piece-context';
import { say } from '@/words/say';

/** What to mind at a station: the list the bench shows at its steps. */
export function StationCautions({ station }: { station: StationId }) {
  const { piece, plan } = useOpenPiece();
  return <Cautions ids={cautionsAt(station, piece, plan)} />;
}

/** What lies at hand for a station's steps. */
export function StationTools({ station }: { station: StationId }) {
  const { piece, plan } = useOpenPiece();
  const tools = toolsAt(station, piece, plan);
  return tools.length > 0 ? <Note>{say`At hand: ${toolList(tools)}.`}</Note> : null;
}
