import type { Font } from 'opentype.js';
import { letteringOutline, type FontId, type LetteringOutline, type TextLayer } from '@/core/picture';
import { say } from '@/words/say';

/** The shipped fonts by what they look like: never by a maker's name. */
export const FONT_NAMES: Readonly<Record<FontId, string>> = {
  oswald: say`Narrow sign`,
  'playfair-display': say`Fine serif`,
  'im-fell-english': say`Old print`,
  'dancing-script': say`Handwriting`,
  'special-elite': say`Typewriter`,
  'alfa-slab-one': say`Bold slab`,
  'stardos-stencil': say`Stencil`,
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
