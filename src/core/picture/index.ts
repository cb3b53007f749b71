export { FULL_CROP, RATIOS, cropAspect, cropPixels, cropToAspect, ratioAspect, type Crop, type CropRatio, type RectPx, type SizePx } from './crop';
export { effectivePpi, largestAcceptableWidthMm, resolutionVerdict, type ResolutionVerdict } from './resolution';
export { lightnessOf, linearLight, lightnessFromLuminance } from './colour';
export { deltaE2000, labOf, type Lab } from './difference';
export { toneShares, type ToneShares } from './tones';
export {
  MAX_PICTURE_BYTES, MAX_PICTURE_PIXELS, acceptPicture, checkBytes, isWhole, type AcceptedPicture, type IntakeCode, type PictureHeader, type PictureType,
} from './intake';
