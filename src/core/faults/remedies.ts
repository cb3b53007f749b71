/**
 * What a remedy changes when it is pressed: of this piece now, or of a piece that is not laid yet, next time. Many are
 * done by hand and change no plan; those give null, and are noted all the same.
 */
import { isUnsetInk, type FaultRemedyId } from '@/core/craft';
import { MS_PER_HOUR } from '@/core/shared';
import type { Job, JobPatch, PiecePlan } from '@/core/stations';

type Change = (job: Job, plan: PiecePlan, now: number) => JobPatch | null;

const DAY_HOURS = 24;
/** Of a hundred. */
const MORE_CONTRAST = 15;
const MOST_CONTRAST = 100;
const TRIM_MM = 1.5;
const FADE_MM = 6;
const MOST_PASSES = 20;

const undone =
  (id: Job['mend']['done'][number]): Change =>
  ({ mend }) => ({ mend: { done: mend.done.filter((one) => one !== id), finishedAt: null } });

/** One pass more; against what a photo said, where somebody wants it so. */
const asMuchAgain: Change = ({ rub }, { rub: { rubbing, verdict } }) =>
  rubbing && rubbing.passes.length > 0
    ? {
        rub: {
          passes: Math.min(MOST_PASSES, Math.max(rub.done.length, rubbing.passes.length) + 1),
          finishedAt: null,
          overruledAt: verdict?.at ?? rub.overruledAt,
        },
      }
    : null;
const print =
  (id: Job['method']['print']): Change =>
  (_, { method }) =>
    method.printKind.id === id ? null : { method: { print: id } };
const binder =
  (id: Job['method']['binder'], school: Job['method']['school'] = 'dry-and-rub'): Change =>
  ({ method }) =>
    method.binder === id ? null : { method: { binder: id, school } };
const coat =
  (id: Job['surface']['baseCoat']): Change =>
  ({ surface }, { surface: { record } }) =>
    record?.takesBaseCoat && surface.baseCoat !== id ? { surface: { baseCoat: id } } : null;
const form =
  (patch: Partial<Job['sheet']['form']>): Change =>
  ({ sheet }) => ({ sheet: { form: { ...sheet.form, ...patch } } });
const glossSeal: Change = ({ seal }) => (seal.sheen === 'gloss' ? null : { seal: { sheen: 'gloss', sealer: null } });
const fan: Change = ({ cure }) => (cure.air === 'fan' ? null : { cure: { air: 'fan' } });
const sealer =
  (id: Job['seal']['sealer']): Change =>
  ({ seal }) =>
    seal.sealer === id ? null : { seal: { sealer: id } };

/** Now, on the piece that shows the fault. */
const NOW: Partial<Record<FaultRemedyId, Change>> = {
  'stop-and-dry': ({ rub }) => (rub.finishedAt === null ? null : { rub: { finishedAt: null } }),
  'wait-a-day': ({ lay }, _, now) =>
    lay.laidAt === null ? null : { cure: { labelHours: Math.ceil((now - lay.laidAt) / MS_PER_HOUR) + DAY_HOURS } },
  'mend-holes': undone('holes'),
  'rub-again': asMuchAgain,
  'gloss-seal': glossSeal,
  'warm-room': fan,
  'sand-lip': undone('outline'),
  'sand-rim': undone('white-edge'),
  'paint-rim': undone('rim'),
  'tint-by-hand': undone('grain-tint'),
  'call-it-distressed': ({ method }) => (method.look === 'distressed' ? null : { method: { look: 'distressed' } }),
};

/** Next time, on a piece that is not laid yet. */
const NEXT: Partial<Record<FaultRemedyId, Change>> = {
  'wait-in-full': ({ cure }) => (cure.waitBy === 'clock' ? null : { cure: { waitBy: 'clock' } }),
  'other-glue': binder('wood-glue'),
  'base-coat': coat('chalk-type-paint'),
  'white-wash': coat('white-wash'),
  'coat-both-faces': ({ lay }, { method: { printKind } }) =>
    lay.faces?.length === 2 || isUnsetInk(printKind) ? null : { lay: { faces: ['paper', 'surface'] } },
  'measure-medium': ({ lay }) => (lay.filmUm === null ? null : { lay: { filmUm: null } }),
  'thinner-coat': ({ lay }, { method }) => (method.binder ? thinner(lay.filmUm, method.binder.filmUm.min) : null),
  'more-passes': asMuchAgain,
  'shorter-passes': asMuchAgain,
  'thinner-paper': print('laser-plain'),
  toner: print('laser-plain'),
  'heat-set': print('inkjet-heat-set'),
  'heavier-gel': binder('heavy-gel'),
  'use-gel': binder('fluid-gel'),
  'clear-medium': binder('clear-medium'),
  'opaque-medium': binder('opaque-medium', 'opaque-base'),
  'contrast-up': ({ picture: { tone } }) =>
    tone.contrast >= MOST_CONTRAST
      ? null
      : { picture: { tone: { ...tone, contrast: Math.min(MOST_CONTRAST, tone.contrast + MORE_CONTRAST) } } },
  'gloss-seal-next': glossSeal,
  'trim-inside': form({ edge: 'cut', trimMm: TRIM_MM }),
  'torn-edge': form({ edge: 'torn' }),
  fade: ({ picture: { tone } }) =>
    tone.fade === 'none' ? { picture: { tone: { ...tone, fade: 'rectangle', fadeMm: FADE_MM } } } : null,
  'coat-to-edge': ({ lay }) => (lay.extendMm === 0 ? null : { lay: { extendMm: 0 } }),
  'varnish-sealer': sealer('acrylic-varnish'),
  'thin-sealer': ({ seal }) => (seal.coats === null ? null : { seal: { coats: null } }),
  'warm-room': fan,
};

const thinner = (filmUm: number | null, leastUm: number): JobPatch | null =>
  filmUm === leastUm ? null : { lay: { filmUm: leastUm } };

/** What pressing it changes on the piece that has the fault; null where hands do it, or it is so already. */
export const changeNow = (id: FaultRemedyId, job: Job, plan: PiecePlan, now: number): JobPatch | null =>
  NOW[id]?.(job, plan, now) ?? null;

/** The same on another piece that is not laid yet. */
export const changeNext = (id: FaultRemedyId, job: Job, plan: PiecePlan, now: number): JobPatch | null =>
  job.lay.laidAt === null ? (NEXT[id]?.(job, plan, now) ?? null) : null;

const RUBS: readonly FaultRemedyId[] = ['rub-again'];

const SANDS: readonly FaultRemedyId[] = ['sand-lip', 'sand-rim'];

/** Nothing is sanded that sandpaper would spoil: threads, hide, bare glass. */
const mayBeDone = (id: FaultRemedyId, plan: PiecePlan | null): boolean =>
  !SANDS.includes(id) || plan?.mend.sandable !== false;

/** Remedies in the order to try them: what a photo of the piece advises against comes last. */
export function remediesNow(named: readonly FaultRemedyId[], plan: PiecePlan | null): FaultRemedyId[] {
  const remedies = named.filter((id) => mayBeDone(id, plan));
  const decision = plan?.rub.verdict?.decision;
  const isOver = decision === 'stop' || decision === 'mend' || decision === 'seal';
  return isOver ? [...remedies].sort((a, b) => Number(RUBS.includes(a)) - Number(RUBS.includes(b))) : [...remedies];
}
