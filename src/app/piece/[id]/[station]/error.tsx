'use client';
import dynamic from 'next/dynamic';
import { useParams } from 'next/navigation';

const PieceTrouble = dynamic(() => import('@/features/trouble').then((trouble) => trouble.PieceTrouble));

export default function PieceError({ error, reset }: { error: Error; reset: () => void }) {
  const { id } = useParams<{ id: string }>();
  return <PieceTrouble id={id} message={error.message} onRetry={reset} />;
}
