import type { RepairId } from '@/core/mend';
import { said } from './say';

interface RepairWords {
  title: string;
  inText: string;
  how: string;
  why: string;
}

export const REPAIR_WORDS: Readonly<Record<RepairId, RepairWords>> = said({
  haze: {
    title: 'Wet test for haze',
    inText: 'wet test for haze',
    how: 'Wipe a milky patch with a damp finger. If it vanishes, the sealer will clear it; if it stays, rub once more.',
    why: 'Paper left in the film shows white only when dry.',
  },
  holes: {
    title: 'Touch up holes and scratches',
    inText: 'touch up holes and scratches',
    how: 'Thinned acrylic in the picture’s colour with a fine brush, or a coloured pencil.',
    why: 'Every missed spot and bubble is a hole in the picture.',
  },
  bubbles: {
    title: 'Dab colour where bubbles were',
    inText: 'dab colour where bubbles were',
    how: 'A dot of acrylic on the tip of a fine brush; wipe the rest off.',
    why: 'A bubble leaves a round spot without toner.',
  },
  'worn-places': {
    title: 'Leave worn places, or touch them up',
    inText: 'worn places',
    how: 'Small places that stayed on the sheet look worn, which is expected. A dot of acrylic where one disturbs.',
    why: 'What comes off whole leaves a little behind here and there.',
  },
  overhang: {
    title: 'Trim what hangs over at the back',
    inText: 'trim what hangs over',
    how: 'A sharp knife along the stretcher, away from the hand, only when dry.',
    why: 'Paper and film that stand off catch and tear.',
  },
  stain: {
    title: 'Stain the bare wood',
    inText: 'stain the bare wood',
    how: 'Wipe a stain over picture and wood and take it off again: the wood darkens, the picture does not.',
    why: 'Ties the picture to the board; a matter of taste.',
  },
  antique: {
    title: 'Antique it with a glaze',
    inText: 'antique it with a glaze',
    how: 'Dark paint thinned with as much water or medium, brushed on, wiped back at once: it stays in corners and grain.',
    why: 'Makes it look old, over paint as over bare wood; a matter of taste.',
  },
  fibres: {
    title: 'Take off dry fuzz',
    inText: 'take off dry fuzz',
    how: 'Brush or vacuum it off; what stays, 400 grit or finer held flat, only when dry. A loose edge: a nail file.',
    why: 'Fibres sealed in stay white.',
  },
  'fibres-brushed': {
    title: 'Take off dry fuzz',
    inText: 'take off dry fuzz',
    how: 'Brush or vacuum it off; what stays, a damp finger or a little more of the gel or glue. No sandpaper here.',
    why: 'Fibres sealed in stay white.',
  },
  outline: {
    title: 'Soften the raised outline',
    inText: 'soften the raised outline',
    how: 'Feather outward with a 320 to 400 grit block, only when fully dry.',
    why: 'The edge of the film stands up as a lip where the coat ends.',
  },
  'white-edge': {
    title: 'Take back the white edge',
    inText: 'take back the white edge',
    how: 'Sand it lightly, or paint it in the surface’s colour.',
    why: 'Opaque medium shows white wherever it went past the print.',
  },
  'white-edge-painted': {
    title: 'Paint in the white edge',
    inText: 'paint in the white edge',
    how: 'A fine brush in the surface’s own colour. No sandpaper: it would spoil what it lies on.',
    why: 'Opaque medium shows white wherever it went past the print.',
  },
  'grain-tint': {
    title: 'Tint ghostly places by hand',
    inText: 'tint ghostly places by hand',
    how: 'A thin wash of acrylic over pale parts that the grain swallows.',
    why: 'Pale subjects fade into strong grain under a clear gel or glue.',
  },
  'fade-edge': {
    title: 'Fade the picture’s edge',
    inText: 'fade the picture’s edge',
    how: 'Sand into the edge in small circles until it runs out softly.',
    why: 'Hides a straight cut; a matter of taste.',
  },
  distress: {
    title: 'Distress corners and edges',
    inText: 'distress corners and edges',
    how: 'A little more pressure with fine paper at corners and edges.',
    why: 'An aged look, and a good home for accidental holes.',
  },
  rim: {
    title: 'Sponge paint round the rim',
    inText: 'sponge paint round the rim',
    how: 'A nearly dry sponge, dark or light, from the edge inward as a vignette.',
    why: 'Ties the print to the object.',
  },
  sides: {
    title: 'Paint or stain the sides',
    inText: 'paint or stain the sides',
    how: 'One colour from the picture’s edge carried round the side.',
    why: 'Bare sides look unfinished on a thick board.',
  },
  trace: {
    title: 'Trace and paint the lettering',
    inText: 'trace and paint the lettering',
    how: 'Tape its print on, right way round, graphite behind; trace the outlines, fill them with paint or marker, let it dry an hour.',
    why: 'Traced layers go on after rubbing and before the pencil is taken off and the sealer goes on.',
  },
  pencil: {
    title: 'Rub out the pencil marks',
    inText: 'rub out the pencil marks',
    how: 'A soft eraser, before any sealer.',
    why: 'Sealed in, they stay.',
  },
  'clear-coat': {
    title: 'A thin coat of the gel or glue over the face',
    inText: 'a thin coat of the gel or glue over the face',
    how: 'Thin and even; let it dry as long as the first.',
    why: 'Clears the last fibres where they still show, and holds loose toner.',
  },
});
