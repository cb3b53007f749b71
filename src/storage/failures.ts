import { fail } from '@/core/shared';

export type StorageCode = 'storage-full' | 'storage-failed';

/** Turns what the browser's store throws into a failure with a code. */
export function storageFailure(error: unknown): { ok: false; error: { code: StorageCode; message: string } } {
  const names = [error, (error as { inner?: unknown })?.inner].map((one) => (one instanceof Error ? one.name : ''));
  const message = error instanceof Error ? error.message : String(error);
  return fail(names.includes('QuotaExceededError') ? 'storage-full' : 'storage-failed', message);
}
