import { binderById, type BinderId, type BinderRecord } from './binders';
import type { PrintId } from './prints';
import type { SurfaceClass, SurfaceId } from './surfaces';

/** The schools of transferring. Waits in hours at the reference room. Source: bench practice. */
export type SchoolId = 'A' | 'A2' | 'A3' | 'A4' | 'B' | 'C' | 'D' | 'E1' | 'E2' | 'E3' | 'F' | 'G';

/** How the paper leaves: rubbed away, peeled and rolled, peeled or lifted whole, soaked off a tape, or not at all. */
export type Removal = 'rub' | 'peel-and-roll' | 'peel' | 'lift' | 'soak' | 'none';

export interface SchoolRecord {
  id: SchoolId;
  name: string;
  essence: string;
  /** Binders it works with; `none` where nothing wet is used. */
  binders: readonly BinderId[];
  prints: readonly PrintId[];
  removal: Removal;
  mirrored: boolean;
  /** What it changes in the binder's record: waits, passes, faces. */
  overrides: Partial<Pick<BinderRecord, 'waitHours' | 'clockFloorHours' | 'passes' | 'faces' | 'wholeSurface' | 'openMinutes' | 'skill' | 'tonerKept'>>;
  /** Surfaces it is for; null for all. */
  only: { classes: readonly SurfaceClass[]; surfaces: readonly SurfaceId[]; why: string } | null;
  looks: readonly ('crisp' | 'soft' | 'distressed')[];
  /** Steps of laying where there is no coat to measure. */
  laySteps: readonly string[];
  /** Steps of taking the paper off where it is not rubbed. */
  removeSteps: readonly string[];
  /** The sign that it is time, where it is not the usual one. */
  sign: string | null;
  /** Later than the safe time it gets worse: a window, not a wait. */
  window: boolean;
  source: string;
}

const source = 'bench practice';
const TONER: readonly PrintId[] = ['laser-plain', 'laser-heavy', 'inkjet-heat-set'];
const WET = { removal: 'rub', mirrored: true, overrides: {}, only: null, looks: ['soft', 'distressed'], laySteps: [], removeSteps: [], sign: null, window: false, source } as const;
const NO_WAIT = { waitHours: { min: 0, max: 0 }, passes: { min: 0, max: 0 } } as const;

export const SCHOOLS: readonly SchoolRecord[] = [
  { ...WET, id: 'A', name: 'Dry and rub', essence: 'Coat, lay, dry fully, dampen, rub in passes.', prints: TONER,
    binders: ['fluid-gel', 'heavy-gel', 'glue-sealer', 'clear-medium', 'furniture-gel', 'wood-glue', 'school-glue'] },
  { ...WET, id: 'A2', name: 'Opaque-base dry and rub', essence: 'The same with a white medium: for dark surfaces and cloth.', prints: TONER, looks: ['crisp', 'soft'], binders: ['opaque-medium'] },
  { ...WET, id: 'A3', name: 'Varnish bed', essence: 'One coat dries first; the second, wet, takes the print.', prints: TONER, binders: ['polyurethane'] },
  { ...WET, id: 'A4', name: 'Quick varnish', essence: 'Acrylic varnish on bare soft wood; rub after an hour or two.', prints: TONER, binders: ['acrylic-varnish'],
    only: { classes: [], surfaces: ['soft-wood'], why: 'Quick varnish is rubbed after an hour or two only because bare soft wood drinks its water. Any other ground keeps it wet.' } },
  { ...WET, id: 'B', name: 'Tacky peel', essence: 'Lay, wait a few minutes until the paper turns opaque again, peel slowly, roll off what is left; gloss varnish clears it.',
    prints: [...TONER, 'inkjet-plain'], binders: ['fluid-gel', 'heavy-gel', 'glue-sealer'], removal: 'peel-and-roll', looks: ['distressed', 'soft'], window: true,
    overrides: { waitHours: { min: 2 / 60, max: 5 / 60 }, passes: { min: 1, max: 2 }, skill: 3, tonerKept: 0.78 },
    only: { classes: ['wood', 'painted', 'fabric', 'mineral'], surfaces: [], why: 'The tacky peel needs a ground that holds on: from a slick face the picture comes away with the paper.' },
    sign: 'The paper goes from translucent back to opaque. Lift a corner: if the picture lifts with it, lay it back and wait.',
    removeSteps: ['Lift a corner. If the picture comes with it, lay it back and wait a minute.', 'Peel slowly at a low angle.', 'Wait 1 to 2 min, then roll the fibres off with a damp fingertip; a craft knife lifts islands of paper.', 'Let it dry; two coats of gloss varnish clear what is left.'] },
  { ...WET, id: 'C', name: 'Slip paper', essence: 'Print on slip-coated paper, lay it in medium, dry, wet it 15 to 30 s and peel it whole: no rubbing.',
    prints: ['slip-paper'], binders: ['fluid-gel', 'heavy-gel', 'furniture-gel'], removal: 'peel', looks: ['crisp', 'soft'],
    overrides: { waitHours: { min: 2, max: 2 }, clockFloorHours: 0, passes: { min: 0, max: 0 }, skill: 1, tonerKept: 0.97 },
    removeSteps: ['Wet the back evenly for 15 to 30 s.', 'Peel the sheet off in one go, from a corner.', 'Wipe the slip off with a wet soft sponge, and let it dry.'] },
  { ...WET, id: 'D', name: 'Tape decal', essence: 'Clear tape over the print, burnish, soak, rub the paper off the tape, stick it on.', prints: ['laser-plain', 'laser-heavy'], binders: ['none'], removal: 'soak', looks: ['crisp', 'soft'], mirrored: false,
    overrides: { waitHours: { min: 0.25, max: 0.25 }, passes: { min: 1, max: 1 }, skill: 1, tonerKept: 0.9 },
    only: { classes: ['smooth'], surfaces: [], why: 'A tape decal holds on smooth hard faces only.' },
    laySteps: ['Lay clear tape over the printed side, strips butted without gaps, or one wide strip.', 'Burnish it hard with the back of a spoon.', 'Cut it out, and soak it 15 min in warm water.'],
    removeSteps: ['Peel and sponge the paper off the sticky side until it is clear.', 'Let it dry: the glue gets sticky again.', 'Stick it on the degreased face from the middle outwards.'],
    sign: 'The paper is soaked through and slides.' },
  { ...WET, id: 'E1', name: 'Liner peel', essence: 'Toner on release liner into a wet even coat over the whole surface; dry overnight, lift the liner: no rubbing.',
    prints: ['release-liner'], binders: ['fluid-gel', 'furniture-gel', 'acrylic-varnish'], removal: 'lift', looks: ['crisp'],
    overrides: { waitHours: { min: 10, max: 24 }, clockFloorHours: 0, passes: { min: 0, max: 0 }, faces: ['surface'], wholeSurface: true, skill: 3, tonerKept: 0.96 },
    only: { classes: ['wood', 'painted', 'smooth', 'leather', 'wax'], surfaces: ['plaster'], why: 'The liner must touch everywhere: only smooth surfaces take it.' },
    removeSteps: ['Lift a corner of the liner; nothing may come with it.', 'Draw the liner off slowly at a low angle.'], sign: 'Dry all through: no cool patch under the liner.' },
  { ...WET, id: 'E2', name: 'Liner and heat', essence: 'Toner on liner, taped face down on glass or glaze, ironed on low, burnished.', prints: ['release-liner'], binders: ['none'], removal: 'lift', looks: ['crisp'],
    overrides: { ...NO_WAIT, skill: 2, tonerKept: 0.93 }, only: { classes: [], surfaces: ['glass', 'glazed-ceramic'], why: 'Heat lets go of toner onto glass and glaze only.' },
    laySteps: ['Degrease, and tape the liner face down so that it cannot slip.', 'Press with a small iron on low, without steam, half a minute for each place.', 'Burnish the warm back with a spoon.'],
    removeSteps: ['Let it cool, and lift the liner off slowly.'], sign: 'It has cooled to the hand.' },
  { ...WET, id: 'E3', name: 'Liner wet press', essence: 'Inkjet on liner stays wet: press it once on smooth wood or unglazed ceramic, lift.', prints: ['inkjet-liner'], binders: ['none'], removal: 'lift', looks: ['soft'],
    overrides: { ...NO_WAIT, skill: 2, tonerKept: 0.7 }, only: { classes: [], surfaces: ['soft-wood', 'hard-wood', 'sheet-wood', 'terracotta', 'plaster'], why: 'Wet ink needs a bare smooth face that drinks it.' },
    laySteps: ['Mark the corners: it touches once and never slides.', 'Lay the wet liner down from one edge, straight from the printer.', 'Rub over the back with a card, without moving it.'],
    removeSteps: ['Lift the liner straight up.', 'Let the ink dry an hour.'], sign: 'At once, while the ink is wet.' },
  { ...WET, id: 'F', name: 'Film in gesso', essence: 'Inkjet on film, rough side down into a thin bed of gesso or gel; dry, lift the film.', prints: ['inkjet-film'], binders: ['gesso', 'fluid-gel'], removal: 'lift', looks: ['soft', 'distressed'],
    overrides: { waitHours: { min: 4, max: 12 }, passes: { min: 0, max: 0 }, faces: ['surface'], skill: 3, tonerKept: 0.8 },
    only: { classes: ['wood', 'painted', 'mineral', 'smooth'], surfaces: ['canvas'], why: 'The film needs a firm bed.' },
    removeSteps: ['Lift a corner of the film; if ink stays on it, wait.', 'Draw the film off slowly.'], sign: 'The bed is dry at the edge and the film lifts clean.' },
  { ...WET, id: 'G', name: 'Trace and paint', essence: 'Print not mirrored, graphite behind, trace, fill with paint or marker: for lettering and accents.', prints: ['laser-plain', 'laser-heavy', 'inkjet-plain', 'inkjet-heat-set'], binders: ['none'], removal: 'none', looks: ['crisp'], mirrored: false,
    overrides: { ...NO_WAIT, skill: 2, tonerKept: 1 }, only: { classes: ['wood', 'painted', 'smooth', 'mineral', 'leather'], surfaces: ['canvas'], why: 'A traced line needs a firm face.' },
    laySteps: ['Rub graphite over the back of the print, and tape it on, right way round.', 'Trace the outlines with a hard pencil or a dry pen.', 'Fill them with paint or marker, and let it dry.'], removeSteps: [] },
];

export const schoolById = (id: SchoolId): SchoolRecord => {
  const record = SCHOOLS.find((school) => school.id === id);
  if (!record) throw new Error(`unknown school ${id}`);
  return record;
};

/** What the person read off a bottle or learned from the log: overrules the record. Null leaves it. */
export interface LabelValues { filmUm: number | null; waitHours: number | null; openMinutes: number | null }

/** The binder as this school uses it, with the label's values laid over. */
export function binderFor(id: BinderId, school: SchoolRecord, label: LabelValues | null = null): BinderRecord {
  const used: BinderRecord = { ...binderById(id), ...school.overrides };
  if (!label) return used;
  return {
    ...used,
    ...(label.filmUm !== null ? { filmUm: { min: label.filmUm, max: label.filmUm } } : {}),
    ...(label.waitHours !== null && !school.window ? { waitHours: { min: label.waitHours, max: label.waitHours } } : {}),
    ...(label.openMinutes !== null ? { openMinutes: label.openMinutes } : {}),
  };
}
