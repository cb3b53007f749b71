export { HelpPage } from './help-page';
