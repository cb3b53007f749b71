export {
  MM_PER_INCH, ML_PER_FLUID_OUNCE, celsiusToFahrenheit, fahrenheitToCelsius, fluidOuncesToMl, inchesToMm,
  mlToFluidOunces, mm2ToCm2, mmToInches, mmToPoints, type UnitSystem,
} from './units';
export { formatSpans, parseSpans, type DaySpan, type SpansCode } from './day-spans';
export { parseNumberText } from './number-text';
export { formatLength, formatSize, parseLengthMm, type LengthCode } from './length';
export {
  formatDuration, formatTemperature, formatVolume, parseFigure, parsePercent, parseTemperatureC, parseVolumeMl, type QuantityCode,
} from './quantities';
