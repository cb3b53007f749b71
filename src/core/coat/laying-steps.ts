import type { BinderRecord, SchoolRecord, SurfaceRecord } from '@/core/craft';
import type { CoatAmount } from './amount';

/** One step at the bench, worded in the interface from its code and figures. */
export type LayingStep =
  | { code: 'ready-tools' }
  | { code: 'mark-placement'; leftMm: number; topMm: number; by: 'pencil' | 'tape' }
  | { code: 'support-middle' }
  | { code: 'barrier-inside' }
  | { code: 'bed-coat'; volumeMl: number; dryHours: number }
  | { code: 'pour'; volumeMl: number }
  | { code: 'coat-paper'; volumeMl: number; hidesPrint: boolean }
  | { code: 'coat-surface'; volumeMl: number; pastMm: number; whole: boolean; fillWeave: boolean }
  | { code: 'lay'; slides: boolean }
  | { code: 'press'; hollows: boolean }
  | { code: 'wipe'; atOnce: boolean }
  | { code: 'wash-brush' };

/**
 * Laying in the order of the hands. A print can be slid a moment on gel, glue-sealer and opaque medium where the ground
 * is firm; not on canvas, and not under a liner.
 */
export function layingSteps(
  coat: CoatAmount,
  binder: BinderRecord,
  school: Pick<SchoolRecord, 'fixedOnceDown'>,
  surface: SurfaceRecord,
  print: { xMm: number; yMm: number },
  { extendMm, bedHours, pencil }: { extendMm: number; bedHours: number; pencil: boolean },
): LayingStep[] {
  const paper = coat.faces.find((face) => face.face === 'paper');
  const blank = coat.faces.find((face) => face.face === 'surface');
  const slides = surface.letsSlide && binder.slides && !school.fixedOnceDown;
  const steps: (LayingStep | null)[] = [
    { code: 'ready-tools' },
    { code: 'mark-placement', leftMm: print.xMm, topMm: print.yMm, by: pencil ? 'pencil' : 'tape' },
    surface.givesInMiddle ? { code: 'support-middle' } : null,
    surface.needsBarrier ? { code: 'barrier-inside' } : null,
    coat.bed && binder.bedCoat ? { code: 'bed-coat', volumeMl: coat.bed.volumeMl, dryHours: bedHours } : null,
    { code: 'pour', volumeMl: coat.totalMl - (coat.bed?.volumeMl ?? 0) },
    blank
      ? {
          code: 'coat-surface',
          volumeMl: blank.volumeMl,
          pastMm: extendMm,
          whole: coat.wholeFace,
          fillWeave: surface.dipsToFill,
        }
      : null,
    paper ? { code: 'coat-paper', volumeMl: paper.volumeMl, hidesPrint: binder.base === 'white' } : null,
    { code: 'lay', slides },
    { code: 'press', hollows: surface.class === 'mineral' },
    { code: 'wipe', atOnce: binder.base === 'white' },
    { code: 'wash-brush' },
  ];
  return steps.filter((step) => step !== null);
}
