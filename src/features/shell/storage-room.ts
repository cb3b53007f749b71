export interface StorageRoom {
  /** Bytes; 0 for a quota that the browser does not tell. */
  used: number;
  quota: number;
  /** Whether the browser promised not to clear it; null where it promises nothing. */
  lasting: boolean | null;
}

/** From this share of its room on a browser is nearly full. */
export const NEARLY_FULL = 0.8;

export async function storageRoom(): Promise<StorageRoom> {
  const { storage } = navigator as { storage?: StorageManager };
  try {
    const estimate = await storage?.estimate?.();
    const lasting = storage?.persisted ? await storage.persisted() : null;
    return { used: estimate?.usage ?? 0, quota: estimate?.quota ?? 0, lasting };
  } catch {
    return { used: 0, quota: 0, lasting: null };
  }
}
