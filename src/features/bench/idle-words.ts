import type { Schedule } from '@/features/agenda';
import { say } from '@/words/say';

/** What the bench says while no step lies on it: that none is planned only once it is known. */
export const idleWords = ({ placing, entries }: Pick<Schedule, 'placing' | 'entries'>): string =>
  placing && entries.length > 0
    ? say`Placing the steps …`
    : say`No step is planned. Describe a piece, and its steps appear here in clock order.`;
