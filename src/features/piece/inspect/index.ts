import dynamic from 'next/dynamic';

/** Loaded once a station that shows it is open. */
export const InspectPart = dynamic(() => import('./inspect-part').then((file) => file.InspectPart), { ssr: false });
