/**
 * docs/runs.md: whole pieces, one of every school at least, with every step's hands, wait, its kind and its place, to
 * be read as a practitioner would. Made from the code, like docs/methods.md.
 */
import { SCHOOLS, type SchoolId } from '@/core/craft';
import { formatDuration } from '@/core/measure';
import { planPiece, runSteps } from '@/core/plan';
import { applyPatch, type JobPatch } from '@/core/stations';
import type { Piece } from '@/records';
import { BINDER_WORDS, SCHOOL_NAMES, SURFACE_WORDS, stepTitle } from '@/words';
import { NOW, PICTURE, readyPiece } from './builders';

interface WholeRun {
  name: string;
  piece: Piece;
}

const run = (name: string, ...patches: JobPatch[]): WholeRun => ({
  name,
  piece: patches.reduce<Piece>((piece, patch) => applyPatch(piece, patch), readyPiece()),
});

const margins = { topMm: 0, rightMm: 0, bottomMm: 0, leftMm: 0 };
const bare = { finish: 'bare', baseCoat: 'none' } as const;
const chalk = { finish: 'bare', baseCoat: 'chalk-type-paint', baseColour: '#f4f1e8' } as const;
const plain = (widthMm: number, heightMm: number, thicknessMm: number | null = null) =>
  ({ shape: { kind: 'rectangle' }, widthMm, heightMm, thicknessMm }) as const;
const by = (school: SchoolId, binder: NonNullable<Piece['method']['binder']>, print: Piece['method']['print']) => ({
  method: { school, binder, print },
});

/** Fourteen pieces and more: every school, and what is large, small, thin, round, soft or wet in a way of its own. */
export const WHOLE_RUNS: readonly WholeRun[] = [
  run(
    'Board: pine, 30 × 20 cm, 18 mm thick, fluid gel',
    { surface: { kind: 'soft-wood', ...plain(300, 200, 18), ...bare } },
    by('dry-and-rub', 'fluid-gel', 'laser-plain'),
  ),
  run(
    'Door: old varnish, 45 × 70 cm, primed, gel',
    { surface: { kind: 'varnished-wood', ...plain(450, 700), finish: 'varnish', baseCoat: 'chalk-type-paint' } },
    { sheet: { margins } },
    by('dry-and-rub', 'fluid-gel', 'laser-plain'),
  ),
  run(
    'Canvas: stretched, 40 × 50 cm, in six pages, gel',
    { surface: { kind: 'canvas', ...plain(400, 500, 18), ...bare } },
    { sheet: { margins, paper: 'a4' } },
    by('dry-and-rub', 'heavy-gel', 'laser-plain'),
  ),
  run(
    'Wrapped canvas: 20 × 20 cm, picture over its sides',
    {
      surface: {
        kind: 'canvas',
        widthMm: 200,
        heightMm: 200,
        thicknessMm: 18,
        shape: { kind: 'wrapped-canvas', depthMm: 18, tuckMm: 20 },
        ...bare,
      },
    },
    { sheet: { margins, paper: 'a3' } },
    by('dry-and-rub', 'fluid-gel', 'laser-plain'),
  ),
  run(
    'Bag: cloth, 25 × 20 cm, opaque medium',
    { surface: { kind: 'cloth', ...plain(250, 200), ...bare } },
    { seal: { use: 'cloth' } },
    by('opaque-base', 'opaque-medium', 'laser-plain'),
  ),
  run(
    'Tray: bare oak, 30 × 20 cm, varnish bed',
    { surface: { kind: 'hard-wood', ...plain(300, 200), ...bare } },
    { seal: { use: 'handled' } },
    by('varnish-bed', 'polyurethane', 'laser-plain'),
  ),
  run(
    'Round: pine, 8 cm, quick varnish',
    { surface: { kind: 'soft-wood', shape: { kind: 'round' }, widthMm: 80, heightMm: 80, thicknessMm: 10, ...bare } },
    { sheet: { margins } },
    by('quick-varnish', 'acrylic-varnish', 'laser-plain'),
  ),
  run(
    'Postcard block: inkjet on plain paper, pine, tacky peel',
    { surface: { kind: 'soft-wood', ...plain(150, 100, 18), ...bare } },
    by('tacky-peel', 'fluid-gel', 'inkjet-plain'),
  ),
  run(
    'Small canvas: inkjet set with heat, dry and rub',
    { surface: { kind: 'canvas', ...plain(200, 150, 18), ...bare } },
    by('dry-and-rub', 'fluid-gel', 'inkjet-heat-set'),
  ),
  run(
    'Tile: plaster, 15 × 15 cm, slip paper',
    { surface: { kind: 'plaster', ...plain(150, 150, 10), ...bare } },
    by('slip-paper', 'fluid-gel', 'slip-paper'),
  ),
  run(
    'Jar: glass, 6 × 8 cm label, tape decal',
    { surface: { kind: 'glass', ...plain(60, 80), ...bare } },
    by('tape-decal', 'none', 'laser-plain'),
  ),
  run(
    'Painted canvas: 20 × 25 cm, liner in glue-sealer',
    { surface: { kind: 'canvas', ...plain(200, 250, 18), ...chalk } },
    by('liner-peel', 'glue-sealer', 'release-liner'),
  ),
  run(
    'Glazed tile: 10 × 10 cm, liner and heat',
    { surface: { kind: 'glazed-ceramic', ...plain(100, 100), ...bare } },
    by('liner-heat', 'none', 'release-liner'),
  ),
  run(
    'Terracotta saucer: 8 cm, inkjet liner pressed wet',
    { surface: { kind: 'terracotta', shape: { kind: 'round' }, widthMm: 80, heightMm: 80, ...bare } },
    by('liner-press', 'none', 'inkjet-liner'),
  ),
  run(
    'Slate: 20 × 15 cm, inkjet film into gesso',
    { surface: { kind: 'stone', ...plain(200, 150), ...bare } },
    by('film-bed', 'gesso', 'inkjet-film'),
  ),
  run(
    'Tin: 12 × 8 cm, chalk-type paint, gel',
    { surface: { kind: 'metal', ...plain(120, 80), ...chalk } },
    by('dry-and-rub', 'fluid-gel', 'laser-plain'),
  ),
  run(
    'Name plate: painted wood, traced',
    { surface: { kind: 'painted-wood', ...plain(200, 60, 18), finish: 'chalk-type-paint', paintAge: 'own' } },
    { picture: { lettering: 'yes' } },
    by('trace', 'none', 'laser-plain'),
  ),
];

const WAIT_KINDS = { none: '', dry: 'dries', soak: 'soaks', window: 'peel window', cool: 'cools', heat: 'in heat' };

function table({ name, piece }: WholeRun): string {
  const plan = planPiece(piece, PICTURE, NOW);
  const { school, binder } = plan.method;
  if (!school || !binder || !plan.surface.record) throw new Error(`${name}: refused or incomplete`);
  const steps = runSteps(piece, plan);
  const rows = steps.map(({ title, handsMinutes, wait, attended }, index) => {
    const until = wait.maxHours === null ? '' : `, at most ${formatDuration(wait.maxHours)}`;
    const waits = wait.hours > 0 ? `${formatDuration(wait.hours)}${until}` : '';
    const kind = `${WAIT_KINDS[wait.kind]}${attended ? ', attended' : ''}`;
    return `| ${index + 1} | ${stepTitle(title)} | ${handsMinutes} min | ${waits} | ${kind} | ${waits ? (wait.place ?? '') : ''} |`;
  });
  const hands = steps.reduce((total, step) => total + step.handsMinutes, 0);
  const medium =
    plan.lay.laying && plan.lay.laying.coat.totalMl > 0 ? ` Medium ${plan.lay.laying.coat.totalMl.toFixed(1)} ml.` : '';
  const paint = plan.surface.paintMl > 0 ? ` Paint ${plan.surface.paintMl.toFixed(1)} ml.` : '';
  const sealer =
    plan.seal.sealing && plan.seal.sealing.totalMl > 0 ? ` Sealer ${plan.seal.sealing.totalMl.toFixed(1)} ml.` : '';
  const wetWith = binder.wet ? ` with ${BINDER_WORDS[binder.id].inText}` : '';
  return [
    `## ${name}\n`,
    `${SURFACE_WORDS[plan.surface.record.id].shortName}; ${SCHOOL_NAMES[school.id].inText}${wetWith}. ` +
      `Hands ${hands} min in all.${medium}${paint}${sealer}\n`,
    '| | Step | Hands | Then | which | at |\n|---|---|---|---|---|---|',
    ...rows,
    '',
  ].join('\n');
}

/** docs/runs.md. */
export const wholeRuns = (): string =>
  '# Whole runs\n\n' +
  `Made by the code (\`npm run formats\`); a test keeps it current. ${WHOLE_RUNS.length} pieces, among them one of each ` +
  `of the ${SCHOOLS.length} schools, in a room of 21 °C and 50 %, still air, at the usual pace. Waits are the likely ` +
  `ones.\n\n${WHOLE_RUNS.map(table).join('\n')}`;
