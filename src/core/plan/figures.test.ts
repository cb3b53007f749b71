import { BINDERS, SEALERS, sealerById } from '@/core/craft';
import { NOTHING_SAID } from '@/core/at-hand';
import { MS_PER_DAY, MS_PER_HOUR } from '@/core/shared';
import { applyPatch, sealDatesOf, type JobPatch } from '@/core/stations';
import { sealerAsBought } from '@/core/seal';
import type { Piece } from '@/records';
import { NOW, PICTURE, readyPiece } from '@/testing/builders';
import { planPiece, runSteps } from './index';

const made = (patch: JobPatch, atHand = NOTHING_SAID, now = NOW) => {
  const job = applyPatch<Piece>(readyPiece(), patch);
  return { job, plan: planPiece(job, PICTURE, now, atHand) };
};
const sealed: JobPatch = {
  lay: { laidAt: NOW - 90 * MS_PER_HOUR },
  rub: { finishedAt: NOW - 60 * MS_PER_HOUR },
  mend: { finishedAt: NOW - 50 * MS_PER_HOUR },
  seal: { coatsAt: [NOW - 9 * MS_PER_HOUR, NOW - MS_PER_HOUR], sealer: 'acrylic-varnish' },
};
const dateOf = (patch: JobPatch, code: string) => {
  const { job, plan } = made({ ...sealed, ...patch });
  return sealDatesOf(job, plan, NOW).find((date) => date.code === code)?.at ?? null;
};

describe('dates after the last coat', () => {
  it.each(['touch', 'wipe', 'hand-over', 'hard'])(
    '%s comes later in a cold damp room than in a warm dry one',
    (code) => {
      const [warm, cold] = [dateOf({}, code), dateOf({ cure: { temperatureC: 12, humidityPercent: 80 } }, code)];
      expect(cold).toBeGreaterThan((warm ?? Infinity) + (code === 'touch' ? MS_PER_HOUR : 2 * MS_PER_DAY));
    },
  );
  it('is never sooner than the label, however warm', () =>
    expect(dateOf({ cure: { temperatureC: 35, humidityPercent: 20 } }, 'hard')).toBe(dateOf({}, 'hard')));
  it('below the sealer’s least temperature none is told: it does not harden there', () => {
    for (const code of ['touch', 'hand-over', 'hard'])
      expect(dateOf({ cure: { temperatureC: 6, humidityPercent: 92 } }, code)).toBeNull();
    expect(made({ ...sealed, cure: { temperatureC: 6 } }).plan.seal).toMatchObject({
      sealing: { tooCold: true },
      clock: { fullCureAt: null },
    });
  });
  it('follows the room that is followed, not the figure typed beside it', () => {
    const cold = { temperatureC: 12, humidityPercent: 80 };
    const atHand = {
      ...NOTHING_SAID,
      air: { readings: [], profile: Array.from({ length: 24 }, () => cold) },
    };
    const typed = made({ ...sealed, cure: cold }).plan.seal.sealing!.fullCureDays;
    const followed = made({ ...sealed, cure: { through: 'room' } }, atHand).plan.seal.sealing!.fullCureDays;
    expect(followed).toBeCloseTo(typed, 3);
    expect(followed).toBeGreaterThan(made(sealed).plan.seal.sealing!.fullCureDays);
  });
});

describe('one bottle cures alike, whatever it is called', () => {
  const named = BINDERS.filter(({ id }) => SEALERS.some((sealer) => sealer.id === id && !sealer.bare));
  it('some binders are sealers too', () => expect(named.length).toBeGreaterThanOrEqual(3));
  it.each(named)('$id', (binder) => {
    const own = SEALERS.find(({ id }) => id === binder.id)!;
    const { betweenHours, touchHours, curedDays } = sealerAsBought(sealerById('same-medium'), binder);
    expect({ betweenHours, touchHours, curedDays }).toEqual({
      betweenHours: own.betweenHours,
      touchHours: own.touchHours,
      curedDays: own.curedDays,
    });
  });
  it('a gel keeps the row of its own', () => {
    const gel = BINDERS.find(({ id }) => id === 'fluid-gel')!;
    expect(sealerAsBought(sealerById('same-medium'), gel)).toEqual(sealerById('same-medium'));
  });
});

it('a bed has one drying time: where it is laid and in the run', () => {
  const { job, plan } = made({
    surface: { kind: 'soft-wood', finish: 'bare' },
    method: { school: 'varnish-bed', binder: 'polyurethane' },
    cure: { temperatureC: 12, humidityPercent: 75 },
  });
  const laid = plan.lay.laying!.steps.find((step) => step.code === 'bed-coat');
  const run = runSteps(job, plan).find(({ id }) => id === 'bed');
  expect(run!.waitHours).toBeGreaterThan(5);
  expect(laid).toMatchObject({ dryHours: run!.waitHours });
});

it('the earliest wait follows the room that is followed', () => {
  const cold = { temperatureC: 11, humidityPercent: 80 };
  const atHand = { ...NOTHING_SAID, air: { readings: [], profile: Array.from({ length: 24 }, () => cold) } };
  const pine: JobPatch = {
    surface: { kind: 'soft-wood', finish: 'bare' },
    method: { school: 'dry-and-rub', binder: 'heavy-gel' },
  };
  const typed = made({ ...pine, cure: cold }).plan.cure.wait!;
  const followed = made({ ...pine, cure: { through: 'room' } }, atHand).plan.cure.wait!;
  expect(followed.earliestHours).toBeCloseTo(typed.earliestHours, 1);
  expect(followed.likelyHours).toBeCloseTo(typed.likelyHours, 1);
});

it('“in time” counts what the run still has after the wait', () => {
  const dueIn = (hours: number) => {
    const due = new Date(NOW + hours * MS_PER_HOUR);
    const dueOn = `${due.getFullYear()}-${String(due.getMonth() + 1).padStart(2, '0')}-${String(due.getDate()).padStart(2, '0')}`;
    const { plan } = made({}, NOTHING_SAID, NOW);
    const candidates = planPiece({ ...readyPiece(), dueOn }, PICTURE, NOW).method.candidates;
    return {
      usual: plan,
      chosen: candidates.find(({ school, binder }) => school.id === 'dry-and-rub' && binder.id === 'fluid-gel')!,
    };
  };
  const { chosen } = dueIn(400);
  const { waitHours, finishHours } = chosen.figures!;
  const { job, plan } = made({});
  const after = runSteps(job, plan).filter(({ station }) => ['rub', 'mend', 'seal'].includes(station));
  const waits = after.reduce((total, { waitHours: hours }) => total + hours, 0);
  expect(finishHours).toBeGreaterThan(waits * 0.85);
  expect(finishHours).toBeLessThan(waits * 1.25);
  expect(chosen.reasons.some(({ code }) => code === 'ready-in-time')).toBe(true);
  expect(waitHours + finishHours).toBeGreaterThan(20);
  expect(dueIn(13).chosen.reasons.some(({ code }) => code === 'too-late')).toBe(true);
});
