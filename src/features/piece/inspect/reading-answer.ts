import { changeBetween, judgePiece, readKept } from '@/core/inspect';
import type { KeptReading } from '@/core/stations';
import { DECISION_WORDS, STOP_WORDS } from '@/words';

/** What the last photo asks for, where it was taken after the last pass; null else. */
export function readingAnswer(readings: readonly KeptReading[], passesDone: number): string | null {
  const [last, before] = [readings.at(-1), readings.at(-2)];
  if (!last || last.pass !== passesDone) return null;
  const reading = readKept(last);
  if (before && changeBetween(readKept(before), reading)?.stop) return STOP_WORDS;
  return DECISION_WORDS[judgePiece(reading).decision];
}
