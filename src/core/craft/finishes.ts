import type { OvenHarm } from './oven-harm';

/** What is on the surface when it comes to the bench. Source: bench practice. */
export type FinishId =
  'bare' | 'chalk-type-paint' | 'matte-paint' | 'wall-paint' | 'gloss-paint' | 'varnish' | 'wax-or-oil';

export interface FinishRecord {
  id: FinishId;
  /** How a binder holds on it. */
  holds: 'well' | 'fair' | 'badly';
  /** Paint, with a colour of its own. */
  paint: boolean;
  /** It closes the pores of what it is on. */
  seals: boolean;
  /** Where it is old it may hold lead. */
  mayHoldLead: boolean;
  oven: OvenHarm | null;
}

export const FINISHES: readonly FinishRecord[] = [
  { id: 'bare', seals: false, holds: 'well', paint: false, mayHoldLead: false, oven: null },
  { id: 'chalk-type-paint', seals: true, holds: 'well', paint: true, mayHoldLead: false, oven: null },
  { id: 'matte-paint', seals: true, holds: 'well', paint: true, mayHoldLead: true, oven: 'unknown-paint' },
  { id: 'wall-paint', seals: true, holds: 'fair', paint: true, mayHoldLead: true, oven: 'wall-paint' },
  { id: 'gloss-paint', seals: true, holds: 'badly', paint: true, mayHoldLead: true, oven: 'slick-finish' },
  { id: 'varnish', seals: true, holds: 'badly', paint: false, mayHoldLead: true, oven: 'slick-finish' },
  { id: 'wax-or-oil', seals: true, holds: 'badly', paint: false, mayHoldLead: false, oven: 'slick-finish' },
];

export const finishById = (id: FinishId): FinishRecord => {
  const record = FINISHES.find((finish) => finish.id === id);
  if (!record) throw new Error(`unknown finish ${id}`);
  return record;
};
