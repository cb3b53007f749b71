import type { PiecePlan } from '@/core/stations';
import type { StoredPicture } from '@/records';
import type { ReasonLine } from '@/ui';
import type { Wording } from '@/words';
import { say } from '@/words/say';
import { VERDICT_WORDS } from './verdict-words';

const PIXELS_PER_MP = 1e6;

/** How many pixels the picture has, and how far they go on this print. */
export function pictureReasons(picture: StoredPicture | null, plan: PiecePlan, units: Wording): ReasonLine[] {
  if (!picture) return [];
  const { widthPx, heightPx } = picture;
  const megapixels = ((widthPx * heightPx) / PIXELS_PER_MP).toFixed(1);
  const { print } = plan.surface;
  return [
    { figure: say`${megapixels} MP`, text: say`${widthPx} × ${heightPx} pixels` },
    ...(print ? [inPrint(print, units)] : []),
    ...(print?.verdict === 'soft'
      ? [
          {
            figure: units.length(print.largestWidthMm),
            text: say`is the widest print these pixels carry acceptably`,
          },
        ]
      : []),
  ];
}

const inPrint = (print: NonNullable<PiecePlan['surface']['print']>, units: Wording): ReasonLine => ({
  figure: say`${Math.round(print.ppi)} ppi`,
  text: say`in a print of ${units.size(print.picture.widthMm, print.picture.heightMm)}: ${VERDICT_WORDS[print.verdict]}`,
});
