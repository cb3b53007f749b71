import type { InspectCode, InspectShapeCode } from '@/core/inspect';
import type { IntakeCode, MotifCode } from '@/core/picture';
import type { TraceCode } from '@/core/trace';
import type { LengthCode, QuantityCode, SpansCode, TimeCode } from '@/core/measure';
import type { ProofCode } from '@/core/proof';
import type { ResampleCode } from '@/core/raster';
import type { Failure } from '@/core/shared';
import type { OutlineCode, ShapeCode } from '@/core/shape';
import type { CopierCode, LayoutCode } from '@/core/sheet';
import type { StepCode } from '@/core/stations';
import type {
  BackupCode,
  BundleCode,
  BusyCode,
  CsvCode,
  SetCode,
  HistoryCode,
  JobCode,
  SaveCode,
  SettingsCode,
  ShopCode,
  SingleCode,
  VersionsCode,
} from '@/records';
import type { Wording } from './units';
import { said, say } from './say';

/** Every failure a person can meet. One that has no sentence does not compile. */
export type FailureCode =
  | LengthCode
  | QuantityCode
  | SpansCode
  | TimeCode
  | IntakeCode
  | MotifCode
  | TraceCode
  | 'trace-failed'
  | ResampleCode
  | OutlineCode
  | ShapeCode
  | CopierCode
  | LayoutCode
  | ProofCode
  | InspectCode
  | InspectShapeCode
  | StepCode
  | JobCode
  | HistoryCode
  | SaveCode
  | SettingsCode
  | SingleCode
  | BackupCode
  | BundleCode
  | VersionsCode
  | BusyCode
  | CsvCode
  | SetCode
  | ShopCode;

type Sentence = (values: Readonly<Record<string, string | number>>, units: Wording) => string;

/** What a table has of its own under a key from outside: "constructor" is no kind of record. */
const own = <T>(table: Readonly<Record<string, T>>, key: string | number | undefined): T | undefined =>
  Object.hasOwn(table, String(key)) ? table[String(key)] : undefined;
const figure = (value: string | number | undefined): number => Number(value ?? 0);
const example = ({ system }: Pick<Wording, 'system'>) =>
  system === 'inch' ? say`11 3/4 in or 1 ft 2 in` : say`30 cm, 300 mm or 11 3/4 in`;

/** The records of which there is one, in a sentence and at its beginning. */
const SINGLES: Readonly<Record<string, { name: string; upper: string }>> = said({
  stash: { name: 'your stash', upper: 'Your stash' },
  agenda: { name: 'your hours and plan', upper: 'The record of your hours and plan' },
  room: { name: 'the room’s record', upper: 'The record of your room' },
  settings: { name: 'the settings', upper: 'A setting' },
});
const single = (kind: string | number | undefined) =>
  own(SINGLES, kind) ?? { name: say`this record`, upper: say`This record` };

/** Pictures that are known by name, and can’t be read here. */
const NAMED_TYPES: Readonly<Record<string, string>> = said({
  tiff:
    'This is a TIFF picture, often of a scanner or in inks (CMYK). Save it as PNG or JPEG in RGB and choose it ' +
    'again; nothing was changed.',
  svg: 'This is a drawing (SVG). Save it as PNG at the size you want; nothing was changed.',
});

/** Every failure a person can meet, as a sentence that says what is wrong and what to do. */
const SENTENCES: Readonly<Record<FailureCode, Sentence>> = {
  'step-unknown': ({ text }) => say`“${text}” names no step that Fobbet knows. Nothing was changed.`,
  'length-empty': (_, units) => say`Type a length, such as ${example(units)}.`,
  'length-unreadable': (_, units) => say`This does not read as a length. Type it like ${example(units)}.`,
  'length-unclear': ({ text }) =>
    say`“${text}” can be read two ways: a point or a comma with three digits behind it. Type it without, or with a space: 1200 or 1 200.`,
  'length-which-unit': ({ text }, { system }) =>
    system === 'inch'
      ? say`${text} inches? Type the unit with it, such as ${text} mm, or feet.`
      : say`${text} of what? Type the unit with it: ${text} mm or ${text} cm.`,
  'length-range': ({ minMm, maxMm }, units) =>
    say`A length between ${units.length(figure(minMm))} and ${units.length(figure(maxMm))} is needed here.`,
  'quantity-empty': () => say`Type a figure.`,
  'quantity-unreadable': () =>
    say`This does not read as a figure. Type it like 12, 12.5 or 1/2, with its unit if you like.`,
  'quantity-range': ({ min, max }) => say`A figure from ${min} to ${max} is needed here.`,
  'picture-empty': () => say`This file is empty. Choose another picture; nothing was changed.`,
  'picture-type': ({ type }) =>
    own(NAMED_TYPES, type) ??
    say`This is not a JPEG, PNG, WebP, HEIC or AVIF picture. Save it as one of these and choose it again; nothing was changed.`,
  'picture-too-large': ({ bytes }) =>
    say`This file has ${Math.round(figure(bytes) / 1048576)} MB; up to 64 MB can be taken. Save it at a higher
      compression; nothing was changed.`,
  'picture-too-many-pixels': ({ megapixels }) =>
    say`This picture has ${megapixels} megapixels; up to 120 can be taken. Reduce it first; nothing was changed.`,
  'picture-broken': () =>
    say`This picture is damaged or cut short and cannot be read. Copy it again from where it came; nothing was changed.`,
  'copier-out-of-range': ({ percent }) =>
    say`That would be ${percent} %: more than two passes of a copier can do. Scan the original and choose it as the picture.`,
  'page-too-small': () =>
    say`This paper, less its margins and the overlap, has no room for a tile. Take a larger paper or a smaller overlap.`,
  'too-many-pages': ({ pages, most }) =>
    say`This print would take ${pages} pages; up to ${most} can be made. Take a larger paper.`,
  'print-too-large': ({ maxMm }, units) =>
    say`The print is larger than ${units.length(figure(maxMm))}. Check the object’s size.`,
  'print-empty': () => say`The margins leave nothing to print on. Make them smaller.`,
  'crop-empty': () => say`The crop holds no pixels. Draw it larger.`,
  'sheet-failed': () =>
    say`The print could not be made: the browser ran out of memory or stopped it. Close other pages and try again; nothing was changed.`,
  'shape-gaps-too-wide': () => say`The gaps leave no room for the parts. Make them narrower, or the whole wider.`,
  'shape-opening-outside': () =>
    say`An opening or knob lies outside, or is too large for its part. Move it, or make it smaller.`,
  'shape-crosses-itself': () => say`The outline crosses itself, so it can’t be cut. Move its corners apart.`,
  'shape-too-few-points': () => say`An outline needs at least three corners.`,
  'shape-flat': () =>
    say`This shape has no inside. For a vessel, the height along its side must be more than half the difference of its diameters.`,
  'shape-too-large': ({ maxMm }, units) =>
    say`Laid flat this is larger than ${units.length(figure(maxMm))}. Check its sizes.`,
  'outline-too-large': () => say`This drawing is larger than 2 MB. Save only the outline; nothing was changed.`,
  'outline-unreadable': () =>
    say`This is not an SVG drawing that can be read. Save it as plain SVG; nothing was changed.`,
  'outline-none': () =>
    say`No closed shape was found in this drawing. Draw the outline as one closed path; nothing was changed.`,
  'outline-crosses-itself': () => say`The outline in this drawing crosses itself. Simplify it; nothing was changed.`,
  'outline-out-of-range': () =>
    say`This drawing has figures that no outline has: too large, too small, or none. Draw it at its real size; nothing was changed.`,
  'outline-too-slow': () =>
    say`This drawing is too intricate to be read. Save only the outline, simplified; nothing was changed.`,
  'analysis-failed': () =>
    say`The picture could not be read through: the browser stopped it. Reload the page; nothing was changed.`,
  'proof-no-page': () =>
    say`No sheet of paper was found in this photo. Lay the page on something darker, with all four edges in view, and take it again.`,
  'proof-lamp': () =>
    say`A lamp hides too much of the page. Turn away from it, or put it out, and photograph the page again.`,
  'proof-no-marks': () =>
    say`This is not a page of this print: its marks were not found. Choose a photo of a page as it was sent last, marks and bar in view.`,
  'proof-failed': () => say`The photo could not be read: the browser stopped it. Try again; nothing was changed.`,
  'piece-not-found': () =>
    say`This piece was not found in the photo: nothing of its picture is to be seen. Take it from above, all of
      the piece in view, in even light.`,
  'wet-not-found': () =>
    say`The wetted piece was not found for sure in its photo: what was read of the dry one stands. Take it again
      from above, all of the piece in view.`,
  'piece-dark': () => say`This photo is all but black. Take it again with more light; nothing was read.`,
  'piece-other': () =>
    say`This is not this piece, or too little of its picture is left to tell. Choose a photo of it as it lies now, all of it in view.`,
  'photo-broken': () => say`This photo could not be decoded. Choose it as a JPEG, PNG or WebP.`,
  'inspect-failed': () => say`The photo could not be read: the browser stopped it. Try again; nothing was changed.`,
  'piece-unplanned': () =>
    say`A photo is read against the picture where it lies: choose the picture and measure the object first.`,
  'piece-not-flat': () =>
    say`A photo shows only the side of a vessel that is turned to it: look it over by eye, all the way round.`,
  'shop-not-pdf': () => say`The copy shop could not read this file: it takes PDFs only.`,
  'shop-too-large': () =>
    say`The copy shop’s machine takes files up to 80 MB. Make the print in two parts, or smaller.`,
  'shop-too-many-pages': ({ most, pages }) =>
    say`The copy shop takes up to ${most} pages at a time; these are ${pages}.`,
  'shop-too-slow': () => say`The copy shop’s machine gave up on this page: it takes too long to draw. Make it simpler.`,
  'shop-busy': () => say`The copy shop has as much waiting as it can take. Try again in a minute.`,
  'shop-left': () => say`The order was given up before it was done.`,
  'shop-not-own': () => say`The copy shop takes orders from Fobbet’s own pages only.`,
  'shop-no-pages': () => say`This PDF has no pages: there is nothing to print.`,
  'shop-page-size': ({ widthMm, heightMm }, units) =>
    say`The copy shop has no paper of ${units.size(figure(widthMm), figure(heightMm))}. Choose Letter, Legal, Tabloid, A4 or A3.`,
  'shop-copies': ({ most }) => say`The copy shop makes 1 to ${most} copies.`,
  'shop-liner': () =>
    say`The copy shop refuses release liner: its machine’s heat melts it. Print liner at home, on a carrier page.`,
  'shop-request': () => say`The copy shop did not understand the order. Choose its options again.`,
  'shop-away': () => say`The copy shop’s stand-in does not answer: is Fobbet’s own server still running?`,
  'trace-nothing': () =>
    say`Nothing stands out from the table in the middle of this photo. Lay the object on something of another
      colour and take the photo again; nothing was changed.`,
  'trace-cut-off': () =>
    say`The object reaches the rim of this photo. Step back so that table shows all round it; nothing was changed.`,
  'trace-failed': () =>
    say`The photo could not be read through: the browser stopped it. Reload the page; nothing was changed.`,
  'motif-none': () => say`No motif was found: this picture is white all over.`,
  'motif-everything': () =>
    say`This picture has no white round its motif, so there is nothing to cut close to. Cut or tear it at its edge.`,
  'time-unreadable': ({ text }) => say`“${text}” is no time of the day. Type it as 18:30, or 6:30 pm.`,
  'spans-unreadable': ({ text }) => say`“${text}” is no stretch of a day. Type it as 18-21, or 9:30-12, 14-17.`,
  'spans-unclear': ({ text }) =>
    say`“${text}”: before noon or after? Type it as 13-17, 1-5 pm, or 01-05 for the night.`,
  'spans-backwards': ({ text }) => say`“${text}” ends before it begins.`,
  'spans-overlap': () => say`Two of these stretches overlap.`,
  'spans-too-many': ({ most }) => say`A day can have up to ${most} stretches. Join some of them.`,
  'calendar-too-large': () =>
    say`This calendar file is larger than 2 MB. Export only the months ahead; nothing was changed.`,
  'calendar-unreadable': () =>
    say`This is not a calendar file that can be read. Choose one that ends in .ics; nothing was changed.`,
  'calendar-none': () => say`No busy times were found in this file for the next three months. Nothing was changed.`,
  'calendar-too-many': ({ most }) =>
    say`This calendar holds more than ${most} busy times for the next three months. Export fewer calendars; nothing was changed.`,
  'calendar-too-slow': () =>
    say`This calendar holds an event that repeats in a way that can’t be worked out. Export it without that event; nothing was changed.`,
  'csv-too-large': () => say`This table is larger than Fobbet takes: 2000 rows, 2 MB. Nothing was changed.`,
  'csv-too-slow': () =>
    say`This table could not be read in a reasonable time. Save it anew as CSV; nothing was changed.`,
  'csv-no-header': () => say`The first line must name the columns, kind and name among them. Nothing was changed.`,
  'set-no-header': () =>
    say`The first line must name the columns: name, and where you want them text and picture. Nothing was changed.`,
  'set-too-many': ({ most }) => say`A set can have ${most} pieces; divide the table. Nothing was changed.`,
  'csv-empty': () => say`This table has no rows. Nothing was changed.`,
  'piece-gone': () => say`This piece was removed in another window. Your change was not saved.`,
  'piece-conflict': () => say`Another window changed the same thing meanwhile.`,
  'history-moved': ({ label }) =>
    label
      ? say`This piece was changed in another window since: its last step is now “${label}”. Nothing was taken back.`
      : say`This piece was changed in another window since. Nothing was taken back.`,
  'piece-exists': () => say`A piece with this identity is here already. Nothing was changed.`,
  'record-newer': ({ found, known }) =>
    say`This piece was saved by a newer Fobbet (version ${found}; this one reads up to ${known}). It is kept as it
      is. Update Fobbet to open it.`,
  'record-unversioned': () => say`This piece does not say its version, so it cannot be read. It is kept as it is.`,
  'record-invalid': () => say`That does not fit the piece and was not saved. The piece is as it was before.`,
  'single-newer': ({ kind, found, known }) =>
    say`${single(kind).upper} was saved by a newer Fobbet (version ${found}; this one reads up to ${known}). It is
      kept as it is, and nothing is written over it. Update Fobbet to use it.`,
  'single-unreadable': ({ kind }) =>
    say`${single(kind).upper} can’t be read. It is kept as it is, and nothing is written over it.`,
  'single-refused': ({ kind, path }) =>
    path
      ? say`That does not fit ${single(kind).name} (at ${path}) and was not kept. It is as it was before.`
      : say`That does not fit ${single(kind).name} and was not kept. It is as it was before.`,
  'settings-refused': () => say`That is no setting Fobbet can keep. It is as it was before.`,
  'stash-too-many': ({ most }) => say`The stash holds up to ${most} items. Remove some first; nothing was changed.`,
  'storage-full': () =>
    say`The browser’s storage is full: the last change was not saved. Export pieces you no longer need and remove them, then try again.`,
  'storage-failed': () =>
    say`The browser could not keep the last change. What was kept before is as it was; try again.`,
  'versions-moved': ({ kind }) =>
    say`${single(kind).upper} was changed in another window since. Nothing was taken back.`,
  'backup-too-large': () => say`This copy holds more than Fobbet takes. Nothing was changed.`,
  'backup-foreign': () =>
    say`This is not a copy of everything that Fobbet made. A single piece’s bundle is opened under Pieces; nothing was changed.`,
  'backup-newer': () =>
    say`This copy was made by a newer Fobbet than this one. Update Fobbet to take it in; nothing was changed.`,
  'backup-damaged': () =>
    say`This copy is damaged or cut short. Copy the file again from where it came, or take an older one; nothing was changed.`,
  'backup-moved': () =>
    say`Something was changed in another window while you were choosing. Nothing was taken in; open the file again.`,
  'bundle-too-large': () => say`This bundle is larger than Fobbet takes. Nothing was changed.`,
  'bundle-too-heavy': ({ megabytes, most }) =>
    say`With its pictures this piece has ${megabytes} MB; a bundle holds up to ${most} MB. Take a large picture out first.`,
  'bundle-not-zip': () =>
    say`This is not a Fobbet bundle: it is no zip file. Choose a file that ends in .fobbet.zip; nothing was changed.`,
  'bundle-foreign': () =>
    say`This zip file was not made by Fobbet. Choose a file that ends in .fobbet.zip; nothing was changed.`,
  'bundle-newer': ({ found, known }) =>
    say`This bundle was made by a newer Fobbet (version ${found}; this one reads up to ${known}). Update Fobbet to
      open it; nothing was changed.`,
  'bundle-damaged': () =>
    say`This bundle is damaged or cut short. Copy it again from where it came; nothing was changed.`,
  'bundle-picture-missing': ({ name }) =>
    say`This bundle lacks a picture it needs (${name}). Export it again; nothing was changed.`,
  'bundle-picture-damaged': ({ name }) =>
    say`The picture “${name}” in this bundle is damaged. Copy the bundle again from where it came; nothing was changed.`,
};

export const FAILURE_CODES = Object.keys(SENTENCES) as readonly FailureCode[];

/** What is wrong and what to do. */
export const sentenceFor = (failure: Failure<FailureCode>, units: Wording): string =>
  SENTENCES[failure.code](failure.values ?? {}, units);
