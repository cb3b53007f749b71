import type { KeyId } from '@/records';
import { said } from './say';

/** What a single key does. */
export const KEY_WORDS: Readonly<Record<KeyId, string>> = said({
  turn: 'turn over: as printed, as it lands',
  units: 'inches or centimetres',
  newPiece: 'new piece',
  bench: 'bench',
  find: 'find a piece',
  help: 'keys and reading',
});
