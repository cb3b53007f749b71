import { baseCoatById, finishById, type BinderRecord, type SheenId, type SurfaceRecord } from '@/core/craft';
import { toneTables, type LevelCurves, type Tone, type ToneTables } from '@/core/raster';
import { OPAQUE_WHITE, cloudedBy, compensation, stageOptics, wettedShares, type SurfaceLook } from '@/core/render';
import type { KeptToner } from '@/core/method';
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
    face: choice.face && { pictureId: choice.face.pictureId, turns: choice.face.turns },
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
  method: { binder: BinderRecord | null; kept: KeptToner };
}

/** Level curves that make up for ground and binder; null while they are not known. */
export function printCurves(
  { surface: { look }, method: { binder, kept } }: PrintGround,
  sheen: SheenId,
): LevelCurves | null {
  if (!look || !binder) return null;
  const white = binder.base === 'white';
  const [red, green, blue] = linearColour(white ? OPAQUE_WHITE : groundColourOf(look));
  const [r, g, b] = white ? [1, 1, 1] : wettedShares(look);
  return compensation(
    { red: red * r, green: green * g, blue: blue * b },
    kept.share,
    cloudedBy(stageOptics(sheen), kept.cloud),
  );
}

/** The tables a print is toned by: the tone, and the compensation where some is wanted. */
export const printTables = (tone: Tone, ground: PrintGround, sheen: SheenId): ToneTables =>
  toneTables(tone, tone.compensate > 0 ? printCurves(ground, sheen) : null);
