/**
 * Sealers. `betweenHours` and `curedDays` at 21 °C, 50 % RH; `touchHours` until it can be handled with care.
 * Films of 80–100 µm wet a coat; a litre covers 10–12 m². Source: bench practice; the label overrules.
 */
import type { SurfaceRecord } from './surfaces';

export type SealerId =
  | 'same-medium'
  | 'glue-sealer'
  | 'acrylic-varnish'
  | 'polyurethane'
  | 'hard-top-coat'
  | 'spray'
  | 'uv-varnish'
  | 'wax'
  | 'none';
export type UseId = 'wall' | 'sunlit-wall' | 'furniture' | 'table-top' | 'handled' | 'cloth';
export type SheenId = 'matte' | 'satin' | 'gloss';

export interface SealerRecord {
  id: SealerId;
  sheens: readonly SheenId[];
  yellowing: 'none' | 'slight';
  uses: readonly UseId[];
  /** Hardness in wear, 0 none … 3 table top. */
  wear: 0 | 1 | 2 | 3;
  coats: { min: number; max: number };
  betweenHours: { min: number; max: number };
  touchHours: number;
  curedDays: { min: number; max: number };
  filmUm: number;
  /** Below this it forms no film and does not harden, °C; null where nothing forms one. */
  leastC: number | null;
  /** Nothing goes on. */
  bare: boolean;
  /** It is the binder itself, out of the same bottle. */
  isBinder: boolean;
  /** Outside, or with strong ventilation. */
  sprayed: boolean;
  /** Its rags can heat themselves; it has no sheen to choose. */
  oily: boolean;
  /** Laid on thick it stays cloudy and tacky. */
  clouds: boolean;
  source: string;
}

const source = 'bench practice';

export const SEALERS: readonly SealerRecord[] = [
  {
    id: 'acrylic-varnish',
    sheens: ['matte', 'satin', 'gloss'],
    yellowing: 'none',
    uses: ['wall', 'furniture', 'handled', 'sunlit-wall'],
    wear: 2,
    coats: { min: 2, max: 3 },
    betweenHours: { min: 2, max: 2 },
    touchHours: 4,
    curedDays: { min: 3, max: 21 },
    filmUm: 90,
    leastC: 10,
    bare: false,
    isBinder: false,
    sprayed: false,
    oily: false,
    clouds: false,
    source,
  },
  {
    id: 'same-medium',
    sheens: ['matte', 'gloss'],
    yellowing: 'none',
    uses: ['wall'],
    wear: 1,
    coats: { min: 1, max: 2 },
    betweenHours: { min: 1, max: 2 },
    touchHours: 4,
    curedDays: { min: 3, max: 3 },
    filmUm: 90,
    leastC: 10,
    bare: false,
    isBinder: true,
    sprayed: false,
    oily: false,
    clouds: false,
    source,
  },
  {
    id: 'polyurethane',
    sheens: ['matte', 'satin', 'gloss'],
    yellowing: 'slight',
    uses: ['furniture', 'handled', 'table-top'],
    wear: 2,
    coats: { min: 2, max: 3 },
    betweenHours: { min: 2, max: 4 },
    touchHours: 24,
    curedDays: { min: 7, max: 21 },
    filmUm: 90,
    leastC: 10,
    bare: false,
    isBinder: false,
    sprayed: false,
    oily: false,
    clouds: false,
    source,
  },
  {
    id: 'hard-top-coat',
    sheens: ['matte'],
    yellowing: 'none',
    uses: ['table-top', 'furniture'],
    wear: 3,
    coats: { min: 3, max: 3 },
    betweenHours: { min: 4, max: 6 },
    touchHours: 24,
    curedDays: { min: 21, max: 21 },
    filmUm: 100,
    leastC: 10,
    bare: false,
    isBinder: false,
    sprayed: false,
    oily: false,
    clouds: false,
    source,
  },
  {
    id: 'uv-varnish',
    sheens: ['matte', 'satin', 'gloss'],
    yellowing: 'none',
    uses: ['sunlit-wall', 'wall'],
    wear: 1,
    coats: { min: 2, max: 2 },
    betweenHours: { min: 3, max: 3 },
    touchHours: 6,
    curedDays: { min: 3, max: 3 },
    filmUm: 90,
    leastC: 10,
    bare: false,
    isBinder: false,
    sprayed: false,
    oily: false,
    clouds: false,
    source,
  },
  {
    id: 'spray',
    sheens: ['gloss'],
    yellowing: 'slight',
    uses: ['wall'],
    wear: 1,
    coats: { min: 2, max: 3 },
    betweenHours: { min: 0.25, max: 0.5 },
    touchHours: 2,
    curedDays: { min: 1, max: 2 },
    filmUm: 80,
    leastC: 10,
    bare: false,
    isBinder: false,
    sprayed: true,
    oily: false,
    clouds: false,
    source,
  },
  {
    id: 'glue-sealer',
    sheens: ['satin'],
    yellowing: 'none',
    uses: ['wall'],
    wear: 1,
    coats: { min: 1, max: 2 },
    betweenHours: { min: 1 / 3, max: 1 },
    touchHours: 2,
    curedDays: { min: 14, max: 28 },
    filmUm: 90,
    leastC: 10,
    bare: false,
    isBinder: false,
    sprayed: false,
    oily: false,
    clouds: true,
    source,
  },
  {
    id: 'wax',
    sheens: ['satin'],
    yellowing: 'slight',
    uses: ['furniture'],
    wear: 1,
    coats: { min: 1, max: 2 },
    betweenHours: { min: 0.5, max: 0.5 },
    touchHours: 1,
    curedDays: { min: 14, max: 28 },
    filmUm: 30,
    leastC: 10,
    bare: false,
    isBinder: false,
    sprayed: false,
    oily: true,
    clouds: false,
    source,
  },
  {
    id: 'none',
    sheens: ['matte', 'satin', 'gloss'],
    yellowing: 'none',
    uses: ['cloth', 'wall'],
    wear: 0,
    coats: { min: 0, max: 0 },
    betweenHours: { min: 0, max: 0 },
    touchHours: 0,
    curedDays: { min: 0, max: 0 },
    filmUm: 0,
    leastC: null,
    bare: true,
    isBinder: false,
    sprayed: false,
    oily: false,
    clouds: false,
    source,
  },
];

export const sealerById = (id: SealerId): SealerRecord => {
  const record = SEALERS.find((sealer) => sealer.id === id);
  if (!record) throw new Error(`unknown sealer ${id}`);
  return record;
};

/** What a piece is for: cloth is washed, whatever else is said of it. */
export const purposeOf = (surface: Pick<SurfaceRecord, 'laundered'> | null, said: UseId): UseId =>
  surface?.laundered ? 'cloth' : said;

export const USES: readonly UseId[] = ['wall', 'sunlit-wall', 'furniture', 'table-top', 'handled', 'cloth'];

export const SHEENS: readonly SheenId[] = ['matte', 'satin', 'gloss'];
