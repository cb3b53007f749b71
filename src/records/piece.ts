import Joi from 'joi';
import { BASE_COATS, BINDERS, FINISHES, PRINTS, SCHOOLS, SEALERS, SHEENS, SURFACES, USES } from '@/core/craft';
import { OVEN_CYCLES, REFERENCE_AIR } from '@/core/cure';
import { FONT_IDS, FULL_CROP, MOST_STRAIGHTEN_DEG, NOT_TURNED, RATIOS } from '@/core/picture';
import type { Job } from '@/core/plan';
import { PLAIN_TONE } from '@/core/raster';
import { PLAIN_GRAIN } from '@/core/render';
import { DEFAULT_OVERLAP_MM, MAX_PRINT_MM, PAPER_IDS, PLAIN_FORM } from '@/core/sheet';
import { fail, ok, type Result } from '@/core/shared';
import { migrateToCurrent, type Migration, type VersionCode } from './version';

/** Version 1 had one margin all round, 2 one for each side; 3 has turning, tone, layers, shapes, grain, the look wanted, trying on, own paper and overlap; 4 the print's form, copies, proof and order; 5 the room through time, ovens, signs, and the work done. */
export const PIECE_VERSION = 5;

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
    picture: { pictureId: null, crop: FULL_CROP, ratio: 'blank', lettering: null, ...NOT_TURNED, tone: PLAIN_TONE, layers: [] },
    surface: { kind: null, widthMm: null, heightMm: null, thicknessMm: null, finish: 'bare', baseCoat: 'none', baseColour: '#f4f1e8', prepared: [], shape: { kind: 'rectangle' }, grain: PLAIN_GRAIN, bareColour: null },
    method: { print: 'laser-plain', school: null, binder: null, whites: 'either', look: 'any', tryOn: [] },
    sheet: { paper, orientation: 'auto', margins: { topMm: 10, rightMm: 10, bottomMm: 10, leftMm: 10 }, barMeasuredMm: null, printedAt: null, custom: { widthMm: 210, heightMm: 297 }, overlapMm: DEFAULT_OVERLAP_MM, form: PLAIN_FORM, copies: 1, motif: null, proof: null, order: null },
    lay: { faces: null, filmUm: null, extendMm: 5, mediumUsedMl: null, laidAt: null },
    cure: { ...REFERENCE_AIR, air: 'still', school: 'sign', labelHours: null, cover: 'open', oven: null, through: 'typed', signs: [] },
    rub: { passes: null, done: [], finishedAt: null },
    mend: { done: [], finishedAt: null },
    seal: { use: 'wall', sheen: 'matte', sealer: null, coats: null, coatsAt: [], finishedAt: null },
    work: { done: [], draws: [] },
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

const colour = () => Joi.string().pattern(/^#[0-9a-f]{6}$/i);
const crop = () => section({ x: share(), y: share(), width: figure(1e-6, 1).required(), height: figure(1e-6, 1).required() });
const amount = () => figure(-100, 100).required();
const tone = () => section({
  lightness: amount(), contrast: amount(), gamma: figure(0.3, 3).required(), warmth: amount(), compensate: figure(0, 100).required(),
  mono: maybe(Joi.object({ red: share(), green: share(), blue: share() })), fade: oneOf('none', 'rectangle', 'oval', 'ragged').required(), fadeMm: figure(0, 300).required(),
});

const MOST_LAYERS = 24;
const placeMm = () => figure(-MAX_PRINT_MM, 2 * MAX_PRINT_MM).required();
const box = () => section({ xMm: placeMm(), yMm: placeMm(), widthMm: figure(0, 2 * MAX_PRINT_MM).required(), heightMm: figure(0, 2 * MAX_PRINT_MM).required() });
const layerId = () => Joi.string().pattern(/^[A-Za-z0-9-]{1,64}$/).required();
const textLayer = () => Joi.object({
  id: layerId(), kind: oneOf('text').required(), mode: oneOf('transfer', 'trace').required(), text: Joi.string().min(1).max(200).required(), font: oneOf(...FONT_IDS).required(),
  sizeMm: figure(1, 1000).required(), colour: colour().required(), xMm: placeMm(), yMm: placeMm(), turnDeg: figure(-180, 180).required(), arcRadiusMm: maybe(figure(-5000, 5000)), box: box(),
});
const pictureLayer = () => Joi.object({
  id: layerId(), kind: oneOf('picture').required(), mode: oneOf('transfer', 'trace').required(), pictureId: Joi.string().pattern(/^[A-Za-z0-9-]{1,64}$/).required(), crop: crop(), box: box(),
});

const sideMm = () => figure(0, MAX_PRINT_MM).required();
const count = (max: number) => Joi.number().integer().min(1).max(max).required();
const opening = () => Joi.object({ kind: oneOf('hole', 'knob').required(), xMm: sideMm(), yMm: sideMm(), diameterMm: figure(1, MAX_PRINT_MM).required() });
const shapeOf = (kind: string, keys: Joi.SchemaMap = {}) => Joi.object({ kind: oneOf(kind).required(), ...keys });
const shape = () => Joi.alternatives().try(
  shapeOf('rectangle'), shapeOf('round'), shapeOf('oval'),
  shapeOf('polygon', { points: Joi.array().items(Joi.object({ x: share(), y: share() })).min(3).max(400).required() }),
  shapeOf('wrapped-canvas', { depthMm: sideMm(), tuckMm: sideMm() }),
  shapeOf('slats', { count: count(60), gapMm: sideMm(), run: oneOf('vertical', 'horizontal').required() }),
  shapeOf('panel', { openings: Joi.array().items(opening()).max(60).required() }),
  shapeOf('drawer-row', { count: count(20), gapMm: sideMm(), knobs: Joi.number().valid(0, 1, 2).required(), knobMm: figure(1, 500).required() }),
  shapeOf('cylinder', { shareOfRound: figure(0.01, 1).required() }),
  shapeOf('vessel', { bottomMm: figure(5, MAX_PRINT_MM).required(), shareOfRound: figure(0.01, 1).required() }),
).required();

const stepId = () => Joi.string().min(1).max(120).required();
const MOST_COPIES = 60;
const motif = () => maybe(Joi.object({ of: Joi.string().max(200).required(), rings: Joi.array().items(Joi.array().items(Joi.object({ x: figure(-1, 2).required(), y: figure(-1, 2).required() })).min(3).max(2000)).max(200).required() }));
const proof = () => maybe(Joi.object({
  at: instant().required(), go: Joi.boolean().required(), mirroredRight: Joi.boolean().required(), across: figure(0.5, 2).required(), along: figure(0.5, 2).required(), page: Joi.number().integer().min(0).max(1000).required(),
  darknessKept: figure(0, 5).required(), reasons: Joi.array().items(oneOf('mirrored', 'scale-across', 'scale-along', 'cut-off', 'pale', 'cast')).max(8).required(),
}));
const order = () => maybe(Joi.object({ number: Joi.string().max(40).required(), price: figure(0, 1_000_000).required(), pages: count(1000), copies: count(1000), orderedAt: instant().required(), readyAt: instant().required() }));

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
    crop: crop(),
    ratio: oneOf(...RATIOS).required(),
    lettering: maybe(oneOf('yes', 'no')),
    turns: Joi.number().integer().min(0).max(3).required(), straightenDeg: figure(-MOST_STRAIGHTEN_DEG, MOST_STRAIGHTEN_DEG).required(), tone: tone(),
    layers: Joi.array().items(textLayer(), pictureLayer()).max(MOST_LAYERS).required(),
  }),
  surface: section({
    kind: maybe(oneOf(...ids(SURFACES))), widthMm: sizeMm(), heightMm: sizeMm(), thicknessMm: maybe(figure(0, MAX_PRINT_MM)),
    finish: oneOf(...ids(FINISHES)).required(), baseCoat: oneOf(...ids(BASE_COATS)).required(), baseColour: colour().required(),
    prepared: Joi.array().items(Joi.string().max(40)).max(40).required(),
    shape: shape(), bareColour: maybe(colour()),
    grain: section({ angleDeg: figure(-180, 180).required(), shiftXMm: figure(-2000, 2000).required(), shiftYMm: figure(-2000, 2000).required(), spacingMm: maybe(figure(0.2, 60)), knots: Joi.number().integer().min(0).max(12).required(), seed: Joi.number().integer().min(0).max(9999).required() }),
  }),
  method: section({
    print: oneOf(...ids(PRINTS)).required(), school: maybe(oneOf(...ids(SCHOOLS))), binder: maybe(oneOf(...ids(BINDERS))),
    whites: oneOf('surface-shows', 'stay-white', 'either').required(), look: oneOf('any', 'crisp', 'soft', 'distressed').required(),
    tryOn: Joi.array().items(Joi.object({ surface: oneOf(...ids(SURFACES)).required(), baseCoat: oneOf(...ids(BASE_COATS)).required(), school: oneOf(...ids(SCHOOLS)).required(), binder: oneOf(...ids(BINDERS)).required() })).max(6).required(),
  }),
  sheet: section({
    paper: oneOf(...PAPER_IDS).required(), orientation: oneOf('auto', 'portrait', 'landscape').required(),
    margins: section({ topMm: marginMm(), rightMm: marginMm(), bottomMm: marginMm(), leftMm: marginMm() }),
    barMeasuredMm: maybe(figure(50, 150)), printedAt: maybe(instant()), custom: section({ widthMm: figure(50, 1200).required(), heightMm: figure(50, 1200).required() }), overlapMm: figure(0, 60).required(),
    form: section({
      parts: oneOf('skip', 'spread', 'each').required(), sides: oneOf('picture', 'mirror', 'solid').required(), sideColour: colour().required(), corners: oneOf('cut', 'fold').required(),
      seamMm: figure(0, 40).required(), edge: oneOf('cut', 'torn', 'motif').required(), trimMm: figure(0, 60).required(), tornMm: figure(0, 60).required(), motifMm: figure(0, 60).required(),
    }),
    copies: count(MOST_COPIES), motif: motif(), proof: proof(), order: order(),
  }),
  lay: section({
    faces: maybe(Joi.array().items(oneOf('paper', 'surface')).min(1).max(2).unique()), filmUm: maybe(figure(20, 2000)), extendMm: figure(0, 100).required(),
    mediumUsedMl: maybe(figure(0, 100_000)), laidAt: maybe(instant()),
  }),
  cure: section({
    temperatureC: figure(-20, 60).required(), humidityPercent: figure(0, 100).required(), air: oneOf('still', 'fan').required(),
    school: oneOf('sign', 'clock').required(), labelHours: maybe(figure(0.1, 2000)),
    cover: oneOf('open', 'weighted', 'covered').required(), oven: maybe(oneOf(...ids(OVEN_CYCLES))), through: oneOf('typed', 'room').required(),
    signs: Joi.array().items(Joi.object({ id: oneOf('translucent', 'cool-edge', 'corner-lifts', 'even', 'corner-holds').required(), at: instant().required() })).max(100).required(),
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
  work: section({
    done: Joi.array().items(Joi.object({ step: stepId(), at: instant().required(), minutes: maybe(figure(0, 10_000)), planned: figure(0, 10_000).required() })).max(300).required(),
    draws: Joi.array().items(Joi.object({ step: stepId(), item: stepId(), amount: figure(0, 1_000_000).required(), at: instant().required() })).max(300).required(),
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

/** What version 3 adds, as it was when it was shipped: never the defaults of today. */
const turningToneShapesAdded: Migration = {
  from: 2, to: 3, name: 'turning, tone, layers, shapes, grain, the look wanted and pages are added',
  migrate: (data) => ({
    ...data,
    picture: { ...(data.picture as object), turns: 0, straightenDeg: 0, layers: [], tone: { lightness: 0, contrast: 0, gamma: 1, warmth: 0, mono: null, fade: 'none', fadeMm: 12, compensate: 0 } },
    surface: { ...(data.surface as object), shape: { kind: 'rectangle' }, bareColour: null, grain: { angleDeg: 0, shiftXMm: 0, shiftYMm: 0, spacingMm: null, knots: 1, seed: 1 } },
    method: { ...withoutGessoForPaper(data.method as { binder?: unknown; school?: unknown }), look: 'any', tryOn: [] },
    sheet: { ...(data.sheet as object), custom: { widthMm: 210, heightMm: 297 }, overlapMm: 10 },
  }),
};

/** What version 4 adds, as it was when it was shipped. */
const printFormAdded: Migration = {
  from: 3, to: 4, name: 'the form of the print, copies, proof and order are added',
  migrate: (data) => ({
    ...data,
    sheet: {
      ...(data.sheet as object), copies: 1, motif: null, proof: null, order: null,
      form: { parts: 'skip', sides: 'picture', sideColour: '#4a4a4a', corners: 'cut', seamMm: 6, edge: 'cut', trimMm: 0, tornMm: 5, motifMm: 2 },
    },
  }),
};

/** What version 5 adds, as it was when it was shipped. */
const workAdded: Migration = {
  from: 4, to: 5, name: 'the room through time, ovens, signs and the work done are added',
  migrate: (data) => ({ ...data, cure: { ...(data.cure as object), cover: 'open', oven: null, through: 'typed', signs: [] }, work: { done: [], draws: [] } }),
};

/** Version 2 could name gesso for paper prints, which was always refused; it is a bed for film. */
const withoutGessoForPaper = (method: { binder?: unknown; school?: unknown }) => (method.binder === 'gesso' ? { ...method, binder: null, school: null } : method);

export const PIECE_MIGRATIONS: readonly Migration[] = [oneMarginToFour, turningToneShapesAdded, printFormAdded, workAdded];

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

/** The pictures a piece refers to, also one of an older version. */
export const picturesOf = (piece: Pick<Piece, 'picture' | 'keep'>): string[] => [...new Set([
  piece.picture?.pictureId, piece.keep?.photoId, ...(piece.picture?.layers ?? []).map((layer) => (layer.kind === 'picture' ? layer.pictureId : null)),
])].filter((id) => typeof id === 'string');
