import { purposeOf } from '@/core/craft';
import { sealDates, type SealDate } from '@/core/seal';
import type { PiecePlan } from './answers';
import type { Job } from './job';
import { isRubbed, passDryAt } from './rub';

/**
 * A piece's dates from its first coat of sealer on.
 *
 * @param plannedAt when coats to come are planned, by their number from 0; empty as early as they may
 * @param now nothing to come is earlier
 */
export function sealDatesOf(
  job: Job,
  plan: PiecePlan,
  now: number,
  plannedAt: readonly (number | null)[] = [],
): SealDate[] {
  const { sealing } = plan.seal;
  const dryAt = passDryAt(job, plan);
  const firstAt = isRubbed(job, plan) ? Math.max(now, dryAt ?? now, job.mend.finishedAt ?? 0) : null;
  const laundered = plan.surface.record?.laundered ?? false;
  return sealDates({
    plan: sealing,
    coatsAt: job.seal.coatsAt,
    plannedAt,
    firstAt,
    use: purposeOf(plan.surface.record, job.seal.use),
    laundered,
    bareAt: job.seal.finishedAt ?? (isRubbed(job, plan) ? dryAt : null),
  });
}
