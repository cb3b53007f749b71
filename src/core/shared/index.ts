export { seededChance } from './chance';
export { assert, fail, ok, type Failure, type Result } from './result';
export { equalData } from './equal';
export { mergeChanges } from './merge';
export { clamp, sum } from './numbers';
export { letterShare, shareLetter } from './share-letters';
export { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from './time';
export { NoiseSampler, latticeHash, layeredNoise, valueNoise } from './noise';
