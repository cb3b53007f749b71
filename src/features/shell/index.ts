export { useSettings } from './settings';
export { useNotice } from './notices';
export { useReport } from './use-report';
export { useDemo } from './demo';
export { isKeyTaken, isTyping, useKeys, useShortcut } from './use-shortcut';
export { newId } from './ids';
export { storedFrom } from './stored-from';
