import { equalData } from './equal';

type Data = Record<string, unknown>;
const isData = (value: unknown): value is Data => typeof value === 'object' && value !== null && !Array.isArray(value);

export interface Merge<T> {
  merged: T;
  /** Paths ("surface.widthMm") that both sides changed, to different values. `merged` holds the preferred side there. */
  conflicts: string[];
}

/**
 * Three-way merge of plain records: what I changed against `base` is laid over `theirs`.
 * Arrays and primitives are leaves. A leaf changed on one side only is taken from that side.
 *
 * @param prefer whose value stands where both sides changed a leaf
 */
export function mergeChanges<T>(base: T, mine: T, theirs: T, prefer: 'mine' | 'theirs' = 'theirs'): Merge<T> {
  const conflicts: string[] = [];
  const walk = (b: unknown, m: unknown, t: unknown, path: string): unknown => {
    if (equalData(b, m)) return t;
    if (equalData(b, t) || equalData(m, t)) return m;
    if (isData(b) && isData(m) && isData(t)) {
      const keys = new Set([...Object.keys(m), ...Object.keys(t)]);
      return Object.fromEntries(
        [...keys].map((key) => [key, walk(b[key], m[key], t[key], path ? `${path}.${key}` : key)]),
      );
    }
    conflicts.push(path);
    return prefer === 'mine' ? m : t;
  };
  return { merged: walk(base, mine, theirs, '') as T, conflicts };
}
