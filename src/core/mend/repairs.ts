import type { BinderRecord, SurfaceRecord } from '@/core/craft';

export type RepairId =
  | 'holes' | 'bubbles' | 'outline' | 'white-edge' | 'haze' | 'fade-edge' | 'rim' | 'sides' | 'distress' | 'grain-tint' | 'pencil' | 'clear-coat' | 'trace';

export interface Repair {
  id: RepairId;
  title: string;
  how: string;
  why: string;
  /** Expected on nearly every piece of this kind, rather than when it is seen. */
  expected: boolean;
}

interface RepairRecord extends Omit<Repair, 'expected'> {
  applies: (context: RepairContext) => 'expected' | 'if-seen' | 'no';
}

export interface RepairContext { binder: BinderRecord; surface: SurfaceRecord; printFillsBlank: boolean; thicknessMm: number | null; gloss: boolean; traced: boolean }

/** Repairs and finishing touches, with when they apply. Source: bench practice. */
const REPAIRS: readonly RepairRecord[] = [
  { id: 'haze', title: 'Wet test for haze', how: 'Wipe a milky patch with a damp finger. If it vanishes, the sealer will clear it; if it stays, rub once more.', why: 'Paper left in the film shows white only when dry.', applies: () => 'expected' },
  { id: 'holes', title: 'Touch up holes and scratches', how: 'Thinned acrylic in the picture’s colour with a fine brush, or a coloured pencil.', why: 'Every missed spot and bubble is a hole in the picture.', applies: () => 'if-seen' },
  { id: 'bubbles', title: 'Dab colour where bubbles were', how: 'A dot of acrylic on the tip of a fine brush; wipe the rest off.', why: 'A bubble leaves a round spot without toner.', applies: () => 'if-seen' },
  { id: 'outline', title: 'Soften the raised outline', how: 'Feather outward with a 320 to 400 grit block, only when fully dry.', why: 'The edge of the film stands up as a lip where the coat ends.', applies: ({ binder, printFillsBlank, surface }) => (binder.wholeSurface || printFillsBlank || surface.class === 'fabric' ? 'no' : 'expected') },
  { id: 'white-edge', title: 'Take back the white edge', how: 'Sand it lightly, or paint it in the surface’s colour.', why: 'Opaque medium shows white wherever it went past the print.', applies: ({ binder }) => (binder.base === 'white' ? 'expected' : 'no') },
  { id: 'grain-tint', title: 'Tint ghostly places by hand', how: 'A thin wash of acrylic over pale parts that the grain swallows.', why: 'Pale subjects fade into strong grain under a clear binder.', applies: ({ binder, surface }) => (binder.base === 'clear' && surface.textureMm >= 0.3 ? 'if-seen' : 'no') },
  { id: 'fade-edge', title: 'Fade the picture’s edge', how: 'Sand into the edge in small circles until it runs out softly.', why: 'Hides a straight cut; a matter of taste.', applies: ({ surface }) => (surface.class === 'wood' || surface.class === 'painted' ? 'if-seen' : 'no') },
  { id: 'distress', title: 'Distress corners and edges', how: 'A little more pressure with fine paper at corners and edges.', why: 'An aged look, and a good home for accidental holes.', applies: ({ surface }) => (['wood', 'painted', 'smooth'].includes(surface.class) ? 'if-seen' : 'no') },
  { id: 'rim', title: 'Sponge paint round the rim', how: 'A nearly dry sponge, dark or light, from the edge inward as a vignette.', why: 'Ties the print to the blank.', applies: ({ printFillsBlank }) => (printFillsBlank ? 'no' : 'if-seen') },
  { id: 'sides', title: 'Paint or stain the sides', how: 'One colour from the picture’s edge carried round the side.', why: 'Bare sides look unfinished on a thick blank.', applies: ({ thicknessMm, surface }) => ((thicknessMm ?? 0) >= 10 && surface.class !== 'smooth' ? 'if-seen' : 'no') },
  { id: 'trace', title: 'Trace and paint the lettering', how: 'Tape its print on, right way round, graphite behind; trace the outlines, fill them with paint or marker, let it dry an hour.', why: 'Traced layers go on after rubbing and before the pencil is taken off and the sealer goes on.', applies: ({ traced }) => (traced ? 'expected' : 'no') },
  { id: 'pencil', title: 'Rub out the pencil marks', how: 'A soft eraser, before any sealer.', why: 'Sealed in, they stay.', applies: ({ surface }) => (surface.class === 'smooth' ? 'no' : 'expected') },
  { id: 'clear-coat', title: 'A thin coat of the binder over the face', how: 'Thin and even; let it dry as long as the first.', why: 'Clears the last fibres where they still show, and holds loose toner.', applies: ({ binder }) => (binder.base === 'clear' ? 'if-seen' : 'no') },
];

/** The repairs that can apply to a piece, the expected ones first. */
export function applicableRepairs(context: RepairContext): Repair[] {
  return REPAIRS.map(({ applies, ...repair }) => ({ repair, when: applies(context) }))
    .filter(({ when }) => when !== 'no')
    .map(({ repair, when }) => ({ ...repair, expected: when === 'expected' }))
    .sort((a, b) => Number(b.expected) - Number(a.expected));
}
