/** What a finding is, and what a remedy changes. Thresholds stand with each finder; source: bench practice. */
import type { BinderId, SurfaceId } from '@/core/craft';
import type { Analysis } from '@/core/picture';
import type { Job, JobPatch, PiecePlan } from '@/core/stations';

export type FindingId =
  | 'cut-off'
  | 'show-through'
  | 'dark'
  | 'faint'
  | 'contrast'
  | 'resolution'
  | 'sharpness'
  | 'overlook'
  | 'ghost'
  | 'ground-colour';

/** What a finding says, with what its sentence needs. */
export type FindingFact =
  | { code: 'white-stays' | 'white-shows-as-wanted' | 'white-shows-light-ground' }
  | { code: 'white-shows'; surface: SurfaceId | null }
  | { code: 'cut-off-by-proportions' | 'cut-off-by-outline' }
  | { code: 'dark' | 'dark-still' }
  | { code: 'faint-on-white' | 'faint-vanishes' }
  | { code: 'contrast-clear' | 'contrast-flat' | 'contrast-spent' }
  | { code: 'resolution-enough' | 'resolution-soft' }
  | { code: 'resolution-more'; coarse: boolean; shownPpi: number }
  | { code: 'edges-soft' }
  | { code: 'easily-overlooked' }
  | { code: 'ghost-whole'; subjects: number }
  | { code: 'ghost-reads'; subjects: number }
  | { code: 'ground-dark' | 'ground-tints' };

/** The figure it rests on: a share of the picture, a range of CIE L*, pixels an inch, or the ground's L* or C*. */
export type FindingFigure =
  | { kind: 'share'; share: number }
  | { kind: 'range'; low: number; high: number }
  | { kind: 'ppi'; ppi: number }
  | { kind: 'lightness'; lightness: number }
  | { kind: 'chroma'; chroma: number };

export type RemedyFact =
  | { id: 'white-wash' | 'light-base' | 'smoother-blank' }
  | { id: 'opaque-binder'; binder: BinderId }
  | { id: 'gamma-up'; gamma: number }
  | { id: 'contrast'; contrast: number }
  | { id: 'turn-board' | 'lower-lights' | 'grey' | 'compensate' | 'whole-crop' | 'smaller-print' }
  | { id: 'turn-grain'; angleDeg: number };

/** Clears a finding or goes as far as it can; after it the finding is worked out anew and says what remains. */
export type Remedy = RemedyFact & { patch: JobPatch };

export interface Finding {
  id: FindingId;
  /** good: nothing to do; watch: will show; act: spoils the picture. */
  weight: 'good' | 'watch' | 'act';
  figure: FindingFigure;
  fact: FindingFact;
  remedies: readonly Remedy[];
  /** Blocks of the analysis grid that it is about. */
  blocks: (analysis: Analysis) => (block: number) => boolean;
}

export interface FindingContext {
  job: Job;
  plan: PiecePlan;
  analysis: Analysis;
}

/** Looks for one thing in the pixels; null where there is nothing to say. */
export type Finder = (context: FindingContext) => Finding | null;

/** About the picture as a whole, not about a place in it. */
export const nowhere: Finding['blocks'] = () => () => false;

/** Lies somewhere in the picture, so that it can be shown there. */
export const isPlaced = ({ blocks }: Pick<Finding, 'blocks'>): boolean => blocks !== nowhere;

export const inRegions =
  (regions: (analysis: Analysis) => readonly { blocks: readonly number[] }[]): Finding['blocks'] =>
  (analysis) => {
    const set = new Set(regions(analysis).flatMap((region) => region.blocks));
    return (block) => set.has(block);
  };

export const share = (of: number): FindingFigure => ({ kind: 'share', share: of });

/** Whites stay white: the binder is opaque. */
export const isOpaque = ({ plan }: FindingContext): boolean => plan.method.binder?.base === 'white';
