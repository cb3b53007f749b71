import type { Schema } from 'joi';
import { bundleSchema, pieceSchema } from '@/records';

const schemaText = (schema: Schema, title: string): string =>
  `${JSON.stringify({ $schema: 'https://json-schema.org/draft/2020-12/schema', title, ...schema['~standard'].jsonSchema.input({ target: 'draft-2020-12' }) }, null, 2)}\n`;

/** The published formats with their schema files under docs/formats. */
export const FORMATS = [
  { file: 'piece.schema.json', schema: schemaText(pieceSchema(), 'A piece, as stored and in a bundle') },
  { file: 'bundle.schema.json', schema: schemaText(bundleSchema(), 'piece.json of a .fobbet.zip') },
];
