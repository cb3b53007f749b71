import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { formatLength, formatSize } from '@/core/measure';
import { afterTime, clockTime, dayName, span } from './times';
import { SENTENCE_CODES, sentenceFor } from './sentences';

const units = { system: 'metric' as const, length: (mm: number) => formatLength(mm, 'metric'), size: (...sizes: number[]) => formatSize(sizes, 'metric') };

describe('sentences', () => {
  it('there is one for every failure that the program can give', () => {
    const files = readdirSync('src', { recursive: true, encoding: 'utf8' }).filter((file) => /\.tsx?$/.test(file) && !file.includes('.test.'));
    const given = files.flatMap((file) => [...readFileSync(join('src', file), 'utf8').matchAll(/\bfail\(\s*'([a-z-]+)'/g)].map((match) => match[1]));
    expect(given.length).toBeGreaterThan(20);
    expect(given.filter((code) => !SENTENCE_CODES.includes(code))).toEqual([]);
  });

  it('read as they should', () => {
    const values = { most: 60, pages: 72, widthMm: 330, heightMm: 480, minMm: 10, maxMm: 3000, min: 0, max: 100, bytes: 70 * 1048576, megapixels: 140, largestWidthMm: 287, largestHeightMm: 188, paper: 'a4', paths: 'surface.widthMm', found: 3, known: 2, name: 'map.jpg', text: 'wide' };
    expect(Object.fromEntries(SENTENCE_CODES.map((code) => [code, sentenceFor({ code, message: '', values }, units)]))).toMatchSnapshot();
  });

  it('say something even where a code is new', () => expect(sentenceFor({ code: 'unheard-of', message: '' }, units)).toContain('Nothing was changed'));
});

describe('times in words', () => {
  const now = new Date('2026-03-04T10:00:00').getTime();
  const at = (text: string) => new Date(text).getTime();
  it.each([['2026-03-04T14:20:00', '14:20', 'today after 14:20'], ['2026-03-05T09:40:00', 'tomorrow 09:40', 'tomorrow after 09:40'], ['2026-03-03T09:40:00', 'yesterday 09:40', 'yesterday after 09:40'], ['2026-03-07T09:40:00', 'Saturday 09:40', 'Saturday after 09:40'], ['2026-03-20T09:40:00', 'Fri 20 Mar, 09:40', 'Fri 20 Mar after 09:40']])('%s', (time, clock, after) => {
    expect(clockTime(at(time), now)).toBe(clock);
    expect(afterTime(at(time), now)).toBe(after);
  });
  it('names days and spans', () => {
    expect([dayName(now, now), dayName(at('2026-03-05T23:00:00'), now), dayName(at('2026-03-09T01:00:00'), now), dayName(at('2026-04-01T01:00:00'), now)]).toEqual(['today', 'tomorrow', 'Monday', 'Wed 1 Apr']);
    expect([span(35 * 60_000), span(380 * 60_000), span(-120 * 60_000), span(3 * 86_400_000)]).toEqual(['in 35 min', 'in 6 h 20 min', '2 h ago', 'in 3 days']);
  });
});
