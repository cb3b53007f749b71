import { notFound } from 'next/navigation';
import { STATIONS, type StationId } from '@/core/stations';
import { PiecePage } from '@/features/piece';

export default async function Page({ params }: { params: Promise<{ id: string; station: string }> }) {
  const { id, station } = await params;
  if (!STATIONS.includes(station as StationId)) notFound();
  return <PiecePage id={id} station={station as StationId} />;
}
