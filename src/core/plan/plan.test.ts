import { SURFACES } from '@/core/craft';
import { HOUR, NOW, PICTURE, readyPiece } from '@/testing/builders';
import { newPiece, type Piece } from '@/records';
import { STATIONS, type StationId } from '@/core/stations';
import { missingAt, nextStep, planPiece, stationStates } from './index';

const at = (piece: Piece, now = NOW, picture: typeof PICTURE | null = PICTURE) => {
  const plan = planPiece(piece, picture, now);
  return {
    plan,
    states: stationStates(piece, plan),
    next: nextStep(piece, plan, now),
    missing: (station: StationId) => missingAt(station, piece, plan).map(({ code, at: where }) => `${code}@${where}`),
  };
};
const with_ = <S extends keyof Piece>(piece: Piece, section: S, patch: Partial<Piece[S]>): Piece => ({
  ...piece,
  [section]: { ...(piece[section] as object), ...patch },
});

describe('a piece at its beginning', () => {
  const fresh = at(newPiece('p', 'New', NOW), NOW, null);
  it('says at each station what is lacking, and where it is said', () => {
    expect(fresh.missing('picture')).toEqual(['picture@picture']);
    expect(fresh.missing('lay')).toEqual([
      'picture@picture',
      'surface-kind@surface',
      'blank-size@surface',
      'method@method',
    ]);
    expect(fresh.missing('method')).toEqual(['surface-kind@surface']);
    expect(fresh.missing('sheet')).toEqual(['picture@picture', 'blank-size@surface']);
    expect(fresh.missing('keep')).toEqual(['rating@keep']);
    expect(Object.values(fresh.states).every((state) => state === 'not-yet')).toBe(true);
    expect(fresh.next).toMatchObject({ code: 'choose-picture', station: 'picture', at: null });
  });
});

describe('the print on the blank', () => {
  it('fills the blank inside its margins, the crop cut to its shape', () => {
    const { plan } = at(readyPiece());
    expect(plan.surface.print?.rect).toEqual({ xMm: 10, yMm: 10, widthMm: 220, heightMm: 160 });
    expect(plan.surface.print!.croppedPx.widthPx / plan.surface.print!.croppedPx.heightPx).toBeCloseTo(220 / 160, 6);
    expect(plan.surface.print!.ppi).toBeCloseTo((4000 / 220) * 25.4, 6);
  });
  it('keeps a fixed or free shape whole, centred', () => {
    const square = at(with_(readyPiece(), 'picture', { ratio: '1:1' })).plan.surface.print!;
    expect(square.rect).toEqual({ xMm: 40, yMm: 10, widthMm: 160, heightMm: 160 });
    const free = at(with_(readyPiece(), 'picture', { ratio: 'free' })).plan.surface.print!;
    expect(free.crop).toEqual({ x: 0, y: 0, width: 1, height: 1 });
    expect(free.rect.widthMm / free.rect.heightMm).toBeCloseTo(4 / 3, 9);
  });
  it('says where margins leave nothing', () => {
    const wide = at(with_(readyPiece(), 'sheet', { margins: { topMm: 100, bottomMm: 100, leftMm: 0, rightMm: 0 } }));
    expect(wide.plan.surface.print).toBeNull();
    expect(wide.missing('sheet')).toContain('margins-too-wide@sheet');
    expect(wide.states.surface).toBe('doubtful');
  });
  it('doubts a soft picture and a print that no pages hold, and tiles a large one', () => {
    expect(at(readyPiece(), NOW, { ...PICTURE, widthPx: 400, heightPx: 300 }).states.picture).toBe('doubtful');
    const large = at(with_(readyPiece(), 'surface', { widthMm: 600, heightMm: 400 }));
    expect(large.states.sheet).toBe('ready');
    expect(large.plan.sheet.pack).toMatchObject({ ok: true, value: { columns: 4, rows: 2 } });
    expect(large.missing('sheet')).toEqual([]);
    const huge = at(with_(readyPiece(), 'surface', { widthMm: 2900, heightMm: 2900 }));
    expect(huge.states.sheet).toBe('doubtful');
    expect(huge.missing('sheet')).toEqual(['print-fits-no-page@sheet']);
  });
});

describe('the run from picture to kept', () => {
  let piece = readyPiece();
  const step = (section: keyof Piece, patch: object) => {
    piece = with_(piece, section, patch);
  };

  it('leads through every station in order', () => {
    expect(at(piece).next.code).toBe('prepare-surface');
    step('surface', { prepared: at(piece).plan.surface.preparation.map((one) => one.code) });
    expect(at(piece).next.code).toBe('print-sheet');
    step('sheet', { printedAt: NOW });
    expect(at(piece).next).toMatchObject({ code: 'lay-print', station: 'lay' });
    expect(at(piece).states).toMatchObject({ sheet: 'done', lay: 'ready', cure: 'not-yet', rub: 'not-yet' });

    step('lay', { laidAt: NOW });
    const laid = at(piece, NOW + HOUR);
    expect(laid.next).toEqual({ code: 'wait-cure', station: 'cure', at: NOW + 16 * HOUR, minutes: 9 });
    expect(laid.states).toMatchObject({ lay: 'done', cure: 'waiting', rub: 'not-yet' });
    // Between earliest and likely only its signs say that it is dry: desk, bench and plan alike.
    expect(at(piece, NOW + 9 * HOUR).states).toMatchObject({ cure: 'waiting', rub: 'not-yet' });
    expect(at(piece, NOW + 16 * HOUR).states).toMatchObject({ cure: 'ready', rub: 'ready' });
    expect(at(piece, NOW + 17 * HOUR).next.code).toBe('start-rubbing');

    step('rub', { done: [{ at: NOW + 17 * HOUR, minutes: 9 }] });
    const rubbed = at(piece, NOW + 17 * HOUR);
    expect(rubbed.next).toMatchObject({ code: 'next-pass', station: 'rub', minutes: 5 });
    expect(rubbed.next.at).toBeGreaterThan(NOW + 17 * HOUR);
    expect(rubbed.states).toMatchObject({ cure: 'done', rub: 'ready', mend: 'not-yet' });

    step('rub', { finishedAt: NOW + 18 * HOUR });
    expect(at(piece, NOW + 19 * HOUR).next.code).toBe('mend');
    step('mend', { finishedAt: NOW + 19 * HOUR });
    expect(at(piece, NOW + 19 * HOUR).next.code).toBe('first-seal-coat');
    step('seal', { coatsAt: [NOW + 20 * HOUR] });
    expect(at(piece, NOW + 20 * HOUR).next).toMatchObject({ code: 'next-seal-coat', at: NOW + 22 * HOUR });
    expect(at(piece, NOW + 20 * HOUR).states.seal).toBe('waiting');
    step('seal', { coatsAt: [NOW + 20 * HOUR, NOW + 22 * HOUR] });
    expect(at(piece, NOW + 22 * HOUR).next).toMatchObject({
      code: 'keep-record',
      station: 'keep',
      at: NOW + 26 * HOUR,
    });
    step('keep', { rating: 4 });
    expect(at(piece, NOW + 30 * HOUR).next.code).toBe('finished');
    expect(Object.values(at(piece, NOW + 30 * HOUR).states).every((state) => state === 'done')).toBe(true);
  });

  it('compares what happened with the plan', () => {
    const { plan } = at(with_(piece, 'lay', { mediumUsedMl: 24 }));
    expect(plan.keep.comparison.map((row) => row.what)).toEqual(['medium', 'wait', 'passes', 'rubbing']);
    expect(plan.keep.comparison[1]).toMatchObject({ planned: 16, actual: 17 });
    expect(plan.keep.comparison[2]).toMatchObject({ planned: 3, actual: 1 });
  });
});

describe('what goes on before the print', () => {
  const codes = (patch: Partial<Piece['surface']>) =>
    at(with_(readyPiece(), 'surface', patch)).plan.surface.preparation.map((step) => step.code);
  it('follows from surface, finish and base coat', () => {
    expect(codes({ kind: 'soft-wood', finish: 'bare' })).toEqual(['sand', 'dust']);
    expect(codes({ kind: 'varnished-wood', finish: 'varnish', baseCoat: 'gesso' })).toEqual([
      'lead-test',
      'scuff',
      'degrease',
      'dust',
      'base-coat',
      'base-coat-2',
      'light-sand',
      'dust-again',
    ]);
    expect(codes({ kind: 'stone', finish: 'bare' })).toEqual(['wash-dry', 'dust']);
    expect(codes({ kind: 'metal', finish: 'bare' })).toEqual(['derust', 'degrease']);
    expect(codes({ kind: 'cloth', finish: 'bare', baseCoat: 'gesso' })).toEqual(['prewash', 'lay-flat']);
  });
  it('warns of lead before old paint is sanded', () => {
    for (const finish of ['gloss-paint', 'varnish', 'matte-paint', 'wall-paint'] as const) {
      const steps = at(with_(readyPiece(), 'surface', { kind: 'painted-wood', finish })).plan.surface.preparation;
      expect(steps[0]).toMatchObject({ code: 'lead-test', cautions: ['lead'] });
    }
  });
  it('lets base coats dry longer in a cold damp room', () => {
    const hours = (cure: Partial<Piece['cure']>) =>
      at(
        with_(with_(readyPiece(), 'surface', { baseCoat: 'chalk-type-paint' }), 'cure', cure),
      ).plan.surface.preparation.find((step) => step.code === 'base-coat')?.hours ?? 0;
    expect(hours({ temperatureC: 14, humidityPercent: 75 })).toBeGreaterThan(hours({}));
  });
});

describe('every surface', () => {
  it.each(SURFACES.map((surface) => surface.id))('%s has a plan from end to end', (kind) => {
    const bare = with_(readyPiece(), 'surface', { kind, finish: 'bare' });
    const best = at(bare).plan.method.candidates[0];
    const { plan } = at(with_(bare, 'method', { binder: best.binder.id, school: best.school.id }));
    expect(best.verdict).not.toBe('refused');
    expect(plan.lay.laying!.coat.totalMl).toBeGreaterThan(1);
    expect(plan.cure.wait!.likelyHours).toBeGreaterThan(0.4);
    expect(plan.rub.rubbing!.passes.length).toBeGreaterThan(0);
    expect(plan.mend.repairs.length).toBeGreaterThan(2);
    expect(plan.seal.sealing).not.toBeNull();
    expect(STATIONS).toHaveLength(10);
  });
});
