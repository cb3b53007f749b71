export { BeginButton } from './begin-button';
export { FolderButton } from './folder-button';
export { useTaker } from './use-taker';
