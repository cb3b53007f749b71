/**
 * Conversions between what people use and what the core computes in: mm, ml, °C, hours. Exact by definition
 * (international inch, US fluid ounce).
 */
export type UnitSystem = 'metric' | 'inch';

export const MM_PER_INCH = 25.4;
const ML_PER_FLUID_OUNCE = 29.5735295625;
const POINTS_PER_MM = 72 / MM_PER_INCH;

export const mmToInches = (mm: number): number => mm / MM_PER_INCH;
export const inchesToMm = (inches: number): number => inches * MM_PER_INCH;
export const mlToFluidOunces = (ml: number): number => ml / ML_PER_FLUID_OUNCE;
export const fluidOuncesToMl = (fluidOunces: number): number => fluidOunces * ML_PER_FLUID_OUNCE;
export const celsiusToFahrenheit = (celsius: number): number => celsius * 1.8 + 32;
export const fahrenheitToCelsius = (fahrenheit: number): number => (fahrenheit - 32) / 1.8;
export const mmToPoints = (mm: number): number => mm * POINTS_PER_MM;
