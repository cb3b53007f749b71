export { applicableRepairs, type Repair, type RepairContext, type RepairId, type RepairStage } from './repairs';
export { frameStrips, type FrameStrips } from './frame-strips';
export { wearSpecks, type Wear, type WearPlace } from './wear';
