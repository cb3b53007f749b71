'use client';
import dynamic from 'next/dynamic';

const PlaceTrouble = dynamic(() => import('@/features/trouble').then((trouble) => trouble.PlaceTrouble));

export default function PlaceError({ error, reset }: { error: Error; reset: () => void }) {
  return <PlaceTrouble message={error.message} onRetry={reset} />;
}
