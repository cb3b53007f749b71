import { halfRubbed, type ShotOrder } from '@/testing/half-rubbed';
import { expectedOf } from '@/testing/read-half-rubbed';
import { rehearse, seek } from './index';

it('finds the print itself, and leaves what is sought as it was', () => {
  const order: ShotOrder = {
    ...{ seed: 4041, ground: 'pine', marginMm: 8, tiltDeg: 0 },
    print: { widthMm: 72, heightMm: 54 },
    photo: { width: 600, height: 450 },
  };
  const sought = seek(expectedOf(order, halfRubbed(order)));
  const [{ count }, before] = [sought.features, [...sought.cells.rough]];
  expect(rehearse(sought)).toBe(true);
  expect(sought.features.count).toBe(count);
  expect([...sought.cells.rough]).toEqual(before);
});
