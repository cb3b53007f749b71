/**
 * The plan of one piece: every station's answer computed from the job in one call, the same in the page, in a test and in a worker.
 * What can't be computed yet is null, and `missing` says at which station what is lacking.
 */
import { nominalFilmUm, printById, schoolById, sealerById, surfaceById, type BinderRecord, type SchoolRecord, type SealerId, type SurfaceRecord } from '@/core/craft';
import { coatAmount, layingSteps, openMinutes, spreadMinutes, type CoatAmount, type LayingStep } from '@/core/coat';
import {
  OVEN_CYCLES, airCourse, cureClock, cureWait, ovenById, ovenRefusal, peelWindow, saturationPressureKpa, type AirCourse, type AirGap, type CureClock, type CureWait, type OvenCycle, type OvenRefusal, type PeelWindow, type Room,
} from '@/core/cure';
import { compareWithPlan, pieceCost, type Comparison, type PieceCost, type Prices } from '@/core/journal';
import { applicableRepairs, type Repair } from '@/core/mend';
import { NOTHING_SAID, rankMethods, type AtHand, type Candidate } from '@/core/method';
import { cropPixels, cropToAspect, effectivePpi, largestAcceptableWidthMm, lightnessOf, ratioAspect, cropAspect, frameSize, keptFull, resolutionVerdict, type Crop, type ResolutionVerdict, type SizePx } from '@/core/picture';
import type { SurfaceLook } from '@/core/render';
import { rubPlan, type RubPlan } from '@/core/rub';
import { defaultSealer, sealClock, sealPlan, sealerChoices, type SealClock, type SealPlan, type SealerChoice } from '@/core/seal';
import { areaMm2, coveredAreaMm2, largestInside, resolveBlank, type Blank, type RectMm, type ShapeCode } from '@/core/shape';
import { UNPRINTABLE_MM, formPrint, layoutPack, paperOf, pictureWindow, type FormedPrint, type LayoutCode, type SheetPack } from '@/core/sheet';
import type { Failure, Result } from '@/core/shared';
import type { Job, PictureFacts } from './job';
import { groundColourOf, surfaceLook } from './ground';
import { preparation, type PrepStep } from './preparation';

export interface PrintPlan {
  /** Round everything that lands on the face: the main picture and every layer that is moved with it. */
  rect: RectMm;
  /** The main picture's place on its plane: the face itself, but where a picture is spread, repeated, wrapped or bent. */
  picture: RectMm;
  /** How it is printed and what of it lands. */
  formed: FormedPrint;
  /** What of it lies on the blank, mm². */
  areaMm2: number;
  crop: Crop; croppedPx: SizePx; ppi: number; verdict: ResolutionVerdict; largestWidthMm: number;
}

export interface LayPlan { coat: CoatAmount; steps: readonly LayingStep[]; openMinutes: number; spreadMinutes: number; filmUm: number; /** The air it is laid in. */ room: Room }

export interface PiecePlan {
  surface: SurfaceRecord | null;
  blank: Blank | null;
  /** Why the blank can't be made as it is described. */
  shapeFault: Failure<ShapeCode> | null;
  /** Where the print may lie: the blank inside its margins. Null where margins leave nothing. */
  window: RectMm | null;
  groundColour: string;
  /** How the renderer shows the blank. */
  look: SurfaceLook | null;
  preparation: readonly PrepStep[];
  print: PrintPlan | null;
  candidates: readonly Candidate[];
  chosen: Candidate | null;
  binder: BinderRecord | null;
  school: SchoolRecord | null;
  mirrored: boolean;
  sheet: Result<SheetPack, LayoutCode> | null;
  lay: LayPlan | null;
  cure: CureWait | null;
  cureClock: CureClock | null;
  rub: RubPlan | null;
  repairs: readonly Repair[];
  sealers: readonly SealerChoice[];
  seal: SealPlan | null;
  sealClock: SealClock | null;
  cost: PieceCost;
  comparison: readonly Comparison[];
  room: Room;
  /** Which oven cycles the piece can take, and why not. */
  ovens: readonly { cycle: OvenCycle; refusal: OvenRefusal | null }[];
  /** From when until when a tacky sheet is peeled. */
  peel: PeelWindow | null;
  /** Stretches without readings in the wait, bridged. */
  bridged: readonly AirGap[];
}

const DEFAULT_PRINT_AREA_MM2 = 215.9 * 279.4;
const MS_PER_HOUR = 3_600_000;

/** The end of the due day in local time, epoch ms. */
export const dueAt = (dueOn: string | null): number | null => (dueOn === null ? null : new Date(`${dueOn}T23:59:00`).getTime());

/** @param atHand what the person has; decides ranks and label values */
export function planPiece(job: Job, picture: PictureFacts | null, now: number, atHand: AtHand = NOTHING_SAID): PiecePlan {
  const room: Room = { temperatureC: job.cure.temperatureC, humidityPercent: job.cure.humidityPercent, air: job.cure.air, cover: job.cure.cover };
  const surface = job.surface.kind ? surfaceById(job.surface.kind) : null;
  const { widthMm, heightMm } = job.surface;
  const resolved = widthMm !== null && heightMm !== null ? resolveBlank(job.surface.shape, { widthMm, heightMm }) : null;
  const blank = resolved?.ok ? resolved.value : null;
  const window = blank ? pictureWindow(blank, job.sheet.form, job.sheet.margins) : null;
  const print = picture && window && blank ? placePrint(job, picture, window, surface?.coarse ?? false, blank) : null;
  const look = surface ? surfaceLook(job.surface, surface) : null;
  const groundColour = look ? groundColourOf(look) : '#ffffff';
  const printArea = print ? print.areaMm2 : window ? areaMm2(window) : DEFAULT_PRINT_AREA_MM2;
  const printRecord = printById(job.method.print);

  const candidates = surface
    ? rankMethods({
        surface, room, print: printRecord, finish: job.surface.finish, groundLightness: lightnessOf(groundColour), hasBaseCoat: job.surface.baseCoat !== 'none',
        areaMm2: printArea, lettering: job.picture.lettering === 'yes', whites: job.method.whites, use: job.seal.use, school: job.cure.school, hoursLeft: hoursLeft(job.dueOn, now),
        look: job.method.look, atHand,
      })
    : [];
  const chosen = candidates.find((one) => one.binder.id === job.method.binder && one.school.id === job.method.school) ?? null;
  const usable = chosen && chosen.verdict !== 'refused' ? chosen : null;
  const binder = usable?.binder ?? null;

  const through = binder ? throughOf(job, room, now, atHand) : null;
  const lay = surface && blank && print && binder ? planLay(job, surface, blank, print, binder, through && job.lay.laidAt === null ? airNow(through.course, room) : room) : null;
  const ovenPiece = surface && binder ? { surface, finish: job.surface.finish, baseCoat: job.surface.baseCoat, binder, limitC: atHand.ovenLimitC } : null;
  const oven = ovenPiece && job.cure.oven && ovenRefusal(ovenPiece, ovenById(job.cure.oven)) === null ? ovenById(job.cure.oven) : null;
  const cure = surface && binder
    ? cureWait({ binder, surface, filmUm: job.lay.filmUm, room, school: job.cure.school, labelHours: job.cure.labelHours, through, signs: job.lay.laidAt === null ? [] : job.cure.signs, oven })
    : null;
  const rub = binder && print ? rubPlan({ binder, print: printRecord, areaMm2: print.areaMm2, room, passes: job.rub.passes }) : null;
  const fabric = surface?.class === 'fabric';
  const sealerId = job.seal.sealer ?? defaultSealer(job.seal.use, job.seal.sheen, binder, fabric);
  const seal = sealerId && blank ? sealPlan(sealerById(sealerId), blank.areaMm2, room, job.seal.coats) : null;

  return {
    surface, blank, window, groundColour, look, room, print, candidates, chosen, binder, lay, cure, rub, seal,
    ovens: ovenPiece ? OVEN_CYCLES.map((cycle) => ({ cycle, refusal: ovenRefusal(ovenPiece, cycle) })) : [],
    peel: peelWindow(usable?.school ?? null, binder, cure),
    bridged: through?.course.bridged ?? [],
    preparation: surface ? preparation(surface, job.surface, room) : [],
    school: usable ? schoolById(usable.school.id) : null,
    mirrored: usable?.school.mirrored ?? true,
    shapeFault: resolved && !resolved.ok ? resolved.error : null,
    sheet: print ? layoutPack(print.formed.blocks, { paper: paperOf(job.sheet.paper, job.sheet.custom), orientation: job.sheet.orientation, overlapMm: job.sheet.overlapMm, marginMm: atHand.truth.marginMm ?? UNPRINTABLE_MM }, job.sheet.copies) : null,
    cureClock: cure && job.lay.laidAt !== null ? cureClock(cure, job.lay.laidAt, now) : null,
    repairs: binder && surface && blank && print
      ? applicableRepairs({ binder, surface, printFillsBlank: print.areaMm2 > 0.995 * blank.areaMm2, traced: job.picture.layers.some((layer) => layer.mode === 'trace'), thicknessMm: job.surface.thicknessMm, gloss: job.seal.sheen === 'gloss' })
      : [],
    sealers: sealerChoices(job.seal.use, job.seal.sheen, binder, fabric),
    sealClock: seal ? sealClock(seal, job.seal.coatsAt) : null,
    cost: pieceCost(pricesOf(job, seal?.sealer.id ?? null, binder, atHand), { binderMl: job.lay.mediumUsedMl ?? lay?.coat.totalMl ?? null, sealerMl: seal?.totalMl ?? null }),
    comparison: compareWithPlan({ mediumMl: lay?.coat.totalMl ?? null, cure, rub }, { mediumMl: job.lay.mediumUsedMl, laidAt: job.lay.laidAt, passes: job.rub.done, measured: job.work.done.flatMap(({ minutes, planned }) => (minutes === null ? [] : [{ minutes, planned }])) }),
  };
}

/** The room's air from the laying on, where the piece follows it and something is known of it. */
function throughOf(job: Job, room: Room, now: number, { air }: AtHand): { course: AirCourse; startAt: number } | null {
  const { laidAt } = job.lay;
  if (!air || job.cure.through !== 'room') return job.cure.signs.length > 0 && laidAt !== null ? steadyThrough(room, laidAt) : null;
  const startAt = laidAt ?? now;
  return { course: airCourse(air, room, { fromAt: startAt, untilAt: startAt + COURSE_DAYS * 24 * MS_PER_HOUR }), startAt };
}

/** The room as it is at the start of its course. */
const airNow = ({ temperatureC: [temperatureC], vpdKpa: [vpdKpa] }: AirCourse, room: Room): Room => ({ ...room, temperatureC, humidityPercent: 100 * (1 - vpdKpa / saturationPressureKpa(temperatureC)) });

const COURSE_DAYS = 14;
/** A piece whose room stays as typed, as a course: what signs are measured along. */
const steadyThrough = (room: Room, startAt: number) => ({ course: airCourse({ readings: [], profile: null }, room, { fromAt: startAt, untilAt: startAt + 24 * MS_PER_HOUR }), startAt });

/** The piece's own prices, and the stash's where it names none. */
function pricesOf(job: Job, sealer: SealerId | null, binder: BinderRecord | null, atHand: AtHand): Prices {
  const { prices } = job.keep;
  const bottle = (own: Prices['binderBottle'], perMl: number | undefined) => (own.price === null && perMl !== undefined ? { price: perMl, ml: 1 } : own);
  return {
    ...prices, print: prices.print ?? atHand.pricePerSheet[job.method.print] ?? null,
    binderBottle: bottle(prices.binderBottle, binder ? atHand.pricePerMl[binder.id] : undefined), sealerBottle: bottle(prices.sealerBottle, sealer ? atHand.sealerPricePerMl[sealer] : undefined),
  };
}

const hoursLeft = (dueOn: string | null, now: number): number | null => {
  const due = dueAt(dueOn);
  return due === null ? null : (due - now) / MS_PER_HOUR;
};

function placePrint(job: Job, picture: PictureFacts, window: RectMm, coarse: boolean, blank: Blank): PrintPlan {
  const choice = job.picture;
  const frame = frameSize(picture, choice);
  const wanted = ratioAspect(choice.ratio, window.widthMm / window.heightMm);
  const shaped = wanted === null ? choice.crop : cropToAspect(choice.crop, frame, wanted);
  const crop = keptFull(shaped, frame, choice.straightenDeg);
  const place = largestInside(window, wanted ?? cropAspect(crop, frame));
  const moved = choice.layers.filter((layer) => layer.mode === 'transfer' && layer.box.widthMm > 0).map((layer) => layer.box);
  const formed = formPrint(blank, job.sheet.form, place, moved, motifOf(job, crop));
  const { widthPx, heightPx } = cropPixels(crop, frame);
  const croppedPx = { widthPx, heightPx };
  const ppi = effectivePpi(croppedPx, place);
  return {
    rect: formed.rect, formed, picture: place, areaMm2: coveredAreaMm2(blank, formed.landed), crop, croppedPx, ppi,
    verdict: resolutionVerdict(ppi, coarse), largestWidthMm: largestAcceptableWidthMm(croppedPx, coarse),
  };
}

/** Which picture, turned how, a motif's outline belongs to. */
export const motifKey = ({ pictureId, turns, straightenDeg }: Job['picture']): string => `${pictureId} ${turns} ${straightenDeg}`;

/** The motif's outline in shares of the crop; null where it is not asked for, or belongs to another picture. */
function motifOf({ picture, sheet }: Job, crop: Crop): { x: number; y: number }[][] | null {
  if (sheet.form.edge !== 'motif' || sheet.motif?.of !== motifKey(picture)) return null;
  return sheet.motif.rings.map((ring) => ring.map(({ x, y }) => ({ x: (x - crop.x) / crop.width, y: (y - crop.y) / crop.height })));
}

function planLay(job: Job, surface: SurfaceRecord, blank: Blank, print: PrintPlan, binder: BinderRecord, room: Room): LayPlan {
  const { filmUm, faces, extendMm } = job.lay;
  const coat = coatAmount({ blank, print: print.formed.landed, binder, surface, filmUm, faces, extendMm });
  return {
    coat, steps: layingSteps(coat, binder, surface, print.rect, extendMm), filmUm: filmUm ?? nominalFilmUm(binder), room,
    openMinutes: openMinutes(binder, room), spreadMinutes: Math.max(...coat.faces.map((face) => spreadMinutes(face.areaMm2)), 0),
  };
}
