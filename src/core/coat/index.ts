export { layingGuide, type LayingGuide } from './laying-guide';
export {
  LOSS_SHARE,
  PAPER_ABSORBENCY,
  coatAmount,
  coatPlaces,
  placesOf,
  type CoatAmount,
  type CoatInput,
  type CoatPlaces,
} from './amount';
export { openMinutes, spreadMinutes } from './open-time';
export { layingSteps, type LayingStep } from './laying-steps';
