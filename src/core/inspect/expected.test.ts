import { planPiece } from '@/core/plan';
import { demoPieces } from '@/demo/scenario';
import { NOW, PICTURE } from '@/testing/builders';
import { expectedBlank } from './index';

const blankOf = (id: string) => {
  const piece = demoPieces(NOW).find((one) => one.id === id)!;
  const plan = planPiece(piece, PICTURE, NOW);
  return { plan, blank: expectedBlank(plan) };
};

it('a flat board is read with its bare rim', () => {
  const { blank } = blankOf('demo-departures-board');
  expect(blank).toMatchObject({ ok: true });
  expect(blank.ok && blank.value.margin?.leftMm).toBeGreaterThan(5);
});

it('of a wrapped canvas its front is read, without sides and tuck', () => {
  const { plan, blank } = blankOf('demo-viaduct');
  const { front } = plan.surface.blank!;
  expect(blank.ok && blank.value.box).toEqual(front);
  expect(blank.ok && blank.value.margin).toEqual({ leftMm: 0, topMm: 0, rightMm: 0, bottomMm: 0 });
});

it('parts side by side are read as they lie, without an outline to hold on to', () => {
  for (const id of ['demo-route-map', 'demo-ticket-drawers']) {
    const { blank } = blankOf(id);
    expect(blank).toMatchObject({ ok: true });
  }
  const { blank } = blankOf('demo-route-map');
  expect(blank.ok && blank.value.margin).toBeNull();
});

it('a vessel is refused: one photo shows a part of it', () =>
  expect(blankOf('demo-crest-bucket').blank).toMatchObject({ ok: false, error: { code: 'piece-not-flat' } }));
