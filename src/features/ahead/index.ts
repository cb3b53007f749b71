export { AheadPage } from './ahead-page';
