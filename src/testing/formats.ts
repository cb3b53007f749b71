import type { Schema } from 'joi';
import { bundleSchema, pieceSchema } from '@/records';

function schemaText(schema: Schema, title: string): string {
  const own = schema['~standard'].jsonSchema.input({ target: 'draft-2020-12' });
  return `${JSON.stringify({ $schema: 'https://json-schema.org/draft/2020-12/schema', title, ...own }, null, 2)}\n`;
}

/** The published formats with their schema files under docs/formats. */
export const FORMATS = [
  { file: 'piece.schema.json', schema: schemaText(pieceSchema(), 'A piece, as stored and in a bundle') },
  { file: 'bundle.schema.json', schema: schemaText(bundleSchema(), 'piece.json of a .fobbet.zip') },
];
