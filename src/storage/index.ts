export { FobbetDatabase, database } from './db';
export { addPieces, historyState, readShelf, removePiece, restorePiece, savePiece, stepHistory, tidy, type SaveCode, type Shelf } from './pieces';
export { openBundle, writeBundle, type BundleCode, type BundledPicture } from './bundle';
export { writeCalendar, type CalendarEntry } from './calendar';
export { readBusyTimes, type BusyCode } from './busy';
export { changeAgenda, keepReading, storedAgenda, storedRoom, changeRoom, changeStash, storedStash } from './singles';
export { drawnFrom, leftOf, type ItemUse } from './stash-use';
export { readStashCsv, writeStashCsv, type CsvRowFault, type StashCsv } from './stash-csv';
export type { StorageCode } from './failures';
