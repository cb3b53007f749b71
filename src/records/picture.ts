import Joi from 'joi';
import { MAX_PICTURE_BYTES, MAX_PICTURE_PIXELS, type PictureType } from '@/core/picture';

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
}

/** The stored form: the facts with the file itself and a small upright copy for the screen. */
export interface StoredPicture extends PictureRecord { file: Blob; preview: Blob }

export const PICTURE_SCHEMA = Joi.object({
  id: Joi.string().pattern(/^[A-Za-z0-9-]{1,64}$/).required(),
  name: Joi.string().max(255).required(),
  type: Joi.string().valid('image/jpeg', 'image/png', 'image/webp').required(),
  bytes: Joi.number().integer().min(1).max(MAX_PICTURE_BYTES).required(),
  sha256: Joi.string().hex().length(64).required(),
  widthPx: Joi.number().integer().min(1).max(MAX_PICTURE_PIXELS).required(),
  heightPx: Joi.number().integer().min(1).max(MAX_PICTURE_PIXELS).required(),
  paleShare: Joi.number().min(0).max(1).required(),
  darkShare: Joi.number().min(0).max(1).required(),
});
