import { BINDERS, SCHOOLS, SURFACES } from '@/core/craft';
import { applicableRepairs, type RepairContext, type RepairStage } from './index';

const ORDER: readonly RepairStage[] = ['look', 'sand', 'repaint', 'trace', 'finish'];
const every = (patch: Partial<RepairContext> = {}): RepairContext[] =>
  SCHOOLS.flatMap((school) =>
    BINDERS.flatMap((binder) =>
      SURFACES.map((surface) => ({
        ...{ school, binder, surface, printFillsBlank: false, bareSidesMm: null, wrapped: false },
        ...{ bareWood: false, traced: false, chosen: [], coated: false },
        ...patch,
      })),
    ),
  );
const idsOf = (context: RepairContext) => applicableRepairs(context).map(({ id }) => id);
const named = ({ school, binder, surface }: RepairContext) =>
  [(school as { id?: string }).id, binder.id, surface.id].join(' ');

describe('repairs of every school, binder and surface', () => {
  it('what is a matter of taste is offered, and is work only once it is chosen', () => {
    const TASTE = ['fade-edge', 'distress', 'grain-tint', 'rim', 'sides', 'stain', 'antique'];
    for (const context of every({ bareWood: true, bareSidesMm: 30 })) {
      const liked = applicableRepairs(context).filter(({ id }) => TASTE.includes(id));
      expect(liked.every(({ when }) => when === 'if-liked')).toBe(true);
      const chosen = applicableRepairs({ ...context, chosen: ['distress', 'stain', 'pencil'] });
      for (const { id, when } of chosen)
        expect([named(context), id, when === 'chosen']).toEqual([
          named(context),
          id,
          ['distress', 'stain'].includes(id),
        ]);
    }
  });

  it('come in the order of mending, each once', () => {
    for (const context of every({ traced: true, wrapped: true, bareWood: true, bareSidesMm: 30 })) {
      const repairs = applicableRepairs(context);
      const stages = repairs.map(({ stage }) => ORDER.indexOf(stage));
      expect({ of: named(context), stages }).toEqual({ of: named(context), stages: [...stages].sort((a, b) => a - b) });
      expect(new Set(repairs.map(({ id }) => id)).size).toBe(repairs.length);
    }
  });

  it('cloth is never sanded and never has pencil on it', () => {
    for (const context of every().filter(({ surface }) => surface.laundered)) {
      const repairs = applicableRepairs(context);
      expect({ of: named(context), sanded: repairs.filter(({ stage }) => stage === 'sand') }).toEqual({
        of: named(context),
        sanded: [],
      });
      expect(repairs.some(({ id }) => id === 'pencil')).toBe(false);
    }
  });

  it('haze is looked for where paper was rubbed off, and nowhere else', () => {
    for (const context of every()) {
      const repairs = idsOf(context);
      if (repairs.length === 0) continue;
      expect({ of: named(context), haze: repairs.includes('haze') }).toEqual({
        of: named(context),
        haze: context.school.leavesFibres,
      });
    }
  });

  it('a print that fills its blank has no rim; sides are painted only where they are thick enough to be seen', () => {
    for (const context of every({ printFillsBlank: true, bareSidesMm: 3 })) {
      expect(idsOf(context)).not.toContain('rim');
      expect(idsOf(context)).not.toContain('sides');
    }
    expect(every({ bareSidesMm: 18 }).some((context) => idsOf(context).includes('sides'))).toBe(true);
  });

  it('what is traced is traced before the last things, what is not never', () => {
    for (const context of every({ traced: true })) {
      const repairs = applicableRepairs(context);
      if (repairs.length > 0) expect(repairs.some(({ id }) => id === 'trace')).toBe(true);
    }
    expect(every().some((context) => idsOf(context).includes('trace'))).toBe(false);
  });

  it('stain is for bare wood alone', () => {
    expect(every().some((context) => idsOf(context).includes('stain'))).toBe(false);
    expect(every({ bareWood: true }).some((context) => idsOf(context).includes('stain'))).toBe(true);
  });
});
