export { encodeLight, lightnessFromLuminance, lightnessOf, linearColour, linearLight } from './light';
export { deltaE2000, labOf } from './difference';
