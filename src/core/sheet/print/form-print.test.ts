import { resolveBlank, ringAreaMm2, ringsAreaMm2, ringsBox, type BlankShape, type RectMm } from '@/core/shape';
import {
  PLAIN_FORM,
  asLanded,
  cutTemplate,
  formPrint,
  layoutPack,
  paperOf,
  pictureWindow,
  placementTemplate,
  sheetMarks,
  type PrintForm,
  type SheetText,
} from '@/core/sheet';
import { withDensity } from '../png-density';
import { bendFor } from '@/core/shape';
import { TRUE_PRINTER } from '@/core/at-hand';
import { SHEET_WORDS } from '@/words/sheet';

const blankOf = (shape: BlankShape, widthMm: number, heightMm: number) => {
  const made = resolveBlank(shape, { widthMm, heightMm });
  if (!made.ok) throw new Error(made.error.code);
  return made.value;
};
const form = (patch: Partial<PrintForm>): PrintForm => ({ ...PLAIN_FORM, ...patch });
const whole = (widthMm: number, heightMm: number): RectMm => ({ xMm: 0, yMm: 0, widthMm, heightMm });
const NO_MARGINS = { topMm: 0, rightMm: 0, bottomMm: 0, leftMm: 0 };
const board = blankOf({ kind: 'rectangle' }, 200, 120);

describe('a wrapped canvas', () => {
  const canvas = blankOf({ kind: 'wrapped-canvas', depthMm: 20, tuckMm: 15 }, 200, 140);
  it('prints face, sides and tuck; mirrored sides read the picture’s edge backwards', () => {
    const mirrored = form({ sides: 'mirror' });
    expect(pictureWindow(canvas, mirrored, NO_MARGINS)).toEqual(canvas.front);
    const {
      blocks: [block],
      rect,
    } = formPrint(canvas, mirrored, canvas.front, [], null);
    expect(rect).toEqual(whole(270, 210));
    expect(block.pictures).toHaveLength(9);
    const left = block.pictures.find(({ at, flipX, flipY }) => flipX && !flipY && at.xMm === 0);
    expect(left).toMatchObject({ at: { xMm: 0, yMm: 35, widthMm: 35, heightMm: 140 }, from: { xMm: 0, yMm: 0 } });
    const right = block.pictures.find(({ at, flipX, flipY }) => flipX && !flipY && at.xMm > 0);
    expect(right?.from.xMm).toBe(165);
  });
  it('keeps sides only where the picture reaches them', () => {
    const { rect } = formPrint(
      canvas,
      form({ sides: 'solid' }),
      { ...canvas.front, xMm: canvas.front.xMm + 20, widthMm: 180 },
      [],
      null,
    );
    expect(rect.xMm).toBe(canvas.front.xMm + 20);
    expect(rect.widthMm).toBe(180 + 35);
  });
  it('cuts corners out as a cross, or folds them along a crease', () => {
    const cut = formPrint(canvas, PLAIN_FORM, whole(270, 210), [], null).blocks[0];
    expect(ringAreaMm2(cut.cut?.[0] ?? [])).toBeCloseTo(270 * 210 - 4 * 35 * 35, 3);
    const folded = formPrint(canvas, form({ corners: 'fold' }), whole(270, 210), [], null).blocks[0];
    expect(folded.cut).toBeNull();
    expect(folded.folds).toHaveLength(cut.folds.length + 4);
  });
});

describe('edges', () => {
  it('are cut inside by the millimetres asked for, on all sides and round openings', () => {
    const { landed, shaped } = formPrint(
      board,
      form({ trimMm: 3 }),
      { xMm: 10, yMm: 10, widthMm: 180, heightMm: 100 },
      [],
      null,
    );
    expect(shaped).toBe(true);
    expect(ringsBox(landed)).toMatchObject({ xMm: 13, yMm: 13, widthMm: 174, heightMm: 94 });
  });
  it('leave nothing where more is cut away than there is, without falling over', () => {
    const { landed, blocks } = formPrint(board, form({ trimMm: 60 }), whole(200, 120), [], null);
    expect(landed).toEqual([]);
    expect(blocks[0].cut).toEqual([]);
  });
  it('tear within their depth, never outside, and the same each time', () => {
    const tear = () => formPrint(board, form({ edge: 'torn', tornMm: 6 }), whole(200, 120), [], null).landed;
    const [ring] = tear();
    expect(tear()).toEqual(tear());
    expect(ring.length).toBeGreaterThan(200);
    const edge = ring.map(({ xMm, yMm }) => Math.min(xMm, yMm, 200 - xMm, 120 - yMm));
    expect(Math.min(...edge)).toBeGreaterThan(0.3);
    expect(Math.max(...edge)).toBeLessThan(6.01);
  });
  it('run round a motif at a distance, and stay on the blank', () => {
    const square = [
      { x: 0.25, y: 0.25 },
      { x: 0.75, y: 0.25 },
      { x: 0.75, y: 0.75 },
      { x: 0.25, y: 0.75 },
    ];
    const { landed } = formPrint(board, form({ edge: 'motif', motifMm: 4 }), whole(200, 120), [], [square]);
    expect(ringsBox(landed)).toMatchObject({ xMm: 46, yMm: 26, widthMm: 108, heightMm: 68 });
    // Rounded corners: a square grown by a disc.
    expect(ringsAreaMm2(landed)).toBeCloseTo(100 * 60 + 2 * 4 * (100 + 60) + Math.PI * 16, 0);
  });
});

describe('all the way round', () => {
  it('a cylinder’s print laps over its own beginning, and lands without the lap', () => {
    const jar = blankOf({ kind: 'cylinder', shareOfRound: 1 }, 80, 100);
    const formed = formPrint(jar, form({ seamMm: 5 }), whole(jar.widthMm, 100), [], null);
    expect(formed.blocks[0].widthMm).toBeCloseTo(jar.widthMm + 5, 6);
    expect(formed.blocks[0].pictures[1]).toMatchObject({ at: { widthMm: 5 }, from: { xMm: 0 }, lap: true });
    expect(asLanded(formed)[0].pictures).toHaveLength(1);
    expect(formed.rect.widthMm).toBeCloseTo(jar.widthMm, 6);
  });
  it('a vessel’s fan has its own trim line with a glue edge', () => {
    const pot = blankOf({ kind: 'vessel', bottomMm: 90, shareOfRound: 1 }, 120, 80);
    const bend = bendFor(pot);
    if (!bend) throw new Error('no bend');
    const bare = formPrint(pot, form({ seamMm: 0 }), whole(bend.plane.widthMm, 80), [], null);
    const glued = formPrint(pot, form({ seamMm: 6 }), whole(bend.plane.widthMm, 80), [], null);
    expect(ringsAreaMm2(bare.blocks[0].cut ?? [])).toBeCloseTo(pot.areaMm2, -1);
    expect(ringsAreaMm2(glued.blocks[0].cut ?? []) - ringsAreaMm2(bare.blocks[0].cut ?? [])).toBeCloseTo(6 * 80, -1);
    expect(glued.blocks[0].folds).toHaveLength(1);
  });
});

describe('each front its own picture', () => {
  it('makes a block for each, with its own knob and its own letters', () => {
    const drawers = blankOf({ kind: 'drawer-row', count: 3, gapMm: 10, knobs: 1, knobMm: 20 }, 320, 80);
    expect(pictureWindow(drawers, form({ parts: 'each' }), NO_MARGINS)).toMatchObject({ widthMm: 100, heightMm: 80 });
    const { blocks, rect } = formPrint(
      drawers,
      form({ parts: 'each' }),
      whole(100, 80),
      [{ xMm: 130, yMm: 10, widthMm: 40, heightMm: 10 }],
      null,
    );
    expect(blocks.map(({ part, pictures, views }) => [part, pictures[0].face.xMm, views[0].face.xMm])).toEqual([
      [0, 0, 0],
      [1, 110, 110],
      [2, 220, 220],
    ]);
    expect(blocks.every(({ cut }) => cut?.length === 2)).toBe(true);
    expect(rect.widthMm).toBeCloseTo(320, 6);
  });
});

describe('marks and templates', () => {
  const words = (unitSystem: 'metric' | 'inch', edge: 'cut' | 'torn' | 'fade', mirrored = true) => {
    const pack = layoutPack(
      [{ widthMm: 120, heightMm: 80 }],
      { paper: paperOf('a4', { widthMm: 1, heightMm: 1 }), orientation: 'auto', overlapMm: 10, marginMm: 5 },
      2,
    );
    if (!pack.ok) throw new Error(pack.error.code);
    const text: SheetText = {
      title: 'Sign',
      unitSystem,
      mirrored,
      printKind: 'laser-plain',
      createdAt: new Date(0),
      prints: [
        {
          name: 'Sign',
          cut:
            edge === 'torn'
              ? [
                  [
                    { xMm: 1, yMm: 1 },
                    { xMm: 9, yMm: 1 },
                    { xMm: 9, yMm: 9 },
                  ],
                ]
              : null,
          folds: [],
          edge,
        },
      ],
    };
    return sheetMarks(pack.value.pages[0], {
      pack: pack.value,
      text,
      truth: TRUE_PRINTER,
      words: SHEET_WORDS,
    }).flatMap((mark) => (mark.kind === 'words' ? [mark] : []));
  };
  it('speak the crafter’s unit, name the edge, count copies, say which edge is up, and read true from the back', () => {
    const metric = words('metric', 'torn');
    const said = metric.map((mark) => mark.words).join(' | ');
    expect(said).toContain('This bar measures 100 mm');
    expect(said).toContain('Tear along the red line');
    expect(said).toContain('12 × 8 cm · 2 of 2');
    expect(said).toContain('UP');
    expect(metric.find((mark) => mark.words.startsWith('Sign ·'))?.mirrored).toBe(true);
    expect(
      words('inch', 'cut')
        .map((mark) => mark.words)
        .join(' '),
    ).toContain('This bar measures 4 in');
    expect(
      words('metric', 'fade', false)
        .map((mark) => mark.words)
        .join(' '),
    ).toMatch(/The edge runs out.*NOT MIRRORED ON PURPOSE/);
  });
  it('templates are full size, with centre lines and openings, and harmless names', () => {
    const panel = blankOf({ kind: 'panel', openings: [{ kind: 'hole', xMm: 50, yMm: 60, diameterMm: 30 }] }, 200, 120);
    const formed = formPrint(panel, PLAIN_FORM, { xMm: 20, yMm: 10, widthMm: 160, heightMm: 100 }, [], null);
    const mask = placementTemplate(SHEET_WORDS, '<b>Door</b>', panel, formed, 'metric');
    expect(mask).toContain('width="220mm" height="140mm" viewBox="-10 -10 220 140"');
    expect(mask).toContain('20 mm from the left');
    expect(mask.match(/stroke-dasharray/g)?.length).toBe(4);
    expect(mask).not.toContain('<b>');
    const cut = cutTemplate(SHEET_WORDS.cutLines('Door'), formed.blocks[0], true);
    expect(cut).toContain('translate(160 0) scale(-1 1)');
    expect(cut.match(/M/g)?.length).toBeGreaterThanOrEqual(2);
  });
  it('a page’s picture knows its density', () => {
    const png = Uint8Array.from(
      Buffer.from(
        'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
        'base64',
      ),
    );
    const dense = Buffer.from(withDensity(png, 300));
    const at = dense.indexOf('pHYs');
    expect(at).toBe(37);
    expect(dense.readUInt32BE(at + 4)).toBe(11811);
    expect(dense.length).toBe(png.length + 21);
  });
});
