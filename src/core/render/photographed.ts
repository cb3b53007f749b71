import { linearColour, linearLight } from '@/core/colour';
import type { SurfaceLook } from './grain';
import { COAT_RELIEF, GROUND_STEPS } from './surface-texture';

/**
 * The face of a blank as its photo shows it, in the form of `renderGround`: a coat hides it by its opacity and keeps a
 * trace of its relief.
 *
 * @param rgba the face at the size that is drawn
 */
export function photographedGround(rgba: Uint8ClampedArray, { colour, coat }: SurfaceLook): Uint16Array {
  const count = rgba.length / 4;
  const out = new Uint16Array(count * 3);
  const over = coat ? linearColour(coat.colour) : [0, 0, 0];
  const opacity = coat?.opacity ?? 0;
  const usual = linearColour(colour)[1] || 1;
  for (let i = 0; i < count; i++) {
    const relief = 1 + (linearLight(rgba[i * 4 + 1]) / usual - 1) * COAT_RELIEF;
    for (let channel = 0; channel < 3; channel++) {
      const bare = linearLight(rgba[i * 4 + channel]) * (1 - opacity);
      const share = (bare + over[channel] * opacity * relief) * GROUND_STEPS;
      out[i * 3 + channel] = share >= GROUND_STEPS ? GROUND_STEPS : share <= 0 ? 0 : share + 0.5;
    }
  }
  return out;
}
