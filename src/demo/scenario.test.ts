import { existsSync } from 'node:fs';
import { MS_PER_DAY } from '@/core/shared';
import { join } from 'node:path';
import { execFileSync } from 'node:child_process';
import { missingAt, planPiece } from '@/core/plan';
import { checkPiece, readAgenda, readStash } from '@/records';
import { NOW, PICTURE } from '@/testing/builders';
import { DEMO_AGENDA, DEMO_PICTURES, demoPieces, demoStash } from './scenario';

describe('the example', () => {
  it('is valid, with a picture drawn for each piece, whatever day it is', () => {
    execFileSync(process.execPath, [join(process.cwd(), 'scripts', 'draw-demo.mjs')]);
    for (const { file } of DEMO_PICTURES) expect(existsSync(join(process.cwd(), 'public', 'demo', file))).toBe(true);
    for (let day = 0; day < 8; day++) {
      const pieces = demoPieces(NOW + day * MS_PER_DAY);
      for (const piece of pieces) {
        expect(checkPiece(piece)).toMatchObject({ ok: true });
        expect(DEMO_PICTURES.some(({ id }) => id === piece.picture.pictureId)).toBe(true);
        const due = new Date(`${piece.dueOn}T12:00:00`);
        expect(due.getDay()).toBe(6);
        expect((due.getTime() - NOW) / MS_PER_DAY - day).toBeGreaterThan(15);
      }
    }
    expect(readStash(demoStash(NOW))).toEqual({ ok: true, value: demoStash(NOW) });
    expect(readAgenda(DEMO_AGENDA)).toEqual({ ok: true, value: DEMO_AGENDA });
  });
  it('has pieces on every class of surface that the craft moves prints to at home, none refused', () => {
    const plans = demoPieces(NOW).map((piece) => ({ piece, plan: planPiece(piece, PICTURE, NOW) }));
    expect(new Set(plans.map(({ plan }) => plan.surface.record?.class))).toEqual(
      new Set(['wood', 'fabric', 'mineral', 'smooth', 'painted']),
    );
    for (const { piece, plan } of plans)
      expect(missingAt('method', piece, plan).map(({ code }) => code)).not.toContain('method-refused');
  });
});
