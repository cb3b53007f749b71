/**
 * How a finished piece is cleaned, from what it is made of, what holds the picture and what is over it. Source: bench
 * practice; labels overrule.
 */
import type { BinderRecord, SealerRecord, SurfaceRecord } from '@/core/craft';

/** Laundered; never laundered, though it is cloth; dry alone; or slightly damp at most. */
export type Cleaning = 'wash' | 'no-wash' | 'dry-only' | 'wipe-damp';

interface Made {
  surface: Pick<SurfaceRecord, 'laundered' | 'waterHarms' | 'porous'>;
  binder: Pick<BinderRecord, 'washable' | 'washesOut'>;
  sealer: Pick<SealerRecord, 'bare'> | null;
}

export function cleaningOf({ surface, binder, sealer }: Made): Cleaning {
  if (surface.laundered) return binder.washable && !binder.washesOut ? 'wash' : 'no-wash';
  const isSealed = sealer !== null && !sealer.bare;
  if (surface.waterHarms || binder.washesOut) return 'dry-only';
  return isSealed || !surface.porous ? 'wipe-damp' : 'dry-only';
}
