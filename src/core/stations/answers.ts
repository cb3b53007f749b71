/**
 * What stations pass on: each station's answer, and the plan of a piece made of them. What can't be computed yet is
 * null; `missing` says at which station what is lacking. A station's answer is computed from the job and from the
 * answers of the stations before it.
 */
import type { CoatAmount, CoatPlaces, LayingStep } from '@/core/coat';
import type { BinderRecord, Ground, PrintRecord, SchoolRecord, SheenId, SurfaceRecord, WaitKind } from '@/core/craft';
import type {
  AirCourse,
  AirGap,
  CureClock,
  CureWait,
  OvenCondition,
  OvenCycle,
  OvenRefusal,
  PeelWindow,
  Room,
} from '@/core/cure';
import type { ReadingVerdict } from '@/core/inspect/verdict';
import type { Comparison, PieceCost } from '@/core/journal';
import type { Repair } from '@/core/mend';
import type { Candidate, ConditionCode, KeptToner } from '@/core/method';
import type { Crop, ResolutionVerdict, SizePx } from '@/core/picture';
import type { SurfaceLook } from '@/core/render';
import type { RubPlan, WorkMap } from '@/core/rub';
import type { SealClock, SealPlan, SealerChoice } from '@/core/seal';
import type { Blank, RectMm, ShapeCode } from '@/core/shape';
import type { Failure, Result } from '@/core/shared';
import type { FormedPrint, LayoutCode, SheetPack } from '@/core/sheet';
import type { PictureFacts } from './job';
import type { PrepStep } from './surface/preparation';

interface PictureAnswer {
  /** What is known of the file; null while none is chosen, or its facts are not read yet. */
  facts: PictureFacts | null;
}

/** Where the picture lies on the blank, and what of it is printed. */
export interface PrintPlan {
  /** Round everything that lands on the face: the main picture and every layer that is moved with it. */
  rect: RectMm;
  /**
   * The main picture's place on its plane: the face itself, but where a picture is spread, repeated, wrapped or bent.
   */
  picture: RectMm;
  /** How it is printed and what of it lands. */
  formed: FormedPrint;
  /** What of it lies on the blank, mm², and of that what hands reach. */
  areaMm2: number;
  reachedMm2: number;
  /** Where a coat for it goes, past it or over the whole face. */
  coat: CoatPlaces;
  crop: Crop;
  croppedPx: SizePx;
  ppi: number;
  verdict: ResolutionVerdict;
  largestWidthMm: number;
}

export interface SurfaceAnswer {
  record: SurfaceRecord | null;
  blank: Blank | null;
  /** Why the blank can't be made as it is described. */
  shapeFault: Failure<ShapeCode> | null;
  /** Where the print may lie: the blank inside its margins. Null where margins leave nothing. */
  window: RectMm | null;
  /** What the coat lies on: bare, or closed by a finish or a base coat. */
  ground: Ground | null;
  /** Faces that are painted and sealed: what is seen of the front, and bare sides, mm². */
  faceMm2: number;
  /** Paint for all its coats, ml. */
  paintMl: number;
  groundColour: string;
  /** How the renderer shows the blank. */
  look: SurfaceLook | null;
  preparation: readonly PrepStep[];
  print: PrintPlan | null;
}

export interface MethodAnswer {
  /** What it is printed with: said, or what the printer at hand gives. */
  printKind: PrintRecord;
  candidates: readonly Candidate[];
  chosen: Candidate | null;
  /** Of the chosen candidate, where it is not refused. */
  binder: BinderRecord | null;
  school: SchoolRecord | null;
  /** What it asks for that nobody answered and no step or base coat meets. */
  open: readonly ConditionCode[];
  mirrored: boolean;
  /** What of the print stays; all of it while no method is chosen. */
  kept: KeptToner;
  /** The sheen it is sealed with: said, or as the method asks. */
  sheen: SheenId;
}

interface SheetAnswer {
  pack: Result<SheetPack, LayoutCode> | null;
}

/** The room's air from the laying on. */
export interface RoomThrough {
  course: AirCourse;
  startAt: number;
}

export interface LayPlan {
  coat: CoatAmount;
  steps: readonly LayingStep[];
  openMinutes: number;
  spreadMinutes: number;
  filmUm: number;
  /** The air it is laid in. */
  room: Room;
}

export interface LayAnswer {
  /** The room as it is typed. */
  room: Room;
  /** The room through time, where the piece follows it and something is known of it. */
  through: RoomThrough | null;
  laying: LayPlan | null;
}

export interface CureAnswer {
  /** Why a laid print waits, by its school's recipe; null without a school. */
  kind: WaitKind | null;
  wait: CureWait | null;
  clock: CureClock | null;
  /** Which oven cycles the piece can take, what must hold for it, and for how long; or why not. */
  ovens: readonly { cycle: OvenCycle; refusal: OvenRefusal | null; condition: OvenCondition | null; hours: number }[];
  /** From when until when a tacky sheet is peeled. */
  peel: PeelWindow | null;
  /** Stretches without readings in the wait, bridged. */
  bridged: readonly AirGap[];
}

interface RubAnswer {
  rubbing: RubPlan | null;
  /** Where and in which order; null where nothing is rubbed. */
  map: WorkMap | null;
  /** What the last photo asks for, and the passes follow; null without one, or where it is overruled. */
  verdict: ReadingVerdict | null;
}

interface MendAnswer {
  repairs: readonly Repair[];
  /** Fine sandpaper may touch what the print lies on; null while it is not said. */
  sandable: boolean | null;
}

interface SealAnswer {
  choices: readonly SealerChoice[];
  sealing: SealPlan | null;
  clock: SealClock | null;
}

interface KeepAnswer {
  cost: PieceCost;
  comparison: readonly Comparison[];
}

/** The plan of one piece: every station's answer. */
export interface PiecePlan {
  picture: PictureAnswer;
  surface: SurfaceAnswer;
  method: MethodAnswer;
  sheet: SheetAnswer;
  lay: LayAnswer;
  cure: CureAnswer;
  rub: RubAnswer;
  mend: MendAnswer;
  seal: SealAnswer;
  keep: KeepAnswer;
}

/** The registry is held to these by the compiler. */
export type StationId = keyof PiecePlan;

/** The stations in working order. */
export const STATIONS = [
  'picture',
  'surface',
  'method',
  'sheet',
  'lay',
  'cure',
  'rub',
  'mend',
  'seal',
  'keep',
] as const satisfies readonly StationId[];

/** The stations that have answered before one is asked. */
export type Before<
  Id extends StationId,
  Order extends readonly StationId[] = typeof STATIONS,
> = Order extends readonly [infer First extends StationId, ...infer Rest extends readonly StationId[]]
  ? First extends Id
    ? never
    : First | Before<Id, Rest>
  : never;
