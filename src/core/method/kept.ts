import { finishById, type BinderRecord, type FinishId, type PrintRecord, type SchoolRecord } from '@/core/craft';

/** What of a print stays on the piece, and how milky its film is. */
export interface KeptToner {
  /** Share of its density that stays evenly. */
  share: number;
  /** Share of the face where it is lost altogether, as specks. */
  worn: number;
  /** Share of light that the binder's own film scatters. */
  cloud: number;
}

/** Slick paint and old varnish let some go; wall paint a little. */
const HELD = { well: 1, fair: 0.97, badly: 0.92 } as const;
/** So much of what a binder loses goes as specks. */
const LOST_AS_SPECKS = 0.3;
const WORN = { rubbed: 0.002, liftedWhole: 0.008 } as const;

/** Source: bench practice; the person's own photos correct it. */
export function keptToner(
  school: SchoolRecord,
  binder: BinderRecord,
  { print, finish, hasBaseCoat }: { print: PrintRecord; finish: FinishId; hasBaseCoat: boolean },
): KeptToner {
  const held = binder.wet && !binder.bedCoat && !hasBaseCoat ? HELD[finishById(finish).holds] : 1;
  const worn = binder.base === 'white' ? 0 : (1 - binder.tonerKept) * LOST_AS_SPECKS;
  return {
    share: binder.tonerKept * print.inkKept * held,
    worn: school.traced ? 0 : worn + (school.leavesFibres ? WORN.rubbed : WORN.liftedWhole),
    cloud: binder.cloud,
  };
}
