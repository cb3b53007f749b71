/**
 * What a station is. One file a station states all of it; the plan, the states, the next step, the run, what is marked
 * done, what is drawn from the stash and what is to mind are folds over the registry. A station reads the answers of
 * the stations before it, never the plan's folds.
 */
import type { RepairId } from '@/core/mend';
import type { AtHand } from '@/core/at-hand';
import type {
  BaseCoatId,
  BinderId,
  CautionId,
  PrintId,
  RecipeWait,
  SchoolId,
  SealerId,
  ToolId,
  WaitKind,
} from '@/core/craft';
import { plainWait, type Room } from '@/core/cure';
import type { Before, PiecePlan, StationId } from './answers';
import type { Job, JobPatch, PictureFacts } from './job';
import type { StatedLabour } from './labour';
import type { MendPart, PrepCode, StepId } from './step';

/** What every station is given: the job, the facts of its picture, the time (epoch ms), and what the person has. */
export interface Setting {
  job: Job;
  picture: PictureFacts | null;
  now: number;
  atHand: AtHand;
}

/**
 * not-yet: can't be worked out or begun; doubtful: something stands against it; ready: worked out; waiting: time must
 * pass; done.
 */
export type StationState = 'not-yet' | 'doubtful' | 'ready' | 'waiting' | 'done';

/** What a station can't do without, and the station where it is said. */
export interface Missing {
  code: MissingCode;
  at: StationId;
}
export type MissingCode =
  | 'picture'
  | 'lettering'
  | 'surface-kind'
  | 'blank-size'
  | 'margins-too-wide'
  | 'method'
  | 'method-refused'
  | 'print-fits-no-page'
  | 'shape-fault'
  | 'not-laid'
  | 'sealer'
  | 'rating';

export type NextCode =
  | 'choose-picture'
  | 'answer-lettering'
  | 'describe-surface'
  | 'prepare-surface'
  | 'choose-method'
  | 'fix-sheet'
  | 'print-sheet'
  | 'lay-print'
  | 'wait-cure'
  | 'start-rubbing'
  | 'next-pass'
  | 'wait-removal'
  | 'take-off'
  | 'stick-on'
  | 'mend'
  | 'first-seal-coat'
  | 'next-seal-coat'
  | 'keep-record'
  | 'finished';

/**
 * The one thing to do next on a piece: at once (`at` null or past) or from a time on. Instants epoch ms; minutes of
 * hands as usual.
 */
export interface NextStep {
  code: NextCode;
  station: StationId;
  at: number | null;
  minutes: number | null;
}

/** What a step is called, with what its words need. */
export type StepTitle =
  | { code: 'prepare'; prep: PrepCode; coat: BaseCoatId | null }
  | { code: 'print'; mirrored: boolean; traced: boolean }
  | { code: 'heat-set'; temperatureC: number }
  | { code: 'bed' }
  | { code: 'lay'; school: SchoolId }
  | { code: 'rub-pass' | 'peel-pass'; number: number }
  | { code: 'remove'; school: SchoolId }
  | { code: 'stick' }
  | { code: 'trace-text'; text: string }
  | { code: 'trace-drawing' }
  | { code: 'mend'; part: MendPart; pencil: boolean; wetTest: boolean; liked: readonly RepairId[] }
  | { code: 'coat'; number: number };

/** What must pass after a step's hands before the next may begin. */
export interface StepWait {
  /** Why it waits. */
  kind: WaitKind;
  /** As the schedule takes it, and at its safest. */
  hours: number;
  safeHours: number;
  /** Where waiting longer spoils it. */
  maxHours: number | null;
  /** Label hours to gather in the room's air, with the factor without it; null by the clock. */
  drying: { labelHours: number; safeLabelHours: number; still: number; floorHours: number } | null;
  place: 'bench' | 'rack' | 'oven' | null;
}

/** A step as its station states it: usual minutes of hands, then a wait. */
export interface StationStep {
  step: StepId;
  title: StepTitle;
  minutes: number;
  wait: StepWait;
  labour: StatedLabour;
  /** Goes on beside what comes before it: waits for nothing, and what follows waits for both. */
  beside?: boolean;
  /** Somebody stays with it until its wait is over. */
  attended?: boolean;
  /** Nothing after it begins before it is marked done, though it leaves no wait: it is seen on the piece. */
  holdsBack?: boolean;
}

/** What a step takes out of the stash: ml, or sheets. `material` null where any of the kind will do. */
export interface StashNeed {
  kind: 'paper' | 'binder' | 'paint' | 'sealer';
  material: PrintId | BinderId | SealerId | null;
  amount: number;
}

/** When hands ended, epoch ms, and the minutes they took: measured, or as usual. */
interface HandsDone {
  at: number;
  minutes: number;
}

export interface Station<Id extends StationId, Read extends Before<Id> = never> {
  readonly id: Id;
  /** @param before of the stations that it reads, all of which stand before it */
  answer: (setting: Setting, before: Pick<PiecePlan, Read>) => PiecePlan[Id];
  /** What it can't do without: what another station lacks is named with that station. */
  missing: (job: Job, plan: PiecePlan) => Missing[];
  state: (job: Job, plan: PiecePlan) => StationState;
  /** Nothing is asked of it any more, doubtful as it may be. */
  isBehind: (job: Job) => boolean;
  /** What is to be done here, once it is this station's turn. */
  next: (job: Job, plan: PiecePlan, now: number) => NextStep;
  /** Its steps in working order; none for a station without hands. */
  steps: (job: Job, plan: PiecePlan) => StationStep[];
  /** When a step was done, epoch ms: null while it is not, 0 where nobody knows when. */
  doneAt: (step: StepId, job: Job, plan: PiecePlan) => number | null;
  /** When what was done is ready for the next, where it is not simply the wait after it. */
  ripeAt?: (step: StepId, job: Job, plan: PiecePlan) => number | null;
  /** What marking a step done changes in the station's own record, and what taking it back does. */
  complete: (step: StepId, job: Job, done: HandsDone) => JobPatch;
  revoke: (step: StepId, job: Job) => JobPatch;
  needs: (step: StepId, job: Job, plan: PiecePlan) => StashNeed | null;
  /**
   * What to mind at a step; at all of the station's steps where none is named. The desk and the bench show the same.
   */
  cautions: (job: Job, plan: PiecePlan, step?: StepId) => CautionId[];
  tools: (job: Job, plan: PiecePlan, step?: StepId) => readonly ToolId[];
}

/** The parts of a station without steps of its own. */
export const WITHOUT_STEPS = {
  steps: () => [],
  doneAt: () => null,
  complete: () => ({}),
  revoke: () => ({}),
  needs: () => null,
  tools: () => [],
} as const satisfies Partial<Station<StationId>>;

export const never = (): boolean => false;

/** Once it is laid, what lies behind is behind. */
export const isLaid = ({ lay }: Pick<Job, 'lay'>): boolean => lay.laidAt !== null;

export const need = (lacks: boolean, code: MissingCode, at: StationId): Missing[] => (lacks ? [{ code, at }] : []);

export const nextStep = (
  code: NextCode,
  station: StationId,
  at: number | null = null,
  minutes: number | null = null,
): NextStep => ({ code, station, at, minutes });

/** Waits longer than this are spent on the rack, shorter ones on the bench. */
const RACK_HOURS = 1.1;

/** A wait by the clock. */
export const clockWait = (hours: number, kind: WaitKind = 'dry', safeHours = hours): StepWait => ({
  kind: hours > 0 ? kind : 'none',
  hours,
  safeHours,
  maxHours: null,
  drying: null,
  place: placeFor(hours),
});

/** A recipe's wait that has no coat under a sheet, in a room; null where it has one, or a window. */
export function openWait(wait: RecipeWait, room: Room): StepWait | null {
  if (wait.kind === 'none') return clockWait(0);
  if (wait.kind === 'soak' || wait.kind === 'cool') return clockWait(wait.minutes / 60, wait.kind);
  if (wait.kind === 'window' || !('hours' in wait)) return null;
  return clockWait(plainWait('open', wait.hours, room).likelyHours);
}

function placeFor(hours: number): StepWait['place'] {
  if (hours <= 0) return null;
  return hours > RACK_HOURS ? 'rack' : 'bench';
}

/** When the record of the work says that a step was done; undefined where it doesn't. */
export const loggedAt = ({ work }: Job, text: string): number | undefined =>
  work.done.find((done) => done.step === text)?.at;
