export { applicableRepairs, type Repair, type RepairContext, type RepairId } from './repairs';
