// `npm run types`: checks the types of everything. Reading an index gives "or undefined" (tsconfig.strict.json), but in
// what tsconfig.loose.json lists: in pixel kernels, the schedule's search and the reading of proofs every read is in a
// counted loop, and in tests a missing element fails by itself. A plain tsc, and an editor, read tsconfig.json.
import ts from 'typescript';
import { ROOT } from './steps.mjs';
import { configOf } from './ts-config.mjs';

const [strict, loose] = [configOf('tsconfig.strict.json'), configOf('tsconfig.loose.json')];
const looseFiles = new Set(loose.fileNames);

/** What is wrong in the files of a configuration that it alone speaks for. */
function faults({ fileNames, options, errors }, mine) {
  const program = ts.createProgram(fileNames, options);
  const files = program
    .getSourceFiles()
    .filter(({ fileName }) => !fileName.includes('/node_modules/') && mine(fileName));
  return [
    ...errors,
    ...program.getOptionsDiagnostics(),
    ...files.flatMap((file) => [...program.getSyntacticDiagnostics(file), ...program.getSemanticDiagnostics(file)]),
  ];
}
const found = [...faults(strict, (file) => !looseFiles.has(file)), ...faults(loose, (file) => looseFiles.has(file))];
if (found.length > 0) {
  console.error(
    ts.formatDiagnosticsWithColorAndContext(found, {
      getCanonicalFileName: (name) => name,
      getCurrentDirectory: () => ROOT,
      getNewLine: () => '\n',
    }),
  );
  console.error(`${found.length} faults of type.`);
  process.exitCode = 1;
}
