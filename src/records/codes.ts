/**
 * Codes of the failures that storage, workers and stand-ins report. They stand here, below all of them, so that the
 * words of every failure can be held to them by the compiler.
 */
import type { VersionCode } from './version';

export type StorageCode = 'storage-full' | 'storage-failed';
/** A record of which there is one: stash, hours, room. */
export type SingleCode = 'single-newer' | 'single-unreadable' | 'single-refused' | 'stash-too-many' | StorageCode;
/** Records of which there is one. */
export type RecordKind = 'stash' | 'agenda' | 'room' | 'settings';
/** What was to be taken back of stash, hours, room or settings was changed since. */
export type VersionsCode = 'versions-moved';
export type SettingsCode = 'settings-refused' | StorageCode;
export type HistoryCode = 'history-moved' | 'piece-gone' | VersionCode | StorageCode;
export type SaveCode = 'piece-gone' | 'piece-conflict' | 'piece-exists' | VersionCode | StorageCode;

export type BundleCode =
  | 'bundle-too-large'
  | 'bundle-too-heavy'
  | 'bundle-not-zip'
  | 'bundle-foreign'
  | 'bundle-newer'
  | 'bundle-damaged'
  | 'bundle-picture-missing'
  | 'bundle-picture-damaged';
export type BackupCode = 'backup-too-large' | 'backup-foreign' | 'backup-newer' | 'backup-damaged' | 'backup-moved';
export type BusyCode =
  'calendar-too-large' | 'calendar-unreadable' | 'calendar-none' | 'calendar-too-many' | 'calendar-too-slow';
/** Of a set of pieces as a table. */
export type SetCode = 'set-no-header' | 'set-too-many';
export type CsvCode = 'csv-too-large' | 'csv-no-header' | 'csv-empty' | 'csv-too-slow';

/** A worker that could not end its job. */
export type JobCode = 'sheet-failed' | 'proof-failed' | 'analysis-failed';

export type ShopCode =
  | 'shop-not-pdf'
  | 'shop-too-large'
  | 'shop-too-many-pages'
  | 'shop-too-slow'
  | 'shop-busy'
  | 'shop-left'
  | 'shop-not-own'
  | 'shop-no-pages'
  | 'shop-page-size'
  | 'shop-copies'
  | 'shop-liner'
  | 'shop-request'
  | 'shop-away';
