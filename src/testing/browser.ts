import 'fake-indexeddb/auto';
import { configure } from '@testing-library/dom';
import { deserialize, serialize } from 'node:v8';

/** What the simulated browser lacks: copies as the real one makes them when a record is stored. */
globalThis.structuredClone ??= <T>(value: T): T => deserialize(serialize(value)) as T;

/** Far above what anything waited for takes: a machine may be five times slower, and busy. */
configure({ asyncUtilTimeout: 30_000 });

/** Nothing has a size, and nothing is drawn. */
globalThis.ResizeObserver ??= class {
  observe = () => undefined;
  unobserve = () => undefined;
  disconnect = () => undefined;
};
HTMLCanvasElement.prototype.getContext = () => null;
