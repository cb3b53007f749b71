import { keepReadings } from '@/storage/singles';
import { MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';
import { GET } from '@/app/standins/room-sensor/route';
import { readingsOf } from './client';
import { READING_EVERY_MS, remembered, sensorStream } from './stream';
import { isSilent, roomAt } from './weather';

const START = new Date(2026, 10, 26).getTime();

describe('the simulated workroom', () => {
  it('is the same for the same instant, warm by day, colder by night, never absurd', () => {
    expect(roomAt(START)).toEqual(roomAt(START));
    const hours = Array.from({ length: 24 * 14 }, (_, hour) => ({
      hour: hour % 24,
      ...roomAt(START + hour * MS_PER_HOUR),
    }));
    for (const { temperatureC, humidityPercent } of hours) {
      expect(temperatureC).toBeGreaterThan(2);
      expect(temperatureC).toBeLessThan(28);
      expect(humidityPercent).toBeGreaterThan(15);
      expect(humidityPercent).toBeLessThanOrEqual(98);
    }
    const mean = (of: number[]) => {
      const some = hours.filter(({ hour }) => of.includes(hour));
      return some.reduce((sum, { temperatureC }) => sum + temperatureC, 0) / some.length;
    };
    expect(mean([14, 15, 16])).toBeGreaterThan(mean([4, 5, 6]) + 3);
  });
  it('does not jump from minute to minute', () => {
    for (let minute = 0; minute < 1440; minute++)
      expect(
        Math.abs(
          roomAt(START + minute * MS_PER_MINUTE).temperatureC -
            roomAt(START + (minute + 1) * MS_PER_MINUTE).temperatureC,
        ),
      ).toBeLessThan(0.7);
  });
  it('falls silent now and then, and leaves those times out of what it remembers', () => {
    const steps = Array.from({ length: 6 * 24 * 30 }, (_, step) => START + step * 600_000);
    const silent = steps.filter(isSilent).length / steps.length;
    expect(silent).toBeGreaterThan(0.01);
    expect(silent).toBeLessThan(0.3);
    for (const { at } of remembered(0, START + 48 * MS_PER_HOUR)) expect(isSilent(at)).toBe(false);
    expect(remembered(START, START + MS_PER_HOUR).length).toBeLessThanOrEqual(7);
  });
});

describe('its connection', () => {
  const read = async (stream: ReadableStream<Uint8Array> | null, until: (text: string) => boolean) => {
    const reader = (stream ?? new ReadableStream()).getReader();
    let text = '';
    while (!until(text)) {
      const { done, value } = await reader.read();
      if (done) break;
      text += new TextDecoder().decode(value);
    }
    return { text, reader };
  };
  it('sends what it remembers, then readings as server-sent events, and ends when the other side leaves', async () => {
    const leave = new AbortController();
    let now = START + 12 * MS_PER_HOUR;
    const { text, reader } = await read(
      sensorStream({ now: () => (now += READING_EVERY_MS), sinceAt: START, everyMs: 5, signal: leave.signal }),
      (got) => got.split('event: reading').length > 3,
    );
    expect(text).toMatch(/^retry: \d+\n\nevent: remembered\ndata: \[.+\]\n\n/);
    const data = [...text.matchAll(/event: reading\ndata: (.+)\n\n/g)].map((match) =>
      readingsOf([JSON.parse(match[1])]),
    );
    expect(data.every((one) => one.length === 1)).toBe(true);
    leave.abort();
    let ended = false;
    for (let tries = 0; tries < 50 && !ended; tries++) ended = (await reader.read()).done;
    expect(ended).toBe(true);
  });
  it.each([
    ['ahead', 86_400_000],
    ['behind', -40 * 86_400_000],
  ])('answers over HTTP for a clock that is %s', async (_, offsetMs) => {
    const leave = new AbortController();
    const answer = GET(
      new Request(`http://localhost/standins/room-sensor?now=${Date.now() + offsetMs}&since=0`, {
        signal: leave.signal,
      }),
    );
    expect(answer.headers.get('content-type')).toBe('text/event-stream');
    const { text } = await read(
      answer.body,
      (got) => got.includes('remembered') && got.includes('\n\n', got.indexOf('data:')),
    );
    leave.abort();
    const last = readingsOf(JSON.parse(/data: (\[.*?\])\n/.exec(text)?.[1] ?? '[]')).at(-1);
    expect(Math.abs((last?.at ?? 0) - (Date.now() + offsetMs))).toBeLessThan(6 * MS_PER_HOUR);
  });
  it.each(['now=1e300', 'now=-1', 'since=nonsense', 'since=1e300', 'now=Infinity', 'since=NaN', 'room=2', 'ahead=1'])(
    'refuses %s at once',
    async (query) => {
      const answer = GET(new Request(`http://localhost/standins/room-sensor?${query}`));
      expect(answer.status).toBe(400);
      expect(await answer.json()).toMatchObject({ error: { code: 'sensor-query' } });
    },
  );
  it('takes only what can be a room', () => {
    expect(
      readingsOf([
        null,
        7,
        { at: 1 },
        { at: 1, temperatureC: 900, humidityPercent: 5 },
        { at: 1, temperatureC: 20, humidityPercent: -1 },
        { at: 1, temperatureC: 20, humidityPercent: 50 },
      ]),
    ).toHaveLength(1);
    expect(readingsOf('nonsense')).toEqual([]);
  });
});

describe('what is kept of it', () => {
  const reading = (minute: number) => ({ at: START + minute * MS_PER_MINUTE, temperatureC: 20, humidityPercent: 50 });
  it('one reading in ten minutes, in order, the oldest forgotten', () => {
    expect(
      keepReadings([reading(0), reading(20)], [reading(1), reading(11), reading(12)]).map(
        ({ at }) => (at - START) / MS_PER_MINUTE,
      ),
    ).toEqual([0, 11, 20]);
    expect(
      keepReadings(
        [],
        Array.from({ length: 4000 }, (_, step) => reading(step * 10)),
      ),
    ).toHaveLength(3024);
  });
});
