import type { AtHand } from '@/core/at-hand';
import type { CoatPlaces } from '@/core/coat';
import type { FinishId, Ground, PrintRecord, SurfaceRecord, UseId } from '@/core/craft';
import type { Room } from '@/core/cure';

export type LookWanted = 'any' | 'crisp' | 'soft' | 'distressed';

/** What is known of a piece when its method is chosen. */
export interface MethodContext {
  surface: SurfaceRecord;
  finish: FinishId;
  /** The colour the print will lie on, as CIE L*. */
  groundLightness: number;
  hasBaseCoat: boolean;
  print: PrintRecord;
  /** What the coat lies on. */
  ground: Ground;
  /** Where a coat goes, and what of the print hands reach, mm². */
  places: CoatPlaces;
  reachedMm2: number;
  lettering: boolean;
  whites: 'surface-shows' | 'stay-white' | 'either';
  look: LookWanted;
  use: UseId;
  room: Room;
  /** Hours left until the due date; null without one. */
  hoursLeft: number | null;
  waitBy: 'sign' | 'clock';
  atHand: AtHand;
}
