export {
  defaultSealer,
  sealClock,
  sealPlan,
  sealerChoices,
  type SealClock,
  type SealPlan,
  type SealerChoice,
  type SealerReason,
} from './sealing';
