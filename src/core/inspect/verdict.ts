/**
 * What the last photo of a rubbed piece asks for, where it was taken after the last pass: the run follows it until the
 * person overrules it, or rubs on. Two photos in a row that show more toner going than paper say stop.
 */
import { changeBetween, judgePiece, type InspectDecision } from './judge';
import { isPlaced, readKept, type KeptReading } from './kept-reading';

export interface ReadingVerdict {
  decision: InspectDecision | 'stop';
  /** Of the reading, epoch ms: what is overruled by it. */
  at: number;
  /** Of rubbing that is left: of the areas alone where only they are rubbed. */
  minutesLeft: number;
}

/** @param readings oldest first; @param passesDone how many passes were rubbed by now */
export function readingVerdict(readings: readonly KeptReading[], passesDone: number): ReadingVerdict | null {
  const placed = readings.filter(isPlaced);
  const [last, before] = [placed.at(-1), placed.at(-2)];
  if (!last || last.pass !== passesDone || passesDone === 0) return null;
  const reading = readKept(last);
  const { decision, minutesLeft } = judgePiece(reading);
  const isStopped = before !== undefined && (changeBetween(readKept(before), reading)?.stop ?? false);
  return { decision: isStopped ? 'stop' : decision, at: last.at, minutesLeft };
}
