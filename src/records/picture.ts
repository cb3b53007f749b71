import Joi from 'joi';
import { oneOf, recordId, share, whole } from './fields';
import { MAX_PICTURE_BYTES, MAX_PICTURE_PIXELS, SKETCH_LENGTH, SKETCH_LETTERS, type PictureType } from '@/core/picture';

/** A picture file as it came, with what was read from it. Never altered: another picture is another record. */
export interface PictureRecord {
  id: string;
  name: string;
  type: PictureType;
  bytes: number;
  sha256: string;
  /** Upright size, after the EXIF rotation. */
  widthPx: number;
  heightPx: number;
  paleShare: number;
  darkShare: number;
  /** Where it is dark, light and even (`core/picture/sketch.ts`); pictures that came before there were sketches have none. */
  sketch?: string;
  /** It looks as if something on it could be read (`core/picture/reads.ts`): a guess, not an answer. */
  reads?: boolean;
}

/** The file itself and a small upright copy for the screen: stored apart from the facts. */
export interface PictureFiles {
  id: string;
  file: Blob;
  preview: Blob;
}

/** A picture whole: its facts with its files. */
export type StoredPicture = PictureRecord & PictureFiles;

export const factsOf = ({ file: _file, preview: _preview, ...facts }: StoredPicture): PictureRecord => facts;

export const pictureFields = (): Joi.StrictSchemaMap<PictureRecord> => ({
  id: recordId(),
  name: Joi.string().max(255).required(),
  type: oneOf('image/jpeg', 'image/png', 'image/webp'),
  bytes: whole(1, MAX_PICTURE_BYTES),
  sha256: Joi.string().hex().length(64).required(),
  widthPx: whole(1, MAX_PICTURE_PIXELS),
  heightPx: whole(1, MAX_PICTURE_PIXELS),
  paleShare: share(),
  darkShare: share(),
  sketch: Joi.string().length(SKETCH_LENGTH).pattern(SKETCH_LETTERS),
  reads: Joi.boolean(),
});
