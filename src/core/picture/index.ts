export {
  FULL_CROP,
  RATIOS,
  cropAspect,
  cropPixels,
  cropToAspect,
  ratioAspect,
  type Crop,
  type CropRatio,
  type SizePx,
} from './crop';
export { MOST_STRAIGHTEN_DEG, NOT_TURNED, frameMatrix, frameSize, keptFull, straightCrop, type Turning } from './frame';
export { effectivePpi, largestAcceptableWidthMm, resolutionVerdict, type ResolutionVerdict } from './resolution';
export { toneShares, type ToneShares } from './tones';
export { looksLettered } from './reads';
export { SKETCH_LENGTH, SKETCH_LETTERS, fieldAt, readSketch, sketchOf } from './sketch';
export {
  DARK_LIGHTNESS,
  PALE_LIGHTNESS,
  analyse,
  histogramBehind,
  isFaint,
  tonalShares,
  type Analysis,
  type PictureRows,
} from './analysis';
export { LEAST_COHERENCE } from './direction';
export { ghostlyRegions, lightRegions } from './regions';
export {
  MAX_PICTURE_BYTES,
  MAX_PICTURE_PIXELS,
  PICTURE_ACCEPT,
  acceptPicture,
  foreignType,
  checkBytes,
  isWhole,
  type AcceptedPicture,
  type IntakeCode,
  type PictureHeader,
  type PictureType,
} from './intake';
export { FONT_IDS, type FontId, type Layer, type LayerMode, type PictureLayer, type TextLayer } from './layers';
export { motifOutline, type MotifCode, type MotifRing } from './motif';
export { bentPath, letteringOutline, type LetteringOutline } from './lettering';
export { isTransparent, remarksOf, type PictureRemark } from './remarks';
