// Drying of 100 pieces over 30 days at one-minute steps: the room's course once, then the integral of each piece. Median of 7.
import { airCourse, dayBetween, gatheredOver } from '@/core/cure';
import { medianMs } from './support.mts';

const DAY_MS = 86_400_000;
const PIECES = 100;
const record = { readings: [], profile: dayBetween(9, 21, 58) };
const usual = { temperatureC: 20, humidityPercent: 50 };
const ms = await medianMs(7, async () => {
  const course = airCourse(record, usual, { fromAt: 0, untilAt: 30 * DAY_MS, stepMs: 60_000 }, (at) => (at / 3_600_000) % 24);
  const gathered = new Float64Array(course.vpdKpa.length + 1);
  for (let piece = 0; piece < PIECES; piece++) gatheredOver(course, 0.7 + piece / 100, gathered);
});
console.log(`drying: ${PIECES} pieces over 30 days at one-minute steps in ${ms.toFixed(0)} ms`);
