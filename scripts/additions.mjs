// `npm run additions`: adds a made-up binder, surface, school, shape, finding, stored field and station to their
// registries, in memory, and holds the files that the compiler then names to the list of docs/architecture.md, “To add
// a …”. A file that the list doesn't name, or names and the compiler doesn't, fails.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { ROOT } from './steps.mjs';
import { configOf } from './ts-config.mjs';

/** The last record of a list once more, under another name. */
const again = (text, end, id) => {
  const at = text.indexOf(end);
  const record = text.slice(text.lastIndexOf('\n  {\n', at) + 1, at);
  return text.slice(0, at) + record.replace(/id: '[^']+'/, `id: '${id}'`) + text.slice(at);
};

/** What is added: where, how, and which files must ask for more. */
const ADDITIONS = {
  'made-up-binder': {
    in: 'src/core/craft/binders.ts',
    by: (text, id) => again(text, '] as const satisfies', id),
    asks: ['src/words/craft/binders.ts'],
  },
  'made-up-surface': {
    in: 'src/core/craft/surfaces.ts',
    by: (text, id) => again(text, '] as const satisfies', id),
    asks: ['src/core/render/surface-texture.ts', 'src/words/craft/surfaces.ts'],
  },
  'made-up-school': {
    in: 'src/core/craft/schools/index.ts',
    by: (text, id) =>
      text.replace('  trace,\n] as const', `  trace,\n  { ...trace, id: '${id}' as const },\n] as const`),
    asks: ['src/words/craft/school-names.ts', 'src/words/craft/schools.ts'],
  },
  'made-up-shape': {
    in: 'src/core/shape/kinds/index.ts',
    by: (text, id) =>
      text.replace(
        '  vessel,\n};',
        `  vessel,\n  '${id}': { ...rectangle, defaults: () => ({ kind: '${id}' as const }) },\n};`,
      ),
    asks: ['src/features/piece/surface/shape-fields.tsx', 'src/records/piece/shapes.ts', 'src/words/shapes.ts'],
  },
  'made-up-finding': {
    in: 'src/core/findings/finding.ts',
    by: (text, id) =>
      text
        .replace('export type FindingId =\n', `export type FindingId =\n  | '${id}'\n`)
        .replace('export type FindingFact =\n', `export type FindingFact =\n  | { code: '${id}' }\n`),
    asks: ['src/core/findings/index.ts', 'src/words/findings.ts'],
  },
  madeUpField: {
    in: 'src/core/stations/job.ts',
    by: (text, id) => text.replace('\n  cure: {\n', `\n  cure: {\n    ${id}: number;\n`),
    asks: ['src/demo/scenario.ts', 'src/records/piece/cure.ts', 'src/testing/full-piece.ts'],
  },
  'made-up-station': {
    in: 'src/core/stations/answers.ts',
    by: (text, id) =>
      text
        .replace('export interface PiecePlan {', `export interface PiecePlan {\n  '${id}': object;`)
        .replace("  'keep',\n] as const", `  'keep',\n  '${id}',\n] as const`),
    asks: [
      'src/core/stations/index.ts',
      'src/features/piece/stations.ts',
      'src/words/help/workings.ts',
      'src/words/stations.ts',
    ],
  },
};

const config = configOf('tsconfig.json');
const changed = new Map(
  Object.entries(ADDITIONS).map(([id, addition]) => {
    const path = join(ROOT, addition.in);
    const text = readFileSync(path, 'utf8');
    const added = addition.by(text, id);
    if (added === text) throw new Error(`${addition.in}: no place for ${id}`);
    return [path, added];
  }),
);
const host = ts.createCompilerHost(config.options);
const read = host.readFile;
host.readFile = (path) => changed.get(path) ?? read(path);
host.getSourceFile = (path, options) => {
  const text = host.readFile(path);
  return text === undefined ? undefined : ts.createSourceFile(path, text, options);
};
const files = config.fileNames.filter((path) => path.startsWith(join(ROOT, 'src')) && !/\.test\.tsx?$/.test(path));
const program = ts.createProgram(files, config.options, host);

/** Files that ask for more, each with what they say. */
const asking = new Map();
for (const file of program.getSourceFiles()) {
  if (file.fileName.includes('/node_modules/')) continue;
  const said = program.getSemanticDiagnostics(file).map((one) => ts.flattenDiagnosticMessageText(one.messageText, ' '));
  if (said.length > 0) asking.set(file.fileName.slice(ROOT.length + 1), said.join('\n'));
}
const listed = readFileSync(join(ROOT, 'docs', 'architecture.md'), 'utf8');
const faults = [];
const expected = new Set(Object.values(ADDITIONS).flatMap(({ asks }) => asks));
for (const [id, { asks }] of Object.entries(ADDITIONS))
  for (const file of asks) {
    if (!asking.has(file)) faults.push(`${id}: the compiler says nothing of ${file}`);
    if (!listed.includes(file.slice('src/'.length))) faults.push(`${id}: docs/architecture.md does not name ${file}`);
  }
for (const [file, said] of asking) if (!expected.has(file)) faults.push(`${file} asks for more, unlisted: ${said}`);
for (const fault of faults) console.error(fault);
console.log(`${Object.keys(ADDITIONS).length} additions ask for ${expected.size} files, as docs/architecture.md says.`);
process.exitCode = faults.length > 0 ? 1 : 0;
