export const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));

export const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

/** The middle one by size, the upper of two; NaN of none. What is given stays as it is. */
export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;
