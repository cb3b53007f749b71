import { planPiece, nextStep } from '@/core/plan';
import type { PlannedPiece } from '@/features/plans';
import { demoPieces } from '@/demo/scenario';
import { NOW, PICTURE } from '@/testing/builders';
import { NOTHING_SOUGHT, isSought, type Sought } from './sought';

const planned = demoPieces(NOW).map((piece): PlannedPiece => {
  const plan = planPiece(piece, PICTURE, NOW);
  return { piece, picture: PICTURE, plan, next: nextStep(piece, plan, NOW) } as PlannedPiece;
});
const found = (patch: Partial<Sought>, away: readonly string[] = []) =>
  planned
    .filter((one) => isSought(one, { ...NOTHING_SOUGHT, ...patch }, new Set(away), NOW))
    .map(({ piece }) => piece.id);

describe('looking for a piece', () => {
  it('nothing sought is everything that is not put away', () => {
    expect(found({})).toHaveLength(planned.length);
    expect(found({}, ['demo-viaduct'])).not.toContain('demo-viaduct');
    expect(found({ shelf: 'away' }, ['demo-viaduct'])).toEqual(['demo-viaduct']);
  });

  it('every word must stand somewhere: name, material, lettering, in any case and order', () => {
    expect(found({ text: 'BUCKET crest' })).toEqual(['demo-crest-bucket']);
    expect(found({ text: 'bucket viaduct' })).toEqual([]);
    expect(found({ text: '  metal ' })).toContain('demo-crest-bucket');
    // What is typed is no pattern.
    expect(found({ text: '(.*' })).toEqual([]);
  });

  it('by surface, binder, stage and date', () => {
    const [bucket] = planned.filter(({ piece }) => piece.id === 'demo-crest-bucket');
    expect(found({ surface: bucket.piece.surface.kind })).toContain('demo-crest-bucket');
    for (const { plan, next, piece } of planned) {
      if (plan.method.binder) expect(found({ binder: plan.method.binder.id })).toContain(piece.id);
      expect(found({ station: next.code === 'finished' ? 'finished' : next.station })).toContain(piece.id);
    }
    const dated = planned.filter(({ piece }) => piece.dueOn !== null).length;
    expect(found({ due: 'none' })).toHaveLength(planned.length - dated);
    expect([...found({ due: 'late' }), ...found({ due: 'month' })].length).toBeLessThanOrEqual(dated);
  });
});
