import Joi from 'joi';
import { KEPT_LETTERS, MOST_KEPT_CELLS, isWholeReading, type KeptReading } from '@/core/inspect';
import type { Job, RubbedPass } from '@/core/stations';
import { count, figure, instant, item, list, maybe, recordId, section, share, whole, yesOrNo } from '../fields';
import { chosen, done, onePicture, refersTo, type Fields, type PictureRefs } from './field';

const MINUTES_PER_DAY = 1440;
const MOST_PASSES = 50;
export const MOST_READINGS = 6;
const MOST_PHOTO_PX = 20_000;
/** A cell is a few mm, or coarser on a very large print. */
const MOST_CELL_MM = 200;

const letters = (each: number) =>
  Joi.string()
    .allow('')
    .max(MOST_KEPT_CELLS * 2 * each)
    .pattern(KEPT_LETTERS)
    .required();
/** A corner may lie a little out of the photo. */
const corner = () => item<{ x: number; y: number }>({ x: figure(-2, 3), y: figure(-2, 3) });

const reading = () =>
  item<KeptReading>({
    at: instant(),
    pass: whole(0, MOST_PASSES),
    dryPhotoId: maybe(recordId()),
    wetPhotoId: maybe(recordId()),
    photo: section<KeptReading['photo']>({ width: count(MOST_PHOTO_PX), height: count(MOST_PHOTO_PX) }),
    corners: list(corner(), 4).length(4),
    rmsMm: figure(0, 100),
    sure: share(),
    cell: section<KeptReading['cell']>({
      widthMm: figure(0.1, MOST_CELL_MM),
      heightMm: figure(0.1, MOST_CELL_MM),
      columns: count(MOST_KEPT_CELLS),
      rows: count(MOST_KEPT_CELLS),
    }),
    haze: letters(1),
    kept: letters(1),
    seen: letters(1),
    clearsWet: maybe(letters(1)),
    colours: letters(3),
    isWhitened: yesOrNo(),
  }).custom((value: KeptReading, helpers) => (isWholeReading(value) ? value : helpers.error('any.invalid')));

/** A photo while it is read dry, and one wetted. */
const ofReadings: PictureRefs<KeptReading[]> = {
  most: 2 * MOST_READINGS,
  ids: (readings) => readings.flatMap(({ dryPhotoId, wetPhotoId }) => [dryPhotoId, wetPhotoId]),
  renamed: (readings, idOf) =>
    readings.map((reading) => ({
      ...reading,
      dryPhotoId: onePicture.renamed(reading.dryPhotoId, idOf),
      wetPhotoId: onePicture.renamed(reading.wetPhotoId, idOf),
    })),
};

export const RUB: Fields<Job['rub']> = {
  passes: chosen(() => maybe(whole(1, 20)), null),
  done: done(() => list(item<RubbedPass>({ at: instant(), minutes: figure(0, MINUTES_PER_DAY) }), MOST_PASSES), []),
  finishedAt: done(() => maybe(instant()), null),
  readings: refersTo(
    ofReadings,
    done(() => list(reading(), MOST_READINGS), []),
  ),
  overruledAt: done(() => maybe(instant()), null),
};
