import type { ReactNode } from 'react';
import { LoadedPiece } from '@/features/piece';

export default async function Layout({ params, children }: { params: Promise<{ id: string }>; children: ReactNode }) {
  const { id } = await params;
  return (
    <LoadedPiece key={id} id={id}>
      {children}
    </LoadedPiece>
  );
}
