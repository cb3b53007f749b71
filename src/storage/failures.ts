import { fail, type Result } from '@/core/shared';
import type { StorageCode } from '@/records';

/** The names of what was thrown and of what lies within it: the database wraps what the browser throws. */
export const faultNames = (error: unknown): string[] =>
  [error, (error as { inner?: unknown })?.inner].map((fault) => (fault instanceof Error ? fault.name : ''));

/** Turns what the browser's store throws into a failure with a code. */
export function storageFailure(error: unknown): { ok: false; error: { code: StorageCode; message: string } } {
  const message = error instanceof Error ? error.message : String(error);
  return fail(faultNames(error).includes('QuotaExceededError') ? 'storage-full' : 'storage-failed', message);
}

/** Runs what writes: whatever the store throws becomes the failure of the same result. */
export async function written<T, C extends string>(
  run: () => PromiseLike<Result<T, C>>,
): Promise<Result<T, C | StorageCode>> {
  try {
    return await run();
  } catch (error) {
    return storageFailure(error);
  }
}
