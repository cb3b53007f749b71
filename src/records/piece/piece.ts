import Joi from 'joi';
import { atFirstUse, type Result } from '@/core/shared';
import type { Job, JobPatch } from '@/core/stations';
import { day, instant, item, maybe, named, recordId, whole, yesOrNo } from '../fields';
import { movedInTime, type SetClock } from '../moved-in-time';
import { checkRecord, migrateToCurrent, type VersionCode } from '../version';
import { CURE } from './cure';
import { FAULTS } from './faults';
import { chosen, initialOf, own, schemaOf, type Fields } from './field';
import { KEEP } from './keep';
import { LAY } from './lay';
import { MEND } from './mend';
import { METHOD } from './method';
import { PIECE_MIGRATIONS } from './migrations';
import { PICTURE } from './picture';
import { RUB } from './rub';
import { SEAL } from './seal';
import { SHEET } from './sheet';
import { SURFACE } from './surface';
import { WORK } from './work';

/**
 * Version 1 had one margin all round, 2 one for each side; 3 has turning, tone, layers, shapes, grain, the look wanted,
 * trying on, own paper and overlap; 4 the print's form, copies, proof and order; 5 the room through time, ovens, signs,
 * and the work done; 6 schools by ids that speak; 7 the age of paint, a colour under the base coat, paint's price, a
 * sheen that follows the method, steps begun early; 8 readings of photos, wear on purpose, a glaze, faults looked into; 9
 * a traced face, parts kept clear; 10 sets with one plan, templates; 11 a photo's verdict that is
 * overruled; 12 conditions of a method that are settled, paint that bears an oven, the price of a bought one;
 * 13 a print that follows the printer at hand, what is liked at Mend.
 */
export const PIECE_VERSION = 13;

/** A set that is planned as one: what is chosen for one of its pieces holds for all. */
interface PieceSet {
  id: string;
  name: string;
  /** Its place among them, from 0. */
  at: number;
}

export interface Piece extends Job {
  id: string;
  version: typeof PIECE_VERSION;
  /** Counts the saves: how two windows notice each other. */
  revision: number;
  createdAt: number;
  updatedAt: number;
  /** Null where it is made by itself. */
  set: PieceSet | null;
  /** Nothing is done to it: others are begun from it. */
  template: boolean;
}

export type SectionId = keyof JobPatch;
const MOST_OF_A_SET = 10_000;

/** What stands in no section. */
export const HEAD: Fields<Omit<Piece, SectionId>> = {
  id: own(() => recordId(), ''),
  version: own(() => Joi.number().valid(PIECE_VERSION).required(), PIECE_VERSION),
  revision: own(() => whole(1, Number.MAX_SAFE_INTEGER), 1),
  name: own(() => named(120), ''),
  createdAt: own(() => instant(), 0),
  updatedAt: own(() => instant(), 0),
  dueOn: chosen(() => maybe(day()), null),
  set: own(() => maybe(item<PieceSet>({ id: recordId(), name: named(120), at: whole(0, MOST_OF_A_SET) })), null),
  template: own(() => yesOrNo(), false),
};

const SECTIONS: { readonly [S in SectionId]-?: Fields<Piece[S]> } = {
  picture: PICTURE,
  surface: SURFACE,
  method: METHOD,
  sheet: SHEET,
  lay: LAY,
  cure: CURE,
  rub: RUB,
  mend: MEND,
  seal: SEAL,
  work: WORK,
  faults: FAULTS,
  keep: KEEP,
};

/** The values of any section, where all are treated alike. */
export type Values = Record<string, unknown>;
/** Every section with its fields. */
export const SECTION_FIELDS = Object.entries(SECTIONS) as unknown as readonly [SectionId, Fields<Values>][];

/** The sections of a piece, each made of its fields. */
export const sectionsOf = (make: (id: SectionId, fields: Fields<Values>) => object): Pick<Piece, SectionId> =>
  Object.fromEntries(SECTION_FIELDS.map(([id, fields]) => [id, make(id, fields)])) as Pick<Piece, SectionId>;

export const newPiece = (id: string, name: string, now: number, paper: Job['sheet']['paper'] = 'a4'): Piece => {
  const sections = sectionsOf((_, fields) => initialOf(fields));
  const head = { ...initialOf(HEAD), id, name, createdAt: now, updatedAt: now };
  return { ...head, ...sections, sheet: { ...sections.sheet, paper } };
};

export const pieceSchema: () => Joi.ObjectSchema<Piece> = atFirstUse(
  () =>
    schemaOf(HEAD).keys(
      Object.fromEntries(SECTION_FIELDS.map(([id, fields]) => [id, schemaOf(fields)])),
    ) as Joi.ObjectSchema<Piece>,
);

/**
 * Reads a stored or imported piece: migrates, validates, refuses what is newer than this program. Never alters its
 * argument.
 */
export function readPiece(data: unknown): Result<Piece, VersionCode> {
  const current = migrateToCurrent(data, PIECE_VERSION, PIECE_MIGRATIONS);
  return current.ok ? checkPiece(current.value) : current;
}

export const checkPiece = (data: unknown): Result<Piece, 'record-invalid'> => checkRecord(pieceSchema(), data);

/** A piece after the clock was set: what was done to it is as long ago as before. */
export const pieceInTime = (piece: Piece, set: SetClock): Piece => movedInTime(piece, set);
