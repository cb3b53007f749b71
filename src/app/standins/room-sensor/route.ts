import { sensorStream } from '@/standins/room-sensor/stream';

export const runtime = 'nodejs';
export const dynamic = 'force-dynamic';

export function GET(request: Request): Response {
  const query = new URL(request.url).searchParams;
  const figure = (name: string) => { const value = Number(query.get(name)); return Number.isFinite(value) ? value : 0; };
  const ahead = figure('ahead');
  const stream = sensorStream({ now: () => Date.now() + ahead, sinceAt: figure('since'), signal: request.signal });
  return new Response(stream, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store, no-transform', connection: 'keep-alive' } });
}
