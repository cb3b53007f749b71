import { planPiece } from '@/core/plan';
import type { Optics } from '@/core/render';
import { applyPatch, type JobPatch } from '@/core/stations';
import type { StoredPicture } from '@/records';
import { NOW, PICTURE, readyPiece, storedPicture } from '@/testing/builders';
import { landingOrder, printOrder, type LookInput } from './order';

const picture: StoredPicture = { ...storedPicture('picture-1'), ...PICTURE };
const optics = { haze: 0.1 } as unknown as Optics;
function input(patch: JobPatch = {}, more: Partial<LookInput> = {}): LookInput {
  const job = applyPatch(readyPiece(), patch);
  const plan = planPiece(job, PICTURE, NOW);
  return { job, plan, picture, layers: [], tone: job.picture.tone, optics, pxPerMm: 1, ...more };
}

describe('a piece as it lands, for the worker that draws', () => {
  it('shows the print where it lies, on the whole face', () => {
    const of = input();
    const order = landingOrder(of, true)!;
    expect(order.face).toEqual({ widthMm: 240, heightMm: 180 });
    expect(order.print).toEqual(of.plan.surface.print!.rect);
    expect(order.picture).toMatchObject({ id: 'picture-1', landed: null, crop: of.plan.surface.print!.crop });
    expect(order.opaqueWhite).toBeNull();
  });

  it('is as dense as the screen wants, never over six tenths of a megapixel', () => {
    const dense = landingOrder(input({}, { pxPerMm: 1 }), true)!;
    expect(dense.pxPerMm).toBe(1);
    for (const [widthMm, heightMm] of [
      [3000, 3000],
      [2400, 20],
      [10, 10],
    ]) {
      const order = landingOrder(input({ surface: { widthMm, heightMm } }, { pxPerMm: 40 }), true);
      if (!order) continue;
      const { face, pxPerMm } = order;
      expect(face.widthMm * face.heightMm * pxPerMm ** 2).toBeLessThanOrEqual(0.6e6 + 1);
      expect(pxPerMm).toBeGreaterThan(0);
    }
  });

  it('the bare blank has no print; a picture that is still read is waited for; nothing without a size', () => {
    expect(landingOrder(input(), false)).toMatchObject({ print: null, picture: null, optics });
    expect(landingOrder(input({}, { picture: null }), true)).toBeNull();
    expect(landingOrder(input({}, { picture: null }), false)).not.toBeNull();
    const without = input({ picture: { pictureId: null } }, { picture: null });
    expect(landingOrder(without, true)).toMatchObject({ print: null, picture: null });
    expect(landingOrder(input({ surface: { widthMm: null } }), true)).toBeNull();
  });

  it('white under a clear binder is the ground’s, under an opaque medium its own', () => {
    const opaque = input({
      surface: { kind: 'cloth', finish: 'bare', baseCoat: 'none' },
      method: { school: 'opaque-base', binder: 'opaque-medium' },
    });
    expect(opaque.plan.method.binder?.base).toBe('white');
    expect(landingOrder(opaque, true)!.opaqueWhite).not.toBeNull();
    expect(landingOrder(opaque, false)!.opaqueWhite).toBeNull();
  });

  it('a shape that is cut out comes with its outline', () => {
    const torn = { ...readyPiece().sheet.form, edge: 'torn' as const, tornMm: 6 };
    expect(landingOrder(input({ sheet: { form: torn } }), true)!.picture!.landed).toMatch(/^M.*Z$/i);
  });

  it('the colour of the sides is the word a canvas has for it', () => {
    const form = { ...readyPiece().sheet.form, sideColour: '#102030' };
    expect(landingOrder(input({ sheet: { form } }), true)!.picture!.sideColour).toBe(0xff302010);
  });
});

describe('one block of the print alone', () => {
  it('is its own size, bare, without what the surface does to it', () => {
    const of = input();
    const block = of.plan.surface.print!.formed.blocks[0];
    const order = printOrder(of, block)!;
    expect(order.face).toEqual({ widthMm: block.widthMm, heightMm: block.heightMm });
    expect(order).toMatchObject({ look: null, kept: 1, worn: 0, opaqueWhite: null, picture: { landed: null } });
    expect(order.picture!.blocks).toHaveLength(1);
  });

  it('is nothing without its picture', () => {
    const of = input();
    expect(printOrder({ ...of, picture: null }, of.plan.surface.print!.formed.blocks[0])).toBeNull();
  });
});
