'use client';
import dynamic from 'next/dynamic';

/** Loaded where it is shown: no station's first load waits for it. */
export const InspectPart = dynamic(() => import('./inspect-part').then((file) => file.InspectPart), { ssr: false });
