// Drying of 100 pieces over 30 days at one-minute steps: the room's course once, then the integral of each piece.
// Median of 7.
import { airCourse, dayBetween, gatheredOver } from '@/core/cure';
import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '../src/core/shared/index.js';
import { medianMs } from './support.mts';

const PIECES = 100;
const record = { readings: [], profile: dayBetween(9, 21, 58) };
const usual = { temperatureC: 20, humidityPercent: 50 };
const ms = await medianMs(7, async () => {
  const course = airCourse(
    record,
    usual,
    { fromAt: 0, untilAt: 30 * MS_PER_DAY, stepMs: MS_PER_MINUTE },
    (at) => (at / MS_PER_HOUR) % 24,
  );
  const gathered = new Float64Array(course.vpdKpa.length + 1);
  for (let piece = 0; piece < PIECES; piece++) gatheredOver(course, 0.7 + piece / 100, gathered);
});
console.log(`drying: ${PIECES} pieces over 30 days at one-minute steps in ${ms.toFixed(0)} ms`);
