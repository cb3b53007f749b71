/**
 * What the pixels mean for this piece: findings with their figures, each with remedies that can be applied with one press. A remedy is a patch to the job whose strength is
 * computed so that the finding goes, or goes as far as it can; after it the finding is worked out anew and says what remains. Thresholds from bench practice.
 */
import { BASE_COATS } from '@/core/craft';
import { DARK_LIGHTNESS, LEAST_COHERENCE, PALE_LIGHTNESS, ghostlyRegions, histogramBehind, isFaint, labOf, lightRegions, tonalShares, type Analysis } from '@/core/picture';
import { PLAIN_TONE, toneTables, type Tone } from '@/core/raster';
import { linearColour } from '@/core/render';
import { clamp, sum } from '@/core/shared';
import type { Job, JobPatch } from './job';
import type { PiecePlan } from './piece-plan';

export type FindingId = 'show-through' | 'dark' | 'faint' | 'contrast' | 'resolution' | 'sharpness' | 'overlook' | 'ghost' | 'ground-colour';
export type RemedyId = 'white-wash' | 'opaque-binder' | 'gamma-up' | 'gamma-down' | 'contrast' | 'lower-lights' | 'smoother-blank' | 'turn-grain' | 'grey' | 'compensate' | 'whole-crop' | 'smaller-print' | 'light-base';

export interface Remedy { id: RemedyId; label: string; patch: JobPatch }

export interface Finding {
  id: FindingId;
  /** good: nothing to do; watch: will show; act: spoils the picture. */
  weight: 'good' | 'watch' | 'act';
  figure: string;
  text: string;
  remedies: readonly Remedy[];
  /** Blocks of the analysis grid that it is about. */
  blocks: (analysis: Analysis) => (block: number) => boolean;
}

const PALE_WATCH = 0.08;
const PALE_ACT = 0.25;
const DARK_WATCH = 0.25;
const DARK_ACT = 0.4;
const FAINT_WATCH = 0.02;
const FAINT_ACT = 0.08;
const LEAST_RANGE = 62;
const SOFT_EDGES = 0.06;
const STRONG_GRAIN_MM = 0.3;
const COLOURED_CHROMA = 18;
const COLOURFUL = 0.12;
const DARK_GROUND = 55;

const percent = (share: number): string => `${Math.round(share * 100)} %`;
const nowhere = () => () => false;
const inRegions = (regions: (analysis: Analysis) => readonly { blocks: readonly number[] }[]) => (analysis: Analysis) => {
  const set = new Set(regions(analysis).flatMap((region) => region.blocks));
  return (block: number) => set.has(block);
};

export function findingsFor(job: Job, plan: PiecePlan, analysis: Analysis): Finding[] {
  const context = { job, plan, analysis };
  return FINDERS.map((find) => find(context)).filter((found) => found !== null).sort((a, b) => WEIGHTS[b.weight] - WEIGHTS[a.weight]);
}

const WEIGHTS = { good: 0, watch: 1, act: 2 };
interface Context { job: Job; plan: PiecePlan; analysis: Analysis }
type Finder = (context: Context) => Finding | null;

const isOpaque = ({ plan }: Context): boolean => plan.binder?.base === 'white';
const strongGrain = ({ plan, job }: Context): boolean => (plan.surface?.textureMm ?? 0) >= STRONG_GRAIN_MM && ['none', 'white-wash'].includes(job.surface.baseCoat);

function showThrough(context: Context): Finding | null {
  const { plan, analysis, job } = context;
  const share = analysis.paleShare;
  if (share < PALE_WATCH) return null;
  const blocks = (of: Analysis) => (block: number) => of.blocks.lightness[block] > PALE_LIGHTNESS;
  if (isOpaque(context)) return { id: 'show-through', weight: 'good', figure: percent(share), text: 'is near white, and stays white: the binder is opaque.', remedies: [], blocks };
  const wanted = job.method.whites === 'surface-shows';
  const bright = plan.surface !== null && groundLightness(plan) > 88;
  if (bright || wanted) return { id: 'show-through', weight: wanted || share < PALE_ACT ? 'good' : 'watch', figure: percent(share), text: wanted ? 'is near white and will show the surface, as you want it.' : 'is near white and will show the ground, which is light.', remedies: [], blocks };
  return {
    id: 'show-through', weight: share > PALE_ACT ? 'act' : 'watch', figure: percent(share),
    text: `is near white: no toner lies there, and ${plan.surface ? plan.surface.name.split(':')[0].toLowerCase() : 'the bare surface'} will show.`,
    remedies: [...washes(context), ...opaque(context)], blocks,
  };
}

function dark({ analysis, job }: Context): Finding | null {
  const share = analysis.darkShare;
  if (share < DARK_WATCH) return null;
  const gamma = gammaFor(analysis, (shares) => shares.darkShare < DARK_WATCH, 1.05, 2.4);
  const most = job.picture.tone.gamma >= 2.9;
  return {
    id: 'dark', weight: share > DARK_ACT ? 'act' : 'watch', figure: percent(share),
    text: most ? 'is still dark after all the lightening there is: haze will linger there. Take another picture, or rub with patience.' : 'is dark: haze lingers there longest, and it hides the grain.',
    remedies: most ? [] : [toneRemedy(job, 'gamma-up', `Lighten the midtones (gamma ${(clamp(job.picture.tone.gamma * gamma, 0.3, 3)).toFixed(2)})`, { gamma: clamp(job.picture.tone.gamma * gamma, 0.3, 3) })],
    blocks: (of) => (block) => of.blocks.lightness[block] < DARK_LIGHTNESS,
  };
}

function faint(context: Context): Finding | null {
  const { analysis, job } = context;
  const share = analysis.faintShare;
  if (share < FAINT_WATCH) return null;
  const blocks = (of: Analysis) => (block: number) => isFaint(of.blocks, block);
  if (isOpaque(context)) return { id: 'faint', weight: 'good', figure: percent(share), text: 'holds fine detail in near-white; on white it stays readable.', remedies: [], blocks };
  const lightness = clamp(job.picture.tone.lightness - 15, -100, 100);
  const gamma = clamp(job.picture.tone.gamma * 0.7, 0.3, 3);
  const most = gamma <= 0.31 && lightness <= -99;
  return {
    id: 'faint', weight: share > FAINT_ACT ? 'act' : 'watch', figure: percent(share), text: 'has its detail in near-white, where it will vanish in the ground.',
    remedies: [...(most ? [] : [toneRemedy(job, 'lower-lights', 'Bring the lights down', { gamma, lightness })]), ...opaque(context), ...washes(context)], blocks,
  };
}

function contrast({ analysis, job }: Context): Finding | null {
  const range = analysis.highLightness - analysis.lowLightness;
  if (range >= LEAST_RANGE) return { id: 'contrast', weight: 'good', figure: `L* ${analysis.lowLightness}–${analysis.highLightness}`, text: 'is its range: clear contrast.', remedies: [], blocks: nowhere };
  const more = [20, 40, 60, 80, 100].find((step) => rangeBehind(analysis, { contrast: step }) >= LEAST_RANGE) ?? 60;
  const next = clamp(job.picture.tone.contrast + more, -100, 100);
  return {
    id: 'contrast', weight: range < LEAST_RANGE * 0.7 ? 'act' : 'watch', figure: `L* ${analysis.lowLightness}–${analysis.highLightness}`,
    text: next === job.picture.tone.contrast ? 'is its range with all the contrast there is: it will land flat.' : 'is its range: flat, and a transfer flattens it further.',
    remedies: next === job.picture.tone.contrast ? [] : [toneRemedy(job, 'contrast', `More contrast (+${next})`, { contrast: next })], blocks: nowhere,
  };
}

function resolution({ plan, job }: Context): Finding | null {
  if (!plan.print || !plan.surface) return null;
  const { ppi, verdict, picture, largestWidthMm } = plan.print;
  const shown = plan.surface.textureMm > 0 ? 25.4 / plan.surface.textureMm : Infinity;
  if (verdict !== 'soft') {
    const more = ppi > shown * 2;
    return { id: 'resolution', weight: 'good', figure: `${Math.round(ppi)} ppi`, text: more ? `carries this size; the ${plan.surface.coarse ? 'weave or stone' : 'grain'} shows no more than about ${Math.round(shown)} ppi of it.` : 'carries this size.', remedies: [], blocks: nowhere };
  }
  const remedies: Remedy[] = [];
  if (job.picture.crop.width * job.picture.crop.height < 0.98) remedies.push({ id: 'whole-crop', label: 'Use the whole picture', patch: { picture: { crop: { x: 0, y: 0, width: 1, height: 1 } } } });
  const less = (picture.widthMm - largestWidthMm) / 2;
  const lower = (picture.heightMm * (1 - largestWidthMm / picture.widthMm)) / 2;
  const { margins } = job.sheet;
  if (less > 0) remedies.push({ id: 'smaller-print', label: 'Print it smaller, with wider margins', patch: { sheet: { margins: { topMm: margins.topMm + lower, bottomMm: margins.bottomMm + lower, leftMm: margins.leftMm + less, rightMm: margins.rightMm + less } } } });
  return { id: 'resolution', weight: 'act', figure: `${Math.round(ppi)} ppi`, text: 'is too little for this size: the pixels will show.', remedies, blocks: nowhere };
}

const sharpness: Finder = ({ analysis }) =>
  analysis.sharpness >= SOFT_EDGES ? null
    : { id: 'sharpness', weight: 'watch', figure: percent(analysis.sharpness), text: 'of its edges are as steep as pixels allow: the picture itself is soft, or was enlarged. Smaller it will look sharper.', remedies: [], blocks: nowhere };

function overlook({ analysis }: Context): Finding | null {
  const regions = lightRegions(analysis.blocks);
  if (regions.length === 0) return null;
  return {
    id: 'overlook', weight: 'watch', figure: percent(sum(regions.map((region) => region.share))),
    text: 'is light and even: paper left there is easy to overlook. Feel for it with a fingertip, and look at it dry.', remedies: [], blocks: inRegions((of) => lightRegions(of.blocks)),
  };
}

function ghost(context: Context): Finding | null {
  const { analysis, plan, job } = context;
  const regions = ghostlyRegions(analysis.blocks);
  if (regions.length === 0 || isOpaque(context)) return null;
  const blocks = inRegions((of: Analysis) => ghostlyRegions(of.blocks));
  const figure = percent(sum(regions.map((region) => region.share)));
  const what = regions.length === 1 ? 'a pale subject' : `${regions.length} pale subjects`;
  if (!strongGrain(context)) return { id: 'ghost', weight: 'good', figure, text: `is ${what}; on this even ground ${regions.length === 1 ? 'it stays' : 'they stay'} whole.`, remedies: [], blocks };
  const turn: Remedy[] = analysis.direction.coherence >= LEAST_COHERENCE && Math.abs(job.surface.grain.angleDeg - analysis.direction.angleDeg) > 5
    ? [{ id: 'turn-grain', label: `Turn the grain to the picture’s lines (${Math.round(analysis.direction.angleDeg)}°)`, patch: { surface: { grain: { ...job.surface.grain, angleDeg: Math.round(analysis.direction.angleDeg) } } } }] : [];
  return {
    id: 'ghost', weight: 'act', figure, text: `is ${what}: on the grain of ${plan.surface?.name.split(':')[0].toLowerCase() ?? 'this surface'} ${regions.length === 1 ? 'it reads' : 'they read'} as ghostly.`,
    remedies: [...washes(context), ...opaque(context), ...smoother(context), ...turn], blocks,
  };
}

function groundColour(context: Context): Finding | null {
  const { plan, analysis, job } = context;
  if (!plan.surface || isOpaque(context)) return null;
  const [red, green, blue] = linearColour(plan.groundColour);
  const [lightness, a, b] = labOf(red, green, blue);
  if (lightness < DARK_GROUND) return { id: 'ground-colour', weight: 'act', figure: `L* ${Math.round(lightness)}`, text: 'is the ground: toner only darkens, so on a ground this dark the picture disappears.', remedies: [...lightBase(context), ...opaque(context)], blocks: nowhere };
  if (Math.hypot(a, b) < COLOURED_CHROMA || analysis.colourfulness < COLOURFUL || job.picture.tone.compensate >= 60) return null;
  return {
    id: 'ground-colour', weight: 'watch', figure: `C* ${Math.round(Math.hypot(a, b))}`, text: 'is the colour of the ground: it tints every colour of the picture.',
    remedies: [toneRemedy(job, 'compensate', 'Compensate for the ground', { compensate: 100 }), toneRemedy(job, 'grey', 'Make it black and white', { mono: { red: 0.3, green: 0.59, blue: 0.11 } })], blocks: nowhere,
  };
}

const FINDERS: readonly Finder[] = [showThrough, dark, faint, contrast, resolution, sharpness, overlook, ghost, groundColour];

function groundLightness(plan: PiecePlan): number {
  const [red, green, blue] = linearColour(plan.groundColour);
  return labOf(red, green, blue)[0];
}

const toneRemedy = (job: Job, id: RemedyId, label: string, tone: Partial<Tone>): Remedy => ({ id, label, patch: { picture: { tone: { ...job.picture.tone, ...tone } } } });

function washes({ plan, job }: Context): Remedy[] {
  const wash = BASE_COATS.find((coat) => coat.id === 'white-wash');
  return plan.surface?.takesBaseCoat && job.surface.baseCoat === 'none' && wash
    ? [{ id: 'white-wash', label: 'A thin white wash under it', patch: { surface: { baseCoat: 'white-wash', baseColour: wash.colour, prepared: [] } } }] : [];
}

function lightBase({ plan }: Context): Remedy[] {
  const paint = BASE_COATS.find((coat) => coat.id === 'chalk-type-paint');
  return plan.surface?.takesBaseCoat && paint ? [{ id: 'light-base', label: 'A light base coat of chalk-type paint', patch: { surface: { baseCoat: paint.id, baseColour: paint.colour, prepared: [] } } }] : [];
}

function opaque({ plan }: Context): Remedy[] {
  const candidate = plan.candidates.find((one) => one.binder.base === 'white' && one.verdict !== 'refused');
  return candidate ? [{ id: 'opaque-binder', label: candidate.binder.name, patch: { method: { school: candidate.school.id, binder: candidate.binder.id } } }] : [];
}

function smoother({ plan }: Context): Remedy[] {
  return plan.surface && plan.surface.class === 'wood' && plan.surface.textureMm >= STRONG_GRAIN_MM
    ? [{ id: 'smoother-blank', label: 'A smoother blank: painted wood', patch: { surface: { kind: 'painted-wood', finish: 'chalk-type-paint', prepared: [] } } }] : [];
}

/** The least further gamma, in steps of a tenth, that clears a condition on the shares; the most there is where none does. */
function gammaFor(analysis: Analysis, clear: (shares: ReturnType<typeof tonalShares>) => boolean, least: number, most: number): number {
  for (let gamma = least; gamma < most; gamma += 0.1) {
    if (clear(tonalShares(histogramBehind(analysis.histogram, toneTables({ ...PLAIN_TONE, gamma }).green)))) return gamma;
  }
  return most;
}

function rangeBehind(analysis: Analysis, tone: Partial<Tone>): number {
  const shares = tonalShares(histogramBehind(analysis.histogram, toneTables({ ...PLAIN_TONE, ...tone }).green));
  return shares.highLightness - shares.lowLightness;
}
