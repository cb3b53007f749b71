export {
  MOST_FAULT_NOTES,
  MOST_READINGS,
  PIECE_MIGRATIONS,
  PIECE_SCHEMA,
  PIECE_VERSION,
  checkPiece,
  newPiece,
  picturesOf,
  readPiece,
  withPictures,
  type Piece,
} from './piece';
export { PICTURE_FIELDS, factsOf, type PictureFiles, type PictureRecord, type StoredPicture } from './picture';
export { DEFAULT_SETTINGS, checkSettings, readSettings, type Settings } from './settings';
export { BUNDLE_FORMAT, BUNDLE_SCHEMA, BUNDLE_VERSION, MOST_PICTURES, type BundleManifest } from './bundle';
export { checkRecord, migrateToCurrent, type VersionCode } from './version';
export {
  EMPTY_STASH,
  ITEM_BOUNDS,
  ITEM_KINDS,
  ITEM_SCHEMA,
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
export { EMPTY_AGENDA, checkAgenda, freeHoursOf, readAgenda, type Agenda, type BusyTime } from './agenda';
export { EMPTY_ROOM, checkRoom, readRoom, type RoomRecord } from './room';
export { readTimer, type BenchTimer } from './timer';
export type {
  BackupCode,
  BundleCode,
  BusyCode,
  CsvCode,
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
