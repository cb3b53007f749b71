/** What was recorded from one instant to another, both epoch ms by the clock as it was, and how far that was set ahead, ms. */
export interface SetClock {
  fromAt: number;
  untilAt: number;
  byMs: number;
}

/** How every instant of a record is named, or the list of them. */
const INSTANT = /^(at|\w+At)$/;

/**
 * A record with its instants carried along after the clock that they were read from was set, so that whatever lasts
 * from one of them lasts as long as it did. Instants outside the span stay: what is older than any wait, and what was
 * recorded since.
 *
 * @returns the record itself where none of its instants moved
 */
export const movedInTime = <T extends object>(record: T, set: SetClock): T => carried(record, false, set) as T;

function carried(data: unknown, isInstant: boolean, set: SetClock): unknown {
  if (typeof data === 'number') return isInstant && data >= set.fromAt && data <= set.untilAt ? data + set.byMs : data;
  if (Array.isArray(data)) {
    const moved = data.map((one: unknown) => carried(one, isInstant, set));
    return moved.some((one, at) => one !== data[at]) ? moved : data;
  }
  if (typeof data !== 'object' || data === null) return data;
  const entries = Object.entries(data).map(
    ([key, value]) => [key, value, carried(value, INSTANT.test(key), set)] as const,
  );
  return entries.some(([, before, after]) => before !== after)
    ? Object.fromEntries(entries.map(([key, , after]) => [key, after]))
    : data;
}
