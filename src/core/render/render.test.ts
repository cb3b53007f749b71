import { readFileSync } from 'node:fs';
import fc from '@/testing/properties';
import {
  BINDERS,
  SCHOOLS,
  SURFACES,
  binderById,
  printById,
  surfaceById,
  type BinderId,
  type FinishId,
  type PrintId,
  type SurfaceId,
} from '@/core/craft';
import { keptToner } from '@/core/method';
import { deltaE2000, labOf, linearLight, linearColour } from '@/core/colour';
import { PLAIN_TONE, toneTables, type Tone } from '@/core/raster';
import { demoPixels } from '@/testing/demo-pictures';
import {
  OPAQUE_WHITE,
  PLAIN_GRAIN,
  RENDER_STAGES,
  cloudedBy,
  compensation,
  wettedShares,
  layPrintPlain,
  loadLayPrint,
  prepareSpecimen,
  renderGround,
  renderSpecimen,
  seen,
  stageOptics,
  tonerFilter,
  underVeil,
  type PreparedSpecimen,
  type RenderStage,
  type SpecimenOrder,
} from './index';

const SIZE = 64;
const order = (surface: Parameters<typeof surfaceById>[0], patch: Partial<SpecimenOrder> = {}): SpecimenOrder => ({
  look: { surface, colour: surfaceById(surface).bareColour, grain: PLAIN_GRAIN, coat: null },
  widthPx: SIZE,
  heightPx: SIZE,
  mmPerPx: 0.5,
  print: { x: 8, y: 8, width: 48, height: 40 },
  worn: 0,
  wetsFace: false,
  opaqueWhite: null,
  fade: 'none',
  fadeMm: 0,
  ...patch,
});
const flat = (level: number): Uint8ClampedArray => new Uint8ClampedArray(48 * 40 * 4).fill(level);
function draw(
  prepared: PreparedSpecimen,
  picture: Uint8ClampedArray,
  stage: RenderStage,
  kept = 0.95,
  tone: Partial<Tone> = {},
): Uint8ClampedArray {
  const out = new Uint8ClampedArray(SIZE * SIZE * 4);
  const optics = stageOptics(stage);
  renderSpecimen(prepared, { picture, tone: toneTables({ ...PLAIN_TONE, ...tone }), kept, optics }, optics.sheen, out);
  return out;
}
const bare = (prepared: PreparedSpecimen, stage: RenderStage) => {
  const out = new Uint8ClampedArray(SIZE * SIZE * 4);
  renderSpecimen(prepared, null, stageOptics(stage).sheen, out);
  return out;
};
const inPrint = (visit: (at: number) => void) => {
  for (let y = 8; y < 48; y++) for (let x = 8; x < 56; x++) visit((y * SIZE + x) * 4);
};

/** The greatest difference of levels within the print. */
const furthest = (one: Uint8ClampedArray, other: Uint8ClampedArray): number => {
  let most = 0;
  inPrint((at) => {
    for (let c = 0; c < 3; c++) most = Math.max(most, Math.abs(one[at + c] - other[at + c]));
  });
  return most;
};

describe('the physics of the look', () => {
  it('white under a clear binder is the surface itself', () => {
    const prepared = prepareSpecimen(order('soft-wood', { wetsFace: true }));
    const [print, face] = [draw(prepared, flat(255), 'matte'), bare(prepared, 'matte')];
    // Sealed matte leaves a trace of haze: without it the two are the same to the level.
    const clear = new Uint8ClampedArray(SIZE * SIZE * 4);
    renderSpecimen(
      prepared,
      {
        picture: flat(255),
        tone: toneTables(PLAIN_TONE),
        kept: 0.95,
        optics: { haze: 0, sheen: 0.019, wetsFace: false },
      },
      0.019,
      clear,
    );
    expect(furthest(clear, face)).toBeLessThanOrEqual(1);
    expect(furthest(print, face)).toBeLessThanOrEqual(6);
  });

  it('white under an opaque binder is the binder’s white, within the print only', () => {
    const prepared = prepareSpecimen(order('stone', { opaqueWhite: OPAQUE_WHITE }));
    const [print, face] = [draw(prepared, flat(255), 'gloss'), bare(prepared, 'gloss')];
    const white = linearColour(OPAQUE_WHITE);
    let off = 0;
    inPrint((at) => {
      off = Math.max(off, Math.abs(linearLight(print[at]) - seen(white[0], stageOptics('gloss'))));
    });
    expect(off).toBeLessThan(0.02);
    for (const [x, y] of [
      [2, 2],
      [7, 20],
      [56, 30],
      [30, 48],
    ])
      expect(print.slice((y * SIZE + x) * 4, (y * SIZE + x) * 4 + 3)).toEqual(
        face.slice((y * SIZE + x) * 4, (y * SIZE + x) * 4 + 3),
      );
  });

  it.each(RENDER_STAGES)('more toner never looks lighter: %s', (stage) => {
    const prepared = prepareSpecimen(order('canvas'));
    let last = draw(prepared, flat(0), stage);
    for (let level = 15; level <= 255; level += 15) {
      const next = draw(prepared, flat(level), stage);
      let darker = 0;
      inPrint((at) => {
        for (let c = 0; c < 3; c++) if (next[at + c] < last[at + c]) darker++;
      });
      expect(darker).toBe(0);
      last = next;
    }
  });

  it('haze lifts darks more than lights, and sealing takes it away', () => {
    const lift = (reflectance: number) => underVeil(reflectance, 0.16) - reflectance;
    expect(lift(0.02)).toBeGreaterThan(0.1);
    expect(lift(0.02)).toBeGreaterThan(4 * Math.abs(lift(0.7)));
    const dark = (stage: RenderStage) => seen(0.7 * tonerFilter(20, 0.95), stageOptics(stage));
    const without = 0.7 * tonerFilter(20, 0.95);
    expect(dark('hazy') - without).toBeGreaterThan(0.15);
    expect(dark('gloss') - without).toBeLessThan(0.05 * (dark('hazy') - without) + 0.006);
    expect(dark('gloss')).toBeLessThan(dark('matte'));
    expect(dark('wet')).toBeLessThan(dark('matte'));
    expect(dark('laid')).toBeGreaterThan(dark('pass-1'));
  });

  it('never gives back more light than came in', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.integer({ min: 0, max: 255 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        (ground, level, kept, haze, sheen) => {
          const light = seen(ground * tonerFilter(level, kept), { haze, sheen });
          expect(light).toBeGreaterThanOrEqual(0);
          expect(light).toBeLessThanOrEqual(1);
        },
      ),
    );
  });

  it('fades towards the bare face at the print’s edge', () => {
    const prepared = prepareSpecimen(order('painted-wood', { fade: 'rectangle', fadeMm: 6 }));
    const [print, face] = [draw(prepared, flat(0), 'gloss'), bare(prepared, 'gloss')];
    const at = (x: number, y: number) => (y * SIZE + x) * 4;
    expect(Math.abs(print[at(8, 28)] - face[at(8, 28)])).toBeLessThan(12);
    expect(print[at(32, 28)]).toBeLessThan(80);
  });
});

/** What is seen in the world of a clean, sealed transfer, as L* and chroma of what the program shows. */
describe('the look of a finished piece', () => {
  const PAINT = '#f4f1e8';
  const looked = (
    level: readonly number[],
    {
      ground = PAINT,
      on = null as SurfaceId | null,
      binder = 'fluid-gel' as BinderId,
      print = 'laser-plain' as PrintId,
      stage = 'gloss' as RenderStage,
      finish = 'bare' as FinishId,
    },
  ) => {
    const school = SCHOOLS.find((one) => one.binders.includes(binder))!;
    const kept = keptToner(school, binderById(binder), { print: printById(print), finish, hasBaseCoat: false });
    const wetted = on ? wettedShares({ surface: on, colour: ground, grain: PLAIN_GRAIN, coat: null }) : [1, 1, 1];
    const under = linearColour(binderById(binder).base === 'white' ? OPAQUE_WHITE : ground);
    const optics = cloudedBy(stageOptics(stage), kept.cloud);
    const [r, g, b] = [0, 1, 2].map((c) => seen(under[c] * wetted[c] * tonerFilter(level[c], kept.share), optics));
    const [lightness, a, bStar] = labOf(r, g, b);
    return { lightness, chroma: Math.hypot(a, bStar) };
  };
  const BLACK = [0, 0, 0];
  const black = (how: Parameters<typeof looked>[1]) => looked(BLACK, how).lightness;

  it.each([
    ['gloss', 20, 24],
    ['satin', 23, 27],
    ['matte', 26, 31],
  ] as const)(
    'black on white paint, fluid gel, %s: L* %p–%p; opaque medium as print on paper',
    (stage, least, most) => {
      expect(black({ stage })).toBeGreaterThanOrEqual(least);
      expect(black({ stage })).toBeLessThanOrEqual(most);
      expect(black({ stage, binder: 'opaque-medium' })).toBeGreaterThanOrEqual(25);
      expect(black({ stage, binder: 'opaque-medium' })).toBeLessThanOrEqual(32);
      const paler = black({ stage, binder: 'glue-sealer' }) - black({ stage });
      expect(paler).toBeGreaterThanOrEqual(5);
      expect(paler).toBeLessThanOrEqual(8);
      const pine = black({ stage, ground: '#e3c79b', on: 'soft-wood' });
      expect(pine).toBeLessThan(black({ stage }));
      expect(pine).toBeGreaterThan(black({ stage }) - 6);
    },
  );
  it('wet is within 2 of gloss', () =>
    expect(Math.abs(black({ stage: 'wet' }) - black({ stage: 'gloss' }))).toBeLessThanOrEqual(2));
  it('a sealer takes haze away: dry and unsealed it is far paler', () =>
    expect(black({ stage: 'hazy' })).toBeGreaterThan(black({ stage: 'matte' }) + 8));
  it('a red of chroma 85 keeps 75 under gloss and 68 under matte', () => {
    const red = [220, 40, 22];
    const [r, g, b] = red.map(linearLight);
    const [, a, bStar] = labOf(r, g, b);
    expect(Math.abs(Math.hypot(a, bStar) - 85)).toBeLessThan(3);
    expect(looked(red, { ground: '#ffffff', stage: 'gloss' }).chroma).toBeGreaterThanOrEqual(75);
    expect(looked(red, { ground: '#ffffff', stage: 'matte' }).chroma).toBeGreaterThanOrEqual(68);
  });
  it('ink and slick paint land paler, heat-set ink between raw ink and toner', () => {
    const [toner, set, raw] = (['laser-plain', 'inkjet-heat-set', 'inkjet-plain'] as const).map((print) =>
      black({ print }),
    );
    expect(set).toBeGreaterThan(toner + 6);
    expect(raw).toBeGreaterThan(set + 3);
    expect(black({ finish: 'gloss-paint' })).toBeGreaterThan(black({ finish: 'chalk-type-paint' }) + 1);
  });
  it('what is lost shows as specks, not as grey: most of a dark face is whole, and nothing under a white binder is worn', () => {
    const shares = (patch: Partial<SpecimenOrder>, surface: SurfaceId = 'painted-wood') => {
      const prepared = prepareSpecimen(order(surface, { mmPerPx: 0.25, ...patch }));
      return Array.from({ length: 48 * 40 }, (_, i) => prepared.under[i * 4 + 3]);
    };
    const worn = (list: number[]) => list.filter((share) => share < 128).length / list.length;
    const whole = (list: number[]) => list.filter((share) => share === 256).length / list.length;
    const glue = shares({ worn: 0.05 });
    expect(worn(glue)).toBeGreaterThan(0.005);
    expect(worn(glue)).toBeLessThan(0.15);
    expect(whole(glue)).toBeGreaterThan(0.75);
    expect(worn(shares({ worn: 0.05 }, 'stone'))).toBeGreaterThan(worn(shares({ worn: 0.05 })) - 0.02);
    expect(worn(shares({ worn: 0, opaqueWhite: OPAQUE_WHITE }, 'canvas'))).toBe(0);
  });
  it.each([
    ['soft-wood', 0.8],
    ['plaster', 0.8],
    ['stone', 0.6],
    ['terracotta', 0.65],
    ['canvas', 0.95],
    ['glass', 1],
    ['painted-wood', 1],
  ] as const)('%s is wetted out to × %p of its light, and warmer; paint over it stays', (surface, light) => {
    const look = { surface, colour: '#888888', grain: PLAIN_GRAIN, coat: null };
    const [red, green, blue] = wettedShares(look);
    expect(green).toBeCloseTo(light, 6);
    expect(red).toBeGreaterThanOrEqual(green);
    expect(blue).toBeLessThanOrEqual(green);
    for (const share of wettedShares({ ...look, coat: { colour: '#ffffff', opacity: 0.97 } }))
      expect(share).toBeGreaterThan(0.985);
  });
  it('beside the print the bare face stays dry until it is sealed', () => {
    const face = (wetsFace: boolean) => bare(prepareSpecimen(order('stone', { wetsFace })), 'matte')[0];
    expect(face(true)).toBeLessThan(face(false));
  });
});

describe('surfaces', () => {
  it.each(SURFACES.map((surface) => surface.id))(
    '%s: the same every time, near its colour, and turned by its grain',
    (id) => {
      const look = { surface: id, colour: surfaceById(id).bareColour, grain: PLAIN_GRAIN, coat: null };
      const one = renderGround(look, 60, 60, 1);
      expect(renderGround(look, 60, 60, 1)).toEqual(one);
      const mean = [0, 1, 2].map(
        (c) => one.reduce((total, value, i) => (i % 3 === c ? total + value : total), 0) / 3600 / 4095,
      );
      const wanted = linearColour(look.colour);
      for (let c = 0; c < 3; c++) expect(Math.abs(mean[c] - wanted[c])).toBeLessThan(0.22);
      expect(Math.max(...one)).toBeLessThanOrEqual(4095);
      if (!['led-candle', 'canvas', 'cloth', 'glazed-ceramic'].includes(id))
        expect(renderGround({ ...look, grain: { ...PLAIN_GRAIN, angleDeg: 37, shiftXMm: 40 } }, 60, 60, 1)).not.toEqual(
          one,
        );
    },
  );

  it('grain is true to scale: rings keep their distance in millimetres at any size of pixel', () => {
    // With rings of 10 mm and no knots, light repeats across the grain about every 10 mm.
    const rings = (mmPerPx: number) => {
      const size = Math.round(200 / mmPerPx);
      const ground = renderGround(
        { surface: 'soft-wood', colour: '#ffffff', grain: { ...PLAIN_GRAIN, spacingMm: 10, knots: 0 }, coat: null },
        8,
        size,
        mmPerPx,
      );
      const column = Array.from({ length: size }, (_, y) => ground[(y * 8 + 4) * 3]);
      const mean = column.reduce((a, b) => a + b, 0) / size;
      return column.filter((value, y) => y > 0 && column[y - 1] >= mean && value < mean).length;
    };
    expect(Math.abs(rings(0.5) - 20)).toBeLessThanOrEqual(8);
    expect(Math.abs(rings(0.5) - rings(1))).toBeLessThanOrEqual(5);
  });

  it('a base coat covers them', () => {
    const look = {
      surface: 'stone' as const,
      colour: surfaceById('stone').bareColour,
      grain: PLAIN_GRAIN,
      coat: { colour: '#f4f1e8', opacity: 0.97 },
    };
    const ground = renderGround(look, 40, 40, 1);
    const wanted = linearColour('#f4f1e8');
    expect(
      Math.max(...ground.filter((_, i) => i % 3 === 0).map((light) => Math.abs(light - wanted[0] * 4095))),
    ).toBeLessThan(0.12 * 4095);
  });
});

describe('the kernel and its plain twin', () => {
  it('give the same to the bit, in colour and in grey, at any size', () => {
    const kernel = loadLayPrint();
    expect(kernel).not.toBe(layPrintPlain);
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.integer(),
        fc.boolean(),
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        (count, seed, grey, kept) => {
          let state = seed | 1;
          const next = (below: number) => {
            state = Math.imul(state, 1664525) + 1013904223;
            return (state >>> 8) % below;
          };
          const picture = Uint8ClampedArray.from({ length: count * 4 }, () => next(256));
          const under = Uint16Array.from({ length: count * 4 }, (_, i) => (i % 4 === 3 ? next(257) : next(4096)));
          const table = () =>
            Uint16Array.from({ length: 256 }, (_, level) => Math.round((1 - tonerFilter(level, kept)) * 4095));
          const tables = {
            red: table(),
            green: table(),
            blue: table(),
            face: Uint8ClampedArray.from({ length: 4096 }, (_, light) => light >> 4),
            grey: grey ? ([77, 151, 28] as const) : null,
          };
          expect(kernel(picture, under, tables)).toEqual(layPrintPlain(picture, under, tables));
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('lightness and colour', () => {
  it('knows white and black', () => {
    expect(labOf(1, 1, 1)[0]).toBeCloseTo(100, 3);
    expect(labOf(0, 0, 0)).toEqual([0, 0, 0]);
  });
});

describe('compensation', () => {
  it('changes nothing where nothing stands between print and look', () => {
    const { red } = compensation({ red: 1, green: 1, blue: 1 }, 1, { haze: 0, sheen: 0, wetsFace: false });
    for (let level = 128; level < 256; level += 13) expect(Math.abs(red[level] - level)).toBeLessThan(8);
  });

  it('is monotone on every ground', () => {
    for (const surface of SURFACES) {
      const [red, green, blue] = linearColour(surface.bareColour);
      const curves = compensation({ red, green, blue }, 0.9, stageOptics('matte'));
      for (const curve of [curves.red, curves.green, curves.blue])
        expect(curve.every((value, level) => level === 0 || value >= curve[level - 1] - 1e-9)).toBe(true);
    }
  });

  it('brings the predicted look nearer the original over the example pictures: the figure of docs/models/look.md', async () => {
    const pictures = await demoPixels(160);
    const difference = (rgba: Uint8ClampedArray, ground: readonly number[], kept: number, compensate: number) => {
      const optics = stageOptics('satin');
      const tables = toneTables(
        { ...PLAIN_TONE, compensate },
        compensation({ red: ground[0], green: ground[1], blue: ground[2] }, kept, optics),
      );
      const look = [tables.red, tables.green, tables.blue].map((table, c) =>
        Float64Array.from({ length: 256 }, (_, level) => seen(ground[c] * tonerFilter(table[level], kept), optics)),
      );
      let total = 0;
      for (let i = 0; i < rgba.length; i += 4)
        total += deltaE2000(
          labOf(look[0][rgba[i]], look[1][rgba[i + 1]], look[2][rgba[i + 2]]),
          labOf(linearLight(rgba[i]), linearLight(rgba[i + 1]), linearLight(rgba[i + 2])),
        );
      return total / (rgba.length / 4);
    };
    const grounds = (['soft-wood', 'canvas', 'painted-wood', 'glass'] as const).map((surface) => {
      const colour = surfaceById(surface).bareColour;
      const wetted = wettedShares({ surface, colour, grain: PLAIN_GRAIN, coat: null });
      return linearColour(colour).map((light, c) => light * wetted[c]);
    });
    const kept = binderById('fluid-gel').tonerKept;
    const mean = (compensate: number) => {
      const all = pictures.flatMap(({ rgba }) => grounds.map((ground) => difference(rgba, ground, kept, compensate)));
      return all.reduce((a, b) => a + b, 0) / all.length;
    };
    const [before, after] = [mean(0), mean(100)];
    expect(after).toBeLessThan(before * 0.9);
    expect(readFileSync('docs/models/look.md', 'utf8')).toContain(`from ${before.toFixed(1)} to ${after.toFixed(1)}`);
    // Drawing the example's pictures, where they are not yet, takes its time.
  }, 180_000);
});

it('every binder keeps a share of toner that makes sense', () => {
  for (const binder of BINDERS) {
    expect(binder.tonerKept).toBeGreaterThanOrEqual(0);
    expect(binder.tonerKept).toBeLessThanOrEqual(1);
  }
});
