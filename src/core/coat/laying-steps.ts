import type { BinderRecord, SchoolRecord, SurfaceRecord } from '@/core/craft';
import { goesRound, type Blank, type RectMm } from '@/core/shape';
import type { CoatAmount } from './amount';

/** One step at the bench, worded in the interface from its code and figures. */
export type LayingStep =
  | { code: 'ready-tools' }
  | { code: 'mark-placement'; leftMm: number; topMm: number; by: 'pencil' | 'tape' }
  | { code: 'cut-openings'; knobs: boolean }
  | { code: 'cut-corners' }
  | { code: 'by-parts'; parts: number }
  | { code: 'support-middle' }
  | { code: 'barrier-inside' }
  | { code: 'bed-coat'; volumeMl: number; dryHours: number }
  | { code: 'pour'; volumeMl: number }
  | { code: 'coat-paper'; volumeMl: number; hidesPrint: boolean }
  | { code: 'coat-surface'; volumeMl: number; pastMm: number; whole: boolean; fillWeave: boolean }
  | { code: 'coat-sign'; hidesPrint: boolean }
  | { code: 'lay'; slides: boolean }
  | { code: 'go-round'; laps: boolean }
  | { code: 'press'; by: 'card' | 'roller'; hollows: boolean }
  | { code: 'bring-over' }
  | { code: 'turn-tuck' }
  | { code: 'wipe'; atOnce: boolean }
  | { code: 'last-look' }
  | { code: 'wash-brush' };

/**
 * Laying in the order of the hands. A print can be slid a moment on gel, glue-sealer and opaque medium where the ground
 * is firm; not on canvas, and not under a liner.
 */
export function layingSteps(
  coat: CoatAmount,
  { binder, school, surface, blank, print }: Laid,
  { extendMm, bedHours, pencil }: { extendMm: number; bedHours: number; pencil: boolean },
): LayingStep[] {
  const paper = coat.faces.find((face) => face.face === 'paper');
  const under = coat.faces.find((face) => face.face === 'surface');
  const hidesPrint = paper !== undefined && binder.base === 'white';
  const slides = surface.letsSlide && binder.slides && !school.fixedOnceDown;
  const steps: (LayingStep | null)[] = [
    { code: 'ready-tools' },
    { code: 'mark-placement', leftMm: print.xMm, topMm: print.yMm, by: pencil ? 'pencil' : 'tape' },
    ...toCut(blank, print),
    blank.layout.kind === 'parts' ? { code: 'by-parts', parts: blank.parts.length } : null,
    surface.givesInMiddle ? { code: 'support-middle' } : null,
    surface.needsBarrier ? { code: 'barrier-inside' } : null,
    coat.bed && binder.bedCoat ? { code: 'bed-coat', volumeMl: coat.bed.volumeMl, dryHours: bedHours } : null,
    { code: 'pour', volumeMl: coat.totalMl - (coat.bed?.volumeMl ?? 0) },
    under
      ? {
          code: 'coat-surface',
          volumeMl: under.volumeMl,
          pastMm: extendMm,
          whole: coat.wholeFace,
          fillWeave: surface.dipsToFill,
        }
      : null,
    paper ? { code: 'coat-paper', volumeMl: paper.volumeMl, hidesPrint } : null,
    { code: 'coat-sign', hidesPrint },
    { code: 'lay', slides },
    blank.standing ? { code: 'go-round', laps: goesRound(blank.standing.shareOfRound) } : null,
    { code: 'press', by: pressedBy(binder, school, surface), hollows: surface.class === 'mineral' },
    ...overSides(blank, print),
    { code: 'wipe', atOnce: binder.base === 'white' },
    { code: 'last-look' },
    { code: 'wash-brush' },
  ];
  return steps.filter((step) => step !== null);
}

/** What is laid with what, on what: the print by its place on the blank. */
interface Laid {
  binder: BinderRecord;
  school: Pick<SchoolRecord, 'fixedOnceDown'>;
  surface: SurfaceRecord;
  blank: LaidOn;
  print: RectMm;
}

type LaidOn = Pick<Blank, 'layout' | 'parts' | 'openings' | 'folds' | 'front' | 'standing'>;

/** A print that ends with the front leaves the sides alone. */
const HARDLY_MM = 0.5;
/** Folds at the front's edges; more of them are the tuck's. */
const FRONT_FOLDS = 4;

const goesOverSides = ({ layout, front }: LaidOn, { xMm, yMm }: RectMm): boolean =>
  layout.kind === 'sides' && (xMm < front.xMm - HARDLY_MM || yMm < front.yMm - HARDLY_MM);

/** What is cut out of the print before anything is wet. */
function toCut(blank: LaidOn, print: RectMm): LayingStep[] {
  if (goesOverSides(blank, print)) return [{ code: 'cut-corners' }];
  const { openings } = blank;
  return openings.length > 0 ? [{ code: 'cut-openings', knobs: openings.some(({ kind }) => kind === 'knob') }] : [];
}

const overSides = (blank: LaidOn, print: RectMm): LayingStep[] =>
  goesOverSides(blank, print)
    ? [{ code: 'bring-over' }, ...(blank.folds.length > FRONT_FOLDS ? [{ code: 'turn-tuck' } as const] : [])]
    : [];

/**
 * Makers differ: light and even with a card, since hard pressing drives a thin coat out; or a roller, firmly, where the
 * sheet must reach dips, the coat is heavy, or a liner must touch everywhere.
 */
const pressedBy = (
  binder: BinderRecord,
  { fixedOnceDown }: Pick<SchoolRecord, 'fixedOnceDown'>,
  surface: SurfaceRecord,
): 'card' | 'roller' => (surface.coarse || binder.fillsTexture || fixedOnceDown ? 'roller' : 'card');
