import 'fake-indexeddb/auto';
import { deserialize, serialize } from 'node:v8';

/** What the simulated browser lacks: copies as the real one makes them when a record is stored. */
globalThis.structuredClone ??= <T>(value: T): T => deserialize(serialize(value)) as T;
