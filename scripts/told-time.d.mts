export function toldTime(text?: string): { local: string; zone: string; at: number };
export function shiftClock(offsetMs: number): void;
