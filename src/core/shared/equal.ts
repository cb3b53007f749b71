/** Deep equality of plain data (objects, arrays, primitives): what a stored record is made of. */
export function equalData(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const keysA = Object.keys(a);
  if (keysA.length !== Object.keys(b).length) return false;
  return keysA.every(
    (key) => key in b && equalData((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key]),
  );
}
