import { baseCoatById, finishById, type BinderRecord, type SheenId, type SurfaceRecord } from '@/core/craft';
import { toneTables, type LevelCurves, type Tone, type ToneTables } from '@/core/raster';
import { OPAQUE_WHITE, compensation, stageOptics, type SurfaceLook } from '@/core/render';
import { linearColour, encodeLight } from '@/core/colour';
import type { Job } from '../job';
import { hasBaseCoat } from './preparation';

const PAINT_OPACITY = 0.97;

/** How a surface with its finish and base coat looks before the print. */
export function surfaceLook(choice: Job['surface'], surface: SurfaceRecord): SurfaceLook {
  return {
    surface: surface.id,
    colour: choice.bareColour ?? surface.bareColour,
    grain: choice.grain,
    coat: coverOf(choice, surface),
  };
}

/** What covers the bare stuff: a base coat, or the paint that is on it. */
function coverOf(choice: Job['surface'], surface: SurfaceRecord): SurfaceLook['coat'] {
  if (hasBaseCoat(choice, surface))
    return { colour: choice.baseColour, opacity: baseCoatById(choice.baseCoat).opacity };
  return finishById(choice.finish).paint ? { colour: choice.baseColour, opacity: PAINT_OPACITY } : null;
}

/** The mean colour that lies under the print, #rrggbb: bare stuff and coat mixed in linear light. */
export function groundColourOf({ colour, coat }: SurfaceLook): string {
  if (!coat) return colour;
  const [bare, over] = [linearColour(colour), linearColour(coat.colour)];
  return `#${bare
    .map((light, channel) =>
      Math.round(encodeLight(light + (over[channel]! - light) * coat.opacity))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}

/** What a print is compensated for: of the plan, how the ground looks and what holds it. */
export interface PrintGround {
  surface: { look: SurfaceLook | null };
  method: { binder: BinderRecord | null };
}

/** Level curves that make up for ground and binder; null while they are not known. */
export function printCurves(
  { surface: { look }, method: { binder } }: PrintGround,
  sheen: SheenId,
): LevelCurves | null {
  if (!look || !binder) return null;
  const [red, green, blue] = linearColour(binder.base === 'white' ? OPAQUE_WHITE : groundColourOf(look));
  return compensation({ red, green, blue }, binder.tonerKept, stageOptics(sheen));
}

/** The tables a print is toned by: the tone, and the compensation where some is wanted. */
export const printTables = (tone: Tone, ground: PrintGround, sheen: SheenId): ToneTables =>
  toneTables(tone, tone.compensate > 0 ? printCurves(ground, sheen) : null);
