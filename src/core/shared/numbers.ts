export const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));

export const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
