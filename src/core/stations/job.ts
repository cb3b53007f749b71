/**
 * What the crafter decided and did for one piece: everything the plan is computed from. The stored piece extends it.
 * Lengths mm, volumes ml, temperatures °C, instants epoch ms; null is "not said yet" or, for overruled values, "as
 * computed".
 */
import type { Cover, OvenId, SeenSign } from '@/core/cure';
import type {
  BaseCoatId,
  BinderId,
  CoatedFace,
  FaultCauseId,
  FaultRemedyId,
  FaultSignId,
  FinishId,
  PrintId,
  SchoolId,
  SealerId,
  SheenId,
  SurfaceId,
  UseId,
} from '@/core/craft';
import type { KeptReading } from '@/core/inspect/kept-reading';
import type { Prices } from '@/core/journal';
import type { LikedRepair, RepairId, Wear } from '@/core/mend';
import type { AskedCondition, LookWanted } from '@/core/method';
import type { Crop, CropRatio, Layer } from '@/core/picture';
import type { Tone } from '@/core/raster';
import type { Grain } from '@/core/render';
import type { BlankShape, MarginsMm, SizeMm } from '@/core/shape';
import type { ProofReason, SizeUnread } from '@/core/proof';
import type { PrepCode, StepText } from './step';
import type { Orientation, PaperId, PrintForm } from '@/core/sheet';

export interface Motif {
  of: string;
  rings: { x: number; y: number }[][];
}
/** Scales in shares: 1 is right; null where the photo could not tell. */
export interface KeptProof {
  at: number;
  go: boolean;
  mirroredRight: boolean;
  across: number | null;
  along: number | null;
  sizeUnread: SizeUnread | null;
  page: number;
  darknessKept: number;
  reasons: ProofReason[];
}
export interface ShopOrder {
  number: string;
  price: number;
  pages: number;
  copies: number;
  orderedAt: number;
  readyAt: number;
}

/**
 * Of paint that is on it: put on by oneself; by others since lead has been banned from it; before that; or nobody knows.
 */
export const PAINT_AGES = ['own', 'recent', 'old', 'unknown'] as const;
export type PaintAge = (typeof PAINT_AGES)[number];

export interface RubbedPass {
  at: number;
  minutes: number;
}

/** What a photo of the blank showed: its face as a picture of its own, seen as the blank’s box. */
interface TracedFace {
  pictureId: string;
  /** Quarter turns clockwise since it was traced. */
  turns: 0 | 1 | 2 | 3;
  /** As it was traced: degrees clockwise from running across; null where nothing runs one way. */
  grainDeg: number | null;
  /** Middle in shares of the face, radius in shares of its width; as it was traced. */
  knots: { x: number; y: number; radius: number }[];
}

/** A condition of the method that was answered yes, and of which surface. */
export interface Settled {
  condition: AskedCondition;
  surface: SurfaceId;
}

export interface Job {
  name: string;
  /** Calendar day, YYYY-MM-DD. */
  dueOn: string | null;
  picture: {
    pictureId: string | null;
    crop: Crop;
    ratio: CropRatio;
    lettering: 'yes' | 'no' | null;
    /** Quarter turns and straightening, before the crop. */
    turns: number;
    straightenDeg: number;
    tone: Tone;
    layers: Layer[];
    /** Parts that knots and strong grain are kept off, in shares of the print. */
    keepClear: Crop[];
  };
  surface: {
    kind: SurfaceId | null;
    widthMm: number | null;
    heightMm: number | null;
    thicknessMm: number | null;
    finish: FinishId;
    baseCoat: BaseCoatId;
    baseColour: string;
    prepared: PrepCode[];
    shape: BlankShape;
    grain: Grain;
    /** The bare stuff's own colour; null as usual for the surface. */
    bareColour: string | null;
    /** The blank’s own face, traced from a photo; null where it is drawn as is usual for its kind. */
    face: TracedFace | null;
    /** Who painted it, and when; null where nobody said. */
    paintAge: PaintAge | null;
    /** Another colour under the base coat, to come through where it is sanded; null without. */
    underColour: string | null;
    /** Its paint bears an oven, by its label. */
    bakeSafe: boolean;
  };
  method: {
    /** Null: what the printer at hand gives. Said with the method that is chosen. */
    print: PrintId | null;
    school: SchoolId | null;
    binder: BinderId | null;
    whites: 'surface-shows' | 'stay-white' | 'either';
    look: LookWanted;
    /** What the method asks for and was answered yes. */
    settled: Settled[];
    /** Pairs to try the picture on, side by side. */
    tryOn: TryOn[];
  };
  sheet: {
    paper: PaperId;
    orientation: Orientation;
    margins: MarginsMm;
    barMeasuredMm: number | null;
    printedAt: number | null;
    /** Size of a paper of one's own, upright. */
    custom: SizeMm;
    /** How far a page goes on under the next. */
    overlapMm: number;
    form: PrintForm;
    /** Prints of the same, spares included. */
    copies: number;
    /**
     * Outline of what is not white, in shares of the turned picture, and of which picture; null where it was not looked
     * for.
     */
    motif: Motif | null;
    /** The last proof that was read back; null before. */
    proof: KeptProof | null;
    /** What the copy shop was asked to print; null where it was not. */
    order: ShopOrder | null;
  };
  lay: {
    faces: CoatedFace[] | null;
    filmUm: number | null;
    extendMm: number;
    mediumUsedMl: number | null;
    laidAt: number | null;
  };
  cure: {
    temperatureC: number;
    humidityPercent: number;
    air: 'still' | 'fan';
    /** When it is dry: by its signs, or by the full time of its label. */
    waitBy: 'sign' | 'clock';
    labelHours: number | null;
    /**
     * How it lies, whether an oven dries it, and whether its air is the figure typed here or the room's own through
     * time.
     */
    cover: Cover;
    oven: OvenId | null;
    through: 'typed' | 'room';
    /** What was seen and felt on it while it dried. */
    signs: SeenSign[];
  };
  rub: {
    passes: number | null;
    done: RubbedPass[];
    finishedAt: number | null;
    /** What photos of it said, oldest first. */
    readings: KeptReading[];
    /** When the reading was taken whose verdict the person overruled; null where none was. */
    overruledAt: number | null;
  };
  mend: {
    done: RepairId[];
    finishedAt: number | null;
    /** Worn on purpose: how much of the print, and where; null where it is not. */
    wear: Wear | null;
    /** A stained glaze wiped over all of it, or a stain on what is bare; null without. */
    glaze: string | null;
    /** What else is done because somebody likes it. */
    liked: LikedRepair[];
  };
  seal: {
    use: UseId;
    /** Null as the method asks for. */
    sheen: SheenId | null;
    sealer: SealerId | null;
    coats: number | null;
    coatsAt: number[];
    finishedAt: number | null;
  };
  /** What hands did, with their minutes, and what it took out of the stash. */
  work: { done: StepDone[]; draws: Draw[] };
  /** Faults that were looked into, oldest first. */
  faults: { notes: FaultNote[] };
  keep: {
    photoId: string | null;
    rating: number | null;
    notes: string;
    careText: string | null;
    prices: Prices;
    /** What a bought one like it costs; null where nobody said. */
    boughtPrice: number | null;
  };
}

/** What was seen on it, what it was put down to, and what was pressed. */
export interface FaultNote {
  at: number;
  signs: FaultSignId[];
  cause: FaultCauseId;
  remedy: FaultRemedyId | null;
}

/**
 * A step done, by its written id: when its hands ended, the minutes they took (null where nobody measured) and the
 * usual minutes it was planned with, before the person's own pace.
 */
export interface StepDone {
  step: StepText;
  at: number;
  minutes: number | null;
  planned: number;
  /** It was begun before its time, against the warning. */
  early: boolean;
}
/** Taken out of an item of the stash by a step: ml, sheets or pieces. */
export interface Draw {
  step: StepText;
  item: string;
  amount: number;
  at: number;
}

export interface TryOn {
  surface: SurfaceId;
  baseCoat: BaseCoatId;
  school: SchoolId;
  binder: BinderId;
}

type SectionId =
  'picture' | 'surface' | 'method' | 'sheet' | 'lay' | 'cure' | 'rub' | 'mend' | 'seal' | 'work' | 'faults' | 'keep';
/** A change to a job: values laid over its sections. */
export type JobPatch = { [S in SectionId]?: Partial<Job[S]> };

/**
 * Lays a patch over a job: what a piece would be. What a change of a stored piece undoes with it, its fields say
 * (`changedBy` of the records).
 */
export const applyPatch = <J extends Job>(job: J, patch: JobPatch): J => {
  const sections = Object.entries(patch).map(([section, values]) => [
    section,
    { ...job[section as SectionId], ...values },
  ]);
  return { ...job, ...(Object.fromEntries(sections) as Partial<J>) };
};

/** The end of the due day in local time, epoch ms. */
export const dueAt = (dueOn: string | null): number | null =>
  dueOn === null ? null : new Date(`${dueOn}T23:59:00`).getTime();

/** What the plan needs to know of the picture file. */
export interface PictureFacts {
  widthPx: number;
  heightPx: number;
  paleShare: number;
  darkShare: number;
  sketch?: string;
}
