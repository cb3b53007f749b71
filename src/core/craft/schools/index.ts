import { dryAndRub } from './dry-and-rub';
import { opaqueBase } from './opaque-base';
import { varnishBed } from './varnish-bed';
import { quickVarnish } from './quick-varnish';
import { tackyPeel } from './tacky-peel';
import { slipPaper } from './slip-paper';
import { tapeDecal } from './tape-decal';
import { linerPeel } from './liner-peel';
import { linerHeat } from './liner-heat';
import { linerPress } from './liner-press';
import { filmBed } from './film-bed';
import { trace } from './trace';
import { binderById, type BinderId, type BinderRecord } from '../binders';
import { isUnsetInk, type PrintRecord } from '../prints';
import { hasWindow, type SchoolFacts } from './school';

export type { Removal, SignOfTime } from './school';
export { hasWindow, recipeStepOf } from './school';
export {
  labourRate,
  labourMinutes,
  type LabourRate,
  type HandStep,
  type RecipeStep,
  type RecipeWait,
  type WaitKind,
} from './recipe';

const REGISTERED = [
  dryAndRub,
  opaqueBase,
  varnishBed,
  quickVarnish,
  tackyPeel,
  slipPaper,
  tapeDecal,
  linerPeel,
  linerHeat,
  linerPress,
  filmBed,
  trace,
] as const;

export type SchoolId = (typeof REGISTERED)[number]['id'];
export type SchoolRecord = SchoolFacts & { id: SchoolId };
export const SCHOOLS: readonly SchoolRecord[] = REGISTERED;

export const schoolById = (id: SchoolId): SchoolRecord => {
  const record = SCHOOLS.find((school) => school.id === id);
  if (!record) throw new Error(`unknown school ${id}`);
  return record;
};

/** What the person read off a bottle or learned from the log: overrules the record. Null leaves it. */
export interface LabelValues {
  filmUm: number | null;
  waitHours: number | null;
  openMinutes: number | null;
}

/**
 * The binder as this school uses it for a print, with the label's values laid over. Over ink that nothing has set it is
 * never brushed: the surface alone is coated.
 */
export function binderFor(
  id: BinderId,
  school: SchoolRecord,
  print: PrintRecord,
  label: LabelValues | null = null,
): BinderRecord {
  const usual = binderById(id);
  // What the sign has shown of a binder holds for its own wait, not for a school's or a label's.
  const signHours = school.overrides.waitHours ? null : usual.signHours;
  const unset = isUnsetInk(print) && usual.wet ? ({ faces: ['surface'], coatsPaper: false } as const) : {};
  const used: BinderRecord = { ...usual, signHours, ...school.overrides, ...unset };
  if (!label) return used;
  const { filmUm, waitHours, openMinutes } = label;
  return {
    ...used,
    signHours: waitHours === null ? used.signHours : null,
    filmUm: filmUm === null ? used.filmUm : { min: filmUm, max: filmUm },
    waitHours: waitHours === null || hasWindow(school) ? used.waitHours : { min: waitHours, max: waitHours },
    openMinutes: openMinutes ?? used.openMinutes,
  };
}
