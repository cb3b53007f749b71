/** The one catalogue of words, by subject. Typed by what it speaks of: a missing sentence does not compile. */
export { boughtWords } from './bought';
export {
  BASE_COAT_WORDS,
  BINDER_WORDS,
  CAUTION_TEXTS,
  DISAGREEMENT_WORDS,
  FINISH_WORDS,
  HAND_STEPS,
  OVEN_CONDITIONS,
  OVEN_REFUSALS,
  OVEN_WORDS,
  PAINT_AGE_NAMES,
  PRINT_HANDLING,
  printedWhere,
  PRINT_WORDS,
  TRIM_WORDS,
  OFF_WORDS,
  READY_WORDS,
  REMOVAL_TITLES,
  SCHOOL_NAMES,
  SEALER_WORDS,
  SHEEN_WORDS,
  SIGNS_OF_TIME,
  SURFACE_FAMILIES,
  SURFACE_WORDS,
  USE_NAMES,
  toolList,
} from './craft';
export { careLabel } from './care-label';
export { WAIT_WORDS, earlyWords, laterWords } from './early';
export { FAILURE_CODES, sentenceFor, type FailureCode } from './failures';
export { ANSWER_WORDS, CAUSE_WORDS, CHECK_WORDS, FAULT_REMEDY_WORDS, SIGN_WORDS, faultLineWords } from './faults';
export { findingFigure, findingWords, remedyWords } from './findings';
export { DECISION_WORDS, areaWords, changeInWords, inspectReason } from './inspect';
export { layingWords } from './laying';
export {
  CONDITION_WORDS,
  GAIN_WORDS,
  LANDS_WORDS,
  assumedMethod,
  essenceOf,
  methodName,
  reasonWords,
  refusalWords,
} from './methods';
export { PIGMENT_NAMES, STOP_POINT_WORDS, WEAR_NAMES, mixDoubt, mixWords, wayOutWords, wearWanted } from './mending';
export { REMARK_WORDS } from './pictures';
export { mixWash, prepTitle, prepWhy } from './preparation';
export { REPAIR_WORDS } from './repairs';
export { SIGN_WHILE_RUBBING, WATER_WORDS } from './rubbing';
export { CORNER_WORDS, GOES_FIRST_WORDS, SPOT_WORDS, WORK_KIND_WORDS, sectionPlace } from './work-map';
export { SHEEN_ADVICE, SPRAY_WORDS, sealDateEntry, sealDateName } from './seal-dates';
export { sealerReasons } from './sealing';
export { SHAPE_WORDS, SIZE_NAMES, blankAsEntered } from './shapes';
export { MISSING_WORDS, NEXT_WORDS, STATE_WORDS, STATION_NAMES } from './stations';
export { stepTime, stepTitle } from './steps';
export { WORK_WORDS, batchTitle, sittingWords } from './batches';
export { FIRST_RUBBING, FIRST_STEPS } from './help/first-steps';
export { KEY_WORDS } from './keys';
export { guideWords, specimenWords } from './specimen';
export { placementWords, tracedWords } from './tracing';
export { NO_STORAGE_WORDS } from './no-storage';
export { counted, eitherOf, listOf, lowerFirst, remarks, sentences, upperFirst } from './text';
export { wordingIn, type Wording } from './units';
export { RECORD_WORDS, changeWords, sizeWords } from './kept';
