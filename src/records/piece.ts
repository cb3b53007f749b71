import Joi from 'joi';
import { BASE_COATS, BINDERS, FINISHES, PRINTS, SCHOOLS, SEALERS, SHEENS, SURFACES, USES } from '@/core/craft';
import { REFERENCE_AIR } from '@/core/cure';
import { FULL_CROP, RATIOS } from '@/core/picture';
import type { Job } from '@/core/plan';
import { MAX_PRINT_MM, PAPERS } from '@/core/sheet';
import { fail, ok, type Result } from '@/core/shared';
import { migrateToCurrent, type Migration, type VersionCode } from './version';

/** Version 1 had one margin all round; version 2 has one for each side. */
export const PIECE_VERSION = 2;

export interface Piece extends Job {
  id: string;
  version: typeof PIECE_VERSION;
  /** Counts the saves: how two windows notice each other. */
  revision: number;
  createdAt: number;
  updatedAt: number;
}

export function newPiece(id: string, name: string, now: number, paper: Job['sheet']['paper'] = 'a4'): Piece {
  return {
    id, name, version: PIECE_VERSION, revision: 1, createdAt: now, updatedAt: now, dueOn: null,
    picture: { pictureId: null, crop: FULL_CROP, ratio: 'blank', lettering: null },
    surface: { kind: null, widthMm: null, heightMm: null, thicknessMm: null, finish: 'bare', baseCoat: 'none', baseColour: '#f4f1e8', prepared: [] },
    method: { print: 'laser-plain', school: null, binder: null, whites: 'either' },
    sheet: { paper, orientation: 'auto', margins: { topMm: 10, rightMm: 10, bottomMm: 10, leftMm: 10 }, barMeasuredMm: null, printedAt: null },
    lay: { faces: null, filmUm: null, extendMm: 5, mediumUsedMl: null, laidAt: null },
    cure: { ...REFERENCE_AIR, air: 'still', school: 'sign', labelHours: null },
    rub: { passes: null, done: [], finishedAt: null },
    mend: { done: [], finishedAt: null },
    seal: { use: 'wall', sheen: 'matte', sealer: null, coats: null, coatsAt: [], finishedAt: null },
    keep: {
      photoId: null, rating: null, notes: '', careText: null,
      prices: { print: null, blank: null, binderBottle: { price: null, ml: null }, sealerBottle: { price: null, ml: null } },
    },
  };
}

const ids = (records: readonly { id: string }[]) => records.map((record) => record.id);
const oneOf = (...values: readonly string[]) => Joi.string().valid(...values);
const figure = (min: number, max: number) => Joi.number().min(min).max(max);
const maybe = <S extends Joi.Schema>(schema: S) => schema.allow(null).required();
const instant = () => figure(0, 8.64e15);
const instants = () => Joi.array().items(instant()).max(200).required();
const share = () => figure(0, 1).required();
const section = (keys: Joi.SchemaMap) => Joi.object(keys).required();
const sizeMm = () => maybe(figure(1, MAX_PRINT_MM));
const marginMm = () => figure(0, MAX_PRINT_MM).required();
const price = () => maybe(figure(0, 1_000_000));
const bottle = () => section({ price: price(), ml: maybe(figure(0.1, 100_000)) });
const pictureId = () => maybe(Joi.string().pattern(/^[A-Za-z0-9-]{1,64}$/));

export const PIECE_SCHEMA = Joi.object({
  id: Joi.string().pattern(/^[A-Za-z0-9-]{1,64}$/).required(),
  version: Joi.number().valid(PIECE_VERSION).required(),
  revision: Joi.number().integer().min(1).required(),
  name: Joi.string().min(1).max(120).required(),
  createdAt: instant().required(),
  updatedAt: instant().required(),
  dueOn: maybe(Joi.string().pattern(/^\d{4}-\d{2}-\d{2}$/)),
  picture: section({
    pictureId: pictureId(),
    crop: section({ x: share(), y: share(), width: figure(1e-6, 1).required(), height: figure(1e-6, 1).required() }),
    ratio: oneOf(...RATIOS).required(),
    lettering: maybe(oneOf('yes', 'no')),
  }),
  surface: section({
    kind: maybe(oneOf(...ids(SURFACES))), widthMm: sizeMm(), heightMm: sizeMm(), thicknessMm: maybe(figure(0, MAX_PRINT_MM)),
    finish: oneOf(...ids(FINISHES)).required(), baseCoat: oneOf(...ids(BASE_COATS)).required(), baseColour: Joi.string().pattern(/^#[0-9a-f]{6}$/i).required(),
    prepared: Joi.array().items(Joi.string().max(40)).max(40).required(),
  }),
  method: section({
    print: oneOf(...ids(PRINTS)).required(), school: maybe(oneOf(...ids(SCHOOLS))), binder: maybe(oneOf(...ids(BINDERS))),
    whites: oneOf('surface-shows', 'stay-white', 'either').required(),
  }),
  sheet: section({
    paper: oneOf(...Object.keys(PAPERS)).required(), orientation: oneOf('auto', 'portrait', 'landscape').required(),
    margins: section({ topMm: marginMm(), rightMm: marginMm(), bottomMm: marginMm(), leftMm: marginMm() }),
    barMeasuredMm: maybe(figure(50, 150)), printedAt: maybe(instant()),
  }),
  lay: section({
    faces: maybe(Joi.array().items(oneOf('paper', 'surface')).min(1).max(2).unique()), filmUm: maybe(figure(20, 2000)), extendMm: figure(0, 100).required(),
    mediumUsedMl: maybe(figure(0, 100_000)), laidAt: maybe(instant()),
  }),
  cure: section({
    temperatureC: figure(-20, 60).required(), humidityPercent: figure(0, 100).required(), air: oneOf('still', 'fan').required(),
    school: oneOf('sign', 'clock').required(), labelHours: maybe(figure(0.1, 2000)),
  }),
  rub: section({
    passes: maybe(Joi.number().integer().min(1).max(20)),
    done: Joi.array().items(Joi.object({ at: instant().required(), minutes: figure(0, 1440).required() })).max(50).required(), finishedAt: maybe(instant()),
  }),
  mend: section({ done: Joi.array().items(Joi.string().max(40)).max(40).required(), finishedAt: maybe(instant()) }),
  seal: section({
    use: oneOf(...ids(USES)).required(), sheen: oneOf(...ids(SHEENS)).required(), sealer: maybe(oneOf(...ids(SEALERS))),
    coats: maybe(Joi.number().integer().min(1).max(20)), coatsAt: instants(), finishedAt: maybe(instant()),
  }),
  keep: section({
    photoId: pictureId(), rating: maybe(Joi.number().integer().min(1).max(5)), notes: Joi.string().allow('').max(5000).required(), careText: maybe(Joi.string().allow('').max(2000)),
    prices: section({ print: price(), blank: price(), binderBottle: bottle(), sealerBottle: bottle() }),
  }),
});

const oneMarginToFour: Migration = {
  from: 1, to: 2, name: 'one margin all round becomes one for each side',
  migrate: (data) => {
    const { marginMm = 10, ...sheet } = (data.sheet ?? {}) as { marginMm?: number };
    return { ...data, sheet: { ...sheet, margins: { topMm: marginMm, rightMm: marginMm, bottomMm: marginMm, leftMm: marginMm } } };
  },
};

export const PIECE_MIGRATIONS: readonly Migration[] = [oneMarginToFour];

/** Reads a stored or imported piece: migrates, validates, refuses what is newer than this program. Never alters its argument. */
export function readPiece(data: unknown): Result<Piece, VersionCode> {
  const current = migrateToCurrent(data, PIECE_VERSION, PIECE_MIGRATIONS);
  return current.ok ? checkPiece(current.value) : current;
}

export function checkPiece(data: unknown): Result<Piece, 'record-invalid'> {
  const { error } = PIECE_SCHEMA.validate(data, { convert: false });
  if (!error) return ok(data as Piece);
  const [detail] = error.details;
  return fail('record-invalid', detail.message, { path: detail.path.join('.') });
}
