/**
 * How a transferred print looks, in linear light per channel. Toner is a filter over the ground: with transmission t
 * (the picture's own linear light, never under `TONER_BLACK`) and the share e of its density that stays, R₀ = G · tᵉ.
 * Residual paper, and the film of a cloudy binder, are scattering veils of share h on top: R = h·w + (1−h)²·R₀ / (1 −
 * h·w·R₀), the two-layer form with light going back and forth (Kubelka's layers, w the fibres' whiteness). A rough dry
 * face adds the share f of white first-surface light: R + f·(1 − R). Gloss and water take f and h away, which deepens
 * colour. What binder or sealer has soaked into sends back less: its ground is G · s. Everything stays within 0–1 for
 * inputs within 0–1. Toner that is lost altogether is no grey: it shows as specks (`wear.ts`). Known weakness: no dot
 * gain, haze even over the print.
 */
import { linearLight } from '@/core/colour';

export type RenderStage = 'laid' | 'pass-1' | 'hazy' | 'wet' | 'matte' | 'satin' | 'gloss';
export const RENDER_STAGES: readonly RenderStage[] = ['laid', 'pass-1', 'hazy', 'wet', 'matte', 'satin', 'gloss'];

export interface Optics {
  /** Share of light the veil scatters. */
  haze: number;
  /** First-surface white of the face. */
  sheen: number;
  /** The bare face beside the print is wet or sealed too: it sends back less where it drinks. */
  wetsFace: boolean;
}

const FIBRE_WHITE = 0.92;
/** What fused black toner still lets through, there and back. */
const TONER_BLACK = 0.0272;
/** How sharply the densest toner bounds a colour: its darkest channel is held, the others stay. */
const BOUND = 4;
const boundTo = (light: number): number =>
  ((light ** BOUND + TONER_BLACK ** BOUND) / (1 + TONER_BLACK ** BOUND)) ** (1 / BOUND);

/**
 * Share of haze that each state leaves, and its first-surface light. A sealer takes haze away. Held to what is seen in
 * the world: black of a clean gel transfer on white paint at L* 20–24 under gloss, 26–31 under matte.
 */
const STAGES: Readonly<Record<RenderStage, Optics>> = {
  laid: { haze: 0.78, sheen: 0.03, wetsFace: false },
  'pass-1': { haze: 0.4, sheen: 0.04, wetsFace: false },
  hazy: { haze: 0.14, sheen: 0.035, wetsFace: false },
  wet: { haze: 0.003, sheen: 0.004, wetsFace: true },
  matte: { haze: 0.006, sheen: 0.019, wetsFace: true },
  satin: { haze: 0.004, sheen: 0.0105, wetsFace: true },
  gloss: { haze: 0.0015, sheen: 0.004, wetsFace: true },
};

export const stageOptics = (stage: RenderStage): Optics => STAGES[stage];

/** Optics of a print after some passes of rubbing, dry. @param share of the passes that are done, 0–1 */
export function rubbedOptics(share: number): Optics {
  const [first, last] = [STAGES['pass-1'].haze, STAGES.hazy.haze];
  return { ...STAGES.hazy, haze: share <= 0 ? STAGES.laid.haze : first * (1 - share) + last * share };
}

/** The same with the cloud of a binder's own film. */
export const cloudedBy = (optics: Optics, cloud: number): Optics => ({
  ...optics,
  haze: 1 - (1 - optics.haze) * (1 - cloud),
});

/** Transmission of toner for a picture level 0–255, with the share `kept` of its density. */
export const tonerFilter = (level: number, kept: number): number => boundTo(linearLight(level)) ** kept;

export const underVeil = (reflectance: number, haze: number): number =>
  haze * FIBRE_WHITE + ((1 - haze) ** 2 * reflectance) / (1 - haze * FIBRE_WHITE * reflectance);

export const seen = (reflectance: number, { haze, sheen }: Pick<Optics, 'haze' | 'sheen'>): number => {
  const veiled = haze > 0 ? underVeil(reflectance, haze) : reflectance;
  return veiled + sheen * (1 - veiled);
};
