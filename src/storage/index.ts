export { FobbetDatabase, database, openInMemory, openStorage, type NoStorage } from './db';
export {
  addPieces,
  daysLeftInBin,
  historyState,
  nameOf,
  purgePiece,
  readShelf,
  removePiece,
  restorePiece,
  savePiece,
  savePieces,
  type Save,
  undoTogether,
  stepHistory,
  tidy,
  type PieceHistory,
  type Shelf,
  type ShelfCache,
} from './pieces';
// What reads and writes files loads when a file is there: import './bundle', './calendar', './busy', './set-csv' and './stash-csv'
// then.
export type { BundledPicture } from './bundle';
export type { CalendarEntry } from './calendar';
export {
  changeAgenda,
  changeRoom,
  changeStash,
  keepReading,
  setAside,
  stepSingle,
  storedAgenda,
  storedRoom,
  storedStash,
  SINGLE_KINDS,
  unreadableSingle,
  type SingleKind,
  type UnreadableSingle,
} from './singles';
export { followSetClock } from './set-clock';
export { putTimer, removeTimer } from './timers';
export { changeSettings, stepSettings } from './settings';
export { versionsOf, type VersionStep, type Versions } from './versions';
export { changeCopies, changesOf, copiesOf } from './copies';
export type { CopiesRecord } from './db';
export { drawnFrom, leftOf } from './stash-use';
export type { SetTable } from './set-csv';
export type { StashCsv } from './stash-csv';
export type { DecimalSign, TableEncoding } from './csv';
export { apart, knownFacts, storedPicture, storedPictures, type FactsCache } from './pictures';
