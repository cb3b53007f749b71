export { PIECE_MIGRATIONS, PIECE_SCHEMA, PIECE_VERSION, checkPiece, newPiece, picturesOf, readPiece, type Piece } from './piece';
export { PICTURE_SCHEMA, type PictureRecord, type StoredPicture } from './picture';
export { DEFAULT_SETTINGS, readSettings, type Settings } from './settings';
export { BUNDLE_FORMAT, BUNDLE_SCHEMA, BUNDLE_VERSION, type BundleManifest } from './bundle';
export { migrateToCurrent, type Migration, type VersionCode } from './version';
export {
  EMPTY_STASH, ITEM_KINDS, ITEM_SCHEMA, UNIT_OF, atHandOf, itemsOf, newItem, readStash, type ItemKind, type ItemUnit, type Stash, type StashItem,
} from './stash';
export { EMPTY_AGENDA, freeHoursOf, readAgenda, type Agenda, type BusyTime } from './agenda';
export { EMPTY_ROOM, readRoom, type RoomRecord } from './room';
export { readTimer, type BenchTimer } from './timer';
