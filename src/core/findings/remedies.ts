import { baseCoatById } from '@/core/craft';
import { STRONG_GRAIN_MM } from '@/core/method';
import type { Tone } from '@/core/raster';
import type { BaseCoatId } from '@/core/craft';
import type { Job, JobPatch } from '@/core/stations';
import type { FindingContext, Remedy, RemedyFact } from './finding';

export const toneRemedy = (job: Job, fact: RemedyFact, tone: Partial<Tone>): Remedy => ({
  ...fact,
  patch: { picture: { tone: { ...job.picture.tone, ...tone } } },
});

const coatPatch = (id: BaseCoatId): JobPatch => ({
  surface: { baseCoat: id, baseColour: baseCoatById(id).colour },
});

/** A thin white wash, where the surface takes one and has no base coat. */
export const washes = ({ plan, job }: FindingContext): Remedy[] =>
  plan.surface.record?.takesBaseCoat && job.surface.baseCoat === 'none'
    ? [{ id: 'white-wash', patch: coatPatch('white-wash') }]
    : [];

export const lightBase = ({ plan }: FindingContext): Remedy[] =>
  plan.surface.record?.takesBaseCoat ? [{ id: 'light-base', patch: coatPatch('chalk-type-paint') }] : [];

/** The best opaque binder that works here. */
export function opaque({ plan }: FindingContext): Remedy[] {
  const best = plan.method.candidates.find(({ binder, verdict }) => binder.base === 'white' && verdict !== 'refused');
  if (!best) return [];
  const patch = { method: { school: best.school.id, binder: best.binder.id } };
  return [{ id: 'opaque-binder', binder: best.binder.id, patch }];
}

export const smoother = ({ plan: { surface } }: FindingContext): Remedy[] =>
  surface.record?.class === 'wood' && surface.record.textureMm >= STRONG_GRAIN_MM
    ? [
        {
          id: 'smoother-blank',
          patch: { surface: { kind: 'painted-wood', finish: 'chalk-type-paint' } },
        },
      ]
    : [];
