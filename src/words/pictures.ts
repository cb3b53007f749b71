import type { PictureRemark } from '@/core/picture';
import { said } from './say';

/** What is said once of a picture that was taken. */
export const REMARK_WORDS: Readonly<Record<PictureRemark, string>> = said({
  transparent: 'Transparent parts of this picture print as bare paper: no toner lies there, and the surface shows.',
  'kept-as-jpeg': 'This picture came as phones keep them; it is kept here as JPEG, at its full size.',
  animated: 'This picture moves: its first frame is used.',
  inks: 'This picture is in inks (CMYK): its colours may shift. Save it in RGB if they must match.',
});
