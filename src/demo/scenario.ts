/**
 * The example: the waiting room of Wrenfold Halt, a narrow-gauge stop restored for its reopening on a Saturday about
 * three weeks off. All dates are relative to now. Pictures are drawn by scripts/draw-demo.mjs.
 */
import { addDays, format, nextSaturday } from 'date-fns';
import { MS_PER_DAY, MS_PER_HOUR } from '@/core/shared';
import { EMPTY_AGENDA, EMPTY_STASH, newItem, newPiece, type Agenda, type Piece, type Stash } from '@/records';

export interface DemoPicture {
  id: string;
  file: string;
  name: string;
}

export const DEMO_PICTURES: readonly DemoPicture[] = [
  { id: 'demo-picture-board', file: 'departures-board.jpg', name: 'departures-board.jpg' },
  { id: 'demo-picture-viaduct', file: 'viaduct-at-dusk.jpg', name: 'viaduct-at-dusk.jpg' },
  { id: 'demo-picture-fern', file: 'fern-plate.png', name: 'fern-plate.png' },
  { id: 'demo-picture-map', file: 'route-map.jpg', name: 'route-map.jpg' },
  { id: 'demo-picture-crest', file: 'crest.png', name: 'crest.png' },
  { id: 'demo-picture-tickets', file: 'tickets.jpg', name: 'tickets.jpg' },
  { id: 'demo-picture-cushion', file: 'cushion.jpg', name: 'cushion.jpg' },
  { id: 'demo-picture-tea', file: 'tea-label.png', name: 'tea-label.png' },
];

/** The waiting room in late autumn, with the stove lit. */
export const DEMO_ROOM = { temperatureC: 19, humidityPercent: 55 };

const NO_MARGINS = { topMm: 0, rightMm: 0, bottomMm: 0, leftMm: 0 };

/**
 * Eight pieces in different stages and shapes: one drying, one being sealed, one about to be printed, the others being
 * planned. @param now epoch ms
 */
export function demoPieces(now: number): Piece[] {
  const reopening = format(nextSaturday(addDays(now, 16)), 'yyyy-MM-dd');
  const room: Piece['cure'] = {
    ...DEMO_ROOM,
    air: 'still',
    waitBy: 'sign',
    labelHours: null,
    cover: 'open',
    oven: null,
    through: 'room',
    signs: [],
  };

  const board = newPiece('demo-departures-board', 'Departures board', now - 30 * MS_PER_HOUR);
  const drying: Piece = {
    ...board,
    dueOn: reopening,
    cure: room,
    picture: { ...board.picture, pictureId: 'demo-picture-board', lettering: 'yes' },
    surface: {
      ...board.surface,
      kind: 'soft-wood',
      widthMm: 360,
      heightMm: 240,
      thicknessMm: 18,
      prepared: ['sand', 'dust'],
    },
    method: { ...board.method, school: 'dry-and-rub', binder: 'fluid-gel', whites: 'surface-shows' },
    sheet: {
      ...board.sheet,
      margins: { topMm: 35, rightMm: 50, bottomMm: 35, leftMm: 50 },
      barMeasuredMm: 100,
      printedAt: now - 10 * MS_PER_HOUR,
    },
    lay: { ...board.lay, laidAt: now - 7 * MS_PER_HOUR, mediumUsedMl: 40 },
    keep: {
      ...board.keep,
      prices: {
        print: 0.4,
        blank: 6.5,
        binderBottle: { price: 14, ml: 237 },
        sealerBottle: { price: 11, ml: 375 },
        paintTin: { price: 9, ml: 250 },
      },
    },
  };

  const viaduct = newPiece('demo-viaduct', 'Viaduct at dusk', now - 5 * MS_PER_HOUR);
  const printing: Piece = {
    ...viaduct,
    dueOn: reopening,
    cure: room,
    picture: { ...viaduct.picture, pictureId: 'demo-picture-viaduct', lettering: 'no' },
    surface: {
      ...viaduct.surface,
      kind: 'canvas',
      widthMm: 200,
      heightMm: 140,
      thicknessMm: 14,
      shape: { kind: 'wrapped-canvas', depthMm: 14, tuckMm: 12 },
    },
    method: { ...viaduct.method, school: 'dry-and-rub', binder: 'heavy-gel' },
    sheet: { ...viaduct.sheet, margins: NO_MARGINS },
  };

  const fern = newPiece('demo-fern-marker', 'Fern platform marker', now - 75 * MS_PER_HOUR);
  const sealing: Piece = {
    ...fern,
    dueOn: reopening,
    cure: room,
    picture: { ...fern.picture, pictureId: 'demo-picture-fern', lettering: 'no' },
    surface: {
      ...fern.surface,
      kind: 'stone',
      widthMm: 150,
      heightMm: 200,
      thicknessMm: 8,
      baseCoat: 'chalk-type-paint',
      baseColour: '#efeadb',
      prepared: ['wash-dry', 'dust', 'base-coat', 'light-sand'],
    },
    method: { ...fern.method, school: 'dry-and-rub', binder: 'fluid-gel' },
    sheet: { ...fern.sheet, barMeasuredMm: 100, printedAt: now - 55 * MS_PER_HOUR },
    lay: { ...fern.lay, laidAt: now - 52 * MS_PER_HOUR, mediumUsedMl: 22 },
    rub: {
      ...fern.rub,
      done: [
        { at: now - 27 * MS_PER_HOUR, minutes: 7 },
        { at: now - 26 * MS_PER_HOUR, minutes: 4 },
        { at: now - 25 * MS_PER_HOUR, minutes: 3 },
      ],
    },
    mend: { ...fern.mend, done: ['haze', 'pencil'], finishedAt: now - 3 * MS_PER_HOUR },
    seal: { ...fern.seal, use: 'handled', sheen: 'satin', coatsAt: [now - 1.2 * MS_PER_HOUR] },
  };
  const map = newPiece('demo-route-map', 'Route map', now - 4 * MS_PER_HOUR);
  const planning: Piece = {
    ...map,
    dueOn: reopening,
    cure: room,
    picture: { ...map.picture, pictureId: 'demo-picture-map', lettering: 'yes' },
    surface: {
      ...map.surface,
      kind: 'soft-wood',
      widthMm: 424,
      heightMm: 240,
      thicknessMm: 12,
      bareColour: '#d9ae86',
      shape: { kind: 'slats', count: 5, gapMm: 6, run: 'horizontal' },
      grain: { ...map.surface.grain, spacingMm: 4.5, knots: 2, seed: 12 },
    },
    sheet: { ...map.sheet, margins: NO_MARGINS },
  };

  const bucket = newPiece('demo-crest-bucket', 'Crest bucket', now - 3 * MS_PER_HOUR);
  const painting: Piece = {
    ...bucket,
    dueOn: reopening,
    cure: room,
    picture: { ...bucket.picture, pictureId: 'demo-picture-crest', lettering: 'yes', ratio: 'free' },
    surface: {
      ...bucket.surface,
      kind: 'metal',
      widthMm: 220,
      heightMm: 190,
      shape: { kind: 'vessel', bottomMm: 160, shareOfRound: 0.5 },
      baseCoat: 'chalk-type-paint',
      baseColour: '#e9e4d2',
    },
    method: { ...bucket.method, school: 'dry-and-rub', binder: 'fluid-gel' },
    sheet: { ...bucket.sheet, margins: { topMm: 45, rightMm: 60, bottomMm: 40, leftMm: 60 } },
  };

  const drawers = newPiece('demo-ticket-drawers', 'Ticket-desk drawers', now - 2 * MS_PER_HOUR);
  const measuring: Piece = {
    ...drawers,
    dueOn: reopening,
    cure: room,
    picture: { ...drawers.picture, pictureId: 'demo-picture-tickets', lettering: null },
    surface: {
      ...drawers.surface,
      kind: 'painted-wood',
      widthMm: 540,
      heightMm: 130,
      thicknessMm: 20,
      finish: 'matte-paint',
      baseColour: '#e8e2d0',
      shape: { kind: 'drawer-row', count: 3, gapMm: 14, knobs: 1, knobMm: 28 },
    },
    sheet: { ...drawers.sheet, margins: { topMm: 6, rightMm: 0, bottomMm: 6, leftMm: 0 } },
  };

  const cushions = newPiece('demo-bench-cushions', 'Bench cushions', now - 1.5 * MS_PER_HOUR);
  const sewing: Piece = {
    ...cushions,
    dueOn: reopening,
    cure: room,
    picture: { ...cushions.picture, pictureId: 'demo-picture-cushion', lettering: 'yes' },
    surface: {
      ...cushions.surface,
      kind: 'cloth',
      widthMm: 300,
      heightMm: 300,
      bareColour: '#c9c2ae',
      prepared: ['prewash'],
    },
    method: { ...cushions.method, school: 'opaque-base', binder: 'opaque-medium', whites: 'stay-white' },
    sheet: { ...cushions.sheet, margins: { topMm: 55, rightMm: 55, bottomMm: 55, leftMm: 55 }, copies: 2 },
    seal: { ...cushions.seal, use: 'cloth', sealer: 'none' },
  };

  const tea = newPiece('demo-tea-canisters', 'Tea canister labels', now - 1 * MS_PER_HOUR);
  const labelling: Piece = {
    ...tea,
    dueOn: reopening,
    cure: room,
    picture: { ...tea.picture, pictureId: 'demo-picture-tea', lettering: 'yes', ratio: 'free' },
    surface: {
      ...tea.surface,
      kind: 'glass',
      widthMm: 110,
      heightMm: 150,
      shape: { kind: 'cylinder', shareOfRound: 0.4 },
      baseCoat: 'chalk-type-paint',
      baseColour: '#f2ecdc',
      prepared: ['degrease'],
    },
    method: { ...tea.method, school: 'dry-and-rub', binder: 'fluid-gel' },
    sheet: { ...tea.sheet, margins: { topMm: 25, rightMm: 6, bottomMm: 25, leftMm: 6 }, copies: 4 },
    seal: { ...tea.seal, use: 'handled', sheen: 'satin' },
  };
  return [drying, printing, sealing, planning, painting, measuring, sewing, labelling];
}

/** What the volunteers have on their shelf. @param now epoch ms */
export function demoStash(now: number): Stash {
  const counted = now - 40 * MS_PER_DAY;
  const day = (daysAgo: number) => format(addDays(now, -daysAgo), 'yyyy-MM-dd');
  const bottle = (
    id: string,
    kind: 'binder' | 'sealer' | 'paint',
    material: string | null,
    name: string,
    amount: number,
    size: number,
    price: number,
    opened: number,
  ) => newItem(id, kind, name, counted, { material, amount, size, price, openedOn: day(opened) });
  return {
    ...EMPTY_STASH,
    printer: 'copy-shop',
    items: [
      bottle('demo-fluid-gel', 'binder', 'fluid-gel', 'Fluid gel, gloss', 150, 237, 14, 60),
      bottle('demo-heavy-gel', 'binder', 'heavy-gel', 'Heavy gel, matte', 90, 237, 16, 120),
      bottle('demo-opaque', 'binder', 'opaque-medium', 'Opaque medium', 60, 120, 11, 30),
      bottle('demo-varnish', 'sealer', 'acrylic-varnish', 'Acrylic varnish, satin', 260, 375, 11, 90),
      bottle('demo-paint', 'paint', null, 'Chalk-type paint, bone', 300, 500, 13, 45),
      newItem('demo-paper', 'paper', 'Plain copy paper, 80 g/m²', counted, {
        material: 'laser-plain',
        amount: 180,
        size: 500,
        price: 6,
      }),
      newItem('demo-cedar', 'blank', 'Cedar slats, 424 × 43 mm', counted, { amount: 5, size: 5, price: 15 }),
      newItem('demo-oven', 'oven', 'Old kitchen oven, parish hall', counted, { limitC: 120 }),
      newItem('demo-brush', 'brush', 'Foam brush, 50 mm', counted, { amount: 3, size: 4, price: 5 }),
    ],
  };
}

/** When the volunteers have time: evenings, and the weekend's middle. */
export const DEMO_AGENDA: Agenda = { ...EMPTY_AGENDA, hoursSaid: true };
