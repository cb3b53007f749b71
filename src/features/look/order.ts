import { type Job, type PiecePlan, printTables } from '@/core/stations';
import type { Tone } from '@/core/raster';
import { OPAQUE_WHITE, cloudedBy, type Optics } from '@/core/render';
import { ringPath } from '@/core/shape';
import { asLanded, onPaper, type PrintBlock } from '@/core/sheet';
import type { StoredPicture } from '@/records';
import type { DrawnLayer } from '@/workers/layers';
import type { LookOrder } from '@/workers/look/protocol';

export interface LookInput {
  job: Job;
  plan: PiecePlan;
  picture: StoredPicture | null;
  layers: readonly DrawnLayer[];
  tone: Tone;
  optics: Optics;
  pxPerMm: number;
}

/** More than this is no sharper on a screen. */
const MOST_PX = 0.6e6;

const bounded = (pxPerMm: number, widthMm: number, heightMm: number): number =>
  Math.min(pxPerMm, Math.sqrt(MOST_PX / (widthMm * heightMm)));

/** What the drawing worker needs to show a piece as it lands. @param withPicture false shows the bare blank */
export function landingOrder(
  { job, plan, picture, layers, tone, optics, pxPerMm }: LookInput,
  withPicture: boolean,
): LookOrder | null {
  if (!plan.surface.blank || !plan.surface.look) return null;
  // A picture that is still being read is waited for: the bare blank would only flash.
  if (withPicture && job.picture.pictureId !== null && picture === null) return null;
  const shown = withPicture && picture !== null && plan.surface.print !== null;
  return {
    face: { widthMm: plan.surface.blank.widthMm, heightMm: plan.surface.blank.heightMm },
    pxPerMm: bounded(pxPerMm, plan.surface.blank.widthMm, plan.surface.blank.heightMm),
    look: plan.surface.look,
    print: shown && plan.surface.print ? plan.surface.print.rect : null,
    picture: shown ? pictureOf(job, plan, picture, layers) : null,
    opaqueWhite: shown && plan.method.binder?.base === 'white' ? OPAQUE_WHITE : null,
    fade: tone.fade,
    fadeMm: tone.fadeMm,
    tone: printTables(tone, plan, plan.method.sheen),
    kept: plan.method.kept.share,
    worn: plan.method.kept.worn,
    standing: null,
    optics: shown ? cloudedBy(optics, plan.method.kept.cloud) : optics,
  };
}

/** One block of the print alone on paper, unmirrored, its own size. */
export function printOrder(
  { job, plan, picture, layers, tone, optics, pxPerMm }: LookInput,
  block: PrintBlock,
): LookOrder | null {
  const { widthMm, heightMm } = block;
  const shown = pictureOf(job, plan, picture, layers);
  if (!shown) return null;
  const whole = { xMm: 0, yMm: 0, widthMm, heightMm };
  return {
    face: { widthMm, heightMm },
    pxPerMm: bounded(pxPerMm, widthMm, heightMm),
    look: null,
    print: whole,
    picture: { ...shown, origin: whole, blocks: [onPaper(block)], landed: null },
    opaqueWhite: null,
    fade: tone.fade,
    fadeMm: tone.fadeMm,
    tone: printTables(tone, plan, plan.method.sheen),
    kept: 1,
    worn: 0,
    standing: null,
    optics,
  };
}

function pictureOf(
  job: Job,
  plan: PiecePlan,
  picture: StoredPicture | null,
  layers: readonly DrawnLayer[],
): LookOrder['picture'] {
  if (!plan.surface.print || !picture || !plan.surface.blank) return null;
  const { turns, straightenDeg } = job.picture;
  const { formed } = plan.surface.print;
  return {
    id: picture.id,
    preview: picture.preview,
    turning: { turns, straightenDeg },
    crop: plan.surface.print.crop,
    origin: plan.surface.print.rect,
    box: plan.surface.print.picture,
    layers,
    blocks: asLanded(formed),
    landed: formed.shaped ? formed.landed.map(ringPath).join(' ') : null,
    sideColour: colourWord(job.sheet.form.sideColour),
  };
}

/** #rrggbb as a little-endian word of RGBA. */
const colourWord = (colour: string): number => {
  const value = parseInt(colour.slice(1), 16);
  return (0xff000000 | ((value & 255) << 16) | (value & 0xff00) | (value >> 16)) >>> 0;
};
