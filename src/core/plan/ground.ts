import { BASE_COATS, type BinderRecord, type SheenId, type SurfaceRecord } from '@/core/craft';
import { toneTables, type LevelCurves, type Tone, type ToneTables } from '@/core/raster';
import { OPAQUE_WHITE, compensation, linearColour, stageOptics, type SurfaceLook } from '@/core/render';
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

/** Level curves that make up for ground and binder; null while they are not known. */
export function printCurves({ look, binder }: { look: SurfaceLook | null; binder: BinderRecord | null }, sheen: SheenId): LevelCurves | null {
  if (!look || !binder) return null;
  const [red, green, blue] = linearColour(binder.base === 'white' ? OPAQUE_WHITE : groundColourOf(look));
  return compensation({ red, green, blue }, binder.tonerKept, stageOptics(sheen));
}

/** The tables a print is toned by: the tone, and the compensation where some is wanted. */
export const printTables = (tone: Tone, known: Parameters<typeof printCurves>[0], sheen: SheenId): ToneTables => toneTables(tone, tone.compensate > 0 ? printCurves(known, sheen) : null);
