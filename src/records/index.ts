export { PIECE_MIGRATIONS, PIECE_SCHEMA, PIECE_VERSION, checkPiece, newPiece, picturesOf, readPiece, type Piece } from './piece';
export { PICTURE_SCHEMA, type PictureRecord, type StoredPicture } from './picture';
export { DEFAULT_SETTINGS, readSettings, type Settings } from './settings';
export { BUNDLE_FORMAT, BUNDLE_SCHEMA, BUNDLE_VERSION, type BundleManifest } from './bundle';
export { migrateToCurrent, type Migration, type VersionCode } from './version';
export { EMPTY_NOTE, EMPTY_STASH, STASH_SCHEMA, atHandOf, readStash, type BinderNote, type Stash } from './stash';
