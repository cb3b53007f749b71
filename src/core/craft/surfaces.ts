/**
 * Surfaces a print can be moved onto. Starting values from bench practice: `absorbency` multiplies the amount of
 * medium,
 * `dryingFactor` the waiting time (below 1 where water can also leave into the surface, above 1 where paper is the only
 * way out),
 * `textureMm` is the grain or weave that detail has to stand against. A label or the person's own log overrules them.
 */
import type { OvenHarm } from './oven-harm';

export type SurfaceClass = 'wood' | 'painted' | 'fabric' | 'leather' | 'smooth' | 'mineral' | 'wax';

interface SurfaceFacts {
  class: SurfaceClass;
  textureMm: number;
  absorbency: number;
  dryingFactor: number;
  /** Colour of the bare surface, sRGB hex: what shows through where the picture is white. */
  bareColour: string;
  /** Coarse surfaces forgive a third less resolution. */
  coarse: boolean;
  /** Whether a finish or base coat can be on it and matters. */
  takesBaseCoat: boolean;
  /** A finish of long ago is on it, whatever else is said of its finish. */
  oldFinish: boolean;
  /** Can let the toner go: a swatch or a base coat first. */
  tightGrain: boolean;
  /** Of its light, what binder or sealer leaves once it has soaked in: 1 where it doesn't. */
  wettedLight: number;
  /** Water goes into it: after rubbing it dries long, and what lies on it dries into it. */
  porous: boolean;
  /** How long it dries after a damp pass until haze can be seen, min at the reference room. */
  passDryMinutes: number;
  /** Its cut edges drink the medium out of the coat. */
  edgesDrink: boolean;
  /** A book goes under its middle. */
  givesInMiddle: boolean;
  /** Every dip of it is filled with medium. */
  dipsToFill: boolean;
  /** A print that touched down can be moved a moment, where the binder lets it. */
  letsSlide: boolean;
  /** Medium soaks through it: a barrier goes inside. */
  needsBarrier: boolean;
  /** Washed before, and worn or washed after. */
  laundered: boolean;
  /** Water softens it or leaves marks on it, sealed or not. */
  waterHarms: boolean;
  /** A clear binder cracks off. */
  opaqueMediumOnly: boolean;
  /** Bare, it sees no sandpaper and no pencil: threads, hide, glass, glaze, wax. */
  delicate: boolean;
  degrease: boolean;
  rusts: boolean;
  /** Its edges or a broken piece cut. */
  sharpEdges: boolean;
  /** Washed and left to dry so long before anything else, h; null where it is not. */
  washDryHours: number | null;
  /** Holds a battery light: it must never be lit. */
  ledOnly: boolean;
  /** Why it can't go into an oven, or how hot at most, °C. */
  oven: { refusal: OvenHarm | null; limitC: number | null };
  source: string;
}

const source = 'bench practice: typical values, overruled by labels and logs';

/** What most surfaces are like: the records say what differs. */
const USUAL = {
  oldFinish: false,
  tightGrain: false,
  porous: false,
  wettedLight: 1,
  passDryMinutes: 10,
  edgesDrink: false,
  givesInMiddle: false,
  dipsToFill: false,
  letsSlide: true,
  needsBarrier: false,
  laundered: false,
  waterHarms: false,
  opaqueMediumOnly: false,
  delicate: false,
  degrease: false,
  rusts: false,
  sharpEdges: false,
  washDryHours: null,
  ledOnly: false,
  oven: { refusal: null, limitC: null },
} as const;

const LISTED = [
  {
    ...USUAL,
    id: 'soft-wood',
    class: 'wood',
    textureMm: 0.35,
    absorbency: 1.25,
    dryingFactor: 0.85,
    bareColour: '#e3c79b',
    coarse: false,
    porous: true,
    wettedLight: 0.8,
    passDryMinutes: 30,
    takesBaseCoat: true,
    oven: { refusal: null, limitC: 80 },
    source,
  },
  {
    ...USUAL,
    id: 'hard-wood',
    class: 'wood',
    textureMm: 0.15,
    absorbency: 1.05,
    dryingFactor: 0.85,
    bareColour: '#d9b98a',
    coarse: false,
    porous: true,
    wettedLight: 0.8,
    passDryMinutes: 30,
    takesBaseCoat: true,
    tightGrain: true,
    source,
  },
  {
    ...USUAL,
    id: 'sheet-wood',
    class: 'wood',
    textureMm: 0.2,
    absorbency: 1.2,
    dryingFactor: 0.85,
    bareColour: '#d8bd92',
    coarse: false,
    porous: true,
    wettedLight: 0.8,
    passDryMinutes: 30,
    takesBaseCoat: true,
    oven: { refusal: null, limitC: 80 },
    edgesDrink: true,
    source,
  },
  {
    ...USUAL,
    id: 'painted-wood',
    class: 'painted',
    textureMm: 0.1,
    absorbency: 1,
    dryingFactor: 1,
    bareColour: '#f1ede2',
    coarse: false,
    takesBaseCoat: true,
    source,
  },
  {
    ...USUAL,
    id: 'varnished-wood',
    class: 'painted',
    textureMm: 0.1,
    absorbency: 0.95,
    dryingFactor: 1,
    bareColour: '#9a6a3c',
    coarse: false,
    takesBaseCoat: true,
    oldFinish: true,
    oven: { refusal: 'slick-finish', limitC: null },
    source,
  },
  {
    ...USUAL,
    id: 'canvas',
    class: 'fabric',
    textureMm: 0.4,
    absorbency: 1.35,
    dryingFactor: 0.85,
    bareColour: '#f3f0e8',
    coarse: true,
    porous: true,
    wettedLight: 0.95,
    passDryMinutes: 60,
    takesBaseCoat: true,
    givesInMiddle: true,
    dipsToFill: true,
    letsSlide: false,
    oven: { refusal: 'glued-frame', limitC: null },
    source,
  },
  {
    ...USUAL,
    id: 'cloth',
    class: 'fabric',
    textureMm: 0.4,
    absorbency: 1.5,
    dryingFactor: 0.85,
    bareColour: '#e9e4d8',
    coarse: true,
    porous: true,
    wettedLight: 0.9,
    passDryMinutes: 60,
    takesBaseCoat: false,
    needsBarrier: true,
    laundered: true,
    opaqueMediumOnly: true,
    oven: { refusal: 'cloth', limitC: null },
    delicate: true,
    source,
  },
  {
    ...USUAL,
    id: 'leather',
    class: 'leather',
    waterHarms: true,
    textureMm: 0.15,
    absorbency: 0.95,
    dryingFactor: 1,
    bareColour: '#8c5a3a',
    coarse: false,
    takesBaseCoat: false,
    opaqueMediumOnly: true,
    degrease: true,
    oven: { refusal: 'leather', limitC: null },
    delicate: true,
    source,
  },
  {
    ...USUAL,
    id: 'glass',
    class: 'smooth',
    textureMm: 0,
    absorbency: 0.9,
    dryingFactor: 1.3,
    bareColour: '#dbe6e4',
    coarse: false,
    takesBaseCoat: true,
    degrease: true,
    sharpEdges: true,
    oven: { refusal: null, limitC: 80 },
    delicate: true,
    source,
  },
  {
    ...USUAL,
    id: 'glazed-ceramic',
    class: 'smooth',
    textureMm: 0,
    absorbency: 0.9,
    dryingFactor: 1.3,
    bareColour: '#f4f4f0',
    coarse: false,
    takesBaseCoat: true,
    degrease: true,
    sharpEdges: true,
    oven: { refusal: null, limitC: 80 },
    delicate: true,
    source,
  },
  {
    ...USUAL,
    id: 'metal',
    class: 'smooth',
    textureMm: 0,
    absorbency: 0.9,
    dryingFactor: 1.3,
    bareColour: '#b8bec2',
    coarse: false,
    takesBaseCoat: true,
    degrease: true,
    rusts: true,
    source,
  },
  {
    ...USUAL,
    id: 'stone',
    class: 'mineral',
    textureMm: 0.6,
    absorbency: 1.3,
    dryingFactor: 1.1,
    bareColour: '#7d8286',
    coarse: true,
    porous: true,
    wettedLight: 0.6,
    passDryMinutes: 30,
    takesBaseCoat: true,
    washDryHours: 24,
    source,
  },
  {
    ...USUAL,
    id: 'plaster',
    class: 'mineral',
    waterHarms: true,
    textureMm: 0.3,
    absorbency: 1.3,
    dryingFactor: 0.85,
    bareColour: '#efeae0',
    coarse: false,
    porous: true,
    wettedLight: 0.8,
    passDryMinutes: 30,
    takesBaseCoat: true,
    source,
  },
  {
    ...USUAL,
    id: 'terracotta',
    class: 'mineral',
    textureMm: 0.3,
    absorbency: 1.3,
    dryingFactor: 0.85,
    bareColour: '#c5734b',
    coarse: false,
    porous: true,
    wettedLight: 0.65,
    passDryMinutes: 30,
    takesBaseCoat: true,
    washDryHours: 24,
    source,
  },
  {
    ...USUAL,
    id: 'led-candle',
    class: 'wax',
    textureMm: 0,
    absorbency: 0.9,
    dryingFactor: 1.3,
    bareColour: '#f6eedb',
    coarse: false,
    takesBaseCoat: false,
    ledOnly: true,
    oven: { refusal: 'candle', limitC: null },
    delicate: true,
    source,
  },
] as const satisfies readonly (SurfaceFacts & { id: string })[];

export type SurfaceId = (typeof LISTED)[number]['id'];
export type SurfaceRecord = SurfaceFacts & { id: SurfaceId };
export const SURFACES: readonly SurfaceRecord[] = LISTED;

/** Whether fine sandpaper may touch what the print lies on: never threads, and what is delicate under paint alone. */
export const isSandable = (surface: SurfaceRecord, coated: boolean): boolean =>
  surface.class !== 'fabric' && (coated || !surface.delicate);

/** Whether what is on it can be scuffed: coarse paper goes on no threads, no hide and no wax. */
export const isScuffable = ({ class: of }: SurfaceRecord): boolean =>
  of !== 'fabric' && of !== 'leather' && of !== 'wax';

/** Whether a place can be marked in pencil: what is delicate or slick is marked with bits of tape. */
export const takesPencil = (surface: SurfaceRecord, coated: boolean): boolean =>
  coated || (!surface.delicate && surface.class !== 'smooth');

export const surfaceById = (id: SurfaceId): SurfaceRecord => {
  const record = SURFACES.find((surface) => surface.id === id);
  if (!record) throw new Error(`unknown surface ${id}`);
  return record;
};
