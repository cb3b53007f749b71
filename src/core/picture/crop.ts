/** A crop in shares (0–1) of the upright picture, so that it holds for the preview and the full pixels alike. */
export interface Crop {
  x: number;
  y: number;
  width: number;
  height: number;
}
export interface SizePx {
  widthPx: number;
  heightPx: number;
}
export interface RectPx extends SizePx {
  xPx: number;
  yPx: number;
}

export const FULL_CROP: Crop = { x: 0, y: 0, width: 1, height: 1 };

export const RATIOS = ['blank', 'free', '1:1', '5:4', '4:5', '3:2', '2:3', '16:9'] as const;
export type CropRatio = (typeof RATIOS)[number];

/** Width ÷ height that a ratio asks for; null where the crop is free or the blank's window is not known yet. */
export function ratioAspect(ratio: CropRatio, windowAspect: number | null): number | null {
  if (ratio === 'free') return null;
  if (ratio === 'blank') return windowAspect;
  const [width, height] = ratio.split(':');
  return Number(width) / Number(height);
}

export const cropAspect = (crop: Crop, picture: SizePx): number =>
  (crop.width * picture.widthPx) / (crop.height * picture.heightPx);

/** The largest crop of the aspect inside the given one, about the same centre. */
export function cropToAspect(crop: Crop, picture: SizePx, aspect: number): Crop {
  const current = cropAspect(crop, picture);
  const width = current > aspect ? (crop.width * aspect) / current : crop.width;
  const height = current > aspect ? crop.height : (crop.height * current) / aspect;
  return { x: crop.x + (crop.width - width) / 2, y: crop.y + (crop.height - height) / 2, width, height };
}

export const cropPixels = (crop: Crop, picture: SizePx): RectPx => ({
  xPx: crop.x * picture.widthPx,
  yPx: crop.y * picture.heightPx,
  widthPx: crop.width * picture.widthPx,
  heightPx: crop.height * picture.heightPx,
});
