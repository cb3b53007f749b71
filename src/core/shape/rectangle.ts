/** Rectangles on the face of a blank: mm, origin at its top left corner, y down, seen from the front as it lands. */
export interface SizeMm {
  widthMm: number;
  heightMm: number;
}
export interface RectMm extends SizeMm {
  xMm: number;
  yMm: number;
}
export interface MarginsMm {
  topMm: number;
  rightMm: number;
  bottomMm: number;
  leftMm: number;
}

export const areaMm2 = ({ widthMm, heightMm }: SizeMm): number => widthMm * heightMm;

/** The blank less its margins, or null where the margins leave nothing. */
export function insideMargins(blank: SizeMm, margins: MarginsMm): RectMm | null {
  const widthMm = blank.widthMm - margins.leftMm - margins.rightMm;
  const heightMm = blank.heightMm - margins.topMm - margins.bottomMm;
  return widthMm > 0 && heightMm > 0 ? { xMm: margins.leftMm, yMm: margins.topMm, widthMm, heightMm } : null;
}

/** The largest rectangle of an aspect (width ÷ height) inside a window, centred in it. */
export function largestInside(window: RectMm, aspect: number): RectMm {
  const widthMm = Math.min(window.widthMm, window.heightMm * aspect);
  const heightMm = widthMm / aspect;
  return {
    xMm: window.xMm + (window.widthMm - widthMm) / 2,
    yMm: window.yMm + (window.heightMm - heightMm) / 2,
    widthMm,
    heightMm,
  };
}

/** The smallest rectangle round several. */
export function unionRect(rects: readonly RectMm[]): RectMm {
  const [xMm, yMm] = [Math.min(...rects.map((rect) => rect.xMm)), Math.min(...rects.map((rect) => rect.yMm))];
  return {
    xMm,
    yMm,
    widthMm: Math.max(...rects.map((rect) => rect.xMm + rect.widthMm)) - xMm,
    heightMm: Math.max(...rects.map((rect) => rect.yMm + rect.heightMm)) - yMm,
  };
}

/** What two rectangles share, or null. */
export function intersection(rect: RectMm, other: RectMm): RectMm | null {
  const [xMm, yMm] = [Math.max(rect.xMm, other.xMm), Math.max(rect.yMm, other.yMm)];
  const widthMm = Math.min(rect.xMm + rect.widthMm, other.xMm + other.widthMm) - xMm;
  const heightMm = Math.min(rect.yMm + rect.heightMm, other.yMm + other.heightMm) - yMm;
  return widthMm > 0 && heightMm > 0 ? { xMm, yMm, widthMm, heightMm } : null;
}
