import Joi from 'joi';
import type { FreeHours, Places } from '@/core/schedule';
import { MOST_SPANS, type DaySpan } from '@/core/measure';
import type { Result } from '@/core/shared';
import { day, figure, instant, item, list, maybe, oneOf, section, whole, words } from './fields';
import { checkRecord, migrateToCurrent, type Migration, type VersionCode } from './version';

const MINUTES_PER_DAY = 1440;
const AGENDA_VERSION = 2;

/** A busy time read from a calendar file. */
export interface BusyTime {
  id: string;
  title: string;
  fromAt: number;
  untilAt: number;
}

/** When hands are free, what there is room for, and how the steps of all pieces were placed last. */
export interface Agenda {
  id: 'agenda';
  version: 2;
  weekly: DaySpan[][];
  /** The person said that these are the hours; until then they are assumed. */
  hoursSaid: boolean;
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

/** The week as version 1 assumed it, in its own writing. */
const ASSUMED_IN_VERSION_1 = JSON.stringify([weekend, evening, evening, evening, evening, evening, weekend]);

/** Evenings and weekends, with the night quiet. */
export const EMPTY_AGENDA: Agenda = {
  id: 'agenda',
  version: 2,
  weekly: [weekend, evening, evening, evening, evening, evening, weekend],
  hoursSaid: false,
  days: {},
  quiet: { fromMinute: 22 * 60, untilMinute: 7 * 60 },
  busy: [],
  busyFrom: null,
  places: { bench: 2, rack: 4, oven: 1 },
  mode: 'earliest',
  reserveHours: 24,
  alarmMinutes: 10,
  starts: {},
  pins: {},
  notBefore: {},
  running: null,
  aside: [],
  revision: 0,
};

const span = () => item<DaySpan>({ fromMinute: whole(0, MINUTES_PER_DAY), untilMinute: whole(0, MINUTES_PER_DAY) });
const spans = () => list(span(), MOST_SPANS);
const byStep = () => Joi.object<Record<string, number>>().pattern(Joi.string().max(200), instant()).required();
const step = () => Joi.string().max(200).required();

const AGENDA_SCHEMA = section<Agenda>({
  id: oneOf('agenda'),
  version: Joi.number().valid(2).required(),
  weekly: list(spans(), 7).length(7),
  hoursSaid: Joi.boolean().required(),
  days: Joi.object<Agenda['days']>().pattern(day().optional(), spans()).required(),
  quiet: maybe(span()),
  busy: list(
    item<BusyTime>({
      id: Joi.string().max(400).required(),
      title: words(400),
      fromAt: instant(),
      untilAt: instant(),
    }),
    5000,
  ),
  busyFrom: maybe(Joi.string().max(300)),
  places: section<Places>({ bench: whole(0, 20), rack: whole(0, 200), oven: whole(0, 10) }),
  mode: oneOf('earliest', 'latest'),
  reserveHours: figure(0, 1000),
  alarmMinutes: figure(0, MINUTES_PER_DAY),
  starts: byStep(),
  pins: byStep(),
  notBefore: byStep(),
  running: maybe(item<NonNullable<Agenda['running']>>({ step: step(), startedAt: instant() })),
  aside: list(Joi.string().max(80), 2000),
  revision: whole(0, Number.MAX_SAFE_INTEGER),
});

export const checkAgenda = (data: unknown): Result<Agenda, 'record-invalid'> => checkRecord(AGENDA_SCHEMA, data);

const MIGRATIONS: readonly Migration[] = [
  {
    from: 1,
    to: 2,
    name: 'hours-said-added',
    migrate: (data) => ({ ...data, hoursSaid: JSON.stringify(data.weekly) !== ASSUMED_IN_VERSION_1 }),
  },
];

/** Reads a stored agenda. */
export function readAgenda(data: unknown): Result<Agenda, VersionCode> {
  const current = migrateToCurrent(data, AGENDA_VERSION, MIGRATIONS);
  return current.ok ? checkAgenda(current.value) : current;
}

export const freeHoursOf = ({ weekly, days, quiet, busy }: Agenda): FreeHours => ({ weekly, days, quiet, busy });
