import Joi from 'joi';
import type { Piece } from './piece';
import { PICTURE_SCHEMA, type PictureRecord } from './picture';

/** Says what kind of file it is before anything else is read. */
export const BUNDLE_FORMAT = 'fobbet-piece';
export const BUNDLE_VERSION = 1;

/** piece.json of a bundle. The piece has a version of its own and is checked by it. */
export interface BundleManifest {
  format: typeof BUNDLE_FORMAT;
  bundleVersion: number;
  piece: Piece;
  pictures: (PictureRecord & { path: string })[];
}

export const BUNDLE_SCHEMA = Joi.object({
  format: Joi.string().valid(BUNDLE_FORMAT).required(),
  bundleVersion: Joi.number().integer().min(1).required(),
  piece: Joi.object().unknown().required(),
  pictures: Joi.array().items(PICTURE_SCHEMA.keys({ path: Joi.string().pattern(/^pictures\/[A-Za-z0-9-]{1,64}\.(jpg|png|webp)$/).required() })).max(20).required(),
});
