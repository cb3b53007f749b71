/** A failure that was to be expected. The sentence a person reads is made in the interface from `code`. */
export interface Failure<C extends string = string> {
  code: C;
  /** For developers and logs: "expected X, got Y at path". */
  message: string;
  path?: string;
  /** Figures that the sentence needs, already in core units. */
  values?: Readonly<Record<string, string | number>>;
}

export type Result<T, C extends string = string> = { ok: true; value: T } | { ok: false; error: Failure<C> };

export const ok = <T>(value: T): { ok: true; value: T } => ({ ok: true, value });

export const fail = <C extends string>(
  code: C,
  message: string,
  extra: Pick<Failure, 'path' | 'values'> = {},
): { ok: false; error: Failure<C> } => ({ ok: false, error: { code, message, ...extra } });

/** Throws for what only a programmer can cause. */
export function assert(condition: unknown, message: string): asserts condition {
  if (!condition) throw new Error(`assertion failed: ${message}`);
}
