import type Joi from 'joi';
import type { Prices } from '@/core/journal';
import type { Job } from '@/core/stations';
import { figure, maybe, recordId, section, whole, words } from '../fields';

type Keep = Job['keep'];

export const newKeep = (): Keep => ({
  photoId: null,
  rating: null,
  notes: '',
  careText: null,
  prices: {
    print: null,
    blank: null,
    binderBottle: { price: null, ml: null },
    sealerBottle: { price: null, ml: null },
    paintTin: { price: null, ml: null },
  },
});

const price = () => maybe(figure(0, 1_000_000));
const bottle = () => section<Prices['binderBottle']>({ price: price(), ml: maybe(figure(0.1, 100_000)) });

export const keepSection = (): Joi.ObjectSchema<Keep> =>
  section<Keep>({
    photoId: maybe(recordId()),
    rating: maybe(whole(1, 5)),
    notes: words(5000),
    careText: maybe(words(2000)),
    prices: section<Prices>({
      print: price(),
      blank: price(),
      binderBottle: bottle(),
      sealerBottle: bottle(),
      paintTin: bottle(),
    }),
  });
