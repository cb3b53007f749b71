import { NOTHING_SAID } from '@/core/at-hand';
import { applyPatch, fewerPages, type JobPatch } from '@/core/stations';
import type { Piece } from '@/records';
import fc from '@/testing/properties';
import { NOW, PICTURE, readyPiece } from '@/testing/builders';
import { planPiece } from './index';

const of = (patch: JobPatch, job: Piece = readyPiece()) => {
  const piece = applyPatch<Piece>(job, patch);
  const plan = planPiece(piece, PICTURE, NOW);
  const pages = plan.sheet.pack?.ok ? plan.sheet.pack.value.pages.length : NaN;
  return { piece, pages, offer: fewerPages(piece, plan, NOTHING_SAID) };
};
const sized = (widthMm: number, heightMm: number, ratio: Piece['picture']['ratio']): JobPatch => ({
  surface: { widthMm, heightMm },
  picture: { ratio },
  sheet: { paper: 'letter' },
});

describe('fewer pages for a little less', () => {
  it('what is pressed takes as many pages as it said, whatever shape the crop has', () => {
    let offered = 0;
    const size = fc.integer({ min: 200, max: 640 });
    fc.assert(
      fc.property(size, size, fc.constantFrom('blank' as const, '3:2' as const), (widthMm, heightMm, ratio) => {
        const { piece, pages, offer } = of(sized(widthMm, heightMm, ratio));
        if (!offer) return;
        offered++;
        const after = of({ sheet: { margins: offer.margins } }, piece);
        expect(offer.pages).toBeLessThan(pages);
        expect(after.pages).toBeLessThanOrEqual(offer.pages);
      }),
      { numRuns: 60 },
    );
    expect(offered).toBeGreaterThan(5);
  });

  it('one page comes first where it is within reach', () => {
    const { pages, offer } = of(sized(300, 200, 'blank'));
    expect(pages).toBeGreaterThan(1);
    expect(offer?.pages).toBe(1);
  });

  it('nothing is offered of what fits, of what no margin helps, or where nothing is measured', () => {
    expect(of(sized(150, 150, 'blank')).offer).toBeNull();
    expect(of({ surface: { widthMm: null } }).offer).toBeNull();
    expect(
      of({
        surface: {
          kind: 'canvas',
          shape: { kind: 'wrapped-canvas', depthMm: 18, tuckMm: 20 },
          widthMm: 300,
          heightMm: 280,
        },
      }).offer,
    ).toBeNull();
  });
});
