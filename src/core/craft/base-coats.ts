import type { OvenHarm } from './oven-harm';

/** What goes on before the print. `dryHours` at 21 °C and 50 % RH, before the light sanding. Source: bench practice. */
export type BaseCoatId = 'none' | 'white-wash' | 'chalk-type-paint' | 'acrylic-paint' | 'gesso';

export interface BaseCoatRecord {
  id: BaseCoatId;
  dryHours: number;
  /** Its usual colour, sRGB hex; empty for none. */
  colour: string;
  /** Share of the ground it hides. */
  opacity: number;
  /** Whether the grain is gone under it. */
  hidesGrain: boolean;
  /** Of water to one part of paint; 1 to 2 are usual for a wash, which whitens the ground without covering it. */
  waterParts: number;
  oven: OvenHarm | null;
}

export const BASE_COATS: readonly BaseCoatRecord[] = [
  { id: 'none', dryHours: 0, colour: '', opacity: 0, hidesGrain: false, waterParts: 0, oven: null },
  {
    id: 'white-wash',
    dryHours: 1,
    colour: '#f2ead9',
    opacity: 0.55,
    hidesGrain: false,
    waterParts: 1.5,
    oven: null,
  },
  {
    id: 'chalk-type-paint',
    dryHours: 2,
    colour: '#f4f1e8',
    opacity: 0.97,
    hidesGrain: true,
    waterParts: 0,
    oven: null,
  },
  {
    id: 'acrylic-paint',
    dryHours: 2,
    colour: '#f5f3ee',
    opacity: 0.96,
    hidesGrain: true,
    waterParts: 0,
    oven: 'acrylic-base',
  },
  {
    id: 'gesso',
    dryHours: 4,
    colour: '#fbfaf7',
    opacity: 0.97,
    hidesGrain: true,
    waterParts: 0,
    oven: 'acrylic-base',
  },
];

export const isWash = ({ waterParts }: Pick<BaseCoatRecord, 'waterParts'>): boolean => waterParts > 0;

export const baseCoatById = (id: BaseCoatId): BaseCoatRecord => {
  const record = BASE_COATS.find((coat) => coat.id === id);
  if (!record) throw new Error(`unknown base coat ${id}`);
  return record;
};
