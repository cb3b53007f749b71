import { MM_PER_INCH } from '@/core/measure';
import type { PrintPlan, Job } from '@/core/stations';
import { nowhere, type Finder, type Finding, type Remedy } from './finding';

/** A crop that holds less than this of the picture can be widened. */
const NEARLY_WHOLE = 0.98;
const WHOLE = { x: 0, y: 0, width: 1, height: 1 };
/** Twice what the texture shows is more than is needed. */
const MORE_THAN_SHOWN = 2;

/** Whether the picture's own pixels carry the size. */
export const resolution: Finder = ({ plan: { surface }, job }) => {
  const { print, record } = surface;
  if (!print || !record) return null;
  const found = { id: 'resolution', figure: { kind: 'ppi', ppi: print.ppi }, blocks: nowhere } as const;
  if (print.verdict === 'soft')
    return { ...found, weight: 'act', fact: { code: 'resolution-soft' }, remedies: remediesFor(job, print) };
  return { ...found, weight: 'good', fact: enough(print.ppi, record), remedies: [] };
};

function enough(ppi: number, { textureMm, coarse }: { textureMm: number; coarse: boolean }): Finding['fact'] {
  const shownPpi = textureMm > 0 ? MM_PER_INCH / textureMm : Infinity;
  return ppi > shownPpi * MORE_THAN_SHOWN
    ? { code: 'resolution-more', coarse, shownPpi }
    : { code: 'resolution-enough' };
}

function remediesFor({ picture, sheet: { margins } }: Job, print: PrintPlan): Remedy[] {
  const remedies: Remedy[] = [];
  if (picture.crop.width * picture.crop.height < NEARLY_WHOLE)
    remedies.push({ id: 'whole-crop', patch: { picture: { crop: WHOLE } } });
  const { widthMm, heightMm } = print.picture;
  const besideMm = (widthMm - print.largestWidthMm) / 2;
  const aboveMm = (heightMm * (1 - print.largestWidthMm / widthMm)) / 2;
  if (besideMm > 0) {
    const wider = {
      topMm: margins.topMm + aboveMm,
      bottomMm: margins.bottomMm + aboveMm,
      leftMm: margins.leftMm + besideMm,
      rightMm: margins.rightMm + besideMm,
    };
    remedies.push({ id: 'smaller-print', patch: { sheet: { margins: wider } } });
  }
  return remedies;
}
