export { faultEvidence, type FaultEvidence } from './evidence';
export { weighFaults, type FaultFinding, type FaultLine, type Observed, type WeighedCause } from './weigh';
export { changeNext, changeNow, remediesNow } from './remedies';
export { proposedSigns } from './from-reading';
