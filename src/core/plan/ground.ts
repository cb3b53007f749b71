import { BASE_COATS, type BinderRecord, type SheenId, type SurfaceRecord } from '@/core/craft';
import type { LevelCurves } from '@/core/raster';
import { OPAQUE_WHITE, compensation, linearColour, stageOptics, type Optics, type SurfaceLook } from '@/core/render';
import { encodeLight } from '@/core/picture';
import type { Job } from './job';

const PAINT_OPACITY = 0.97;

/** How a surface with its finish and base coat looks before the print. */
export function surfaceLook(choice: Job['surface'], surface: SurfaceRecord): SurfaceLook {
  const coat = BASE_COATS.find((one) => one.id === choice.baseCoat);
  const coated = coat && coat.id !== 'none' && surface.takesBaseCoat;
  const painted = choice.finish.endsWith('paint');
  return {
    surface: surface.id, colour: choice.bareColour ?? surface.bareColour, grain: choice.grain,
    coat: coated ? { colour: choice.baseColour, opacity: coat.opacity } : painted ? { colour: choice.baseColour, opacity: PAINT_OPACITY } : null,
  };
}

/** The mean colour that lies under the print, #rrggbb: bare stuff and coat mixed in linear light. */
export function groundColourOf({ colour, coat }: SurfaceLook): string {
  if (!coat) return colour;
  const [bare, over] = [linearColour(colour), linearColour(coat.colour)];
  return `#${bare.map((light, channel) => Math.round(encodeLight(light + (over[channel] - light) * coat.opacity)).toString(16).padStart(2, '0')).join('')}`;
}

/** Look of the finished piece: what compensation aims at. */
export const finalOptics = (sheen: SheenId): Optics => stageOptics(sheen);

/** Level curves that make up for ground and binder; null while they are not known. */
export function printCurves({ look, binder }: { look: SurfaceLook | null; binder: BinderRecord | null }, sheen: SheenId): LevelCurves | null {
  if (!look || !binder) return null;
  const [red, green, blue] = linearColour(binder.base === 'white' ? OPAQUE_WHITE : groundColourOf(look));
  return compensation({ red, green, blue }, binder.tonerKept, finalOptics(sheen));
}
