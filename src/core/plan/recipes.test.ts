import { readFileSync } from 'node:fs';
import { SCHOOLS, printById, type PrintId } from '@/core/craft';
import { MS_PER_HOUR } from '@/core/shared';
import { applyPatch, passDryAt, stepText, type Job, type JobPatch, type StepId } from '@/core/stations';
import type { Piece } from '@/records';
import { stepTitle } from '@/words';
import { NOW, PICTURE, readyPiece } from '@/testing/builders';
import { WHOLE_RUNS, wholeRuns } from '@/testing/whole-runs';
import {
  cautionsOf,
  completeStep,
  foresee,
  needOf,
  nextStep,
  paceOf,
  pendingBefore,
  planPiece,
  runSteps,
  stationStates,
} from './index';
import { NOTHING_SAID } from '@/core/at-hand';

const plan = (job: Job, now = NOW) => planPiece(job, PICTURE, now);
const steps = (job: Job) => runSteps(job, plan(job));
const ids = (job: Job) => steps(job).map(({ id }) => id);
const named = (start: string): Piece => {
  const found = WHOLE_RUNS.find(({ name }) => name.startsWith(start));
  if (!found) throw new Error(`no run ${start}`);
  return found.piece;
};
const stepOf = (job: Job, id: string) => {
  const step = steps(job).find((one) => one.id === id);
  if (!step) throw new Error(`no step ${id} in ${ids(job).join(', ')}`);
  return step;
};
const withPatch = (job: Piece, patch: JobPatch): Piece => applyPatch(job, patch);

it('docs/runs.md is what the code plans (npm run formats)', () =>
  expect(readFileSync('docs/runs.md', 'utf8')).toBe(wholeRuns()));

it('every school stands among the whole runs', () =>
  expect(new Set(WHOLE_RUNS.map(({ piece }) => piece.method.school))).toEqual(new Set(SCHOOLS.map(({ id }) => id))));

describe.each(WHOLE_RUNS.map(({ name, piece }) => [name, piece] as const))('%s', (_, piece) => {
  it('is walked to its end, step by step, each after the wait of the one before', () => {
    let job: Piece = piece;
    let now = NOW;
    const walked: string[] = [];
    for (let turn = 0; turn < 60; turn++) {
      const made = plan(job, now);
      const open = runSteps(job, made).find(({ doneAt }) => doneAt === null);
      if (!open) break;
      walked.push(open.id);
      now += open.handsMinutes * 60_000;
      job = applyPatch<Piece>(job, completeStep(job, open, now, null));
      now += open.wait.hours * MS_PER_HOUR + 1;
    }
    expect(walked).toEqual([...new Set(walked)]);
    expect(walked).toEqual(ids(piece));
    const states = stationStates(job, plan(job, now));
    for (const station of ['surface', 'method', 'lay', 'cure', 'rub', 'mend'] as const)
      expect([station, states[station]]).toEqual([station, 'done']);
    expect(['keep-record', 'first-seal-coat', 'finished']).toContain(nextStep(job, plan(job, now), now).code);
    if (walked.some((id) => id.startsWith('seal'))) expect(states.seal).toBe('done');
  });

  it('has hands for every step, a kind for every wait, and a place for all that lie', () => {
    for (const step of steps(piece)) {
      expect(step.handsMinutes).toBeGreaterThan(0);
      expect(step.wait.kind === 'none').toBe(step.wait.hours === 0);
      expect(step.wait.place === null).toBe(step.wait.hours === 0);
      expect(stepTitle(step.title)).not.toBe('');
    }
  });

  it('never sands, repaints or seals what is still damp from rubbing', () => {
    const run = steps(piece);
    const last = run.findLast(({ step }) => step.kind === 'pass');
    if (last) expect(last.waitHours).toBeGreaterThanOrEqual(1);
  });
});

describe('a tape decal', () => {
  const jar = named('Jar');
  it('soaks fifteen minutes whatever the room, fan, oven and label say', () => {
    for (const cure of [
      {},
      { temperatureC: 4, humidityPercent: 95 },
      { air: 'fan' as const },
      { oven: 'gentle' as const },
      { labelHours: 9 },
      { waitBy: 'clock' as const },
    ]) {
      const { wait, kind, ovens } = plan(withPatch(jar, { cure })).cure;
      expect([kind, wait?.likelyHours, wait?.safeHours, wait?.warnings]).toEqual(['soak', 0.25, 0.25, []]);
      expect(ovens).toEqual([]);
    }
  });
  it('has its paper off, is dried until it is tacky, and is stuck on; then nothing is mended or sealed', () => {
    expect(ids(jar)).toEqual(['degrease', 'print', 'lay', 'remove', 'stick']);
    expect(stepOf(jar, 'lay').wait).toMatchObject({ kind: 'soak', place: 'bench' });
    expect(stepOf(jar, 'remove').wait).toMatchObject({ kind: 'dry' });
    expect(plan(jar).mend.repairs).toEqual([]);
    expect(plan(jar).seal.sealing?.sealer.id).toBe('none');
  });
  it('is not done when its paper is off', () => {
    const laid = withPatch(jar, { lay: { laidAt: NOW - MS_PER_HOUR }, surface: { prepared: ['degrease'] } });
    const off = applyPatch<Piece>(laid, completeStep(laid, stepOf(laid, 'remove'), NOW, null));
    expect(stationStates(off, plan(off)).rub).toBe('ready');
    expect(nextStep(off, plan(off), NOW)).toMatchObject({ code: 'stick-on', at: passDryAt(off, plan(off)) });
    const on = applyPatch<Piece>(off, completeStep(off, stepOf(off, 'stick'), NOW + MS_PER_HOUR, null));
    expect(stationStates(on, plan(on))).toMatchObject({ rub: 'done', mend: 'done', seal: 'done', keep: 'ready' });
  });
});

describe('ink', () => {
  const judged = (patch: JobPatch, school: string, binder: string) =>
    plan(withPatch(readyPiece(), patch)).method.candidates.find(
      (one) => one.school.id === school && one.binder.id === binder,
    );
  const inkOn = (kind: Piece['surface']['kind']): JobPatch => ({
    method: { print: 'inkjet-plain' },
    surface: { kind, finish: 'bare' },
  });
  it('on plain paper is rubbed with gel on canvas and bare wood if a paler picture will do, below the tacky peel', () => {
    for (const kind of ['canvas', 'soft-wood', 'hard-wood'] as const) {
      const rubbed = judged(inkOn(kind), 'dry-and-rub', 'fluid-gel');
      expect(rubbed).toMatchObject({ verdict: 'works-if' });
      expect(rubbed?.conditions).toContain('much-paler-ink');
      expect(rubbed?.score).toBeLessThan(judged(inkOn(kind), 'tacky-peel', 'fluid-gel')?.score ?? 0);
      expect(judged(inkOn(kind), 'dry-and-rub', 'glue-sealer')?.refusal?.code).toBe('inkjet-bleeds');
    }
    expect(judged(inkOn('painted-wood'), 'dry-and-rub', 'fluid-gel')?.refusal).toMatchObject({
      code: 'inkjet-bleeds',
      switchTo: 'inkjet-heat-set',
    });
  });
  it('that is peeled tacky leads to two coats of gloss; a sheen that is said stays', () => {
    const peeled = named('Postcard');
    expect(plan(peeled).method.sheen).toBe('gloss');
    expect(plan(peeled).seal.sealing?.coats).toBe(2);
    expect(plan(withPatch(peeled, { seal: { sheen: 'satin' } })).method.sheen).toBe('satin');
    expect(plan(readyPiece()).method.sheen).toBe('matte');
  });
  it('is set with heat in a step of its own, after the print and beside the surface, attended', () => {
    const canvas = named('Small canvas');
    const { wait, attended, after } = stepOf(canvas, 'heat-set');
    expect([wait.kind, wait.place, attended, after]).toEqual(['heat', 'oven', true, ['print']]);
    expect(printById('inkjet-heat-set').heatSet).toMatchObject({ temperatureC: 95, minutes: 20 });
    expect(stepOf(canvas, 'lay').after).toEqual(['heat-set']);
    expect(cautionsOf({ kind: 'heat-set' }, canvas, plan(canvas))).toContain('oven');
  });
  it.each([
    ['inkjet', 'inkjet-plain'],
    ['laser', 'laser-plain'],
    ['copy-shop', 'laser-plain'],
    [null, 'laser-plain'],
  ] as const)('is what the printer at hand gives, unless it is said: %p prints %p', (printer, id) => {
    const by = (patch: JobPatch) =>
      planPiece(withPatch(readyPiece(), patch), PICTURE, NOW, { ...NOTHING_SAID, printer }).method;
    expect(by({ method: { print: null } }).printKind.id).toBe(id);
    expect(by({ method: { print: 'release-liner' } }).printKind.id).toBe('release-liner');
    const scores = (print: PrintId | null) => by({ method: { print } }).candidates.map(({ score }) => score);
    expect(scores(null)).toEqual(scores(id));
  });
  it('bought for the sheet, set with heat and rubbed is the ink of the printer at hand', () => {
    const inkjet = { ...NOTHING_SAID, printer: 'inkjet' as const };
    const piece = withPatch(readyPiece(), { method: { print: null, school: 'tacky-peel' } });
    const planned = planPiece(piece, PICTURE, NOW, inkjet);
    expect(needOf({ kind: 'print' }, piece, planned)).toMatchObject({ kind: 'paper', material: 'inkjet-plain' });
    expect(planned.method.chosen?.verdict).not.toBe('refused');
  });
  it('a photo is never traced, nor assumed to be', () => {
    const photo = withPatch(readyPiece(), { method: { print: 'photo-paper', school: null, binder: null } });
    expect(plan(photo).method.candidates.find(({ school }) => school.id === 'trace')?.verdict).toBe('refused');
    const toner = withPatch(photo, { method: { print: 'laser-plain' } });
    expect(plan(toner).method.candidates.find(({ school }) => school.id === 'trace')?.refusal?.code).toBe(
      'photo-not-traced',
    );
    const lettered = withPatch(photo, { picture: { lettering: 'yes' } });
    expect(foresee(lettered, PICTURE, NOW, NOTHING_SAID).assumed?.school.id).not.toBe('trace');
  });
});

describe('binders and grounds', () => {
  const wait = (patch: JobPatch) => {
    const { cure } = plan(withPatch(readyPiece(), patch));
    if (!cure.wait) throw new Error('no wait');
    return cure.wait;
  };
  const on = (kind: Piece['surface']['kind'], binder: Piece['method']['binder'], more: JobPatch = {}): JobPatch => ({
    ...more,
    surface: { kind, finish: 'bare', ...more.surface },
    method: { school: binder === 'polyurethane' ? 'varnish-bed' : 'dry-and-rub', binder },
  });
  it('a slip sheet’s surface alone is coated, whole', () => {
    const { coat } = plan(named('Tile')).lay.laying ?? {};
    expect(coat?.faces.map(({ face, areaMm2 }) => [face, areaMm2])).toEqual([['surface', 150 * 150]]);
  });
  it('a varnish bed waits a day at least, on any ground alike', () => {
    for (const kind of ['soft-wood', 'painted-wood', 'stone'] as const)
      for (const temperatureC of [21, 35]) {
        const bed = wait(on(kind, 'polyurethane', { cure: { temperatureC, waitBy: 'sign', air: 'fan' } }));
        expect(bed.factor.surface).toBe(1);
        expect(bed.earliestHours).toBeGreaterThanOrEqual(24);
      }
  });
  it('paint, primer and finish close the ground; a wash does not', () => {
    const factor = (surface: NonNullable<JobPatch['surface']>) =>
      wait(on('soft-wood', 'fluid-gel', { surface })).factor.surface;
    expect(factor({ finish: 'bare' })).toBe(0.85);
    expect(factor({ baseCoat: 'white-wash' })).toBe(0.85);
    for (const baseCoat of ['chalk-type-paint', 'acrylic-paint', 'gesso'] as const)
      expect(factor({ baseCoat })).toBe(1);
    expect(factor({ finish: 'matte-paint' })).toBe(1);
    expect(wait(on('glass', 'fluid-gel', { surface: { baseCoat: 'chalk-type-paint' } })).factor.surface).toBe(1);
  });
  // What practitioners report by the sign, with the film, room and ground that go with it.
  it.each([
    ['glue-sealer on bare wood', on('soft-wood', 'glue-sealer'), 5, 6],
    [
      'a thin coat of gel on a porous tile in a warm studio',
      on('plaster', 'fluid-gel', { lay: { filmUm: 120 }, cure: { temperatureC: 26, humidityPercent: 40 } }),
      1.8,
      2.5,
    ],
    [
      'a thin coat of gel on a small canvas in a warm studio',
      on('canvas', 'fluid-gel', { lay: { filmUm: 120 }, cure: { temperatureC: 26, humidityPercent: 40 } }),
      1.8,
      2.5,
    ],
    ['gel on a small wood round', on('soft-wood', 'fluid-gel'), 6, 8.5],
    ['gel on paint', on('painted-wood', 'fluid-gel', { surface: { finish: 'chalk-type-paint' } }), 7.9, 8.1],
  ] as const)('earliest by the sign: %s', (_, patch, least, most) => {
    const { earliestHours, likelyHours, safeHours } = wait(patch);
    expect(earliestHours).toBeGreaterThanOrEqual(least);
    expect(earliestHours).toBeLessThanOrEqual(most);
    expect(likelyHours).toBeGreaterThan(earliestHours);
    expect(safeHours).toBeGreaterThan(likelyHours);
  });
  it('likely and safe stay where the sign comes sooner', () => {
    const thin = wait(
      on('plaster', 'fluid-gel', { lay: { filmUm: 120 }, cure: { temperatureC: 26, humidityPercent: 40 } }),
    );
    expect(thin.likelyHours).toBeCloseTo(16 * thin.factor.total, 6);
    expect(wait(on('soft-wood', 'glue-sealer')).likelyHours).toBeCloseTo(18 * 0.85, 6);
  });
  it('a liner takes glue-sealer, gel and furniture gel, on canvas under a base coat', () => {
    const linerOn = (surface: NonNullable<JobPatch['surface']>, binder: string) =>
      plan(withPatch(readyPiece(), { surface, method: { print: 'release-liner' } })).method.candidates.find(
        (one) => one.school.id === 'liner-peel' && one.binder.id === binder,
      );
    for (const binder of ['glue-sealer', 'fluid-gel', 'furniture-gel']) {
      const painted = linerOn({ kind: 'canvas', finish: 'bare', baseCoat: 'chalk-type-paint' }, binder);
      expect([binder, painted?.verdict]).toEqual([binder, 'works']);
      expect(linerOn({ kind: 'canvas', finish: 'bare' }, binder)?.conditions).toContain('coated-smooth-first');
    }
    expect(plan(named('Painted canvas')).lay.laying?.steps).toContainEqual({ code: 'lay', slides: false });
  });
});

describe('preparation', () => {
  const prepared = (surface: NonNullable<JobPatch['surface']>) =>
    plan(withPatch(readyPiece(), { surface })).surface.preparation.map(({ code }) => code);
  it('tests for lead where paint is old or nobody knows, and no longer once it is said', () => {
    const paint = { kind: 'painted-wood', finish: 'matte-paint' } as const;
    for (const paintAge of [null, 'old', 'unknown'] as const)
      expect(prepared({ ...paint, paintAge })).toContain('lead-test');
    for (const paintAge of ['own', 'recent'] as const)
      expect(prepared({ ...paint, paintAge })).not.toContain('lead-test');
    expect(prepared({ kind: 'soft-wood', finish: 'bare', paintAge: null })).not.toContain('lead-test');
    expect(prepared({ kind: 'painted-wood', finish: 'chalk-type-paint', paintAge: null })).not.toContain('lead-test');
  });
  it('works from the dirt to the clean: rust before grease, dust after the last sanding, edges on clean wood', () => {
    expect(prepared({ kind: 'metal', finish: 'bare' })).toEqual(['derust', 'degrease']);
    expect(prepared({ kind: 'sheet-wood', finish: 'bare', baseCoat: 'chalk-type-paint' })).toEqual([
      'sand',
      'dust',
      'seal-edges',
      'base-coat',
      'base-coat-2',
      'light-sand',
      'dust-again',
    ]);
    for (const { piece } of WHOLE_RUNS) {
      const codes = plan(piece).surface.preparation.map(({ code }) => code);
      const sanded = codes.findLastIndex((code) => ['sand', 'scuff', 'light-sand'].includes(code));
      if (sanded >= 0) expect(codes.slice(sanded).some((code) => code === 'dust' || code === 'dust-again')).toBe(true);
    }
  });
  it('edges, washed cloth and stone take their hours of drying', () => {
    const hours = (kind: Piece['surface']['kind'], code: string) =>
      plan(withPatch(readyPiece(), { surface: { kind, finish: 'bare' } })).surface.preparation.find(
        (one) => one.code === code,
      )?.hours ?? 0;
    expect(hours('sheet-wood', 'seal-edges')).toBeGreaterThan(0.5);
    expect(hours('cloth', 'prewash')).toBeGreaterThanOrEqual(3);
    expect(hours('stone', 'wash-dry')).toBe(24);
  });
  it('covers with two coats, washes with one, and lies one under another to be sanded through', () => {
    const wood = { kind: 'soft-wood', finish: 'bare', baseColour: '#f4f1e8' } as const;
    expect(prepared({ ...wood, baseCoat: 'chalk-type-paint' })).toEqual(
      expect.arrayContaining(['base-coat', 'base-coat-2']),
    );
    expect(prepared({ ...wood, baseCoat: 'white-wash' })).not.toContain('base-coat-2');
    expect(prepared({ ...wood, kind: 'canvas', baseCoat: 'gesso', baseColour: '#f3f0e8' })).not.toContain(
      'base-coat-2',
    );
    const under = prepared({ ...wood, baseCoat: 'chalk-type-paint', underColour: '#8a4b32' });
    expect(under.indexOf('under-coat')).toBe(under.indexOf('base-coat') - 1);
  });
  it('counts paint by its coats, over bare sides too, and what it costs', () => {
    const board = withPatch(named('Board'), { surface: { baseCoat: 'chalk-type-paint' } });
    const made = plan(
      withPatch(board, { keep: { prices: { ...board.keep.prices, paintTin: { price: 10, ml: 250 } } } }),
    );
    const faceMm2 = 300 * 200 + 2 * (300 + 200) * 18;
    expect(made.surface.faceMm2).toBeCloseTo(faceMm2, 6);
    expect(made.surface.paintMl).toBeCloseTo(((faceMm2 * 100) / 1e6) * 1.12 * (1.25 + 1), 6);
    expect(made.keep.cost.lines).toContainEqual({ item: 'paint', amount: (10 * made.surface.paintMl) / 250 });
    // Of a wash most is water: one coat of the same film, two fifths of it paint.
    const washed = plan(withPatch(board, { surface: { baseCoat: 'white-wash' } }));
    expect(washed.surface.paintMl).toBeCloseTo((((faceMm2 * 100) / 1e6) * 1.12 * 1.25) / 2.5, 6);
    const coat: StepId = { kind: 'prepare', code: 'base-coat-2' };
    expect(needOf(coat, board, plan(board))?.amount).toBeCloseTo(made.surface.paintMl / 2, 6);
  });
});

describe('hands', () => {
  const minutes = (job: Job, id: string) => stepOf(job, id).handsMinutes;
  it('follow what is worked on: a door takes longer than a card, a print of six pages than one', () => {
    const [board, door, canvas] = [named('Board'), named('Door'), named('Canvas')];
    expect(minutes(board, 'sand')).toBe(Math.round(3 + 1.2 * 7.8));
    expect(minutes(door, 'base-coat')).toBe(Math.round(5 + 0.6 * 31.5));
    expect(minutes(board, 'print')).toBe(8);
    expect(minutes(canvas, 'print')).toBe(3 + 6 + 2 + 12);
    expect(minutes(canvas, 'lay')).toBe(Math.round(6 + 1.2 * 20 + 3 * 5));
    expect(needOf({ kind: 'print' }, canvas, plan(canvas))?.amount).toBe(6);
    expect(minutes(board, 'seal-1')).toBe(Math.round(5 + 0.5 * 7.8));
  });
  it('a sealer covers bare sides, and none that the picture covers', () => {
    const sealed = (name: string) => plan(named(name)).seal.sealing?.volumeMlPerCoat ?? 0;
    const flat = plan(withPatch(named('Board'), { surface: { thicknessMm: null } })).seal.sealing?.volumeMlPerCoat ?? 0;
    expect(sealed('Board') / flat).toBeCloseTo(78_000 / 60_000, 6);
    expect(plan(named('Wrapped canvas')).surface.faceMm2).toBeCloseTo(200 * 200 + 4 * 200 * 18, 6);
  });
  it('what is tucked behind a canvas is coated, not rubbed', () => {
    const { print } = plan(named('Wrapped canvas')).surface;
    expect(print?.areaMm2).toBeCloseTo(200 * 200 + 4 * 200 * 38, 3);
    expect(print?.reachedMm2).toBeCloseTo(200 * 200 + 4 * 200 * 18, 3);
    expect(minutes(named('Wrapped canvas'), 'pass-1')).toBe(2 + Math.round((12 * 54_400) / 60_322));
  });
  it('mending is ordered: sanded, repainted, dried, traced, pencil off, sealed', () => {
    const lettered = withPatch(named('Board'), {
      picture: {
        layers: [
          {
            id: 'l1',
            kind: 'text',
            text: 'Halt',
            mode: 'trace',
            font: 'oswald',
            colour: '#000000',
            arcRadiusMm: null,
            spacing: 0,
            box: { xMm: 10, yMm: 10, widthMm: 60, heightMm: 20 },
            angleDeg: 0,
          } as unknown as Piece['picture']['layers'][number],
        ],
      },
    });
    const order = ids(lettered);
    const after = order.slice(order.indexOf('mend-sand'));
    expect(after).toEqual(['mend-sand', 'mend-repaint', 'trace-l1', 'mend', 'seal-1', 'seal-2']);
    expect(stepOf(lettered, 'mend-repaint').waitHours).toBeGreaterThanOrEqual(0.5);
    expect(stepText({ kind: 'mend', part: 'finish' })).toBe('mend');
  });
});

describe('what waits', () => {
  const laid = (hoursAgo: number) => withPatch(named('Board'), { lay: { laidAt: NOW - hoursAgo * MS_PER_HOUR } });
  const pending = (job: Job, id: string, now = NOW) => pendingBefore(steps(job), stepOf(job, id), plan(job, now), now);
  it('a pass is not begun before the earliest time of what was laid, and says until when', () => {
    const early = pending(laid(2), 'pass-1');
    expect(early).toMatchObject({ kind: 'dry', before: { id: 'lay' } });
    expect(early?.earliestAt).toBeGreaterThan(NOW);
    expect(early?.readyAt).toBeGreaterThan(early?.earliestAt ?? 0);
    expect(pending(laid(15), 'pass-1')).toBeNull();
    expect(pending(named('Board'), 'pass-1')).toMatchObject({ earliestAt: null, before: { id: 'lay' } });
  });
  it('a second pass waits for the first to dry; what leaves no wait behind holds nothing back', () => {
    const rubbed = withPatch(laid(30), { rub: { done: [{ at: NOW - 60_000, minutes: 9 }] } });
    expect(pending(rubbed, 'pass-2')).toMatchObject({ before: { id: 'pass-1' } });
    expect(pending(rubbed, 'pass-2', NOW + 2 * MS_PER_HOUR)).toBeNull();
    expect(pending(named('Canvas'), 'lay')).toBeNull();
  });
  it('a step begun early is recorded as early', () => {
    const job = laid(2);
    const patch = completeStep(job, stepOf(job, 'pass-1'), NOW, 9, [], true);
    expect(applyPatch<Piece>(job, patch).work.done.at(-1)).toMatchObject({ step: 'pass-1', early: true });
  });
  it('somebody who taps through in seconds changes no later estimate', () => {
    const tapped = steps(named('Board')).map(({ id, usualMinutes }) => ({
      step: id,
      at: NOW,
      minutes: 1,
      planned: Math.max(5, usualMinutes),
      early: false,
    }));
    expect(paceOf(Array.from({ length: 10 }, () => ({ work: { done: tapped, draws: [] } })))).toEqual({});
  });
});
