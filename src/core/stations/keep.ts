import type { AtHand } from '@/core/at-hand';
import type { BinderRecord, PrintId, SealerId } from '@/core/craft';
import { compareWithPlan, pieceCost, type Prices } from '@/core/journal';
import type { Job } from './job';
import { isSealed } from './seal';
import { pagesOf } from './sheet';
import { WITHOUT_STEPS, need, never, nextStep, type Station } from './station';

const RECORD_MINUTES = 5;

export const keep: Station<'keep', 'surface' | 'method' | 'sheet' | 'lay' | 'cure' | 'rub' | 'seal'> = {
  ...WITHOUT_STEPS,
  id: 'keep',
  answer: (
    { job, atHand },
    {
      surface: { paintMl },
      method: { binder, printKind },
      sheet,
      lay: { laying },
      cure: { wait },
      rub: { rubbing },
      seal: { sealing },
    },
  ) => {
    const plannedMl = laying?.coat.totalMl ?? null;
    const { mediumUsedMl, laidAt } = job.lay;
    return {
      cost: pieceCost(pricesOf(job, printKind.id, sealing?.sealer.id ?? null, binder, atHand), {
        pages: pagesOf({ sheet }),
        paintMl,
        binderMl: mediumUsedMl ?? plannedMl,
        sealerMl: sealing?.totalMl ?? null,
      }),
      comparison: compareWithPlan(
        { mediumMl: plannedMl, cure: wait, rub: rubbing },
        { mediumMl: mediumUsedMl, laidAt, passes: job.rub.done, measured: measuredSteps(job) },
      ),
    };
  },
  missing: ({ keep: { rating } }) => need(rating === null, 'rating', 'keep'),
  state: (job, plan) => {
    if (job.keep.rating !== null) return 'done';
    return isSealed(job, plan) ? 'ready' : 'not-yet';
  },
  isBehind: never,
  next: (_, plan) => nextStep('keep-record', 'keep', plan.seal.clock?.touchAt ?? null, RECORD_MINUTES),
  cautions: () => [],
};

/** Steps whose minutes somebody measured. */
export const measuredSteps = ({ work }: Pick<Job, 'work'>) =>
  work.done.flatMap(({ step, minutes, planned }) => (minutes === null ? [] : [{ step, minutes, planned }]));

/** The piece's own prices, and the stash's where it names none. */
function pricesOf(
  job: Job,
  printKind: PrintId,
  sealer: SealerId | null,
  binder: BinderRecord | null,
  atHand: AtHand,
): Prices {
  const { prices } = job.keep;
  return {
    ...prices,
    print: prices.print ?? atHand.pricePerSheet[printKind] ?? null,
    binderBottle: bottle(prices.binderBottle, binder ? atHand.pricePerMl[binder.id] : undefined),
    paintTin: bottle(prices.paintTin, atHand.paintPricePerMl ?? undefined),
    sealerBottle: bottle(prices.sealerBottle, sealer ? atHand.sealerPricePerMl[sealer] : undefined),
  };
}

const bottle = (own: Prices['binderBottle'], perMl: number | undefined): Prices['binderBottle'] =>
  own.price === null && perMl !== undefined ? { price: perMl, ml: 1 } : own;
