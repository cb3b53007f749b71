/**
 * The plan of one piece: every station's answer computed from the job in one call, the same in the page, in a test and in a worker.
 * What can't be computed yet is null, and `missing` says at which station what is lacking.
 */
import { nominalFilmUm, printById, schoolById, sealerById, surfaceById, type BinderRecord, type SchoolRecord, type SurfaceRecord } from '@/core/craft';
import { coatAmount, layingSteps, openMinutes, spreadMinutes, type CoatAmount, type LayingStep } from '@/core/coat';
import { cureClock, cureWait, type CureClock, type CureWait, type Room } from '@/core/cure';
import { compareWithPlan, pieceCost, type Comparison, type PieceCost } from '@/core/journal';
import { applicableRepairs, type Repair } from '@/core/mend';
import { rankMethods, type Candidate } from '@/core/method';
import { cropPixels, cropToAspect, effectivePpi, largestAcceptableWidthMm, lightnessOf, ratioAspect, cropAspect, resolutionVerdict, type Crop, type ResolutionVerdict, type SizePx } from '@/core/picture';
import { rubPlan, type RubPlan } from '@/core/rub';
import { defaultSealer, sealClock, sealPlan, sealerChoices, type SealClock, type SealPlan, type SealerChoice } from '@/core/seal';
import { areaMm2, insideMargins, largestInside, type RectMm, type SizeMm } from '@/core/shape';
import { layoutSheet, type LayoutCode, type SheetLayout } from '@/core/sheet';
import type { Result } from '@/core/shared';
import type { Job, PictureFacts } from './job';
import { preparation, type PrepStep } from './preparation';

export interface PrintPlan { rect: RectMm; crop: Crop; croppedPx: SizePx; ppi: number; verdict: ResolutionVerdict; largestWidthMm: number }

export interface LayPlan { coat: CoatAmount; steps: readonly LayingStep[]; openMinutes: number; spreadMinutes: number; filmUm: number }

export interface PiecePlan {
  surface: SurfaceRecord | null;
  blank: SizeMm | null;
  /** Where the print may lie: the blank inside its margins. Null where margins leave nothing. */
  window: RectMm | null;
  groundColour: string;
  preparation: readonly PrepStep[];
  print: PrintPlan | null;
  candidates: readonly Candidate[];
  chosen: Candidate | null;
  binder: BinderRecord | null;
  school: SchoolRecord | null;
  sheet: Result<SheetLayout, LayoutCode> | null;
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
}

const DEFAULT_PRINT_AREA_MM2 = 215.9 * 279.4;
const MS_PER_HOUR = 3_600_000;

/** The end of the due day in local time, epoch ms. */
export const dueAt = (dueOn: string | null): number | null => (dueOn === null ? null : new Date(`${dueOn}T23:59:00`).getTime());

export function planPiece(job: Job, picture: PictureFacts | null, now: number): PiecePlan {
  const room: Room = { temperatureC: job.cure.temperatureC, humidityPercent: job.cure.humidityPercent, air: job.cure.air };
  const surface = job.surface.kind ? surfaceById(job.surface.kind) : null;
  const { widthMm, heightMm } = job.surface;
  const blank = widthMm !== null && heightMm !== null ? { widthMm, heightMm } : null;
  const window = blank ? insideMargins(blank, job.sheet.margins) : null;
  const print = picture && window ? placePrint(job.picture, picture, window, surface?.coarse ?? false) : null;
  const groundColour = ground(job, surface);
  const printArea = print ? areaMm2(print.rect) : window ? areaMm2(window) : DEFAULT_PRINT_AREA_MM2;
  const printRecord = printById(job.method.print);

  const candidates = surface
    ? rankMethods({
        surface, room, print: printRecord, finish: job.surface.finish, groundLightness: lightnessOf(groundColour), hasBaseCoat: job.surface.baseCoat !== 'none',
        areaMm2: printArea, lettering: job.picture.lettering === 'yes', whites: job.method.whites, use: job.seal.use, school: job.cure.school, hoursLeft: hoursLeft(job.dueOn, now),
      })
    : [];
  const chosen = candidates.find((one) => one.binder.id === job.method.binder && one.school.id === job.method.school) ?? null;
  const usable = chosen && chosen.verdict !== 'refused' ? chosen : null;
  const binder = usable?.binder ?? null;

  const lay = surface && blank && print && binder ? planLay(job, surface, blank, print.rect, binder, room) : null;
  const cure = surface && binder
    ? cureWait({ binder, surface, filmUm: job.lay.filmUm, room, school: job.cure.school, labelHours: job.cure.labelHours })
    : null;
  const rub = binder && print ? rubPlan({ binder, print: printRecord, areaMm2: areaMm2(print.rect), room, passes: job.rub.passes }) : null;
  const fabric = surface?.class === 'fabric';
  const sealerId = job.seal.sealer ?? defaultSealer(job.seal.use, job.seal.sheen, binder, fabric);
  const seal = sealerId && blank ? sealPlan(sealerById(sealerId), areaMm2(blank), room, job.seal.coats) : null;

  return {
    surface, blank, window, groundColour, room, print, candidates, chosen, binder, lay, cure, rub, seal,
    preparation: surface ? preparation(surface, job.surface, room) : [],
    school: usable ? schoolById(usable.school.id) : null,
    sheet: print ? layoutSheet(print.rect, job.sheet.paper, job.sheet.orientation) : null,
    cureClock: cure && job.lay.laidAt !== null ? cureClock(cure, job.lay.laidAt, now) : null,
    repairs: binder && surface && blank && print
      ? applicableRepairs({ binder, surface, printFillsBlank: areaMm2(print.rect) > 0.995 * areaMm2(blank), thicknessMm: job.surface.thicknessMm, gloss: job.seal.sheen === 'gloss' })
      : [],
    sealers: sealerChoices(job.seal.use, job.seal.sheen, binder, fabric),
    sealClock: seal ? sealClock(seal, job.seal.coatsAt) : null,
    cost: pieceCost(job.keep.prices, { binderMl: job.lay.mediumUsedMl ?? lay?.coat.totalMl ?? null, sealerMl: seal?.totalMl ?? null }),
    comparison: compareWithPlan({ mediumMl: lay?.coat.totalMl ?? null, cure, rub }, { mediumMl: job.lay.mediumUsedMl, laidAt: job.lay.laidAt, passes: job.rub.done }),
  };
}

const hoursLeft = (dueOn: string | null, now: number): number | null => {
  const due = dueAt(dueOn);
  return due === null ? null : (due - now) / MS_PER_HOUR;
};

function ground(job: Job, surface: SurfaceRecord | null): string {
  const painted = job.surface.baseCoat !== 'none' && surface?.takesBaseCoat !== false;
  if (painted || job.surface.finish.endsWith('paint')) return job.surface.baseColour;
  return surface?.bareColour ?? '#ffffff';
}

function placePrint(choice: Job['picture'], picture: PictureFacts, window: RectMm, coarse: boolean): PrintPlan {
  const wanted = ratioAspect(choice.ratio, window.widthMm / window.heightMm);
  const crop = wanted === null ? choice.crop : cropToAspect(choice.crop, picture, wanted);
  const rect = largestInside(window, wanted ?? cropAspect(crop, picture));
  const { widthPx, heightPx } = cropPixels(crop, picture);
  const croppedPx = { widthPx, heightPx };
  const ppi = effectivePpi(croppedPx, rect);
  return { rect, crop, croppedPx, ppi, verdict: resolutionVerdict(ppi, coarse), largestWidthMm: largestAcceptableWidthMm(croppedPx, coarse) };
}

function planLay(job: Job, surface: SurfaceRecord, blank: SizeMm, print: RectMm, binder: BinderRecord, room: Room): LayPlan {
  const { filmUm, faces, extendMm } = job.lay;
  const coat = coatAmount({ blank, print, binder, surface, filmUm, faces, extendMm });
  return {
    coat, steps: layingSteps(coat, binder, surface, print, extendMm), filmUm: filmUm ?? nominalFilmUm(binder),
    openMinutes: openMinutes(binder, room), spreadMinutes: Math.max(...coat.faces.map((face) => spreadMinutes(face.areaMm2)), 0),
  };
}
