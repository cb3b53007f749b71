export { compareWithPlan, type Actuals, type Comparison } from './outcome';
export { pieceCost, type CostLine, type PieceCost, type Prices } from './cost';
export { careLabel, type CareContext } from './care-label';
