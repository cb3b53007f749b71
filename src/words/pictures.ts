import type { PictureRemark } from '@/core/picture';

/** What is said once of a picture that was taken. */
export const REMARK_WORDS: Readonly<Record<PictureRemark, string>> = {
  transparent: 'Transparent parts of this picture print as bare paper: no toner lies there, and the surface shows.',
  animated: 'This picture moves: its first frame is used.',
  inks: 'This picture is in inks (CMYK): its colours may shift. Save it in RGB if they must match.',
};
