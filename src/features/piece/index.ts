export { PiecePage } from './piece-page';
