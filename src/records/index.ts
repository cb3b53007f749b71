export {
  MOST_FAULT_NOTES,
  MOST_LAYERS,
  MOST_PICTURES,
  MOST_READINGS,
  PIECE_MIGRATIONS,
  pieceSchema,
  PIECE_VERSION,
  changedBy,
  checkPiece,
  nameLike,
  newPiece,
  numberedName,
  ownLetteringOf,
  pieceLike,
  pieceInTime,
  picturesOf,
  readPiece,
  withOwnLettering,
  withPictures,
  withChoicesOf,
  type Piece,
} from './piece';
export { pictureFields, factsOf, type PictureFiles, type PictureRecord, type StoredPicture } from './picture';
export { DEFAULT_SETTINGS, KEY_IDS, checkSettings, readSettings, type KeyId, type Settings } from './settings';
export { BUNDLE_FORMAT, bundleSchema, BUNDLE_VERSION, type BundleManifest } from './bundle';
export { checkRecord, migrateToCurrent, type VersionCode } from './version';
export {
  EMPTY_STASH,
  ITEM_BOUNDS,
  ITEM_KINDS,
  itemSchema,
  MOST_ITEMS,
  UNIT_OF,
  atHandOf,
  checkStash,
  itemsOf,
  newItem,
  readStash,
  type ItemKind,
  type Stash,
  type StashItem,
} from './stash';
export {
  EMPTY_AGENDA,
  SHELF_MM,
  agendaWithout,
  buildInputOf,
  checkAgenda,
  readAgenda,
  type Agenda,
  type BusyTime,
  type HelperHands,
} from './agenda';
export type { SetClock } from './moved-in-time';
export { EMPTY_ROOM, checkRoom, readRoom, type RoomRecord } from './room';
export { readTimer, type BenchTimer } from './timer';
export type {
  BackupCode,
  BundleCode,
  BusyCode,
  CsvCode,
  SetCode,
  HistoryCode,
  JobCode,
  RecordKind,
  SaveCode,
  SettingsCode,
  VersionsCode,
  ShopCode,
  SingleCode,
  StorageCode,
} from './codes';
