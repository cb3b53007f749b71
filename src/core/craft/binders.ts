/**
 * Binders (media): what holds the toner once the paper is gone. Films in µm wet on each face; waits in hours at the
 * reference room (21 °C, 50 % RH, still air, 1.243 kPa); `clockFloorHours` is a wait that no room and no sign shortens.
 * Starting values from bench practice; the label on the bottle overrules every one of them.
 */
export type BinderId =
  | 'fluid-gel' | 'heavy-gel' | 'glue-sealer' | 'opaque-medium' | 'clear-medium' | 'furniture-gel' | 'acrylic-varnish'
  | 'polyurethane' | 'wood-glue' | 'school-glue' | 'gesso' | 'none';

export type CoatedFace = 'paper' | 'surface';

export interface BinderRecord {
  id: BinderId;
  name: string;
  base: 'clear' | 'white';
  wetLook: string;
  /** Thinnest and thickest wet film on a face, µm. */
  filmUm: { min: number; max: number };
  faces: readonly CoatedFace[];
  /** Coat the whole face of the blank rather than the print and a little more. */
  wholeSurface: boolean;
  waitHours: { min: number; max: number };
  clockFloorHours: number;
  openMinutes: number;
  passes: { min: number; max: number };
  /** Relative share of toner that stays, 0–1: how dark the picture lands. */
  tonerKept: number;
  washable: boolean;
  /** 1 easy … 3 asks for practice. */
  skill: 1 | 2 | 3;
  character: string;
  /** A coat of it that dries before the one that takes the print. */
  bedCoat: { filmUm: number; dryHours: number } | null;
  source: string;
}

const source = 'bench practice: typical values, overruled by labels and logs';

export const BINDERS: readonly BinderRecord[] = [
  { id: 'fluid-gel', name: 'Fluid gel or polymer medium', base: 'clear', wetLook: 'milky', filmUm: { min: 200, max: 250 }, faces: ['paper', 'surface'], wholeSurface: false,
    waitHours: { min: 8, max: 24 }, clockFloorHours: 0, openMinutes: 7, passes: { min: 2, max: 3 }, tonerKept: 0.95, washable: false, skill: 1,
    character: 'Penetrates and spreads well; the best clarity.', bedCoat: null, source },
  { id: 'heavy-gel', name: 'Regular or heavy gel medium', base: 'clear', wetLook: 'thick and white', filmUm: { min: 250, max: 300 }, faces: ['surface'], wholeSurface: false,
    waitHours: { min: 12, max: 24 }, clockFloorHours: 0, openMinutes: 9, passes: { min: 2, max: 3 }, tonerKept: 0.93, washable: false, skill: 2,
    character: 'Fewer bubbles and wrinkles; penetrates less and is harder to spread.', bedCoat: null, source },
  { id: 'glue-sealer', name: 'All-in-one decoupage glue-sealer', base: 'clear', wetLook: 'milky', filmUm: { min: 120, max: 150 }, faces: ['paper', 'surface'], wholeSurface: false,
    waitHours: { min: 12, max: 24 }, clockFloorHours: 0, openMinutes: 5, passes: { min: 2, max: 3 }, tonerKept: 0.8, washable: false, skill: 1,
    character: 'Cheap; paler and more worn, and it loses more toner when rubbed.', bedCoat: null, source },
  { id: 'opaque-medium', name: 'Opaque photo-transfer medium', base: 'white', wetLook: 'opaque white', filmUm: { min: 350, max: 400 }, faces: ['paper'], wholeSurface: false,
    waitHours: { min: 24, max: 24 }, clockFloorHours: 24, openMinutes: 9, passes: { min: 2, max: 3 }, tonerKept: 0.95, washable: true, skill: 2,
    character: 'Keeps whites white; works on dark surfaces and cloth. Leaves a white edge where it shows.', bedCoat: null, source },
  { id: 'clear-medium', name: 'Clear image-transfer medium', base: 'clear', wetLook: 'thin and milky', filmUm: { min: 200, max: 200 }, faces: ['paper'], wholeSurface: false,
    waitHours: { min: 24, max: 24 }, clockFloorHours: 24, openMinutes: 6, passes: { min: 5, max: 5 }, tonerKept: 0.92, washable: false, skill: 2,
    character: 'The surface colour shows in the whites. About five thin passes of rubbing.', bedCoat: null, source },
  { id: 'furniture-gel', name: 'Transfer gel for furniture paint', base: 'clear', wetLook: 'white', filmUm: { min: 200, max: 250 }, faces: ['surface'], wholeSurface: true,
    waitHours: { min: 12, max: 12 }, clockFloorHours: 0, openMinutes: 7, passes: { min: 2, max: 3 }, tonerKept: 0.92, washable: false, skill: 2,
    character: 'Goes over the whole surface, which hides the outline of the print.', bedCoat: null, source },
  { id: 'acrylic-varnish', name: 'Water-based acrylic varnish', base: 'clear', wetLook: 'milky', filmUm: { min: 100, max: 120 }, faces: ['surface'], wholeSurface: false,
    waitHours: { min: 1, max: 2 }, clockFloorHours: 0, openMinutes: 4, passes: { min: 3, max: 4 }, tonerKept: 0.85, washable: false, skill: 2,
    character: 'Just covering. The fastest on bare soft wood; best for trial runs.', bedCoat: null, source },
  { id: 'polyurethane', name: 'Water-based polyurethane varnish', base: 'clear', wetLook: 'milky', filmUm: { min: 200, max: 200 }, faces: ['surface'], wholeSurface: false,
    waitHours: { min: 24, max: 24 }, clockFloorHours: 0, openMinutes: 6, passes: { min: 2, max: 3 }, tonerKept: 0.9, washable: false, skill: 2,
    character: 'Two coats: the first dries before the second receives the print. May warm the colours a little.', bedCoat: { filmUm: 100, dryHours: 3 }, source },
  { id: 'wood-glue', name: 'White wood glue (PVA, wood grade)', base: 'clear', wetLook: 'white', filmUm: { min: 150, max: 150 }, faces: ['paper', 'surface'], wholeSurface: false,
    waitHours: { min: 12, max: 24 }, clockFloorHours: 0, openMinutes: 5, passes: { min: 2, max: 3 }, tonerKept: 0.85, washable: false, skill: 1,
    character: 'Works, and is cheap.', bedCoat: null, source },
  { id: 'school-glue', name: 'Washable school glue', base: 'clear', wetLook: 'white', filmUm: { min: 150, max: 150 }, faces: ['paper', 'surface'], wholeSurface: false,
    waitHours: { min: 12, max: 24 }, clockFloorHours: 0, openMinutes: 5, passes: { min: 2, max: 3 }, tonerKept: 0, washable: false, skill: 1,
    character: 'Water dissolves it again.', bedCoat: null, source },
  { id: 'gesso', name: 'Acrylic gesso or acrylic paint', base: 'white', wetLook: 'white', filmUm: { min: 120, max: 120 }, faces: ['surface'], wholeSurface: false,
    waitHours: { min: 4, max: 12 }, clockFloorHours: 0, openMinutes: 4, passes: { min: 0, max: 0 }, tonerKept: 0.8, washable: false, skill: 3,
    character: 'A bed for prints on film, and a base coat.', bedCoat: null, source },
  { id: 'none', name: 'No binder', base: 'clear', wetLook: '', filmUm: { min: 0, max: 0 }, faces: [], wholeSurface: false,
    waitHours: { min: 0, max: 0 }, clockFloorHours: 0, openMinutes: 0, passes: { min: 0, max: 0 }, tonerKept: 0.9, washable: false, skill: 1,
    character: 'Nothing wet: tape, heat or pencil carries the picture.', bedCoat: null, source },
];

export const binderById = (id: BinderId): BinderRecord => {
  const record = BINDERS.find((binder) => binder.id === id);
  if (!record) throw new Error(`unknown binder ${id}`);
  return record;
};

/** The film that a record aims at: the middle of its range, µm wet on a face. */
export const nominalFilmUm = (binder: BinderRecord): number => (binder.filmUm.min + binder.filmUm.max) / 2;
