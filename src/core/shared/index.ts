export { seededChance } from './chance';
export { assert, fail, ok, type Failure, type Result } from './result';
export { equalData } from './equal';
export { mergeChanges, type Merge } from './merge';
export { clamp, sum } from './numbers';
export { latticeHash, layeredNoise, valueNoise } from './noise';
