export { KeptPage } from './kept-page';
