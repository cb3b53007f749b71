import { motifKey, type Job } from '@/core/stations';
import { newPiece, type Piece } from '@/records';
import { NOW } from './builders';

const picture: Job['picture'] = {
  pictureId: 'picture-full',
  crop: { x: 0.1, y: 0.2, width: 0.5, height: 0.4 },
  ratio: '2:3',
  lettering: 'yes',
  turns: 1,
  straightenDeg: 2,
  tone: { ...newPiece('', '', 0).picture.tone, contrast: 12 },
  layers: [
    {
      ...{ id: 'words', kind: 'text', mode: 'transfer', text: 'Wrenfold', font: 'oswald', sizeMm: 12 },
      ...{ colour: '#000000', xMm: 1, yMm: 2, turnDeg: 0, arcRadiusMm: null },
      box: { xMm: 0, yMm: 0, widthMm: 50, heightMm: 12 },
    },
    {
      ...{ id: 'crest', kind: 'picture', mode: 'transfer', pictureId: 'picture-layer' },
      crop: { x: 0, y: 0, width: 1, height: 1 },
      box: { xMm: 5, yMm: 5, widthMm: 20, heightMm: 20 },
    },
  ],
  keepClear: [{ x: 0.3, y: 0.3, width: 0.1, height: 0.1 }],
};

/** A piece of which every stored field says something else than a new one's: what copies, voids and finds is held to it. */
export const FULL_PIECE: Piece = {
  ...newPiece('full', 'Full', NOW),
  revision: 7,
  dueOn: '2026-12-24',
  set: { id: 'set-full', name: 'Full set', at: 3 },
  template: true,
  picture,
  surface: {
    kind: 'painted-wood',
    ...{ widthMm: 240, heightMm: 180, thicknessMm: 18 },
    finish: 'chalk-type-paint',
    ...{ baseCoat: 'chalk-type-paint', baseColour: '#223344', prepared: ['dust', 'base-coat'] },
    bakeSafe: true,
    shape: { kind: 'round' },
    grain: { ...newPiece('', '', 0).surface.grain, seed: 12 },
    bareColour: '#aa8866',
    face: { pictureId: 'picture-face', turns: 1, grainDeg: 4, knots: [{ x: 0.2, y: 0.3, radius: 0.05 }] },
    ...{ paintAge: 'own', underColour: '#551100' },
  },
  method: {
    ...{ print: 'laser-heavy', school: 'dry-and-rub', binder: 'fluid-gel', whites: 'stay-white', look: 'soft' },
    settled: [{ condition: 'swatch-on-tight-grain', surface: 'hard-wood' }],
    tryOn: [{ surface: 'canvas', baseCoat: 'none', school: 'dry-and-rub', binder: 'fluid-gel' }],
  },
  sheet: {
    ...{ paper: 'a3', orientation: 'landscape', barMeasuredMm: 100.5, printedAt: NOW - 9, overlapMm: 4, copies: 3 },
    margins: { topMm: 1, rightMm: 2, bottomMm: 3, leftMm: 4 },
    custom: { widthMm: 300, heightMm: 400 },
    form: { ...newPiece('', '', 0).sheet.form, edge: 'torn' },
    motif: {
      of: motifKey(picture),
      rings: [
        [
          { x: 0, y: 0 },
          { x: 1, y: 0 },
          { x: 1, y: 1 },
        ],
      ],
    },
    proof: {
      ...{ at: NOW - 8, go: true, mirroredRight: true, across: 1, along: 1, sizeUnread: null },
      ...{ page: 0, darknessKept: 1, reasons: [] },
    },
    order: { number: 'W-1', price: 3.2, pages: 1, copies: 1, orderedAt: NOW - 10, readyAt: NOW - 9 },
  },
  lay: { faces: ['paper'], filmUm: 90, extendMm: 2, mediumUsedMl: 8, laidAt: NOW - 7 },
  cure: {
    ...{ temperatureC: 18, humidityPercent: 61, air: 'fan', waitBy: 'clock', labelHours: 9 },
    ...{ cover: 'weighted', oven: 'warm', through: 'room', signs: [{ id: 'even', at: NOW - 6 }] },
  },
  rub: {
    passes: 4,
    done: [{ at: NOW - 5, minutes: 12 }],
    finishedAt: NOW - 4,
    readings: [
      {
        ...{ at: NOW - 5, pass: 1, dryPhotoId: 'photo-dry', wetPhotoId: 'photo-wet', rmsMm: 0.3, sure: 1 },
        photo: { width: 400, height: 300 },
        corners: [
          { x: 0, y: 0 },
          { x: 1, y: 0 },
          { x: 1, y: 1 },
          { x: 0, y: 1 },
        ],
        cell: { widthMm: 200, heightMm: 150, columns: 1, rows: 1 },
        ...{ haze: '$', kept: '$', seen: '$', clearsWet: null, colours: '$$$', isWhitened: false },
      },
    ],
    overruledAt: NOW - 5,
  },
  mend: {
    done: ['holes'],
    finishedAt: NOW - 3,
    wear: { share: 0.1, where: 'edges' },
    glaze: '#332211',
    liked: ['rim'],
  },
  seal: { use: 'furniture', sheen: 'gloss', sealer: 'uv-varnish', coats: 4, coatsAt: [NOW - 2], finishedAt: NOW - 1 },
  work: {
    done: [{ step: 'print', at: NOW - 9, minutes: 4, planned: 5, early: false }],
    draws: [{ step: 'lay', item: 'gel', amount: 8, at: NOW - 7 }],
  },
  faults: { notes: [{ at: NOW - 2, signs: [], cause: 'rubbed-too-hard', remedy: null }] },
  keep: {
    ...{ photoId: 'photo-kept', rating: 4, notes: 'by the window', careText: 'wipe dry', boughtPrice: 40 },
    prices: { ...newPiece('', '', 0).keep.prices, print: 2 },
  },
};
