/** Tools by the station that needs them, generic names. Source: bench practice. */
export type ToolStation = 'surface' | 'sheet' | 'lay' | 'rub' | 'mend' | 'seal';

export const TOOLS: Readonly<Record<ToolStation, readonly string[]>> = {
  surface: ['sandpaper 120 and 220', 'dust cloth', 'foam or soft brush'],
  sheet: ['metal ruler', 'scissors or craft knife', 'cutting mat', 'pencil'],
  lay: ['foam or soft brush', 'flexible card or roller', 'baking parchment', 'plastic sheet', 'kitchen towel'],
  rub: ['sponge, soft side', 'terry cloth', 'bowl of lukewarm water', 'fan or hair dryer'],
  mend: ['fine brush', 'acrylic colours', 'sandpaper 320–400'],
  seal: ['soft flat brush', 'dust cloth'],
};
