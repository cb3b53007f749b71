/**
 * Repairs and finishing touches, with when they apply and in which order: what sands dry edges and fibres, then paint
 * and its drying, then lettering that is traced, then the last things before the sealer. Cloth is never sanded and has
 * no pencil on it; a decal is not mended at all. Source: bench practice.
 */
import {
  isSandable,
  labourRate,
  takesPencil,
  type BinderRecord,
  type LabourRate,
  type SchoolRecord,
  type SurfaceRecord,
} from '@/core/craft';

export type RepairId =
  | 'holes'
  | 'bubbles'
  | 'worn-places'
  | 'outline'
  | 'fibres'
  | 'fibres-brushed'
  | 'white-edge'
  | 'white-edge-painted'
  | 'overhang'
  | 'haze'
  | 'fade-edge'
  | 'rim'
  | 'sides'
  | 'distress'
  | 'grain-tint'
  | 'stain'
  | 'antique'
  | 'pencil'
  | 'clear-coat'
  | 'trace';

/** When in the order of mending: looked at, sanded, painted, traced, and the last before the sealer. */
export type RepairStage = 'look' | 'sand' | 'repaint' | 'trace' | 'finish';

export interface Repair {
  id: RepairId;
  stage: RepairStage;
  when: RepairWhen;
}

/**
 * On nearly every piece of its kind; where it is seen; only if somebody likes it, which is offered and never planned;
 * or liked and chosen.
 */
type RepairWhen = 'expected' | 'if-seen' | 'if-liked' | 'chosen';

interface RepairRecord {
  id: RepairId;
  stage: RepairStage;
  applies: (context: RepairContext) => Exclude<RepairWhen, 'chosen'> | 'no';
}

export interface RepairContext {
  school: Pick<SchoolRecord, 'leavesFibres' | 'sealsItself' | 'traced' | 'removal'>;
  binder: BinderRecord;
  surface: SurfaceRecord;
  printFillsBlank: boolean;
  /** Sides that the picture does not cover, and how deep they are; null without. */
  bareSidesMm: number | null;
  /** Its sides are covered by the picture, folded over. */
  wrapped: boolean;
  /** A base coat lies between it and the print. */
  coated: boolean;
  /** Bare or washed wood, that a stain would darken. */
  bareWood: boolean;
  traced: boolean;
  /** What was chosen of what is a matter of taste. */
  chosen: readonly RepairId[];
}

const THICK_SIDE_MM = 10;
const isCloth = ({ surface }: RepairContext): boolean => surface.laundered;
const leavesFuzz = ({ school: { leavesFibres, traced } }: RepairContext): boolean => leavesFibres && !traced;
const maySand = ({ surface, coated }: RepairContext): boolean => isSandable(surface, coated);
const isFabric = ({ surface }: RepairContext): boolean => surface.class === 'fabric';

const REPAIRS: readonly RepairRecord[] = [
  { id: 'haze', stage: 'look', applies: ({ school }) => (school.leavesFibres ? 'expected' : 'no') },
  { id: 'overhang', stage: 'look', applies: ({ wrapped }) => (wrapped ? 'expected' : 'no') },
  {
    id: 'fibres-brushed',
    stage: 'look',
    applies: (context) => (leavesFuzz(context) && !maySand(context) ? 'expected' : 'no'),
  },
  { id: 'fibres', stage: 'sand', applies: (context) => (leavesFuzz(context) && maySand(context) ? 'expected' : 'no') },
  {
    id: 'outline',
    stage: 'sand',
    applies: (context) =>
      context.binder.wholeSurface || context.printFillsBlank || !maySand(context) || !context.binder.wet
        ? 'no'
        : 'expected',
  },
  {
    id: 'white-edge',
    stage: 'sand',
    applies: (context) => (context.binder.base === 'white' && maySand(context) ? 'expected' : 'no'),
  },
  {
    id: 'fade-edge',
    stage: 'sand',
    applies: ({ surface }) => (surface.class === 'wood' || surface.class === 'painted' ? 'if-liked' : 'no'),
  },
  {
    id: 'distress',
    stage: 'sand',
    applies: (context) =>
      maySand(context) && ['wood', 'painted', 'smooth'].includes(context.surface.class) ? 'if-liked' : 'no',
  },
  {
    id: 'white-edge-painted',
    stage: 'repaint',
    applies: (context) =>
      context.binder.base === 'white' && !maySand(context) && !isFabric(context) ? 'if-seen' : 'no',
  },
  { id: 'holes', stage: 'repaint', applies: ({ school }) => (school.leavesFibres ? 'if-seen' : 'no') },
  { id: 'bubbles', stage: 'repaint', applies: ({ binder }) => (binder.wet ? 'if-seen' : 'no') },
  {
    id: 'worn-places',
    stage: 'repaint',
    applies: ({ school }) => (!school.leavesFibres && !school.traced ? 'if-seen' : 'no'),
  },
  {
    id: 'grain-tint',
    stage: 'repaint',
    applies: ({ binder, surface, school }) =>
      binder.base === 'clear' && surface.textureMm >= 0.3 && !school.traced ? 'if-liked' : 'no',
  },
  {
    id: 'rim',
    stage: 'repaint',
    applies: (context) => (context.printFillsBlank || isCloth(context) ? 'no' : 'if-liked'),
  },
  {
    id: 'sides',
    stage: 'repaint',
    applies: ({ bareSidesMm, surface }) =>
      (bareSidesMm ?? 0) >= THICK_SIDE_MM && surface.class !== 'smooth' ? 'if-liked' : 'no',
  },
  { id: 'trace', stage: 'trace', applies: ({ traced }) => (traced ? 'expected' : 'no') },
  {
    id: 'pencil',
    stage: 'finish',
    applies: ({ surface, coated }) => (takesPencil(surface, coated) ? 'expected' : 'no'),
  },
  { id: 'stain', stage: 'finish', applies: ({ bareWood }) => (bareWood ? 'if-liked' : 'no') },
  {
    id: 'antique',
    stage: 'finish',
    applies: ({ surface, coated }) =>
      surface.class === 'wood' || surface.class === 'painted' || coated ? 'if-liked' : 'no',
  },
  {
    id: 'clear-coat',
    stage: 'finish',
    applies: ({ binder, school }) => (binder.base === 'clear' && binder.wet && school.leavesFibres ? 'if-seen' : 'no'),
  },
];

/** What is liked has hands and drying of its own: minutes over the print, hours at 21 °C and 50 %. */
export interface TasteLabour {
  hands: LabourRate;
  dryHours: number;
}

/** Source: bench practice. */
const TASTE: Readonly<Partial<Record<RepairId, TasteLabour>>> = {
  distress: { hands: labourRate(3, 0.3), dryHours: 0 },
  'fade-edge': { hands: labourRate(3, 0.3), dryHours: 0 },
  'grain-tint': { hands: labourRate(4, 0.4), dryHours: 0.75 },
  rim: { hands: labourRate(5, 0.2), dryHours: 0.75 },
  sides: { hands: labourRate(5, 0.3), dryHours: 0.75 },
  // Thinned to be wiped back, it lies longer in the pores than paint.
  antique: { hands: labourRate(5, 0.5), dryHours: 1 },
  stain: { hands: labourRate(5, 0.4), dryHours: 2 },
};

/** What somebody can like or leave; all else is done where it is needed. */
export const LIKED_BY_PRESS = [
  'fade-edge',
  'grain-tint',
  'rim',
  'sides',
  'antique',
] as const satisfies readonly RepairId[];
export type LikedRepair = (typeof LIKED_BY_PRESS)[number];

/** What is chosen of a stage. */
export const likedIn = (repairs: readonly Repair[], stage: RepairStage): RepairId[] =>
  repairs.filter((repair) => repair.stage === stage && repair.when === 'chosen').map(({ id }) => id);

export const tasteOf = (liked: readonly RepairId[]): TasteLabour[] => liked.flatMap((id) => TASTE[id] ?? []);

/** The repairs that can apply to a piece, in the order they are done. */
export function applicableRepairs(context: RepairContext): Repair[] {
  if (context.school.sealsItself) return [];
  return REPAIRS.flatMap(({ id, stage, applies }) => {
    const when = applies(context);
    if (when === 'no') return [];
    return [{ id, stage, when: when === 'if-liked' && context.chosen.includes(id) ? 'chosen' : when }];
  });
}
