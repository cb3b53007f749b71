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
import type { SchoolFacts } from './school';

export type { HandStep, Removal, SignOfTime } from './school';

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

/** The binder as this school uses it, with the label's values laid over. */
export function binderFor(id: BinderId, school: SchoolRecord, label: LabelValues | null = null): BinderRecord {
  const used: BinderRecord = { ...binderById(id), ...school.overrides };
  if (!label) return used;
  const { filmUm, waitHours, openMinutes } = label;
  return {
    ...used,
    filmUm: filmUm === null ? used.filmUm : { min: filmUm, max: filmUm },
    waitHours: waitHours === null || school.window ? used.waitHours : { min: waitHours, max: waitHours },
    openMinutes: openMinutes ?? used.openMinutes,
  };
}
