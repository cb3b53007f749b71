'use client';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import { MS_PER_HOUR } from '@/core/shared';

/**
 * Keeps the program in the browser, so that it opens without its server, and tells of a new version: one that is
 * `ready` waits to be taken; one that was `taken` by another window asks for a reload here too.
 */
export function useService(): { news: 'ready' | 'taken' | null; take: () => void } {
  const router = useRouter();
  const [waiting, setWaiting] = useState<ServiceWorker | null>(null);
  const [taken, setTaken] = useState(false);
  const asked = useRef(false);

  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    const service = navigator.serviceWorker;
    let registration: ServiceWorkerRegistration | null = null;
    let ended = false;
    // The first one that takes charge of a page is no news.
    let inCharge = service.controller !== null;
    const look = () => {
      if (!ended && registration?.waiting && inCharge) setWaiting(registration.waiting);
    };
    const changed = () => {
      if (!inCharge) inCharge = true;
      else if (asked.current) location.reload();
      else setTaken(true);
    };
    const told = ({ data }: MessageEvent<{ go?: string } | null>) => {
      if (data?.go) router.push(data.go);
    };
    service.addEventListener('controllerchange', changed);
    service.addEventListener('message', told);
    service.startMessages();
    const begin = async () => {
      try {
        registration = await service.register('/sw.js', { updateViaCache: 'none' });
        look();
        registration.addEventListener('updatefound', () => {
          const coming = registration?.installing;
          coming?.addEventListener('statechange', look);
        });
      } catch {
        // A page that is not secure, or a browser that keeps nothing: it works with its server.
      }
    };
    void begin();
    const again = setInterval(() => void registration?.update().catch(() => undefined), MS_PER_HOUR);
    return () => {
      ended = true;
      clearInterval(again);
      service.removeEventListener('controllerchange', changed);
      service.removeEventListener('message', told);
    };
  }, [router]);

  const take = useCallback(() => {
    asked.current = true;
    if (taken || !waiting) location.reload();
    else waiting.postMessage('take-over');
  }, [taken, waiting]);
  if (taken) return { news: 'taken', take };
  return { news: waiting ? 'ready' : null, take };
}
