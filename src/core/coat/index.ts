export { layingGuide } from './laying-guide';
export { LOSS_SHARE, coatAmount, coatVolumeMl, type CoatAmount, type CoatInput } from './amount';
export { openMinutes, spreadMinutes } from './open-time';
export { layingSteps, type LayingStep } from './laying-steps';
