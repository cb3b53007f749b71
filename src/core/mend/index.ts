export { applicableRepairs, type Repair, type RepairContext, type RepairId, type RepairStage } from './repairs';
