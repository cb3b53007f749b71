export { FobbetDatabase, database } from './db';
export { addPieces, historyState, readShelf, removePiece, restorePiece, savePiece, stepHistory, tidy, type SaveCode, type Shelf } from './pieces';
export { openBundle, writeBundle, type BundleCode, type BundledPicture } from './bundle';
export { writeCalendar, type CalendarEntry } from './calendar';
export type { StorageCode } from './failures';
