export {
  SURFACES,
  isSandable,
  isScuffable,
  surfaceById,
  takesPencil,
  type SurfaceClass,
  type SurfaceId,
  type SurfaceRecord,
} from './surfaces';
export { FINISHES, finishById, type FinishId } from './finishes';
export { groundOf, sealedGround, type Ground } from './ground';
export { BASE_COATS, baseCoatById, isWash, type BaseCoatId } from './base-coats';
export type { OvenHarm } from './oven-harm';
export { BINDERS, binderById, nominalFilmUm, type BinderId, type BinderRecord, type CoatedFace } from './binders';
export { PRINTS, printById, isUnsetInk, type PrintId, type PrintRecord } from './prints';
export {
  SCHOOLS,
  binderFor,
  schoolById,
  labourRate,
  labourMinutes,
  hasWindow,
  recipeStepOf,
  type HandStep,
  type LabourRate,
  type LabelValues,
  type RecipeStep,
  type RecipeWait,
  type Removal,
  type SchoolId,
  type SchoolRecord,
  type SignOfTime,
  type WaitKind,
} from './schools';
export { DISAGREEMENTS, type Disagreement, type DisagreementId } from './disagreements';
export {
  SEALERS,
  SHEENS,
  USES,
  sealerById,
  purposeOf,
  type SealerId,
  type SealerRecord,
  type SheenId,
  type UseId,
} from './sealers';
export { CAUTION_LEVELS, type CautionId } from './cautions';
export type { ToolId } from './tools';
export { PIGMENTS, type PigmentId, type PigmentRecord } from './pigments';
export {
  FAULT_CAUSES,
  FAULT_CAUSE_IDS,
  FAULT_CHECKS,
  FAULT_CHECK_IDS,
  FAULT_REMEDIES,
  FAULT_SIGNS,
  type FaultAnswer,
  type FaultCause,
  type FaultCauseId,
  type FaultCheckId,
  type FaultEvidenceId,
  type FaultRemedyId,
  type FaultSignId,
} from './faults';
