export { rubPlan, type RubInput, type RubPlan } from './rubbing';
