export { rubPlan, type RubInput, type RubPass, type RubPlan } from './rubbing';
