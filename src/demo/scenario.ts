/**
 * The example: the waiting room of Wrenfold Halt, a narrow-gauge stop restored for its reopening on a Saturday about three weeks
 * off. All dates are relative to now. Pictures are drawn by scripts/draw-demo.mjs.
 */
import { addDays, format, nextSaturday } from 'date-fns';
import { newPiece, type Piece } from '@/records';

export interface DemoPicture { id: string; file: string; name: string }

export const DEMO_PICTURES: readonly DemoPicture[] = [
  { id: 'demo-picture-board', file: 'departures-board.jpg', name: 'departures-board.jpg' },
  { id: 'demo-picture-viaduct', file: 'viaduct-at-dusk.jpg', name: 'viaduct-at-dusk.jpg' },
  { id: 'demo-picture-fern', file: 'fern-plate.png', name: 'fern-plate.png' },
];

/** The waiting room in late autumn, with the stove lit. */
export const DEMO_ROOM = { temperatureC: 19, humidityPercent: 55 };

const HOUR_MS = 3_600_000;

/** Three pieces in different stages: one drying, one about to be printed, one being sealed. @param now epoch ms */
export function demoPieces(now: number): Piece[] {
  const reopening = format(nextSaturday(addDays(now, 16)), 'yyyy-MM-dd');
  const room = { ...DEMO_ROOM, air: 'still' as const, school: 'sign' as const, labelHours: null };

  const board = newPiece('demo-departures-board', 'Departures board', now - 30 * HOUR_MS);
  const drying: Piece = {
    ...board, dueOn: reopening, cure: room,
    picture: { ...board.picture, pictureId: 'demo-picture-board', lettering: 'yes' },
    surface: { ...board.surface, kind: 'soft-wood', widthMm: 360, heightMm: 240, thicknessMm: 18, prepared: ['sand', 'dust'] },
    method: { ...board.method, school: 'A', binder: 'fluid-gel', whites: 'surface-shows' },
    sheet: { ...board.sheet, margins: { topMm: 35, rightMm: 50, bottomMm: 35, leftMm: 50 }, barMeasuredMm: 100, printedAt: now - 10 * HOUR_MS },
    lay: { ...board.lay, laidAt: now - 7 * HOUR_MS, mediumUsedMl: 40 },
    keep: { ...board.keep, prices: { print: 0.4, blank: 6.5, binderBottle: { price: 14, ml: 237 }, sealerBottle: { price: 11, ml: 375 } } },
  };

  const viaduct = newPiece('demo-viaduct', 'Viaduct at dusk', now - 5 * HOUR_MS);
  const printing: Piece = {
    ...viaduct, dueOn: reopening, cure: room,
    picture: { ...viaduct.picture, pictureId: 'demo-picture-viaduct', lettering: 'no' },
    surface: { ...viaduct.surface, kind: 'canvas', widthMm: 260, heightMm: 180, thicknessMm: 18 },
    method: { ...viaduct.method, school: 'A', binder: 'heavy-gel' },
    sheet: { ...viaduct.sheet, margins: { topMm: 5, rightMm: 5, bottomMm: 5, leftMm: 5 } },
  };

  const fern = newPiece('demo-fern-marker', 'Fern platform marker', now - 75 * HOUR_MS);
  const sealing: Piece = {
    ...fern, dueOn: reopening, cure: room,
    picture: { ...fern.picture, pictureId: 'demo-picture-fern', lettering: 'no' },
    surface: { ...fern.surface, kind: 'stone', widthMm: 150, heightMm: 200, thicknessMm: 8, baseCoat: 'chalk-type-paint', baseColour: '#efeadb', prepared: ['wash-dry', 'dust', 'base-coat', 'light-sand'] },
    method: { ...fern.method, school: 'A', binder: 'fluid-gel' },
    sheet: { ...fern.sheet, barMeasuredMm: 100, printedAt: now - 55 * HOUR_MS },
    lay: { ...fern.lay, laidAt: now - 52 * HOUR_MS, mediumUsedMl: 22 },
    rub: { ...fern.rub, done: [{ at: now - 27 * HOUR_MS, minutes: 7 }, { at: now - 26 * HOUR_MS, minutes: 4 }, { at: now - 25 * HOUR_MS, minutes: 3 }] },
    mend: { done: ['haze', 'pencil'], finishedAt: now - 3 * HOUR_MS },
    seal: { ...fern.seal, use: 'handled', sheen: 'satin', coatsAt: [now - 1.2 * HOUR_MS] },
  };
  return [drying, printing, sealing];
}
