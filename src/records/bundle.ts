import Joi from 'joi';
import { atFirstUse } from '@/core/shared';
import { count, item, list, oneOf, section } from './fields';
import { MOST_PICTURES } from './piece';
import { pictureFields, type PictureRecord } from './picture';

/** Says what kind of file it is before anything else is read. */
export const BUNDLE_FORMAT = 'fobbet-piece';
export const BUNDLE_VERSION = 1;

/** A picture's facts with where its file lies in the bundle. */
export interface ListedPicture extends PictureRecord {
  path: string;
}

/** piece.json of a bundle. The piece has a version of its own and is checked by it. */
export interface BundleManifest {
  format: typeof BUNDLE_FORMAT;
  bundleVersion: number;
  piece: object;
  pictures: ListedPicture[];
}

const listed = () =>
  item<ListedPicture>({
    ...pictureFields(),
    path: Joi.string()
      .pattern(/^pictures\/[A-Za-z0-9-]{1,64}\.(jpg|png|webp)$/)
      .required(),
  });

export const bundleSchema = atFirstUse(() =>
  section<BundleManifest>({
    format: oneOf(BUNDLE_FORMAT),
    bundleVersion: count(Number.MAX_SAFE_INTEGER),
    piece: Joi.object().unknown().required(),
    pictures: list(listed(), MOST_PICTURES),
  }),
);
