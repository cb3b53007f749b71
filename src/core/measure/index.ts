export { MM_PER_INCH, inchesToMm, mmToPoints, type UnitSystem } from './units';
export {
  MOST_SPANS,
  formatSpans,
  parseSpans,
  parseTimeOfDay,
  type DaySpan,
  type SpansCode,
  type TimeCode,
} from './day-spans';
export { spoonsOf, type Spoons } from './spoons';
export { formatLength, formatSize, parseLengthMm, type LengthCode } from './length';
export {
  formatDuration,
  formatFilm,
  formatTemperature,
  formatVolume,
  parseFigure,
  parseFilmUm,
  parsePercent,
  parseTemperatureC,
  parseVolumeMl,
  type QuantityCode,
} from './quantities';
