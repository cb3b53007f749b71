// `npm run formats`: writes what is made from the code into docs: the JSON Schemas of what Fobbet reads and writes, and
// the table of methods, and whole runs. Tests keep them current.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { FORMATS } from '../src/testing/formats';
import { methodTables } from '../src/testing/method-tables';
import { wholeRuns } from '../src/testing/whole-runs';

for (const { file, schema } of FORMATS) writeFileSync(join(import.meta.dirname, '..', 'docs', 'formats', file), schema);
writeFileSync(join(import.meta.dirname, '..', 'docs', 'methods.md'), methodTables());
writeFileSync(join(import.meta.dirname, '..', 'docs', 'runs.md'), wholeRuns());
