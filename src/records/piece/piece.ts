import Joi from 'joi';
import { atFirstUse } from '@/core/shared';
import { motifKey, type Job } from '@/core/stations';
import type { Result } from '@/core/shared';
import { day, instant, item, maybe, named, recordId, whole, yesOrNo } from '../fields';
import { movedInTime, type SetClock } from '../moved-in-time';
import { checkRecord, migrateToCurrent, type VersionCode } from '../version';
import { cureSection, newCure } from './cure';
import { faultsSection, newFaults } from './faults';
import { keepSection, newKeep } from './keep';
import { laySection, newLay } from './lay';
import { mendSection, newMend } from './mend';
import { methodSection, newMethod } from './method';
import { PIECE_MIGRATIONS } from './migrations';
import { pictureSection, newPicture } from './picture';
import { rubSection, newRub } from './rub';
import { sealSection, newSeal } from './seal';
import { sheetSection, newSheet } from './sheet';
import { surfaceSection, newSurface } from './surface';
import { workSection, newWork } from './work';

/**
 * Version 1 had one margin all round, 2 one for each side; 3 has turning, tone, layers, shapes, grain, the look wanted,
 * trying on, own paper and overlap; 4 the print's form, copies, proof and order; 5 the room through time, ovens, signs,
 * and the work done; 6 schools by ids that speak; 7 the age of paint, a colour under the base coat, paint's price, a
 * sheen that follows the method, steps begun early; 8 readings of photos, wear on purpose, a glaze, faults looked into; 9
 * a traced face, parts kept clear; 10 sets with one plan, templates; 11 a photo's verdict that is
 * overruled.
 */
export const PIECE_VERSION = 11;

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

export const newPiece = (id: string, name: string, now: number, paper: Job['sheet']['paper'] = 'a4'): Piece => ({
  id,
  name,
  version: PIECE_VERSION,
  revision: 1,
  createdAt: now,
  updatedAt: now,
  dueOn: null,
  set: null,
  template: false,
  picture: newPicture(),
  surface: newSurface(),
  method: newMethod(),
  sheet: newSheet(paper),
  lay: newLay(),
  cure: newCure(),
  rub: newRub(),
  mend: newMend(),
  seal: newSeal(),
  work: newWork(),
  faults: newFaults(),
  keep: newKeep(),
});

const MOST_OF_A_SET = 10_000;

export const pieceSchema: () => Joi.ObjectSchema<Piece> = atFirstUse(() =>
  Joi.object<Piece, true>({
    id: recordId(),
    version: Joi.number().valid(PIECE_VERSION).required(),
    revision: whole(1, Number.MAX_SAFE_INTEGER),
    name: named(120),
    createdAt: instant(),
    updatedAt: instant(),
    dueOn: maybe(day()),
    set: maybe(item<PieceSet>({ id: recordId(), name: named(120), at: whole(0, MOST_OF_A_SET) })),
    template: yesOrNo(),
    picture: pictureSection(),
    surface: surfaceSection(),
    method: methodSection(),
    sheet: sheetSection(),
    lay: laySection(),
    cure: cureSection(),
    rub: rubSection(),
    mend: mendSection(),
    seal: sealSection(),
    work: workSection(),
    faults: faultsSection(),
    keep: keepSection(),
  }),
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

/** The pictures a piece refers to, also one of an older version. */
export const picturesOf = (piece: Pick<Piece, 'picture' | 'surface' | 'rub' | 'keep'>): string[] =>
  [
    ...new Set([
      piece.picture?.pictureId,
      piece.keep?.photoId,
      piece.surface?.face?.pictureId,
      ...(piece.picture?.layers ?? []).map((layer) => (layer.kind === 'picture' ? layer.pictureId : null)),
      ...(piece.rub?.readings ?? []).flatMap(({ dryPhotoId, wetPhotoId }) => [dryPhotoId, wetPhotoId]),
    ]),
  ].filter((id) => typeof id === 'string');

/** The same piece with other ids for its pictures; null where one is not to be had, and a layer of it falls away. */
export function withPictures(piece: Piece, idOf: (id: string) => string | null): Piece {
  const other = (id: string | null) => (id === null ? null : idOf(id));
  const layers = piece.picture.layers.flatMap((layer): Job['picture']['layers'] => {
    if (layer.kind === 'text') return [layer];
    const pictureId = idOf(layer.pictureId);
    return pictureId === null ? [] : [{ ...layer, pictureId }];
  });
  const picture = { ...piece.picture, pictureId: other(piece.picture.pictureId), layers };
  const { motif } = piece.sheet;
  const { face } = piece.surface;
  const faceId = other(face?.pictureId ?? null);
  return {
    ...piece,
    picture,
    surface: { ...piece.surface, face: face && faceId !== null ? { ...face, pictureId: faceId } : null },
    // Found in that very picture: it stays found under the picture's other name.
    sheet:
      motif && motif.of === motifKey(piece.picture)
        ? { ...piece.sheet, motif: { ...motif, of: motifKey(picture) } }
        : piece.sheet,
    rub: {
      ...piece.rub,
      readings: piece.rub.readings.map((reading) => ({
        ...reading,
        dryPhotoId: other(reading.dryPhotoId),
        wetPhotoId: other(reading.wetPhotoId),
      })),
    },
    keep: { ...piece.keep, photoId: other(piece.keep.photoId) },
  };
}
