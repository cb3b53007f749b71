export { rubPlan, type RubInput, type RubPlan } from './rubbing';
export {
  workMap,
  type Corner,
  type GoesFirst,
  type WorkInput,
  type WorkKind,
  type WorkMap,
  type WorkSection,
} from './work-map';
export { toolsFor, type SpotId, type SpotToolId } from './tools';
