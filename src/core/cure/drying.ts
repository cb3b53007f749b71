/**
 * How much longer or shorter than the label a water-borne coat dries:
 * (film ÷ nominal film)^1.5 × (reference VPD ÷ VPD) × surface factor × air factor, within 0.4–4.
 * The exponent lies between evaporation-limited (1) and diffusion-limited (2) drying. Source: film-drying theory, simplified;
 * surface and air factors from bench practice. Known weakness: one figure for the room's whole day.
 */
import { clamp } from '@/core/shared';
import { REFERENCE_VPD_KPA, vapourPressureDeficitKpa, type Room } from './vapour';

export interface DryingFactor {
  film: number;
  room: number;
  surface: number;
  air: number;
  /** The product, within its limits. */
  total: number;
  limited: boolean;
}

export const FILM_EXPONENT = 1.5;
export const FAN_FACTOR = 0.7;
const LEAST_FACTOR = 0.4;
const GREATEST_FACTOR = 4;

/** @param filmShare wet film ÷ nominal film; @param surfaceFactor 1 for painted wood */
export function dryingFactor(filmShare: number, room: Room, surfaceFactor: number): DryingFactor {
  const deficit = vapourPressureDeficitKpa(room);
  const film = filmShare ** FILM_EXPONENT;
  const roomFactor = deficit > 0 ? REFERENCE_VPD_KPA / deficit : Infinity;
  const air = room.air === 'fan' ? FAN_FACTOR : 1;
  const product = film * roomFactor * surfaceFactor * air;
  const total = clamp(product, LEAST_FACTOR, GREATEST_FACTOR);
  return { film, room: roomFactor, surface: surfaceFactor, air, total, limited: total !== product };
}
