import { SURFACES } from '@/core/craft';
import { methodContext } from '@/testing/method-context';
import { rankMethods, threeWays, type Candidate } from './index';

const rankedOn = (surface: (typeof SURFACES)[number]) =>
  rankMethods(methodContext({ surface, finish: 'bare', groundLightness: 80 })).filter(
    ({ verdict }) => verdict !== 'refused',
  );

describe.each(SURFACES.map((surface) => [surface.id, surface] as const))('three ways on %s', (_, surface) => {
  const usable = rankedOn(surface);

  it('lead with the best, are never the same twice, and are as many as there are up to three', () => {
    const ways = threeWays(usable, null);
    expect(ways[0]?.candidate).toBe(usable[0]);
    expect(new Set(ways.map(({ candidate }) => candidate)).size).toBe(ways.length);
    expect(ways.length).toBeLessThanOrEqual(3);
    expect(ways[0]?.gains ?? []).toEqual([]);
  });

  it('always hold what was chosen', () => {
    for (const chosen of usable) expect(threeWays(usable, chosen).map(({ candidate }) => candidate)).toContain(chosen);
  });

  it('gain something over the best where anything near it does', () => {
    const [best, ...others] = usable;
    const ways = threeWays(usable, null);
    const sooner = (one: Candidate) =>
      best.score - one.score <= 40 && one.figures!.waitHours < best.figures!.waitHours * 0.75;
    if (others.some(sooner)) expect(ways.slice(1).some(({ gains }) => gains.length > 0)).toBe(true);
  });
});

it('has none where nothing works', () => expect(threeWays([], null)).toEqual([]));
