import type { Font } from 'opentype.js';
import { letteringOutline, type FontId, type LetteringOutline, type TextLayer } from '@/core/picture';

/** The shipped fonts by what they look like: never by a maker's name. */
export const FONT_NAMES: Readonly<Record<FontId, string>> = {
  oswald: 'Narrow sign',
  'playfair-display': 'Fine serif',
  'im-fell-english': 'Old print',
  'dancing-script': 'Handwriting',
  'special-elite': 'Typewriter',
  'alfa-slab-one': 'Bold slab',
  'stardos-stencil': 'Stencil',
};

const loaded = new Map<FontId, Promise<Font>>();

/** The engine loads with the first lettering. */
async function readFont(id: FontId): Promise<Font> {
  const [response, { parse }] = await Promise.all([fetch(`/lettering/${id}.woff`), import('opentype.js')]);
  if (!response.ok) throw new Error(`font ${id}: ${response.status}`);
  return parse(await response.arrayBuffer());
}

/** A shipped font, read once. */
function loadFont(id: FontId): Promise<Font> {
  const known = loaded.get(id);
  if (known) return known;
  const font = readFont(id);
  loaded.set(id, font);
  font.catch(() => loaded.delete(id));
  return font;
}

export const outlineOf = async (layer: Omit<TextLayer, 'box'>): Promise<LetteringOutline> =>
  letteringOutline(await loadFont(layer.font), layer);
