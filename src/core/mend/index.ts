export {
  LIKED_BY_PRESS,
  applicableRepairs,
  likedIn,
  tasteOf,
  type LikedRepair,
  type Repair,
  type RepairContext,
  type RepairId,
  type RepairStage,
} from './repairs';
export { frameStrips } from './frame-strips';
export { wearSpecks, type Wear, type WearPlace } from './wear';
