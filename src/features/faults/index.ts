export { FaultsPage } from './faults-page';
