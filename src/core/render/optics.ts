/**
 * How a transferred print looks, in linear light per channel. Toner is a filter over the ground: with transmission t
 * (the picture's own linear light, never under `TONER_BLACK`) and the share e of toner that stays, R₀ = G · (1 − e·(1 −
 * t)). Residual paper is a scattering veil of share h on top: R = h·w + (1−h)²·R₀ / (1 − h·w·R₀), the two-layer form
 * with light going back and forth (Kubelka's layers, w the fibres' whiteness). A rough dry face adds the share f of
 * white first-surface light: R + f·(1 − R). Gloss and water take f and h away, which deepens colour. Everything stays
 * within 0–1 for inputs within 0–1. Known weakness: no dot gain, no colour of the binder, haze even over the print.
 */
import { linearLight } from '@/core/colour';

export type RenderStage = 'laid' | 'pass-1' | 'hazy' | 'wet' | 'matte' | 'satin' | 'gloss';
export const RENDER_STAGES: readonly RenderStage[] = ['laid', 'pass-1', 'hazy', 'wet', 'matte', 'satin', 'gloss'];

export interface Optics {
  /** Share of light the veil scatters. */ haze: number;
  /** First-surface white of the face. */ sheen: number;
}

const FIBRE_WHITE = 0.92;
/** Fused black toner still sends back this share. */
const TONER_BLACK = 0.018;

/**
 * Share of haze that each state leaves of the dry veil, and its first-surface light. Source: judged on bench
 * photographs.
 */
const STAGES: Readonly<Record<RenderStage, Optics>> = {
  laid: { haze: 0.68, sheen: 0.03 },
  'pass-1': { haze: 0.4, sheen: 0.04 },
  hazy: { haze: 0.16, sheen: 0.04 },
  wet: { haze: 0.012, sheen: 0.006 },
  matte: { haze: 0.03, sheen: 0.035 },
  satin: { haze: 0.014, sheen: 0.018 },
  gloss: { haze: 0.004, sheen: 0.005 },
};

export const stageOptics = (stage: RenderStage): Optics => STAGES[stage];

/** Optics of a print after some passes of rubbing, dry. @param share of the passes that are done, 0–1 */
export function rubbedOptics(share: number): Optics {
  const [first, last] = [STAGES['pass-1'].haze, STAGES.matte.haze];
  return { haze: share <= 0 ? STAGES.laid.haze : first * (1 - share) + last * share, sheen: STAGES.hazy.sheen };
}

/** Transmission of toner for a picture level 0–255, with the share `kept` of it. */
export const tonerFilter = (level: number, kept: number): number =>
  1 - kept * (1 - (TONER_BLACK + (1 - TONER_BLACK) * linearLight(level)));

export const underVeil = (reflectance: number, haze: number): number =>
  haze * FIBRE_WHITE + ((1 - haze) ** 2 * reflectance) / (1 - haze * FIBRE_WHITE * reflectance);

export const seen = (reflectance: number, { haze, sheen }: Optics): number => {
  const veiled = haze > 0 ? underVeil(reflectance, haze) : reflectance;
  return veiled + sheen * (1 - veiled);
};
