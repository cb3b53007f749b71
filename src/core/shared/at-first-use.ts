/** What is made when it is first asked for, and then kept. */
export function atFirstUse<T>(make: () => T): () => T {
  let made: { of: T } | null = null;
  return () => (made ??= { of: make() }).of;
}
