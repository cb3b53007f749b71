export {
  FAULT_CHECKS,
  FAULT_CHECK_IDS,
  FAULT_SIGNS,
  type FaultAnswer,
  type FaultCheckId,
  type FaultEvidenceId,
  type FaultSignId,
} from './signs';
export { FAULT_CAUSES, type FaultCause } from './causes';
export { FAULT_CAUSE_IDS, type FaultCauseId } from './cause-ids';
export { FAULT_REMEDIES, type FaultRemedyId } from './remedies';
