/**
 * Drying in a gentle oven: what may go in, and what the cycle takes. Source: bench practice; the label's limit and the oven's own come first. Opaque and
 * clear transfer media know no shortcut.
 */
import type { BaseCoatId, BinderRecord, FinishId, SurfaceRecord } from '@/core/craft';

export type OvenId = 'gentle' | 'warm' | 'short';

export interface OvenCycle { id: OvenId; name: string; temperatureC: number; heatMinutes: number; restMinutes: number; how: string }

export const OVEN_CYCLES: readonly OvenCycle[] = [
  { id: 'gentle', name: 'Heat and leave, 80 °C', temperatureC: 80, heatMinutes: 15, restMinutes: 60, how: 'Cold oven, the piece on parchment over foil. Set 80 °C; when it is reached switch off, and leave the piece in for an hour.' },
  { id: 'warm', name: 'One hour at 100 °C', temperatureC: 100, heatMinutes: 15, restMinutes: 60, how: 'Cold oven, the piece on parchment over foil. Set 100 °C, keep it for an hour, and let it cool with the door ajar.' },
  { id: 'short', name: 'A quarter of an hour at 65 °C', temperatureC: 65, heatMinutes: 5, restMinutes: 15, how: 'Oven at 65 °C, the tile on parchment, a quarter of an hour.' },
];

export const ovenById = (id: OvenId): OvenCycle => {
  const cycle = OVEN_CYCLES.find((one) => one.id === id);
  if (!cycle) throw new Error(`unknown oven cycle ${id}`);
  return cycle;
};

export type OvenRefusal = 'no-shortcut' | 'cloth' | 'leather' | 'candle' | 'wall-paint' | 'slick-finish' | 'glued-frame' | 'acrylic-base' | 'stone-cycle' | 'glass-cycle' | 'too-hot';

export interface OvenPiece { surface: SurfaceRecord; finish: FinishId; baseCoat: BaseCoatId; binder: BinderRecord; /** Of the oven or the label, whichever is lower; null where neither says. */ limitC: number | null }

/** Why a piece can't go through a cycle; null where it can. */
export function ovenRefusal({ surface, finish, baseCoat, binder, limitC }: OvenPiece, cycle: OvenCycle): OvenRefusal | null {
  if (binder.clockFloorHours > 0) return 'no-shortcut';
  if (surface.id === 'cloth') return 'cloth';
  if (surface.id === 'canvas') return 'glued-frame';
  if (surface.class === 'leather') return 'leather';
  if (surface.class === 'wax') return 'candle';
  if (finish === 'wall-paint') return 'wall-paint';
  if (finish === 'gloss-paint' || finish === 'varnish' || finish === 'wax-or-oil' || surface.id === 'varnished-wood') return 'slick-finish';
  if (baseCoat === 'acrylic-paint' || baseCoat === 'gesso') return 'acrylic-base';
  if (cycle.id === 'short' && surface.class !== 'mineral') return 'stone-cycle';
  if ((surface.id === 'glass' || surface.id === 'glazed-ceramic') && cycle.temperatureC > 80) return 'glass-cycle';
  return limitC !== null && cycle.temperatureC > limitC ? 'too-hot' : null;
}

/** Hours from the cold oven to a piece that may be rubbed. */
export const ovenHours = (cycle: OvenCycle): number => (cycle.heatMinutes + cycle.restMinutes) / 60;
