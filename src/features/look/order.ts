import type { Job, PiecePlan } from '@/core/plan';
import { printTables } from '@/core/plan';
import type { Tone } from '@/core/raster';
import { OPAQUE_WHITE, type Optics } from '@/core/render';
import type { StoredPicture } from '@/records';
import type { DrawnLayer } from '@/workers/layers';
import type { LookOrder } from '@/workers/look/protocol';

export interface LookInput { job: Job; plan: PiecePlan; picture: StoredPicture | null; layers: readonly DrawnLayer[]; tone: Tone; optics: Optics; pxPerMm: number }

/** More than this is no sharper on a screen. */
const MOST_PX = 0.6e6;

const bounded = (pxPerMm: number, widthMm: number, heightMm: number): number => Math.min(pxPerMm, Math.sqrt(MOST_PX / (widthMm * heightMm)));

/** What the drawing worker needs to show a piece as it lands. @param withPicture false shows the bare blank */
export function landingOrder({ job, plan, picture, layers, tone, optics, pxPerMm }: LookInput, withPicture: boolean): LookOrder | null {
  if (!plan.blank || !plan.look) return null;
  // A picture that is still being read is waited for: the bare blank would only flash.
  if (withPicture && job.picture.pictureId !== null && picture === null) return null;
  const shown = withPicture && picture !== null && plan.print !== null;
  return {
    face: { widthMm: plan.blank.widthMm, heightMm: plan.blank.heightMm }, pxPerMm: bounded(pxPerMm, plan.blank.widthMm, plan.blank.heightMm), look: plan.look,
    print: shown && plan.print ? plan.print.rect : null, picture: shown ? pictureOf(job, plan, picture, layers) : null,
    opaqueWhite: shown && plan.binder?.base === 'white' ? OPAQUE_WHITE : null,
    fade: tone.fade, fadeMm: tone.fadeMm, tone: printTables(tone, plan, job.seal.sheen), kept: plan.binder?.tonerKept ?? 1, optics,
  };
}

/** The print alone on paper, unmirrored, its own size. */
export function printOrder({ job, plan, picture, layers, tone, optics, pxPerMm }: LookInput): LookOrder | null {
  if (!plan.print || !picture) return null;
  const { widthMm, heightMm } = plan.print.rect;
  return {
    face: { widthMm, heightMm }, pxPerMm: bounded(pxPerMm, widthMm, heightMm), look: null, print: { xMm: 0, yMm: 0, widthMm, heightMm }, picture: pictureOf(job, plan, picture, layers),
    opaqueWhite: null, fade: tone.fade, fadeMm: tone.fadeMm, tone: printTables(tone, plan, job.seal.sheen), kept: 1, optics,
  };
}

function pictureOf(job: Job, plan: PiecePlan, picture: StoredPicture, layers: readonly DrawnLayer[]): LookOrder['picture'] {
  if (!plan.print) return null;
  const { turns, straightenDeg } = job.picture;
  return { id: picture.id, preview: picture.preview, turning: { turns, straightenDeg }, crop: plan.print.crop, origin: plan.print.rect, box: plan.print.picture, layers };
}
