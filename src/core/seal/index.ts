export { cleaningOf, type Cleaning } from './care';
export { sealDates, type SealDate, type SealDateCode, type SealTimes } from './dates';
export {
  defaultSealer,
  sealClock,
  sealPlan,
  sealerAsBought,
  sealerChoices,
  type SealClock,
  type SealContext,
  type SealPlan,
  type SealerChoice,
  type SealerReason,
} from './sealing';
