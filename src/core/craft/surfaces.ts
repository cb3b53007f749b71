/**
 * Surfaces a print can be moved onto. Starting values from bench practice: `absorbency` multiplies the amount of medium,
 * `dryingFactor` the waiting time (below 1 where water can also leave into the surface, above 1 where paper is the only way out),
 * `textureMm` is the grain or weave that detail has to stand against. A label or the person's own log overrules them.
 */
export type SurfaceId =
  | 'soft-wood' | 'hard-wood' | 'sheet-wood' | 'painted-wood' | 'varnished-wood' | 'canvas' | 'cloth' | 'leather' | 'glass'
  | 'glazed-ceramic' | 'metal' | 'stone' | 'plaster' | 'terracotta' | 'led-candle';

export type SurfaceClass = 'wood' | 'painted' | 'fabric' | 'leather' | 'smooth' | 'mineral' | 'wax';

export interface SurfaceRecord {
  id: SurfaceId;
  name: string;
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
  advice: string;
  source: string;
}

const source = 'bench practice: typical values, overruled by labels and logs';

export const SURFACES: readonly SurfaceRecord[] = [
  { id: 'soft-wood', name: 'Soft wood: pine, cedar, lime', class: 'wood', textureMm: 0.35, absorbency: 1.25, dryingFactor: 0.85, bareColour: '#e3c79b', coarse: false, takesBaseCoat: true,
    advice: 'Grain shows in light areas: a feature for skies, a fault for faces and white clothes. Choose the board so that the grain follows the picture.', source },
  { id: 'hard-wood', name: 'Hard wood: birch, maple, oak', class: 'wood', textureMm: 0.15, absorbency: 1.05, dryingFactor: 0.85, bareColour: '#d9b98a', coarse: false, takesBaseCoat: true,
    advice: 'The tight grain can let the toner go. A base coat, or a test swatch first, is the safer way.', source },
  { id: 'sheet-wood', name: 'Plywood or MDF', class: 'wood', textureMm: 0.2, absorbency: 1.2, dryingFactor: 0.85, bareColour: '#d8bd92', coarse: false, takesBaseCoat: true,
    advice: 'Drinks unevenly. Sand well and seal the edges.', source },
  { id: 'painted-wood', name: 'Painted wood or furniture', class: 'painted', textureMm: 0.1, absorbency: 1.0, dryingFactor: 1.0, bareColour: '#f1ede2', coarse: false, takesBaseCoat: true,
    advice: 'Matte, chalk-type and mineral paint take a transfer best. Light colours work better than dark ones with a clear binder.', source },
  { id: 'varnished-wood', name: 'Old varnished furniture, doors', class: 'painted', textureMm: 0.1, absorbency: 0.95, dryingFactor: 1.0, bareColour: '#9a6a3c', coarse: false, takesBaseCoat: true,
    advice: 'Scuff or strip it, then prime with gesso or paint. Old paint may contain lead: test before sanding.', source },
  { id: 'canvas', name: 'Canvas, stretched', class: 'fabric', textureMm: 0.4, absorbency: 1.35, dryingFactor: 0.85, bareColour: '#f3f0e8', coarse: true, takesBaseCoat: true,
    advice: 'Fill every dip of the weave with medium, and put a book under the middle for support. A worn look is normal here.', source },
  { id: 'cloth', name: 'Cloth: bag, cushion, shirt', class: 'fabric', textureMm: 0.4, absorbency: 1.5, dryingFactor: 0.85, bareColour: '#e9e4d8', coarse: true, takesBaseCoat: false,
    advice: 'Opaque medium only. Let it dry 3 to 4 days before the first wash.', source },
  { id: 'leather', name: 'Leather', class: 'leather', textureMm: 0.15, absorbency: 0.95, dryingFactor: 1.0, bareColour: '#8c5a3a', coarse: false, takesBaseCoat: false,
    advice: 'Degrease it. Opaque medium only.', source },
  { id: 'glass', name: 'Glass, bottle, jar', class: 'smooth', textureMm: 0, absorbency: 0.9, dryingFactor: 1.3, bareColour: '#dbe6e4', coarse: false, takesBaseCoat: true,
    advice: 'A base coat of chalk-type paint gives a far better result than pearl or enamel paint, which chips and looks pale.', source },
  { id: 'glazed-ceramic', name: 'Glazed ceramic', class: 'smooth', textureMm: 0, absorbency: 0.9, dryingFactor: 1.3, bareColour: '#f4f4f0', coarse: false, takesBaseCoat: true,
    advice: 'Degrease it. The glaze gives the binder nothing to hold: a base coat of chalk-type paint helps.', source },
  { id: 'metal', name: 'Metal, tin', class: 'smooth', textureMm: 0, absorbency: 0.9, dryingFactor: 1.3, bareColour: '#b8bec2', coarse: false, takesBaseCoat: true,
    advice: 'Degrease, remove rust, base-coat. Smooth faces only: ribs and ridges defeat it.', source },
  { id: 'stone', name: 'Stone, slate, tile', class: 'mineral', textureMm: 0.6, absorbency: 1.3, dryingFactor: 1.1, bareColour: '#7d8286', coarse: true, takesBaseCoat: true,
    advice: 'Choose a flat face. Press the damp paper into hollows: the picture follows the cracks.', source },
  { id: 'plaster', name: 'Plaster or fresco tile', class: 'mineral', textureMm: 0.3, absorbency: 1.3, dryingFactor: 1.1, bareColour: '#efeae0', coarse: false, takesBaseCoat: true,
    advice: 'Fluid medium over the entire face.', source },
  { id: 'terracotta', name: 'Terracotta', class: 'mineral', textureMm: 0.3, absorbency: 1.3, dryingFactor: 1.1, bareColour: '#c5734b', coarse: false, takesBaseCoat: true,
    advice: 'Porous and strong in colour: a light base coat brings the picture out.', source },
  { id: 'led-candle', name: 'LED candle', class: 'wax', textureMm: 0, absorbency: 0.9, dryingFactor: 1.3, bareColour: '#f6eedb', coarse: false, takesBaseCoat: false,
    advice: 'LED candles only: never on a candle that will burn.', source },
];

export const surfaceById = (id: SurfaceId): SurfaceRecord => {
  const record = SURFACES.find((surface) => surface.id === id);
  if (!record) throw new Error(`unknown surface ${id}`);
  return record;
};

/** What is on the surface when it comes to the bench. */
export type FinishId = 'bare' | 'matte-paint' | 'chalk-type-paint' | 'gloss-paint' | 'wall-paint' | 'varnish' | 'wax-or-oil';

export const FINISHES: readonly { id: FinishId; name: string; holds: 'well' | 'fair' | 'badly' }[] = [
  { id: 'bare', name: 'Nothing: bare', holds: 'well' },
  { id: 'chalk-type-paint', name: 'Chalk-type or mineral paint', holds: 'well' },
  { id: 'matte-paint', name: 'Other matte paint', holds: 'well' },
  { id: 'wall-paint', name: 'Latex or acrylic wall paint', holds: 'fair' },
  { id: 'gloss-paint', name: 'Gloss, pearl or enamel paint', holds: 'badly' },
  { id: 'varnish', name: 'Varnish or lacquer', holds: 'badly' },
  { id: 'wax-or-oil', name: 'Wax or oil', holds: 'badly' },
];

/** What goes on before the print. `dryHours` at 21 °C and 50 % RH, before the light sanding. */
export type BaseCoatId = 'none' | 'white-wash' | 'chalk-type-paint' | 'acrylic-paint' | 'gesso';

export const BASE_COATS: readonly { id: BaseCoatId; name: string; dryHours: number; colour: string; /** Share of the ground it hides. */ opacity: number }[] = [
  { id: 'none', name: 'None', dryHours: 0, colour: '', opacity: 0 },
  { id: 'white-wash', name: 'Thin white wash', dryHours: 1, colour: '#f2ead9', opacity: 0.55 },
  { id: 'chalk-type-paint', name: 'Chalk-type paint', dryHours: 2, colour: '#f4f1e8', opacity: 0.97 },
  { id: 'acrylic-paint', name: 'Matte acrylic paint', dryHours: 2, colour: '#f5f3ee', opacity: 0.96 },
  { id: 'gesso', name: 'Gesso', dryHours: 4, colour: '#fbfaf7', opacity: 0.97 },
];
