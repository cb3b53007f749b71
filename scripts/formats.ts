// `npm run formats`: writes the JSON Schemas of what Fobbet reads and writes, made from the validators. A test keeps them current.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { FORMATS } from '../src/testing/formats';

for (const { file, schema } of FORMATS) writeFileSync(join(import.meta.dirname, '..', 'docs', 'formats', file), schema);
