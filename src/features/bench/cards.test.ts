import { CAUTION_LEVELS, SCHOOLS, SURFACES, recipeStepOf, schoolById, type SurfaceId } from '@/core/craft';
import { CONDITIONS_MET_BY, type ConditionCode } from '@/core/method';
import { planPiece, runSteps } from '@/core/plan';
import { changedBy, type Piece } from '@/records';
import { NOW, PICTURE, readyPiece } from '@/testing/builders';
import { cautionsAt } from '@/core/plan';
import { STATIONS } from '@/core/stations';
import { HAND_STEPS, wordingIn } from '@/words';
import { benchRun } from './cards';

const units = wordingIn('metric');
const runsOf = (piece: Piece) => {
  const plan = planPiece(piece, PICTURE, NOW);
  return runSteps(piece, plan).map((step) => ({ step, run: benchRun(step, piece, plan, units) }));
};
const on = (surface: Partial<Piece['surface']>, method: Partial<Piece['method']>): Piece => {
  const piece = readyPiece();
  return { ...piece, surface: { ...piece.surface, ...surface }, method: { ...piece.method, ...method } };
};

const PIECES: Record<string, Piece> = {
  'dry-and-rub': readyPiece(),
  'opaque-base': on({ kind: 'cloth', finish: 'bare' }, { school: 'opaque-base', binder: 'opaque-medium' }),
  'varnish-bed': on({}, { school: 'varnish-bed', binder: 'polyurethane' }),
  'quick-varnish': on({ kind: 'soft-wood', finish: 'bare' }, { school: 'quick-varnish', binder: 'acrylic-varnish' }),
  'tacky-peel': on({}, { school: 'tacky-peel', binder: 'fluid-gel' }),
  'slip-paper': on({}, { school: 'slip-paper', binder: 'heavy-gel', print: 'slip-paper' }),
  'tape-decal': on({ kind: 'glass', finish: 'bare' }, { school: 'tape-decal', binder: 'none' }),
  'liner-peel': on({}, { school: 'liner-peel', binder: 'fluid-gel', print: 'release-liner' }),
  'liner-heat': on({ kind: 'glass', finish: 'bare' }, { school: 'liner-heat', binder: 'none', print: 'release-liner' }),
  'liner-press': on(
    { kind: 'terracotta', finish: 'bare' },
    { school: 'liner-press', binder: 'none', print: 'inkjet-liner' },
  ),
  'film-bed': on({ kind: 'canvas', finish: 'bare' }, { school: 'film-bed', binder: 'gesso', print: 'inkjet-film' }),
  trace: on({}, { school: 'trace', binder: 'none' }),
};

describe('steps as cards at the bench', () => {
  it('there is a piece for every school', () =>
    expect(Object.keys(PIECES).sort()).toEqual(SCHOOLS.map(({ id }) => id).sort()));

  it.each(Object.keys(PIECES))(
    '%s: every step has cards that say something, each once, with cautions that exist',
    (school) => {
      for (const { step, run } of runsOf(PIECES[school])) {
        expect(run.cards.length).toBeGreaterThan(0);
        expect(new Set(run.cards.map(({ id }) => id)).size).toBe(run.cards.length);
        for (const { text, timer } of run.cards) {
          expect(text.trim().length).toBeGreaterThan(8);
          expect(text).not.toMatch(/undefined|NaN|null/);
          if (timer) expect(timer.minutes).toBeGreaterThan(0);
        }
        for (const id of run.cautions) expect(CAUTION_LEVELS[id]).toBeDefined();
        expect(step.handsMinutes).toBeGreaterThan(0);
      }
    },
  );

  const cards = (school: string, id: string) => runsOf(PIECES[school]).find(({ step }) => step.id === id)?.run;
  it('a wash says how much water goes to how much paint, other coats nothing of the kind', () => {
    const mixOf = (baseCoat: Piece['surface']['baseCoat']) => {
      const piece = on({ kind: 'soft-wood', finish: 'bare', baseCoat }, {});
      const found = runsOf(piece).find(({ step }) => step.id === 'base-coat')!;
      return { text: found.run.cards[0].text, ml: planPiece(piece, PICTURE, NOW).surface.paintMl };
    };
    const wash = mixOf('white-wash');
    expect(wash.text).toContain(units.volume(wash.ml));
    expect(wash.text).toContain(units.volume(wash.ml * 1.5));
    expect(wash.text).toMatch(/water.*wipe it back/s);
    expect(mixOf('chalk-type-paint').text).not.toContain('water');
  });

  it('the open time begins with the first stroke, once', () => {
    for (const school of ['dry-and-rub', 'opaque-base', 'varnish-bed'])
      expect(cards(school, 'lay')?.cards.filter(({ timer }) => timer?.stroke)).toHaveLength(1);
    expect(cards('varnish-bed', 'bed')?.cards.map(({ id }) => id)).toEqual(['ready-tools', 'bed-coat', 'wash-brush']);
    expect(cards('varnish-bed', 'lay')?.cards.map(({ id }) => id)).not.toContain('bed-coat');
  });
  it('a tacky peel has its early and its late timer, and is peeled before it is rolled', () => {
    const timers =
      cards('tacky-peel', 'lay')?.cards.flatMap(({ timer }) => (timer && !timer.stroke ? [timer.minutes] : [])) ?? [];
    expect(timers).toHaveLength(2);
    expect(timers[0]).toBeLessThan(timers[1]);
    const first = cards('tacky-peel', 'pass-1')?.cards.map(({ id }) => id) ?? [];
    expect(first.indexOf('peel-try-corner')).toBeLessThan(first.indexOf('peel-peel-slowly'));
    expect(first.indexOf('peel-peel-slowly')).toBeLessThan(first.indexOf('roll'));
  });

  it('a tacky peel sees no water: all its recipe says is said, nothing is damped, and the thin film dries in hours', () => {
    const passes = runsOf(PIECES['tacky-peel']).filter(({ step }) => step.station === 'rub');
    const said = passes.flatMap(({ run }) => run.cards.map(({ text }) => text));
    for (const hand of recipeStepOf(schoolById('tacky-peel'), 'passes')!.does) expect(said).toContain(HAND_STEPS[hand]);
    expect(said.join(' ')).not.toMatch(/spray|sponge|cloth|damp/i);
    expect(said[0]).toMatch(/no water/i);
    expect(passes.flatMap(({ run }) => run.tools)).not.toContain('bowl-of-lukewarm-water');
    const last = passes.at(-1)!.step.waitHours;
    expect(last).toBeGreaterThanOrEqual(1);
    expect(last).toBeLessThanOrEqual(2);
  });

  describe('ink that nothing has set', () => {
    const inked = (
      school: Piece['method']['school'],
      binder: Piece['method']['binder'],
      faces: Piece['lay']['faces'],
    ) => {
      const piece = on(
        { kind: 'soft-wood', finish: 'bare', baseCoat: 'none' },
        { school, binder, print: 'inkjet-plain' },
      );
      return { ...piece, lay: { ...piece.lay, faces } };
    };
    const laying = (piece: Piece) =>
      runsOf(piece)
        .find(({ step }) => step.id === 'lay')
        ?.run.cards.map(({ id }) => id) ?? [];
    it.each([
      ['dry-and-rub', 'fluid-gel'],
      ['dry-and-rub', 'heavy-gel'],
      ['tacky-peel', 'fluid-gel'],
      ['tacky-peel', 'heavy-gel'],
      ['tacky-peel', 'glue-sealer'],
    ] as const)('%s with %s: is never brushed, even where both faces were asked for', (school, binder) => {
      for (const faces of [null, ['paper'], ['paper', 'surface']] as const) {
        const ids = laying(inked(school, binder, faces && [...faces]));
        expect(ids).toContain('coat-surface');
        expect(ids).not.toContain('coat-paper');
      }
    });
    it('may be brushed once it is set with heat', () => {
      const piece = inked('dry-and-rub', 'fluid-gel', null);
      expect(laying({ ...piece, method: { ...piece.method, print: 'inkjet-heat-set' } })).toContain('coat-paper');
    });
  });
  it('hot, sharp and unhealthy work shows its caution', () => {
    expect(cards('liner-heat', 'lay')?.cautions).toContain('heat-set');
    expect(cards('tape-decal', 'lay')?.cautions).toContain('glass-edges');
    expect(cards('dry-and-rub', 'print')?.cautions).toContain('knife');
    expect(cards('quick-varnish', 'sand')?.cautions).toContain('sanding-dust');
    expect(cards('dry-and-rub', 'seal-1')?.cautions).toContain('no-food');
  });
  it('says the figures of the plan', () => {
    expect(cards('dry-and-rub', 'seal-1')?.cards.find(({ id }) => id === 'coat')?.figure).toMatch(/ml$/);
    expect(cards('dry-and-rub', 'pass-1')?.cards.find(({ id }) => id === 'damp')?.timer?.minutes).toBe(2);
    expect(cards('dry-and-rub', 'print')?.cards.find(({ id }) => id === 'print')?.figure).toBe('1 page');
  });

  describe('each kind of print has its own cards', () => {
    const printing = (school: string) => cards(school, 'print')!;
    const textOf = (school: string) =>
      printing(school)
        .cards.map(({ text }) => text)
        .join(' ');
    it.each([
      ['dry-and-rub', /plain copy paper.*laser/i, /knife/i],
      ['slip-paper', /slip-coated.*coated side/i, /scissors/i],
      ['liner-peel', /labels peeled off.*shiny side.*laser/i, null],
      ['liner-heat', /labels peeled off.*shiny side.*laser/i, null],
      ['liner-press', /labels peeled off.*shiny side.*inkjet/i, null],
      ['film-bed', /film made for inkjet.*rough side/i, /scissors/i],
    ])('%s', (school, material, trimmed) => {
      expect(textOf(school)).toMatch(material);
      const trim = printing(school).cards.find(({ id }) => id === 'trim');
      if (trimmed) expect(trim?.text).toMatch(trimmed);
      else expect(trim).toBeUndefined();
    });
    it.each(['liner-peel', 'liner-heat', 'liner-press'])(
      '%s: the bar is measured on plain paper, before the liner',
      (school) => {
        const ids = printing(school).cards.map(({ id }) => id);
        expect(ids.indexOf('measure')).toBeLessThan(ids.indexOf('print'));
        expect(printing(school).cards.find(({ id }) => id === 'measure')?.text).toMatch(/plain paper/);
        expect(printing(school).cautions).not.toContain('knife');
      },
    );
  });

  describe('what sandpaper, pencil and sealer would spoil', () => {
    const CASES: [string, Piece][] = [
      ['cloth', PIECES['opaque-base']],
      [
        'leather',
        on({ kind: 'leather', finish: 'bare', baseCoat: 'none' }, { school: 'opaque-base', binder: 'opaque-medium' }),
      ],
      [
        'bare glass',
        on({ kind: 'glass', finish: 'bare', baseCoat: 'none' }, { school: 'dry-and-rub', binder: 'fluid-gel' }),
      ],
      [
        'glaze',
        on(
          { kind: 'glazed-ceramic', finish: 'bare', baseCoat: 'none' },
          { school: 'dry-and-rub', binder: 'fluid-gel' },
        ),
      ],
      [
        'wax',
        on({ kind: 'led-candle', finish: 'bare', baseCoat: 'none' }, { school: 'dry-and-rub', binder: 'fluid-gel' }),
      ],
    ];
    it.each(CASES)('%s is neither sanded nor marked in pencil', (_, piece) => {
      const run = runsOf(piece);
      expect(run.some(({ step }) => step.station === 'mend')).toBe(true);
      const said = run.flatMap(({ run: { cards: all } }) => all.map(({ text }) => text)).join(' ');
      expect(said).not.toMatch(/\bsand(ed|ing)?\b|grit|with pencil|pencil marks/i);
      expect(run.flatMap(({ run: { tools } }) => tools)).not.toContain('sandpaper-320-400');
      expect(said).toMatch(/tape, no pencil/);
    });
    it('painted glass is sanded and marked as any painted face', () => {
      const piece = on(
        { kind: 'glass', finish: 'bare', baseCoat: 'chalk-type-paint' },
        { school: 'dry-and-rub', binder: 'fluid-gel' },
      );
      expect(runsOf(piece).flatMap(({ run: { tools } }) => tools)).toContain('sandpaper-320-400');
    });
    it('cloth is not sealed, whatever was said of its use, its sealer or its coats', () => {
      const cloth = PIECES['opaque-base'];
      for (const seal of [
        { use: 'wall', sealer: null, coats: null },
        { use: 'handled', sealer: 'acrylic-varnish', coats: 3 },
        { use: 'wall', sealer: 'none', coats: 2 },
      ] as const)
        expect(
          runsOf({ ...cloth, seal: { ...cloth.seal, ...seal } }).filter(({ step }) => step.station === 'seal'),
        ).toEqual([]);
    });
  });

  describe('each kind of sealer has its own card', () => {
    const sealedBy = (sealer: Piece['seal']['sealer']) => {
      const piece = readyPiece();
      return runsOf({ ...piece, seal: { ...piece.seal, sealer } }).filter(({ step }) => step.station === 'seal');
    };
    const said = (sealer: Piece['seal']['sealer']) =>
      sealedBy(sealer)
        .flatMap(({ run }) => run.cards.map(({ text }) => text))
        .join(' ');
    it('spray: light coats, from so far away, that build up; wax: rubbed on and wiped off; no brush for either', () => {
      expect(said('spray')).toMatch(/light coat.*25 to 30 cm.*build/i);
      expect(said('wax')).toMatch(/rub a little wax.*wipe off/i);
      for (const sealer of ['spray', 'wax'] as const) {
        expect(said(sealer)).not.toMatch(/brush|long strokes/i);
        expect(sealedBy(sealer).flatMap(({ run }) => run.tools)).not.toContain('soft-flat-brush');
      }
      expect(said('acrylic-varnish')).toMatch(/long strokes.*wash the brush/i);
      expect(said('glue-sealer')).toMatch(/thick it stays cloudy/i);
    });
  });

  describe('a method works if: its condition is a step of the run, or is asked before it is laid', () => {
    const MEETS: Partial<Record<ConditionCode, (found: ReturnType<typeof runsOf>) => boolean>> = {
      'scuff-slick-finish': (found) => found.some(({ step }) => step.id === 'scuff'),
      'scuff-wall-paint': (found) => found.some(({ step }) => step.id === 'scuff'),
      'degrease-and-base-coat': (found) => found.some(({ step }) => step.id === 'degrease'),
      degrease: (found) => found.some(({ step }) => step.id === 'degrease'),
      'chalk-for-graphite': (found) => found.some(({ run }) => run.cards.some(({ id }) => id === 'lay-chalk-and-tape')),
      'two-people': (found) => found.some(({ step }) => step.id === 'lay' && step.people === 2),
      'in-parts': (found) =>
        found.some(({ step, run }) => step.id === 'print' && run.cards.some(({ text }) => /all \d+ pages/.test(text))),
      'smooth-first': (found) => found.some(({ step }) => step.id === 'fine-sand'),
      'sand-really-smooth': (found) => found.some(({ step }) => step.id === 'fine-sand'),
    };
    const met = new Set<ConditionCode>();
    const finishesFor = (first: boolean) =>
      first ? (['bare', 'gloss-paint', 'wall-paint'] as const) : (['bare'] as const);
    const piecesOn = (kind: SurfaceId): Piece[] =>
      SCHOOLS.flatMap(({ id, binders, prints }) =>
        prints.flatMap((print) =>
          binders.flatMap((binder) =>
            finishesFor(binder === binders[0]).map((finish) => {
              const piece = on(
                { kind, finish, baseCoat: 'none', bareColour: print === 'laser-plain' ? '#333333' : null },
                { school: id, binder, print },
              );
              const large = print === 'laser-heavy' || print === 'release-liner';
              return {
                ...piece,
                picture: { ...piece.picture, lettering: 'yes' as const },
                surface: { ...piece.surface, ...(large ? { widthMm: 600, heightMm: 400 } : {}) },
              };
            }),
          ),
        ),
      );
    it.each(SURFACES.map(({ id }) => id))('%s', (kind) => {
      for (const piece of piecesOn(kind)) {
        const { school, binder, print } = piece.method;
        const plan = planPiece(piece, PICTURE, NOW);
        const { chosen, open } = plan.method;
        if (!chosen || chosen.verdict !== 'works-if') continue;
        const found = runsOf(piece);
        for (const condition of chosen.conditions) {
          met.add(condition);
          const asked = found
            .find(({ step }) => step.id === 'lay')
            ?.run.cards.find(({ id }) => id === `if-${condition}`);
          const isMet = MEETS[condition]?.(found) ?? (asked !== undefined && open.includes(condition));
          expect({ kind, school, binder, print, finish: piece.surface.finish, condition, isMet }).toEqual({
            ...{ kind, school, binder, print, finish: piece.surface.finish, condition },
            isMet: true,
          });
        }
      }
    });
    it('all of them were seen', () =>
      expect([...met].sort()).toEqual((Object.keys(CONDITIONS_MET_BY) as ConditionCode[]).sort()));
    it('one that was answered yes of this surface is asked no more; of another it is', () => {
      const oak = on(
        { kind: 'hard-wood', finish: 'bare', baseCoat: 'none' },
        { school: 'dry-and-rub', binder: 'fluid-gel' },
      );
      const settled = (surface: SurfaceId) => ({
        ...oak,
        method: { ...oak.method, settled: [{ condition: 'swatch-on-tight-grain' as const, surface }] },
      });
      const openOf = (piece: Piece) => planPiece(piece, PICTURE, NOW).method.open;
      expect(openOf(oak)).toEqual(['swatch-on-tight-grain']);
      expect(openOf(settled('hard-wood'))).toEqual([]);
      expect(openOf(settled('sheet-wood'))).toEqual(['swatch-on-tight-grain']);
      expect(openOf(changedBy(settled('hard-wood'), { method: { binder: 'heavy-gel' } }))).toEqual([
        'swatch-on-tight-grain',
      ]);
    });
  });

  it('a liner that stays wet is printed when all else is ready, and laid in the same sitting', () => {
    const piece = on(
      { kind: 'terracotta', finish: 'bare' },
      { school: 'liner-press', binder: 'none', print: 'inkjet-liner' },
    );
    const steps = runsOf(piece).map(({ step }) => step);
    const at = steps.findIndex(({ id }) => id === 'print');
    expect(steps[at + 1].id).toBe('lay');
    expect(steps[at].after).toEqual([steps[at - 1].id]);
    expect(steps[at].wait.hours).toBe(0);
    expect(steps[at].wait.maxHours! * 60).toBeLessThanOrEqual(15);
    expect(steps[at].setUp).toBeNull();
  });

  it.each(Object.keys(PIECES))('%s: what is to mind is the same at the desk and at the bench', (school) => {
    const piece = PIECES[school];
    const plan = planPiece(piece, PICTURE, NOW);
    const atBench = new Map(STATIONS.map((station) => [station, new Set<string>()]));
    for (const { step, run } of runsOf(piece)) run.cautions.forEach((id) => atBench.get(step.station)?.add(id));
    for (const [station, minded] of atBench)
      if (runsOf(piece).some(({ step }) => step.station === station))
        expect([...minded].sort()).toEqual([...cautionsAt(station, piece, plan)].sort());
  });
});
