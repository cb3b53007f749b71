export { StashPage } from './stash-page';
