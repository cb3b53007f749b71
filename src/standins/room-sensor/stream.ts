/**
 * The sensor's side of a connection: what it remembers of the last day, then a reading every few seconds, as
 * server-sent events.
 */
import type { AirReading } from '@/core/cure';
import { MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';
import { isSilent, roomAt } from './weather';

const REMEMBERED_MS = 26 * MS_PER_HOUR;
const STRETCH_MS = 10 * MS_PER_MINUTE;
export const READING_EVERY_MS = 5000;
/** How soon a browser tries again after the connection was lost. */
const RETRY_MS = 3000;

/** Readings every ten minutes from a moment on, without those that the sensor missed. */
export function remembered(fromAt: number, untilAt: number): AirReading[] {
  const readings: AirReading[] = [];
  for (
    let at = Math.ceil(Math.max(fromAt, untilAt - REMEMBERED_MS) / STRETCH_MS) * STRETCH_MS;
    at <= untilAt;
    at += STRETCH_MS
  )
    if (!isSilent(at)) readings.push({ at, ...roomAt(at) });
  return readings;
}

export interface SensorOptions {
  now: () => number;
  sinceAt: number;
  everyMs?: number;
  signal: AbortSignal;
}

export function sensorStream({
  now,
  sinceAt,
  everyMs = READING_EVERY_MS,
  signal,
}: SensorOptions): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  let timer: ReturnType<typeof setInterval> | undefined;
  const stop = () => clearInterval(timer);
  return new ReadableStream({
    start(controller) {
      const send = (event: string, data: unknown) =>
        controller.enqueue(encoder.encode(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`));
      const close = () => {
        stop();
        try {
          controller.close();
        } catch {
          /* closed by the other side already */
        }
      };
      const reading = () => {
        const at = now();
        if (!isSilent(at)) send('reading', { at, ...roomAt(at) });
        else controller.enqueue(encoder.encode(': silent\n\n'));
      };
      controller.enqueue(encoder.encode(`retry: ${RETRY_MS}\n\n`));
      send('remembered', remembered(sinceAt, now()));
      reading();
      timer = setInterval(reading, everyMs);
      signal.addEventListener('abort', close);
    },
    cancel: stop,
  });
}
