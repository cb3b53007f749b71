import type { BinderRecord } from './binders';

/**
 * Where schools disagree: what is decided at which station. Both sides and what is taken stand in the catalogue.
 * Source: bench practice.
 */
export type DisagreementId =
  'gel-body' | 'faces' | 'pressure' | 'water' | 'waiting' | 'glue-top-coat' | 'ground' | 'inkjet';

export interface Disagreement {
  id: DisagreementId;
  at: 'method' | 'lay' | 'cure' | 'rub' | 'seal' | 'surface';
  applies: (binder: BinderRecord) => boolean;
}

const wet = (binder: BinderRecord): boolean => binder.wet;
const always = (): boolean => true;

export const DISAGREEMENTS: readonly Disagreement[] = [
  { id: 'gel-body', at: 'method', applies: (binder) => binder.penetrates || binder.fillsTexture },
  { id: 'faces', at: 'lay', applies: ({ wet: isWet, coatsPaper }) => isWet && coatsPaper },
  { id: 'pressure', at: 'lay', applies: wet },
  { id: 'water', at: 'rub', applies: ({ wet: isWet, passes }) => isWet && passes.max > 0 },
  { id: 'waiting', at: 'cure', applies: wet },
  { id: 'glue-top-coat', at: 'seal', applies: always },
  { id: 'ground', at: 'surface', applies: always },
  { id: 'inkjet', at: 'method', applies: wet },
];
