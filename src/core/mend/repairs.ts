import type { BinderRecord, SurfaceRecord } from '@/core/craft';

export type RepairId =
  | 'holes'
  | 'bubbles'
  | 'outline'
  | 'white-edge'
  | 'haze'
  | 'fade-edge'
  | 'rim'
  | 'sides'
  | 'distress'
  | 'grain-tint'
  | 'pencil'
  | 'clear-coat'
  | 'trace';

export interface Repair {
  id: RepairId;
  /** It is done with sandpaper. */
  sands: boolean;
  /** Expected on nearly every piece of this kind, rather than when it is seen. */
  expected: boolean;
}

interface RepairRecord {
  id: RepairId;
  sands?: boolean;
  applies: (context: RepairContext) => 'expected' | 'if-seen' | 'no';
}

export interface RepairContext {
  binder: BinderRecord;
  surface: SurfaceRecord;
  printFillsBlank: boolean;
  thicknessMm: number | null;
  traced: boolean;
}

/** Repairs and finishing touches, with when they apply. Source: bench practice. */
const REPAIRS: readonly RepairRecord[] = [
  {
    id: 'haze',
    applies: () => 'expected',
  },
  {
    id: 'holes',
    applies: () => 'if-seen',
  },
  {
    id: 'bubbles',
    applies: () => 'if-seen',
  },
  {
    id: 'outline',
    sands: true,
    applies: ({ binder, printFillsBlank, surface }) =>
      binder.wholeSurface || printFillsBlank || surface.class === 'fabric' ? 'no' : 'expected',
  },
  {
    id: 'white-edge',
    sands: true,
    applies: ({ binder }) => (binder.base === 'white' ? 'expected' : 'no'),
  },
  {
    id: 'grain-tint',
    applies: ({ binder, surface }) => (binder.base === 'clear' && surface.textureMm >= 0.3 ? 'if-seen' : 'no'),
  },
  {
    id: 'fade-edge',
    sands: true,
    applies: ({ surface }) => (surface.class === 'wood' || surface.class === 'painted' ? 'if-seen' : 'no'),
  },
  {
    id: 'distress',
    sands: true,
    applies: ({ surface }) => (['wood', 'painted', 'smooth'].includes(surface.class) ? 'if-seen' : 'no'),
  },
  {
    id: 'rim',
    applies: ({ printFillsBlank }) => (printFillsBlank ? 'no' : 'if-seen'),
  },
  {
    id: 'sides',
    applies: ({ thicknessMm, surface }) => ((thicknessMm ?? 0) >= 10 && surface.class !== 'smooth' ? 'if-seen' : 'no'),
  },
  {
    id: 'trace',
    applies: ({ traced }) => (traced ? 'expected' : 'no'),
  },
  {
    id: 'pencil',
    applies: ({ surface }) => (surface.class === 'smooth' ? 'no' : 'expected'),
  },
  {
    id: 'clear-coat',
    applies: ({ binder }) => (binder.base === 'clear' ? 'if-seen' : 'no'),
  },
];

/** The repairs that can apply to a piece, the expected ones first. */
export function applicableRepairs(context: RepairContext): Repair[] {
  return REPAIRS.map(({ id, sands = false, applies }) => ({ id, sands, when: applies(context) }))
    .filter(({ when }) => when !== 'no')
    .map(({ id, sands, when }) => ({ id, sands, expected: when === 'expected' }))
    .sort((a, b) => Number(b.expected) - Number(a.expected));
}
