import type { Prices } from '@/core/journal';
import type { Job } from '@/core/stations';
import { figure, maybe, recordId, section, whole, words } from '../fields';
import { chosen, done, onePicture, refersTo, type Fields } from './field';

const price = () => maybe(figure(0, 1_000_000));
const bottle = () => section<Prices['binderBottle']>({ price: price(), ml: maybe(figure(0.1, 100_000)) });

export const KEEP: Fields<Job['keep']> = {
  photoId: refersTo(
    onePicture,
    done(() => maybe(recordId()), null),
  ),
  rating: done(() => maybe(whole(1, 5)), null),
  notes: done(() => words(5000), ''),
  careText: chosen(() => maybe(words(2000)), null),
  boughtPrice: chosen(() => price(), null),
  prices: chosen(
    () =>
      section<Prices>({
        print: price(),
        blank: price(),
        binderBottle: bottle(),
        sealerBottle: bottle(),
        paintTin: bottle(),
      }),
    {
      print: null,
      blank: null,
      binderBottle: { price: null, ml: null },
      sealerBottle: { price: null, ml: null },
      paintTin: { price: null, ml: null },
    },
  ),
};
