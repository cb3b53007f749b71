/**
 * What a piece's record says for or against causes of a fault: facts with their figures, only where they are known.
 */
import { baseCoatById, binderById, finishById, isWash, type FaultEvidenceId } from '@/core/craft';
import { lightnessOf } from '@/core/colour';
import { COLDEST_FILM_C, DAMPEST_PERCENT } from '@/core/cure';
import { MS_PER_HOUR, MS_PER_MINUTE, sum } from '@/core/shared';
import type { Job, PiecePlan } from '@/core/stations';

export interface FaultEvidence {
  id: FaultEvidenceId;
  /** What it was measured at, and what it is held against, in the unit of the fact; null where it is yes or no. */
  figure: number | null;
  of: number | null;
}

/** Rubbed sooner than this share of the likely wait is early. */
const EARLY_SHARE = 0.85;
/** Films this far off what the plan asks for, as shares. */
const THIN = 0.8;
const THICK = 1.35;
/** Cool, not yet too cold; damp, not yet too damp. */
const COOL_C = COLDEST_FILM_C + 4;
const DAMP_PERCENT = DAMPEST_PERCENT - 10;
const HEAVY_GSM = 95;
const LONG_SHARE = 1.5;
const DARK_LIGHTNESS = 55;
const PALE_SHARE = 0.35;
const ROUGH_MM = 0.3;
const FILLS_SHARE = 0.98;

type Said = FaultEvidence | false;
const fact = (id: FaultEvidenceId, holds: boolean, figure: number | null = null, of: number | null = null): Said =>
  holds && { id, figure, of };

export function faultEvidence(job: Job, plan: PiecePlan): FaultEvidence[] {
  return [
    ...ofWaiting(job, plan),
    ...ofPrint(job, plan),
    ...ofGround(job, plan),
    ...ofCoat(job, plan),
    ...ofRubbing(job, plan),
    ...ofSealing(job, plan),
  ].filter((said) => said !== false);
}

function ofWaiting({ lay, rub, cure, work }: Job, { cure: { wait } }: PiecePlan): Said[] {
  const first = rub.done[0]?.at ?? work.done.find(({ step }) => step === 'remove')?.at ?? null;
  const hours = lay.laidAt !== null && first !== null ? (first - lay.laidAt) / MS_PER_HOUR : null;
  const waited = (holds: (hours: number, likely: number, safe: number) => boolean) =>
    hours !== null && wait !== null && wait.likelyHours > 0 && holds(hours, wait.likelyHours, wait.safeHours);
  const likely = wait?.likelyHours ?? null;
  const coldHours = wait?.warnings.includes('cold-hours') ?? false;
  return [
    fact(
      'rubbed-early',
      waited((h, l) => h < EARLY_SHARE * l),
      hours,
      likely,
    ),
    fact(
      'waited-in-full',
      waited((h, _, s) => h >= s),
      hours,
      wait?.safeHours ?? null,
    ),
    fact('cold', cure.temperatureC < COOL_C || coldHours, coldHours ? null : cure.temperatureC),
    fact('damp-air', cure.humidityPercent >= DAMP_PERCENT, cure.humidityPercent),
  ];
}

function ofPrint(
  { sheet, picture }: Job,
  { picture: { facts }, surface: { blank, print }, method: { printKind: record } }: PiecePlan,
): Said[] {
  const fills = blank !== null && print !== null && print.areaMm2 >= FILLS_SHARE * blank.areaMm2;
  const measured = sheet.barMeasuredMm !== null || (sheet.proof?.across ?? null) !== null;
  return [
    fact('inkjet', record.printer === 'inkjet'),
    fact('toner', record.printer === 'toner'),
    fact('heat-set', record.heatSet !== null),
    fact('heavy-paper', record.weightGsm >= HEAVY_GSM, record.weightGsm),
    fact('proof-mirrored', sheet.proof?.mirroredRight === true),
    fact('proof-right-way', sheet.proof?.mirroredRight === false),
    fact('no-lettering', picture.lettering === 'no'),
    fact('pale-picture', (facts?.paleShare ?? 0) >= PALE_SHARE, facts?.paleShare ?? null),
    fact('print-fills', fills),
    fact('white-margin', print !== null && !fills && sheet.form.edge === 'cut' && sheet.form.trimMm === 0),
    fact('bar-measured', measured, sheet.barMeasuredMm),
    fact('bar-unmeasured', !measured),
  ];
}

function ofGround({ surface }: Job, { surface: { record, groundColour } }: PiecePlan): Said[] {
  if (!record) return [];
  const coat = baseCoatById(surface.baseCoat);
  const coated = record.takesBaseCoat && coat.opacity > 0;
  const closed = coated && !isWash(coat);
  const slick = !closed && (record.oldFinish || finishById(surface.finish).holds === 'badly');
  const smooth = record.class === 'smooth' && !closed;
  const tight = record.tightGrain && !closed && surface.finish === 'bare';
  const degreased = surface.prepared.includes('degrease');
  const lightness = lightnessOf(groundColour);
  return [
    fact('slick-ground', slick),
    fact('tight-grain', tight),
    fact('holding-ground', !slick && !smooth && !tight),
    fact('rough-ground', record.textureMm >= ROUGH_MM && !coat.hidesGrain, record.textureMm),
    fact('dark-ground', lightness < DARK_LIGHTNESS, lightness),
    fact('unprimed-smooth', smooth),
    fact('not-degreased', record.degrease && !degreased),
    fact('no-slide', !record.letsSlide),
  ];
}

function ofCoat({ lay, method }: Job, { lay: { laying }, method: { binder: used } }: PiecePlan): Said[] {
  // Also one that the plan refuses: it may have been used all the same.
  const binder = method.binder && binderById(method.binder);
  if (!binder) return [];
  const planned = laying?.coat.totalMl ?? null;
  const usedMl = lay.mediumUsedMl;
  const share = usedMl !== null && planned !== null && planned > 0 ? usedMl / planned : null;
  const faces = laying?.coat.faces ?? [];
  return [
    fact('washable-glue', binder.washesOut),
    fact('pale-binder', binder.wet && binder.base === 'clear' && binder.tonerKept <= PALE_KEPT && !binder.washesOut),
    fact('white-binder', binder.base === 'white'),
    fact('clear-binder', binder.wet && binder.base === 'clear'),
    fact('damp-only', binder.wet && (used ?? binder).water === 'damp'),
    fact('film-thin', share !== null && share < THIN, usedMl, planned),
    fact('film-thick', share !== null && share > THICK, usedMl, planned),
    fact('film-right', share !== null && share >= THIN && share <= THICK, usedMl, planned),
    fact('one-face', faces.length === 1 && binder.faces.length > 1 && used?.coatsPaper !== false),
    fact('coat-beyond', binder.base === 'white' && lay.extendMm > 0 && laying?.coat.canGoPast === true, lay.extendMm),
  ];
}

/** Of the darkness, what a pale binder keeps at most. */
const PALE_KEPT = 0.9;

function ofRubbing({ rub }: Job, { rub: { rubbing }, method: { school } }: PiecePlan): Said[] {
  const rubs = rubbing !== null && rubbing.passes.length > 0;
  const minutes = sum(rub.done.map((pass) => pass.minutes));
  const planned = sum((rubbing?.passes ?? []).slice(0, rub.done.length).map((pass) => pass.minutes));
  const done = rub.done.length;
  return [
    fact('no-paper-rubbed', school !== null && !rubs),
    fact('not-rubbed', rubs && done === 0 && rub.finishedAt === null),
    fact('few-passes', rubs && rub.finishedAt !== null && done < rubbing.usual.min, done, rubbing?.usual.min ?? null),
    fact('many-passes', rubs && done > rubbing.usual.max, done, rubbing?.usual.max ?? null),
    fact('long-rubbing', done > 0 && planned > 0 && minutes > LONG_SHARE * planned, minutes, planned),
  ];
}

function ofSealing(
  { seal, rub, cure }: Job,
  { seal: { sealing }, method: { sheen }, rub: { rubbing } }: PiecePlan,
): Said[] {
  const first = seal.coatsAt[0] ?? null;
  const sealed = first !== null;
  const lastPass = rub.done.at(-1)?.at ?? null;
  const minutes = sealed && lastPass !== null ? (first - lastPass) / MS_PER_MINUTE : null;
  const sealer = sealing?.sealer ?? null;
  return [
    fact('unsealed', !sealed),
    fact('sealed-matte', sealed && sheen === 'matte'),
    fact('sealed-gloss', sealed && sheen === 'gloss'),
    fact('thick-sealer', sealed && (sealer?.clouds ?? false)),
    fact(
      'sealed-soon',
      minutes !== null && rubbing !== null && minutes < rubbing.dryOutMinutes,
      minutes,
      rubbing?.dryOutMinutes ?? null,
    ),
    fact('sealed-damp-air', sealed && cure.humidityPercent >= DAMP_PERCENT, cure.humidityPercent),
  ];
}
