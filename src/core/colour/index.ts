export { encodeLight, lightnessFromLuminance, lightnessOf, linearColour, linearLight } from './light';
export { deltaE2000, labOf, labOfHex } from './difference';
export { TOUCH, findMix, mixedColour, type FoundMix } from './mixing';
