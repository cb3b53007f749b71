/**
 * Sealers. `betweenHours` and `curedDays` at 21 °C, 50 % RH; `touchHours` until it can be handled with care.
 * Films of 80–100 µm wet a coat; a litre covers 10–12 m². Source: bench practice; the label overrules.
 */
export type SealerId = 'same-medium' | 'glue-sealer' | 'acrylic-varnish' | 'polyurethane' | 'hard-top-coat' | 'spray' | 'uv-varnish' | 'wax' | 'none';
export type UseId = 'wall' | 'sunlit-wall' | 'furniture' | 'table-top' | 'handled' | 'cloth';
export type SheenId = 'matte' | 'satin' | 'gloss';

export interface SealerRecord {
  id: SealerId;
  name: string;
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
  note: string;
  source: string;
}

const source = 'bench practice';

export const SEALERS: readonly SealerRecord[] = [
  { id: 'acrylic-varnish', name: 'Water-based acrylic varnish', sheens: ['matte', 'satin', 'gloss'], yellowing: 'none', uses: ['wall', 'furniture', 'handled', 'sunlit-wall'], wear: 2,
    coats: { min: 2, max: 3 }, betweenHours: { min: 2, max: 2 }, touchHours: 4, curedDays: { min: 3, max: 21 }, filmUm: 90, note: 'Does not yellow. Light use after 3 days, full cure after 21.', source },
  { id: 'same-medium', name: 'The binder itself, as a top coat', sheens: ['matte', 'gloss'], yellowing: 'none', uses: ['wall'], wear: 1,
    coats: { min: 1, max: 2 }, betweenHours: { min: 1, max: 2 }, touchHours: 4, curedDays: { min: 3, max: 3 }, filmUm: 90, note: 'Enough for wall pieces and canvas.', source },
  { id: 'polyurethane', name: 'Water-based polyurethane', sheens: ['matte', 'satin', 'gloss'], yellowing: 'slight', uses: ['furniture', 'handled', 'table-top'], wear: 2,
    coats: { min: 2, max: 3 }, betweenHours: { min: 2, max: 4 }, touchHours: 24, curedDays: { min: 7, max: 21 }, filmUm: 90, note: 'Tough. Warms the colours slightly with the years.', source },
  { id: 'hard-top-coat', name: 'Hard furniture top coat', sheens: ['matte'], yellowing: 'none', uses: ['table-top', 'furniture'], wear: 3,
    coats: { min: 3, max: 3 }, betweenHours: { min: 4, max: 6 }, touchHours: 24, curedDays: { min: 21, max: 21 }, filmUm: 100, note: 'For table tops and seats.', source },
  { id: 'uv-varnish', name: 'UV-protecting varnish', sheens: ['matte', 'satin', 'gloss'], yellowing: 'none', uses: ['sunlit-wall', 'wall'], wear: 1,
    coats: { min: 2, max: 2 }, betweenHours: { min: 3, max: 3 }, touchHours: 6, curedDays: { min: 3, max: 3 }, filmUm: 90, note: 'For a sunlit wall or a picture that cannot be made again.', source },
  { id: 'spray', name: 'Spray lacquer or clear glaze spray', sheens: ['gloss'], yellowing: 'slight', uses: ['wall'], wear: 1,
    coats: { min: 2, max: 3 }, betweenHours: { min: 0.25, max: 0.5 }, touchHours: 2, curedDays: { min: 1, max: 2 }, filmUm: 80, note: 'Decorative. Outside, or with strong ventilation.', source },
  { id: 'glue-sealer', name: 'Decoupage glue-sealer', sheens: ['satin'], yellowing: 'none', uses: ['wall'], wear: 1,
    coats: { min: 1, max: 2 }, betweenHours: { min: 1 / 3, max: 1 }, touchHours: 2, curedDays: { min: 14, max: 28 }, filmUm: 90, note: 'Light use. Some find it cloudy, thick and tacky as a top coat: keep it thin.', source },
  { id: 'wax', name: 'Soft wax', sheens: ['satin'], yellowing: 'slight', uses: ['furniture'], wear: 1,
    coats: { min: 1, max: 2 }, betweenHours: { min: 0.5, max: 0.5 }, touchHours: 1, curedDays: { min: 14, max: 28 }, filmUm: 30, note: 'For furniture with little wear. Nothing sticks over it.', source },
  { id: 'none', name: 'No sealer', sheens: ['matte', 'satin', 'gloss'], yellowing: 'none', uses: ['cloth', 'wall'], wear: 0,
    coats: { min: 0, max: 0 }, betweenHours: { min: 0, max: 0 }, touchHours: 0, curedDays: { min: 0, max: 0 }, filmUm: 0, note: 'Canvas that hangs indoors, and cloth.', source },
];

export const sealerById = (id: SealerId): SealerRecord => {
  const record = SEALERS.find((sealer) => sealer.id === id);
  if (!record) throw new Error(`unknown sealer ${id}`);
  return record;
};

export const USES: readonly { id: UseId; name: string }[] = [
  { id: 'wall', name: 'Hangs on a wall' },
  { id: 'sunlit-wall', name: 'Hangs in the sun' },
  { id: 'furniture', name: 'Furniture, drawer, box' },
  { id: 'table-top', name: 'Table top, seat, tray' },
  { id: 'handled', name: 'Handled often' },
  { id: 'cloth', name: 'Cloth, worn or washed' },
];

export const SHEENS: readonly { id: SheenId; name: string; effect: string }[] = [
  { id: 'matte', name: 'Matte', effect: 'clears the least haze, and shows the outline the least' },
  { id: 'satin', name: 'Satin', effect: 'clears some haze' },
  { id: 'gloss', name: 'Gloss', effect: 'clears the most haze and deepens colour, but shows the print’s outline' },
];
