/**
 * How long a coat takes that reaches past the print of a thousand random panels with knobs and holes: the slowest, and
 * the middle one. Bundled and run by `npm run bench`.
 */
import { coatRings, rectRing, resolveBlank, subtractRings, type Opening } from '@/core/shape';
import { openingRing } from '@/core/shape/blank';
import { seededChance } from '@/core/shared';

const PANELS = 1000;
const GOAL_MS = 100;
/** The first few are run before the engine has compiled what they need: said apart, and among the slowest all the same. */
const COLD = 10;

const chance = seededChance(7);
const between = (low: number, high: number) => low + (high - low) * chance();
const times: number[] = [];
for (let panel = 0; panel < PANELS; panel++) {
  const size = { widthMm: between(60, 600), heightMm: between(60, 600) };
  const openings = Array.from({ length: Math.ceil(between(0, 6)) }, (): Opening => {
    const diameterMm = between(3, 50);
    return {
      kind: chance() < 0.5 ? 'knob' : 'hole',
      xMm: between(diameterMm, size.widthMm - diameterMm),
      yMm: between(diameterMm, size.heightMm - diameterMm),
      diameterMm,
    };
  });
  const blank = resolveBlank({ kind: 'panel', openings }, size);
  if (!blank.ok) continue;
  const margin = between(0, 20);
  const print = rectRing({
    xMm: margin,
    yMm: margin,
    widthMm: size.widthMm - 2 * margin,
    heightMm: size.heightMm - 2 * margin,
  });
  const from = performance.now();
  coatRings(blank.value, subtractRings([print], blank.value.openings.map(openingRing)), between(1, 30));
  times.push(performance.now() - from);
}
const first = Math.max(...times.slice(0, COLD));
times.sort((a, b) => a - b);
const [middle, slowest] = [times[Math.floor(times.length / 2)] ?? NaN, times.at(-1) ?? NaN];
console.log(
  `Coats of ${times.length} random panels: half within ${middle.toFixed(1)} ms, the slowest ` +
    `${slowest.toFixed(0)} ms, the slowest of the first ${COLD} ${first.toFixed(0)} ms (goal: under ${GOAL_MS})`,
);
