import { TRUE_PRINTER } from '@/core/at-hand';
import { planPiece } from '@/core/plan';
import { layoutPack, paperOf } from '@/core/sheet';
import { applyPatch, type JobPatch } from '@/core/stations';
import type { Piece } from '@/records';
import { NOW, PICTURE, readyPiece } from '@/testing/builders';
import { sheetOrder, sheetText, tracingOrder, type SheetItem } from './order';

const file = (name: string) => new Blob([name]);
function item(patch: JobPatch = {}, of: Partial<Piece> = {}, picture: SheetItem['picture'] | undefined = undefined) {
  const job = applyPatch(readyPiece(of), patch);
  const plan = planPiece(job, PICTURE, NOW);
  const own = picture === undefined ? { id: job.picture.pictureId ?? 'none', file: file(job.id) } : picture;
  return { job, plan, picture: own, layers: [] } satisfies SheetItem;
}
const pack = () => {
  const made = layoutPack([{ widthMm: 100, heightMm: 80 }], {
    paper: paperOf('a4', { widthMm: 210, heightMm: 297 }),
    orientation: 'auto',
    overlapMm: 10,
    marginMm: 5,
  });
  if (!made.ok) throw new Error(made.error.code);
  return made.value;
};
const orderOf = (items: readonly SheetItem[]) =>
  sheetOrder(items, pack(), TRUE_PRINTER, sheetText(items, 'Sheets', 'metric', NOW));
const drawers: JobPatch = {
  surface: { shape: { kind: 'drawer-row', count: 3, gapMm: 4, knobs: 0, knobMm: 30 } },
  sheet: { form: { ...readyPiece().sheet.form, parts: 'each' } },
};

describe('the order for a sheet', () => {
  it('of one piece is one print of its picture, mirrored, in the tones that the way needs', () => {
    const one = item();
    const order = orderOf([one]);
    expect(order.sources).toEqual([one.picture?.file]);
    expect(order.mirrored).toBe(true);
    expect(order.prints).toHaveLength(1);
    expect(order.prints[0]).toMatchObject({
      picture: { source: 0, crop: one.plan.surface.print!.crop, place: one.plan.surface.print!.picture },
    });
    expect(order.text.prints.map(({ name }) => name)).toEqual(['Route map']);
  });

  it('of several takes each picture once, and each print from its own', () => {
    const [map, again] = [item({}, { id: 'a' }), item({}, { id: 'b' })];
    const other = item({}, { id: 'c', picture: { ...readyPiece().picture, pictureId: 'other' } });
    const order = orderOf([map, other, again]);
    expect(order.sources).toHaveLength(2);
    expect(order.prints.map(({ picture }) => picture?.source)).toEqual([0, 1, 0]);
  });

  it('of a piece in parts is a print for each, numbered by its name', () => {
    const parted = item(drawers, { name: 'Bench' });
    const blocks = parted.plan.surface.print!.formed.blocks;
    expect(blocks.length).toBeGreaterThan(1);
    const { prints, text } = orderOf([parted]);
    expect(prints).toHaveLength(blocks.length);
    expect(text.prints.map(({ name }) => name)).toEqual(blocks.map((_, at) => `Bench ${at + 1} of ${blocks.length}`));
  });

  it('of a piece without a size is no print at all', () => {
    expect(orderOf([item({ surface: { widthMm: null } })]).prints).toEqual([]);
    expect(orderOf([])).toMatchObject({ sources: [], prints: [], text: { prints: [] } });
  });

  it('of a picture that is gone says so: a print without one', () => {
    const order = orderOf([item({}, {}, null)]);
    expect(order.sources).toEqual([]);
    expect(order.prints).toMatchObject([{ picture: null }]);
  });

  it('is the right way round as soon as one of the pieces is', () => {
    const traced = item({ method: { school: 'trace', binder: 'none' }, picture: { lettering: 'yes' } }, { id: 't' });
    expect(traced.plan.method.mirrored).toBe(false);
    expect(orderOf([item(), traced]).mirrored).toBe(false);
    expect(orderOf([traced]).mirrored).toBe(false);
  });

  it('a print that fades out has no hard edge to cut along, unless another edge was chosen', () => {
    const tone = { ...readyPiece().picture.tone, fade: 'even' as never, fadeMm: 8 };
    const edgeOf = (patch: JobPatch) => sheetText([item(patch)], '', 'metric', NOW).prints[0]?.edge;
    expect(edgeOf({})).toBe('cut');
    expect(edgeOf({ picture: { tone } })).toBe('fade');
    const form = { ...readyPiece().sheet.form, edge: 'torn' as never };
    expect(edgeOf({ picture: { tone }, sheet: { form } })).toBe('torn');
  });

  it('of what is traced has layers alone, the right way round', () => {
    const block = item().plan.surface.print!.formed.blocks[0];
    const order = tracingOrder(block, [], pack(), TRUE_PRINTER, sheetText([item()], 'Trace', 'inch', NOW));
    expect(order).toMatchObject({ sources: [], mirrored: false, prints: [{ picture: null, layers: [] }] });
  });
});
