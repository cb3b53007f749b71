/** Photographed blanks of the program's own drawing, traced: how far off, how fast. `npx tsx bench/trace.mts [COUNT] [FIRST SEED]`. */
import { BOARD_FORMS } from '../src/testing/board-photo';
import { tracedWell } from '../src/testing/traced';

const [count = 30, first = 1] = process.argv.slice(2).map(Number);
console.log('Blanks traced from photos: worst outline mm, untyped side %, grain °, farthest knot mm, median ms');
for (const form of BOARD_FORMS) {
  const seen = Array.from({ length: Math.ceil(count / BOARD_FORMS.length) }, (_, k) => tracedWell(first + k, form));
  const good = seen.filter((one) => typeof one !== 'string');
  const worst = (of: (one: (typeof good)[number]) => number | null) => Math.max(0, ...good.map((one) => of(one) ?? 0));
  const times = good.map(({ ms }) => ms).sort((a, b) => a - b);
  console.log(
    form.padEnd(8),
    `${good.length} of ${seen.length}`,
    worst(({ offMm }) => offMm)
      .toFixed(2)
      .padStart(7),
    (worst(({ shortOff }) => shortOff) * 100).toFixed(2).padStart(7),
    worst(({ grainOff }) => grainOff)
      .toFixed(1)
      .padStart(6),
    worst(({ knotOffMm }) => knotOffMm)
      .toFixed(1)
      .padStart(6),
    (times[Math.floor(times.length / 2)] ?? 0).toFixed(0).padStart(6),
  );
}
