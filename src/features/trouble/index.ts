export { PieceTrouble } from './piece-trouble';
export { PlaceTrouble } from './place-trouble';
