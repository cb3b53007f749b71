import type { RectMm } from '@/core/shape';

/** The attributes of an SVG rect, in mm. */
export const rectOf = ({ xMm, yMm, widthMm, heightMm }: RectMm) => ({
  x: xMm,
  y: yMm,
  width: widthMm,
  height: heightMm,
});
