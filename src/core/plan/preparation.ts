import { BASE_COATS, FINISHES, type CautionId, type SurfaceRecord } from '@/core/craft';
import { dryingFactor, type Room } from '@/core/cure';
import type { Job, PrepCode } from './job';

export interface PrepStep { code: PrepCode; title: string; why: string; hours: number; cautions: readonly CautionId[]; materials: readonly string[] }

const MATERIALS: Readonly<Partial<Record<PrepCode, readonly string[]>>> = {
  'lead-test': ['lead test kit'], scuff: ['sandpaper 120 and 220', 'dust mask'], sand: ['sandpaper 120 and 220', 'dust mask'], 'seal-edges': ['thinned wood glue or the binder', 'small brush'],
  degrease: ['rubbing alcohol or dish soap', 'lint-free cloth'], derust: ['wire brush', 'dust mask'], 'wash-dry': ['stiff brush', 'water'], prewash: ['washing machine', 'iron'], 'lay-flat': ['baking parchment', 'tape'],
  dust: ['dust cloth or soft brush'], 'base-coat': ['foam brush', 'the paint'], 'light-sand': ['sandpaper 320'],
};

const WASH_DRY_HOURS = 24;
const OLD_FINISHES = ['matte-paint', 'gloss-paint', 'wall-paint', 'varnish'];

/** Steps from the surface as it is to a surface ready for the print. Drying of base coats follows the room. Source: bench practice. */
export function preparation(surface: SurfaceRecord, job: Job['surface'], room: Room): PrepStep[] {
  const slick = FINISHES.find((finish) => finish.id === job.finish)?.holds === 'badly';
  const painted = OLD_FINISHES.includes(job.finish) || surface.id === 'varnished-wood';
  const wooden = surface.class === 'wood' || surface.class === 'painted';
  const coat = BASE_COATS.find((one) => one.id === job.baseCoat);
  const hasCoat = coat !== undefined && coat.id !== 'none' && surface.takesBaseCoat;
  const bareWood = wooden && job.finish === 'bare' && surface.id !== 'varnished-wood';
  const step = (code: PrepCode, title: string, why: string, cautions: CautionId[] = [], hours = 0): PrepStep => ({ code, title, why, hours, cautions, materials: MATERIALS[code] ?? [] });

  return [
    wooden && painted ? step('lead-test', 'Test the old finish for lead', 'Old paint may hold lead; sanding it spreads the dust.', ['lead']) : null,
    wooden && (slick || surface.id === 'varnished-wood') ? step('scuff', 'Scuff or strip the old finish, 120 then 220', 'A slick finish gives the binder nothing to grip.', ['sanding-dust']) : null,
    bareWood ? step('sand', 'Sand along the grain, 120 then 220', 'Toner bridges no scratches; leave the wood without a finish.', ['sanding-dust']) : null,
    surface.id === 'sheet-wood' ? step('seal-edges', 'Seal the cut edges', 'Edges of sheet wood drink the medium out of the coat.') : null,
    ['glass', 'glazed-ceramic', 'metal', 'leather'].includes(surface.id)
      ? step('degrease', 'Degrease', 'A fingerprint is enough to let the picture go.', surface.id === 'glass' || surface.id === 'glazed-ceramic' ? ['glass-edges'] : [])
      : null,
    surface.id === 'metal' ? step('derust', 'Brush off loose rust', 'Rust lifts with the paper.', ['sanding-dust']) : null,
    ['stone', 'terracotta'].includes(surface.id) ? step('wash-dry', 'Wash it', 'Trapped water and dust stop the binder from reaching the stone.', [], WASH_DRY_HOURS) : null,
    surface.id === 'cloth' ? step('prewash', 'Wash it without softener, dry and iron flat', 'Dressing and softener repel the medium; creases become holes.', []) : null,
    surface.id === 'cloth' ? step('lay-flat', 'Put a barrier inside and lay it flat', 'Medium that soaks through glues both layers together.') : null,
    wooden || surface.class === 'mineral' ? step('dust', 'Dust off', 'Dust is a layer of holes.') : null,
    hasCoat ? step('base-coat', `Base coat: ${coat.name.toLowerCase()}`, 'An even, porous, light ground: this is what shows where the picture is white.', [], coat.dryHours * dryingFactor(1, room, surface.dryingFactor).total) : null,
    hasCoat && surface.class !== 'fabric' ? step('light-sand', 'Light sanding, 320', 'Takes off nibs that would hold the paper away.', ['sanding-dust']) : null,
  ].filter((one) => one !== null);
}
