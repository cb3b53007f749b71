export { useSettings } from './settings';
export { useNotice } from './notices';
export { useReport } from './use-report';
export { useDemo } from './demo';
export { newId } from './ids';
export { storedFrom } from './stored-from';
