import { STATIONS } from '@/core/stations';
import { GLOSSARY, WORKINGS, helpTopics, searchHelp } from './index';

const topics = helpTopics();
const titles = (sought: string) => searchHelp(topics, sought).map(({ title }) => title);

it('has each word once, in the order of the alphabet, with a meaning and a station where it is met', () => {
  const words = GLOSSARY.map(({ word }) => word);
  expect(words).toEqual([...new Set(words)].sort((a, b) => a.localeCompare(b, 'en')));
  for (const { meaning, at } of GLOSSARY) {
    expect(meaning).toMatch(/[.]$/);
    expect(at.length).toBeGreaterThan(0);
  }
});

it('has words for every station up to Seal, and a working for each, weak places and sources included', () => {
  for (const station of STATIONS) {
    expect(GLOSSARY.some(({ at }) => at.includes(station))).toBe(true);
    const { steps, weak, source } = WORKINGS[station];
    expect(steps.length).toBeGreaterThan(1);
    for (const text of [...steps, weak, source]) expect(text).toMatch(/[.]$/);
  }
});

it('gives every topic an address of its own', () => {
  expect(new Set(topics.map(({ id }) => id)).size).toBe(topics.length);
});

describe('the search', () => {
  it('finds by every word, in any order, also by its beginning, whatever the case', () => {
    expect(titles('OPEN time')).toContain('Open time');
    expect(titles('time open')[0]).toBe('Open time');
    expect(titles('mirr')[0]).toBe('Mirrored');
  });
  it('puts those that have it in their title first', () => expect(titles('haze')[0]).toBe('Haze'));
  it('has all where nothing is sought, and none where nothing speaks of it', () => {
    expect(searchHelp(topics, '  ')).toHaveLength(topics.length);
    expect(searchHelp(topics, 'zeppelin')).toEqual([]);
    expect(searchHelp(topics, '***')).toHaveLength(topics.length);
  });
});
