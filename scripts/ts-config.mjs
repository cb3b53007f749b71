// A configuration of TypeScript as its own compiler reads it.
import { join } from 'node:path';
import ts from 'typescript';
import { ROOT } from './steps.mjs';

const host = {
  ...ts.sys,
  onUnRecoverableConfigFileDiagnostic: ({ messageText }) => {
    throw new Error(ts.flattenDiagnosticMessageText(messageText, '\n'));
  },
};

export const configOf = (name) => ts.getParsedCommandLineOfConfigFile(join(ROOT, name), { incremental: false }, host);
