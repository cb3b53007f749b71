import type { UnitSystem } from '@/core/measure';
import { printTables, type Job, type PiecePlan } from '@/core/stations';
import type { PrintBlock, PrintText, SheetPack, SheetText } from '@/core/sheet';
import type { PrinterTruth } from '@/core/at-hand';
import type { DrawnLayer } from '@/workers/layers';
import type { PrintOrder, SheetOrder } from '@/workers/sheet/protocol';
import { say } from '@/words/say';

/** A piece with what its sheet is made from. */
export interface SheetItem {
  job: Job;
  plan: PiecePlan;
  picture: { id: string; file: Blob } | null;
  layers: readonly DrawnLayer[];
}

/** The words and lines of each of a piece's prints. */
function printTexts(job: Job, plan: PiecePlan): PrintText[] {
  const blocks = plan.surface.print?.formed.blocks ?? [];
  const edge = job.sheet.form.edge === 'cut' && job.picture.tone.fade !== 'none' ? 'fade' : job.sheet.form.edge;
  return blocks.map(({ part, cut, folds }) => ({
    name:
      part === null ? job.name : say`${job.name} ${part + 1} of ${plan.surface.blank?.parts.length ?? blocks.length}`,
    cut,
    folds,
    edge,
  }));
}

export const sheetText = (
  items: readonly Pick<SheetItem, 'job' | 'plan'>[],
  title: string,
  unitSystem: UnitSystem,
  createdAt: number,
): SheetText => ({
  title,
  unitSystem,
  mirrored: items.every(({ plan }) => plan.method.mirrored),
  printKind: sameOf(items.map(({ plan }) => plan.method.printKind.id)),
  createdAt: new Date(createdAt),
  prints: items.flatMap(({ job, plan }) => printTexts(job, plan)),
});

/** What all are; null where they differ. */
const sameOf = <T>([first, ...others]: readonly T[]): T | null =>
  first !== undefined && others.every((other) => other === first) ? first : null;

/** The order for one pack of the prints of one or several pieces, in turn. */
export function sheetOrder(
  items: readonly SheetItem[],
  pack: SheetPack,
  truth: PrinterTruth,
  text: SheetText,
): SheetOrder {
  const files = [
    ...new Map(items.flatMap(({ picture }) => (picture ? [[picture.id, picture.file] as const] : []))).entries(),
  ];
  return {
    sources: files.map(([, file]) => file),
    pack,
    truth,
    text,
    mirrored: text.mirrored,
    prints: items.flatMap(({ job, plan, picture, layers }) =>
      (plan.surface.print?.formed.blocks ?? []).map((block): PrintOrder => ({
        block,
        layers,
        sideColour: job.sheet.form.sideColour,
        picture:
          picture && plan.surface.print
            ? {
                source: files.findIndex(([id]) => id === picture.id),
                turning: { turns: job.picture.turns, straightenDeg: job.picture.straightenDeg },
                crop: plan.surface.print.crop,
                tone: printTables(job.picture.tone, plan, plan.method.sheen),
                fade: job.picture.tone,
                place: plan.surface.print.picture,
              }
            : null,
      })),
    ),
  };
}

/** A sheet of what is traced: layers alone, the right way round. */
export const tracingOrder = (
  block: PrintBlock,
  layers: readonly DrawnLayer[],
  pack: SheetPack,
  truth: PrinterTruth,
  text: SheetText,
): SheetOrder => ({
  sources: [],
  prints: [{ block, layers, sideColour: '#ffffff', picture: null }],
  pack,
  truth,
  text,
  mirrored: false,
});
