import type Joi from 'joi';
import { fail, ok, type Result } from '@/core/shared';

/** Pure step from one version's data to the next. Never edited once shipped. */
export interface Migration {
  from: number;
  to: number;
  name: string;
  migrate: (data: Record<string, unknown>) => Record<string, unknown>;
}

export type VersionCode = 'record-newer' | 'record-unversioned' | 'record-invalid';

/**
 * Brings a stored record to the current version.
 *
 * @returns `record-newer` where it was written by a later program (values: found, known), `record-unversioned` where it
 * says none
 */
export function migrateToCurrent(
  data: unknown,
  current: number,
  migrations: readonly Migration[],
): Result<Record<string, unknown>, VersionCode> {
  const version = typeof data === 'object' && data !== null ? (data as { version?: unknown }).version : undefined;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return fail('record-unversioned', `expected a version number, got ${JSON.stringify(version)}`, { path: 'version' });
  }
  if (version > current)
    return fail('record-newer', `expected version up to ${current}, got ${version}`, {
      path: 'version',
      values: { found: version, known: current },
    });
  let record = data as Record<string, unknown>;
  for (let at = version; at < current;) {
    const step = migrations.find((migration) => migration.from === at);
    if (!step) return fail('record-invalid', `no migration from version ${at}`, { path: 'version' });
    record = { ...step.migrate(record), version: step.to };
    at = step.to;
  }
  return ok(record);
}

/** Holds a record to its schema, as it is: nothing is converted. @returns `record-invalid` with the path of what does not fit */
export function checkRecord<T>(schema: Joi.ObjectSchema<T>, data: unknown): Result<T, 'record-invalid'> {
  const checked = schema.validate(data, { convert: false });
  if (!checked.error) return ok(checked.value);
  const detail = checked.error.details[0]!;
  return fail('record-invalid', detail.message, { path: detail.path.join('.') });
}
