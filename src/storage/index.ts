export { FobbetDatabase, database, openInMemory, openStorage, type NoStorage } from './db';
export {
  addPieces,
  historyState,
  nameOf,
  purgePiece,
  readShelf,
  removePiece,
  restorePiece,
  savePiece,
  stepHistory,
  tidy,
  type PieceHistory,
  type Shelf,
  type ShelfCache,
} from './pieces';
// What reads and writes files loads when a file is there: import './bundle', './calendar', './busy' and './stash-csv'
// then.
export type { BundledPicture } from './bundle';
export type { CalendarEntry } from './calendar';
export {
  changeAgenda,
  changeRoom,
  changeStash,
  keepReading,
  setAside,
  storedAgenda,
  storedRoom,
  storedStash,
  SINGLE_KINDS,
  unreadableSingle,
  type SingleKind,
  type UnreadableSingle,
} from './singles';
export { putTimer, removeTimer } from './timers';
export { changeSettings } from './settings';
export { drawnFrom, leftOf } from './stash-use';
export type { StashCsv } from './stash-csv';
export { apart, pictureFacts, storedPicture, storedPictures } from './pictures';
