'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import type { StoredPicture } from '@/records';
import { database, storedPicture } from '@/storage';

/** A stored picture by its id: undefined while it is read, null where there is none. */
export const useStoredPicture = (id: string | null): StoredPicture | null | undefined =>
  useLiveQuery(async () => (id ? ((await storedPicture(database(), id)) ?? null) : null), [id]);

/** An object URL that lives as long as its blob is shown. */
export function useObjectUrl(blob: Blob | null): string | null {
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    if (!blob) return;
    const made = URL.createObjectURL(blob);
    // The URL is a resource of the effect: made and revoked with it.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setUrl(made);
    return () => {
      setUrl(null);
      URL.revokeObjectURL(made);
    };
  }, [blob]);
  return url;
}
