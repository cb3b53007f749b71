import type { AirReading } from '@/core/cure';

/**
 * connecting; live; silent: connected, but nothing was read for a while; lost: the connection is gone and is tried
 * again.
 */
export type SensorState = 'connecting' | 'live' | 'silent' | 'lost';

export interface SensorListener {
  onReadings: (readings: readonly AirReading[]) => void;
  onState: (state: SensorState) => void;
}

const SILENT_AFTER_MS = 20_000;
/** A browser gives up a connection that was refused outright: then Fobbet calls again itself. */
const CALL_AGAIN_MS = 5000;

/**
 * Listens to the room's sensor until closed. The browser joins again by itself after a loss; what was missed meanwhile
 * comes with the next connection.
 *
 * @param clock the program's, epoch ms; @param sinceAt what is known already
 */
export function listenToRoom(
  { onReadings, onState }: SensorListener,
  clock: () => number,
  sinceAt: number,
): () => void {
  let source: EventSource;
  let quiet: ReturnType<typeof setTimeout> | undefined;
  let again: ReturnType<typeof setTimeout> | undefined;
  let knownUntil = sinceAt;
  const heard = () => {
    onState('live');
    clearTimeout(quiet);
    quiet = setTimeout(() => onState('silent'), SILENT_AFTER_MS);
  };
  const read = (event: MessageEvent): unknown => {
    try {
      return JSON.parse(String(event.data)) as unknown;
    } catch {
      return null;
    }
  };
  const call = () => {
    source = new EventSource(`/standins/room-sensor?now=${Math.round(clock())}&since=${Math.round(knownUntil)}`);
    // Joined, and nothing read yet: it may be silent just now.
    source.onopen = () => onState('silent');
    source.addEventListener('remembered', (event: MessageEvent) => onReadings(readingsOf(read(event))));
    source.addEventListener('reading', (event: MessageEvent) => {
      const readings = readingsOf([read(event)]);
      if (readings.length === 0) return;
      knownUntil = readings[0]!.at;
      heard();
      onReadings(readings);
    });
    source.onerror = () => {
      clearTimeout(quiet);
      onState('lost');
      if (source.readyState === EventSource.CLOSED) again = setTimeout(call, CALL_AGAIN_MS);
    };
  };
  onState('connecting');
  call();
  return () => {
    clearTimeout(quiet);
    clearTimeout(again);
    source.close();
  };
}

/** What a sensor sends is taken only where it can be a room. */
export const readingsOf = (data: unknown): AirReading[] =>
  (Array.isArray(data) ? data : []).filter((one): one is AirReading => {
    const { at, temperatureC, humidityPercent } = (one ?? {}) as Partial<AirReading>;
    return (
      typeof at === 'number' &&
      at > 0 &&
      typeof temperatureC === 'number' &&
      Math.abs(temperatureC) < 70 &&
      typeof humidityPercent === 'number' &&
      humidityPercent >= 0 &&
      humidityPercent <= 100
    );
  });
