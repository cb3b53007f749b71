import Joi from 'joi';
import type { DaySpan } from '@/core/measure';
import type { FreeHours, Places } from '@/core/schedule';

/** A busy time read from a calendar file. */
export interface BusyTime { id: string; title: string; fromAt: number; untilAt: number }

/** When hands are free, what there is room for, and how the steps of all pieces were placed last. */
export interface Agenda {
  id: 'agenda';
  version: 1;
  weekly: DaySpan[][];
  days: Record<string, DaySpan[]>;
  quiet: DaySpan | null;
  busy: BusyTime[];
  /** The file they came from. */
  busyFrom: string | null;
  places: Places;
  mode: 'earliest' | 'latest';
  /** Kept free before each due date where steps are put off, hours. */
  reserveHours: number;
  /** How long before a step the calendar rings, minutes. */
  alarmMinutes: number;
  /** By step, `piece/step`, epoch ms: where it was placed, where the person pinned it, and not before when. */
  starts: Record<string, number>;
  pins: Record<string, number>;
  notBefore: Record<string, number>;
  /** The step under way at the bench. */
  running: { step: string; startedAt: number } | null;
  /** Pieces left out of the plan. */
  aside: string[];
  /** Counts the plans: rises in calendar files. */
  revision: number;
}

const evening: DaySpan[] = [{ fromMinute: 18 * 60, untilMinute: 21 * 60 }];
const weekend: DaySpan[] = [{ fromMinute: 10 * 60, untilMinute: 18 * 60 }];

/** Evenings and weekends, with the night quiet. */
export const EMPTY_AGENDA: Agenda = {
  id: 'agenda', version: 1, weekly: [weekend, evening, evening, evening, evening, evening, weekend], days: {}, quiet: { fromMinute: 22 * 60, untilMinute: 7 * 60 }, busy: [], busyFrom: null,
  places: { bench: 2, rack: 4, oven: 1 }, mode: 'earliest', reserveHours: 24, alarmMinutes: 10, starts: {}, pins: {}, notBefore: {}, running: null, aside: [], revision: 0,
};

const minute = () => Joi.number().integer().min(0).max(1440).required();
const span = () => Joi.object({ fromMinute: minute(), untilMinute: minute() });
const spans = () => Joi.array().items(span()).max(12).required();
const instant = () => Joi.number().min(0).max(8.64e15).required();
const byStep = () => Joi.object().pattern(Joi.string().max(200), Joi.number().min(0).max(8.64e15)).required();
const places = (max: number) => Joi.number().integer().min(0).max(max).required();

const AGENDA_SCHEMA = Joi.object({
  id: Joi.string().valid('agenda').required(), version: Joi.number().valid(1).required(),
  weekly: Joi.array().items(Joi.array().items(span()).max(12)).length(7).required(), days: Joi.object().pattern(Joi.string().pattern(/^\d{4}-\d{2}-\d{2}$/), spans()).required(), quiet: span().allow(null).required(),
  busy: Joi.array().items(Joi.object({ id: Joi.string().max(400).required(), title: Joi.string().allow('').max(400).required(), fromAt: instant(), untilAt: instant() })).max(5000).required(), busyFrom: Joi.string().max(300).allow(null).required(),
  places: Joi.object({ bench: places(20), rack: places(200), oven: places(10) }).required(), mode: Joi.string().valid('earliest', 'latest').required(),
  reserveHours: Joi.number().min(0).max(1000).required(), alarmMinutes: Joi.number().min(0).max(1440).required(),
  starts: byStep(), pins: byStep(), notBefore: byStep(), running: Joi.object({ step: Joi.string().max(200).required(), startedAt: instant() }).allow(null).required(), aside: Joi.array().items(Joi.string().max(80)).max(2000).required(), revision: Joi.number().integer().min(0).required(),
});

/** Never worth refusing to start for: what can't be read becomes the usual hours. */
export const readAgenda = (data: unknown): Agenda => (data === undefined || AGENDA_SCHEMA.validate(data, { convert: false }).error ? EMPTY_AGENDA : (data as Agenda));

export const freeHoursOf = ({ weekly, days, quiet, busy }: Agenda): FreeHours => ({ weekly, days, quiet, busy });
