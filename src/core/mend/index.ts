export { applicableRepairs, type Repair, type RepairContext, type RepairId, type RepairStage } from './repairs';
export { frameStrips } from './frame-strips';
export { wearSpecks, type Wear, type WearPlace } from './wear';
