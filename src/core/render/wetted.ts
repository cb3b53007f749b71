import { surfaceById } from '@/core/craft';
import type { SurfaceLook } from './grain';

/** Wetting takes more of the blue than of the red: what drinks turns darker and warmer. */
const WARMTH = { red: 0.85, blue: 1.2 } as const;

/**
 * Of a face's light, red, green and blue, what binder or sealer leaves once it has soaked in. Paint over it stays as it
 * is, by how much of it the paint hides.
 */
export function wettedShares({ surface, coat }: SurfaceLook): readonly [number, number, number] {
  const { wettedLight } = surfaceById(surface);
  const open = 1 - (coat?.opacity ?? 0);
  const share = (power: number) => 1 + (wettedLight ** power - 1) * open;
  return [share(WARMTH.red), share(1), share(WARMTH.blue)];
}
