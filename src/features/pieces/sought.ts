import type { BinderId, SurfaceId, UseId } from '@/core/craft';
import { dueAt, type StationId } from '@/core/stations';
import { MS_PER_DAY } from '@/core/shared';
import type { PlannedPiece } from '@/features/plans';
import { BINDER_WORDS, PRINT_WORDS, SCHOOL_NAMES, SEALER_WORDS, SURFACE_WORDS } from '@/words';

export type DueWithin = 'any' | 'late' | 'week' | 'month' | 'none';

/** What is looked for on the shelf; null and “any” leave nothing out. */
export interface Sought {
  text: string;
  station: StationId | 'finished' | null;
  due: DueWithin;
  surface: SurfaceId | null;
  binder: BinderId | null;
  /** Where it goes when it is finished. */
  use: UseId | null;
  /** Pieces in work, those that were put away, or templates. */
  shelf: 'here' | 'away' | 'templates';
}

export const NOTHING_SOUGHT: Sought = {
  text: '',
  station: null,
  due: 'any',
  surface: null,
  binder: null,
  use: null,
  shelf: 'here',
};

const DAYS: Readonly<Partial<Record<DueWithin, number>>> = { week: 7, month: 31 };

export const stageOf = ({ next }: PlannedPiece): StationId | 'finished' =>
  next.code === 'finished' ? 'finished' : next.station;

/** Every word must stand somewhere: in the name, the notes, the lettering, or what the piece is made of and with. */
export function isSought(one: PlannedPiece, sought: Sought, away: ReadonlySet<string>, now: number): boolean {
  const { piece, plan } = one;
  const due = dueAt(piece.dueOn);
  return (
    (sought.shelf === 'templates' ? piece.template : away.has(piece.id) === (sought.shelf === 'away')) &&
    (sought.station === null || stageOf(one) === sought.station) &&
    (sought.surface === null || piece.surface.kind === sought.surface) &&
    (sought.use === null || piece.seal.use === sought.use) &&
    (sought.binder === null || plan.method.binder?.id === sought.binder) &&
    isDue(due, sought.due, now) &&
    sought.text
      .toLowerCase()
      .split(/\s+/)
      .every((word) => wordsOf(one).includes(word))
  );
}

function isDue(due: number | null, within: DueWithin, now: number): boolean {
  if (within === 'any') return true;
  if (within === 'none') return due === null;
  if (within === 'late') return due !== null && due < now;
  return due !== null && due >= now && due < now + (DAYS[within] ?? 0) * MS_PER_DAY;
}

/** All that a piece can be found by, in small letters. */
function wordsOf({ piece, plan }: PlannedPiece): string {
  const { binder, school, printKind } = plan.method;
  const { sealing } = plan.seal;
  return [
    piece.name,
    piece.set?.name,
    piece.keep.notes,
    ...piece.picture.layers.flatMap((layer) => (layer.kind === 'text' ? [layer.text] : [])),
    piece.surface.kind && SURFACE_WORDS[piece.surface.kind].name,
    PRINT_WORDS[printKind.id].name,
    binder && BINDER_WORDS[binder.id].name,
    school && SCHOOL_NAMES[school.id],
    sealing && SEALER_WORDS[sealing.sealer.id].name,
  ]
    .filter((text) => typeof text === 'string')
    .join('\n')
    .toLowerCase();
}
