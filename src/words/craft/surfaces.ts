import type { SurfaceClass, SurfaceId } from '@/core/craft';
import type { ShortNamed } from './named';
import { said } from '../say';

interface SurfaceWords extends ShortNamed {
  shortInText: string;
  advice: string;
}

export const SURFACE_WORDS: Readonly<Record<SurfaceId, SurfaceWords>> = said({
  'soft-wood': {
    name: 'Soft wood: pine, cedar, lime',
    inText: 'soft wood: pine, cedar, lime',
    shortName: 'Soft wood',
    shortInText: 'soft wood',
    advice:
      'Grain shows in light areas: a feature for skies, a fault for faces and white clothes. Choose the board so ' +
      'that the grain follows the picture.',
  },
  'hard-wood': {
    name: 'Hard wood: birch, maple, oak',
    inText: 'hard wood: birch, maple, oak',
    shortName: 'Hard wood',
    shortInText: 'hard wood',
    advice: 'The tight grain can let the toner go. A base coat, or a test swatch first, is the safer way.',
  },
  'sheet-wood': {
    name: 'Plywood or MDF',
    inText: 'plywood or MDF',
    shortName: 'Plywood or MDF',
    shortInText: 'plywood or MDF',
    advice: 'Drinks unevenly. Sand well and seal the edges.',
  },
  'painted-wood': {
    name: 'Painted wood or furniture',
    inText: 'painted wood or furniture',
    shortName: 'Painted wood or furniture',
    shortInText: 'painted wood or furniture',
    advice:
      'Matte, chalk-type and mineral paint take a transfer best. Light colours work better than dark ones with a clear gel or glue.',
  },
  'varnished-wood': {
    name: 'Old varnished furniture, doors',
    inText: 'old varnished furniture, doors',
    shortName: 'Old varnished furniture, doors',
    shortInText: 'old varnished furniture, doors',
    advice: 'Scuff or strip it, then prime with gesso or paint. Old paint may contain lead: test before sanding.',
  },
  canvas: {
    name: 'Canvas, stretched',
    inText: 'canvas, stretched',
    shortName: 'Canvas, stretched',
    shortInText: 'canvas, stretched',
    advice:
      'Fill every dip of the weave with medium, and put a book under the middle for support. A worn look is normal here.',
  },
  cloth: {
    name: 'Cloth: bag, cushion, shirt',
    inText: 'cloth: bag, cushion, shirt',
    shortName: 'Cloth',
    shortInText: 'cloth',
    advice: 'Opaque medium only. Let it dry 3 to 4 days before the first wash.',
  },
  leather: {
    name: 'Leather',
    inText: 'leather',
    shortName: 'Leather',
    shortInText: 'leather',
    advice: 'Degrease it. Opaque medium only.',
  },
  glass: {
    name: 'Glass, bottle, jar',
    inText: 'glass, bottle, jar',
    shortName: 'Glass, bottle, jar',
    shortInText: 'glass, bottle, jar',
    advice:
      'A base coat of chalk-type paint gives a far better result than pearl or enamel paint, which chips and looks pale.',
  },
  'glazed-ceramic': {
    name: 'Glazed ceramic',
    inText: 'glazed ceramic',
    shortName: 'Glazed ceramic',
    shortInText: 'glazed ceramic',
    advice: 'Degrease it. The glaze gives the gel or glue nothing to hold: a base coat of chalk-type paint helps.',
  },
  metal: {
    name: 'Metal, tin',
    inText: 'metal, tin',
    shortName: 'Metal, tin',
    shortInText: 'metal, tin',
    advice: 'Degrease, remove rust, base-coat. Smooth faces only: ribs and ridges defeat it.',
  },
  stone: {
    name: 'Stone, slate, tile',
    inText: 'stone, slate, tile',
    shortName: 'Stone, slate, tile',
    shortInText: 'stone, slate, tile',
    advice: 'Choose a flat face. Press the damp paper into hollows: the picture follows the cracks.',
  },
  plaster: {
    name: 'Plaster or fresco tile',
    inText: 'plaster or fresco tile',
    shortName: 'Plaster or fresco tile',
    shortInText: 'plaster or fresco tile',
    advice: 'Fluid medium over the entire face.',
  },
  terracotta: {
    name: 'Terracotta',
    inText: 'terracotta',
    shortName: 'Terracotta',
    shortInText: 'terracotta',
    advice: 'Porous and strong in colour: a light base coat brings the picture out.',
  },
  'led-candle': {
    name: 'LED candle',
    inText: 'LED candle',
    shortName: 'LED candle',
    shortInText: 'LED candle',
    advice: 'LED candles only: never on a candle that will burn.',
  },
});

/** Under what each class of surfaces is looked for. */
export const SURFACE_FAMILIES: Readonly<Record<SurfaceClass, string>> = said({
  wood: 'Wood and furniture',
  painted: 'Wood and furniture',
  fabric: 'Cloth and leather',
  leather: 'Cloth and leather',
  smooth: 'Glass, ceramic, metal, wax',
  wax: 'Glass, ceramic, metal, wax',
  mineral: 'Stone and clay',
});
