export { compareWithPlan, type Comparison } from './outcome';
export { pieceCost, type CostLine, type PieceCost, type Prices } from './cost';
