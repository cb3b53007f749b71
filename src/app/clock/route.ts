import { readFileSync } from 'node:fs';
import { uptime } from 'node:os';

export const runtime = 'nodejs';
export const dynamic = 'force-dynamic';

/** Which start of the machine this is: seconds since different starts say nothing of each other. */
function bootId(): string {
  try {
    return readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim();
  } catch {
    return String(Math.round(Date.now() / 1000 - uptime()));
  }
}

/**
 * Seconds since this machine started, sleep included: a clock that nobody sets. Timers are held to it when the time of
 * day jumps.
 */
export function GET(): Response {
  return Response.json({ bootId: bootId(), seconds: uptime() }, { headers: { 'cache-control': 'no-store' } });
}
