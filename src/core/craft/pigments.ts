/**
 * A small set of generic pigments, as acrylics are sold under their pigments' names. `masstone` is the paint laid on thick,
 * sRGB; `strength` how strongly it tints, set so that one part in ten of white gives the tint that is usual of it.
 * Source: the look of artists' acrylics, judged by eye; makers differ.
 */
export type PigmentId =
  | 'titanium-white'
  | 'carbon-black'
  | 'hansa-yellow'
  | 'yellow-ochre'
  | 'naphthol-red'
  | 'quinacridone-magenta'
  | 'ultramarine-blue'
  | 'phthalo-blue'
  | 'phthalo-green'
  | 'burnt-sienna'
  | 'burnt-umber'
  | 'raw-umber';

export interface PigmentRecord {
  id: PigmentId;
  masstone: string;
  strength: number;
}

export const PIGMENTS: readonly PigmentRecord[] = [
  { id: 'titanium-white', masstone: '#fbfbf6', strength: 1 },
  { id: 'carbon-black', masstone: '#211f20', strength: 10 },
  { id: 'hansa-yellow', masstone: '#f7cf12', strength: 1 },
  { id: 'yellow-ochre', masstone: '#bf8a36', strength: 1.1 },
  { id: 'naphthol-red', masstone: '#c2202d', strength: 1.4 },
  { id: 'quinacridone-magenta', masstone: '#8d1d4b', strength: 1.9 },
  { id: 'ultramarine-blue', masstone: '#1f2070', strength: 3.6 },
  { id: 'phthalo-blue', masstone: '#0f2551', strength: 7 },
  { id: 'phthalo-green', masstone: '#0d3b34', strength: 3.8 },
  { id: 'burnt-sienna', masstone: '#6f3521', strength: 2.7 },
  { id: 'burnt-umber', masstone: '#43302a', strength: 4 },
  { id: 'raw-umber', masstone: '#4b4133', strength: 3.2 },
];
