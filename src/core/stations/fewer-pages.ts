/** Of one print over several pages: whether a little less of it takes fewer, and the margins that make it so. */
import type { AtHand } from '@/core/at-hand';
import type { SizeMm } from '@/core/shape';
import { lessForFewerPages, lessForOnePage } from '@/core/sheet';
import type { PiecePlan } from './answers';
import type { Job } from './job';
import { layoutChoice } from './sheet';

export interface PagesOffer {
  pages: number;
  margins: Job['sheet']['margins'];
  /** How much wider the margins get, above and below, left and right; mm. */
  wider: { acrossMm: number; alongMm: number };
}

/** More than this is no slightly wider margin, mm. */
const MOST_LESS_MM = 30;
const SPARE_MM = 0.25;

/** One page where that is within reach, else the next number of pages that is; null where nothing is gained. */
export function fewerPages({ sheet }: Job, plan: Pick<PiecePlan, 'surface'>, atHand: AtHand): PagesOffer | null {
  const { print, blank, window } = plan.surface;
  if (!print || !window || blank?.layout.kind !== 'plain') return null;
  const choice = layoutChoice(sheet, atHand);
  const onePage = lessForOnePage(print.picture, choice.paper, choice.marginMm);
  const offer =
    onePage && onePage.widthMm + onePage.heightMm <= MOST_LESS_MM
      ? { less: onePage, pages: 1 }
      : lessForFewerPages(print.picture, choice, MOST_LESS_MM);
  if (!offer) return null;
  const wider = widerMargins(window, print.picture, offer.less);
  const { topMm, bottomMm, leftMm, rightMm } = sheet.margins;
  return {
    pages: offer.pages,
    wider,
    margins: {
      topMm: topMm + wider.alongMm,
      bottomMm: bottomMm + wider.alongMm,
      leftMm: leftMm + wider.acrossMm,
      rightMm: rightMm + wider.acrossMm,
    },
  };
}

/** A crop of another shape lies in the middle of its window: what is left beside it goes first. */
const widerMargins = (window: SizeMm, picture: SizeMm, less: SizeMm): PagesOffer['wider'] => ({
  acrossMm: less.widthMm > 0 ? (window.widthMm - picture.widthMm + less.widthMm) / 2 + SPARE_MM : 0,
  alongMm: less.heightMm > 0 ? (window.heightMm - picture.heightMm + less.heightMm) / 2 + SPARE_MM : 0,
});
