import { readQuery } from '@/standins/room-sensor/query';
import { sensorStream } from '@/standins/room-sensor/stream';

export const runtime = 'nodejs';
export const dynamic = 'force-dynamic';

export function GET(request: Request): Response {
  const query = readQuery(new URL(request.url).searchParams);
  if (!query.ok) return Response.json({ error: query.error }, { status: 400 });
  const { now, since } = query.value;
  const aheadMs = now === null ? 0 : now - Date.now();
  const stream = sensorStream({ now: () => Date.now() + aheadMs, sinceAt: since, signal: request.signal });
  return new Response(stream, {
    headers: {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store, no-transform',
      connection: 'keep-alive',
    },
  });
}
