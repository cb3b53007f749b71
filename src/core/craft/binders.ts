/**
 * Binders (media): what holds the toner once the paper is gone. Films in µm wet on each face; waits in hours at the
 * reference room (21 °C, 50 % RH, still air, 1.243 kPa); `clockFloorHours` is a wait that no room and no sign shortens.
 * Starting values from bench practice; the label on the bottle overrules every one of them.
 */
export type CoatedFace = 'paper' | 'surface';

interface BinderFacts {
  base: 'clear' | 'white';
  /** Something wet is coated; false where tape, heat or pencil carries the picture. */
  wet: boolean;
  /** Thinnest and thickest wet film on a face, µm. */
  filmUm: { min: number; max: number };
  faces: readonly CoatedFace[];
  /** It may be brushed over the printed side. */
  coatsPaper: boolean;
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
  /** A coat of it that dries before the one that takes the print. */
  bedCoat: { filmUm: number; dryHours: number } | null;
  /** The print can be slid a moment after touching down, where the surface lets it. */
  slides: boolean;
  /**
   * The water its paper is rubbed with: a wrung sponge, or as much as the paper takes. Too wet lifts the first kind; the
   * film of the second no longer minds. None where a school takes the paper off a film that is minutes old.
   */
  water: 'none' | 'damp' | 'soak';
  /**
   * Hours after which the sign has been seen on ground that drinks: shorter than any label's; null where its shortest
   * wait is as short.
   */
  signHours: number | null;
  /** Share of light that its own film scatters: how milky it stays when it is dry. */
  cloud: number;
  /** Soaks into paper and surface alike. */
  penetrates: boolean;
  /** Has the body to fill grain and weave. */
  fillsTexture: boolean;
  madeForPaint: boolean;
  bestOnBareWood: boolean;
  holdsOnThreads: boolean;
  /** Water dissolves it again once it is dry. */
  washesOut: boolean;
  wear: 'soft' | 'usual' | 'hard';
  source: string;
}

const source = 'bench practice: typical values, overruled by labels and logs';

/** What most binders are like: the records say what differs. */
const USUAL = {
  wet: true,
  coatsPaper: true,
  slides: false,
  water: 'damp',
  signHours: null,
  cloud: 0,
  penetrates: false,
  fillsTexture: false,
  madeForPaint: false,
  bestOnBareWood: false,
  holdsOnThreads: true,
  washesOut: false,
  wear: 'usual',
} as const;

const LISTED = [
  {
    ...USUAL,
    id: 'fluid-gel',
    base: 'clear',
    filmUm: { min: 200, max: 250 },
    faces: ['paper', 'surface'],
    wholeSurface: false,
    waitHours: { min: 8, max: 24 },
    clockFloorHours: 0,
    openMinutes: 7,
    passes: { min: 2, max: 3 },
    tonerKept: 0.98,
    washable: false,
    skill: 1,
    bedCoat: null,
    slides: true,
    water: 'soak',
    penetrates: true,
    source,
  },
  {
    ...USUAL,
    id: 'heavy-gel',
    base: 'clear',
    filmUm: { min: 250, max: 300 },
    faces: ['surface'],
    wholeSurface: false,
    waitHours: { min: 12, max: 24 },
    clockFloorHours: 0,
    openMinutes: 9,
    passes: { min: 2, max: 3 },
    tonerKept: 0.96,
    washable: false,
    skill: 2,
    bedCoat: null,
    slides: true,
    water: 'soak',
    fillsTexture: true,
    source,
  },
  {
    ...USUAL,
    id: 'glue-sealer',
    base: 'clear',
    filmUm: { min: 120, max: 150 },
    faces: ['paper', 'surface'],
    wholeSurface: false,
    waitHours: { min: 12, max: 24 },
    clockFloorHours: 0,
    openMinutes: 5,
    passes: { min: 2, max: 3 },
    tonerKept: 0.9,
    washable: false,
    skill: 1,
    bedCoat: null,
    slides: true,
    signHours: 6.5,
    cloud: 0.015,
    wear: 'soft',
    source,
  },
  {
    ...USUAL,
    id: 'opaque-medium',
    base: 'white',
    filmUm: { min: 350, max: 400 },
    faces: ['paper'],
    wholeSurface: false,
    waitHours: { min: 24, max: 24 },
    clockFloorHours: 24,
    openMinutes: 9,
    passes: { min: 2, max: 3 },
    tonerKept: 0.98,
    washable: true,
    skill: 2,
    bedCoat: null,
    slides: true,
    cloud: 0.0145,
    source,
  },
  {
    ...USUAL,
    id: 'clear-medium',
    base: 'clear',
    filmUm: { min: 200, max: 200 },
    faces: ['paper'],
    wholeSurface: false,
    waitHours: { min: 24, max: 24 },
    clockFloorHours: 24,
    openMinutes: 6,
    passes: { min: 5, max: 5 },
    tonerKept: 0.96,
    washable: false,
    skill: 2,
    bedCoat: null,
    holdsOnThreads: false,
    source,
  },
  {
    ...USUAL,
    id: 'furniture-gel',
    base: 'clear',
    filmUm: { min: 200, max: 250 },
    faces: ['surface'],
    wholeSurface: true,
    waitHours: { min: 12, max: 12 },
    clockFloorHours: 0,
    openMinutes: 7,
    passes: { min: 2, max: 3 },
    tonerKept: 0.98,
    washable: false,
    skill: 2,
    bedCoat: null,
    slides: true,
    water: 'soak',
    madeForPaint: true,
    source,
  },
  {
    ...USUAL,
    id: 'acrylic-varnish',
    base: 'clear',
    filmUm: { min: 100, max: 120 },
    faces: ['surface'],
    wholeSurface: false,
    waitHours: { min: 1, max: 2 },
    clockFloorHours: 0,
    openMinutes: 4,
    passes: { min: 3, max: 4 },
    tonerKept: 0.93,
    washable: false,
    skill: 2,
    bedCoat: null,
    bestOnBareWood: true,
    source,
  },
  {
    ...USUAL,
    id: 'polyurethane',
    base: 'clear',
    filmUm: { min: 200, max: 200 },
    faces: ['surface'],
    wholeSurface: false,
    waitHours: { min: 24, max: 24 },
    clockFloorHours: 24,
    openMinutes: 6,
    passes: { min: 2, max: 3 },
    tonerKept: 0.93,
    washable: false,
    skill: 2,
    bedCoat: { filmUm: 100, dryHours: 3 },
    water: 'soak',
    wear: 'hard',
    source,
  },
  {
    ...USUAL,
    id: 'wood-glue',
    base: 'clear',
    filmUm: { min: 150, max: 150 },
    faces: ['paper', 'surface'],
    wholeSurface: false,
    waitHours: { min: 12, max: 24 },
    clockFloorHours: 0,
    openMinutes: 5,
    passes: { min: 2, max: 3 },
    tonerKept: 0.93,
    washable: false,
    skill: 1,
    bedCoat: null,
    source,
  },
  {
    ...USUAL,
    id: 'school-glue',
    base: 'clear',
    filmUm: { min: 150, max: 150 },
    faces: ['paper', 'surface'],
    wholeSurface: false,
    waitHours: { min: 12, max: 24 },
    clockFloorHours: 0,
    openMinutes: 5,
    passes: { min: 2, max: 3 },
    tonerKept: 0,
    washable: false,
    skill: 1,
    bedCoat: null,
    washesOut: true,
    source,
  },
  {
    ...USUAL,
    id: 'gesso',
    base: 'white',
    filmUm: { min: 120, max: 120 },
    faces: ['surface'],
    wholeSurface: false,
    waitHours: { min: 4, max: 12 },
    clockFloorHours: 0,
    openMinutes: 4,
    passes: { min: 0, max: 0 },
    tonerKept: 0.8,
    washable: false,
    skill: 3,
    bedCoat: null,
    slides: true,
    cloud: 0.0145,
    source,
  },
  {
    ...USUAL,
    id: 'none',
    base: 'clear',
    filmUm: { min: 0, max: 0 },
    faces: [],
    wholeSurface: false,
    waitHours: { min: 0, max: 0 },
    clockFloorHours: 0,
    openMinutes: 0,
    passes: { min: 0, max: 0 },
    tonerKept: 0.9,
    washable: false,
    skill: 1,
    bedCoat: null,
    wet: false,
    source,
  },
] as const satisfies readonly (BinderFacts & { id: string })[];

export type BinderId = (typeof LISTED)[number]['id'];
export type BinderRecord = BinderFacts & { id: BinderId };
export const BINDERS: readonly BinderRecord[] = LISTED;

export const binderById = (id: BinderId): BinderRecord => {
  const record = BINDERS.find((binder) => binder.id === id);
  if (!record) throw new Error(`unknown binder ${id}`);
  return record;
};

/** The film that a record aims at: the middle of its range, µm wet on a face. */
export const nominalFilmUm = (binder: BinderRecord): number => (binder.filmUm.min + binder.filmUm.max) / 2;
