import Joi from 'joi';
import { atFirstUse } from '@/core/shared';
import { MOST_HANDS, stepOfPart, type BuildInput, type FreeHours, type Places, type Shelf } from '@/core/schedule';
import { WORKS, type Work } from '@/core/stations';
import { MOST_SPANS, type DaySpan } from '@/core/measure';
import type { Result } from '@/core/shared';
import { day, figure, instant, item, list, maybe, oneOf, section, whole, words } from './fields';
import { checkRecord, migrateToCurrent, type Migration, type VersionCode } from './version';

const MINUTES_PER_DAY = 1440;
const AGENDA_VERSION = 4;
/** As many as the bits of a step's doers hold, one pair being the person's own. */
const MOST_HELPERS = MOST_HANDS - 1;

/** A busy time read from a calendar file. */
export interface BusyTime {
  id: string;
  title: string;
  fromAt: number;
  untilAt: number;
}

/** Another pair of hands, its hours in the week, and what it may do. */
export interface HelperHands {
  id: string;
  name: string;
  weekly: DaySpan[][];
  /** Single days, YYYY-MM-DD, that are other than their weekday. */
  days: Record<string, DaySpan[]>;
  can: Work[];
}

/** When hands are free, what there is room for, and how the steps of all pieces were placed last. */
export interface Agenda {
  id: 'agenda';
  version: 4;
  weekly: DaySpan[][];
  /** The person said that these are the hours; until then they are assumed. */
  hoursSaid: boolean;
  days: Record<string, DaySpan[]>;
  quiet: DaySpan | null;
  busy: BusyTime[];
  /** The file they came from. */
  busyFrom: string | null;
  helpers: HelperHands[];
  /** Pieces on the bench, shelves of the rack, pieces in the oven; and how large a shelf is. */
  places: Places;
  shelf: Shelf;
  mode: 'earliest' | 'latest';
  /** Kept free before each due date where steps are put off, hours. */
  reserveHours: number;
  /** How long before a step the calendar rings, minutes. */
  alarmMinutes: number;
  /** By step, `piece/step`, epoch ms: where it was placed, where the person pinned it, and not before when. */
  starts: Record<string, number>;
  pins: Record<string, number>;
  notBefore: Record<string, number>;
  /** By step: the pairs of hands that do it, as bits, the person's own where it is left out; what shares its set-up. */
  who: Record<string, number>;
  shared: string[];
  /** By step: the share of its minutes that is done. */
  partly: Record<string, number>;
  /** The step under way at the bench. */
  running: { step: string; startedAt: number } | null;
  /** Pieces left out of the plan, and pieces put away: out of the plan, and shown only where they are asked for. */
  aside: string[];
  putAway: string[];
  /** Counts the plans: rises in calendar files. */
  revision: number;
}

/** A shelf of the rack, either way. */
export const SHELF_MM = { min: 100, max: 5000 } as const;

const evening: DaySpan[] = [{ fromMinute: 18 * 60, untilMinute: 21 * 60 }];
const weekend: DaySpan[] = [{ fromMinute: 10 * 60, untilMinute: 18 * 60 }];

/** The week as version 1 assumed it, in its own writing. */
const ASSUMED_IN_VERSION_1 = JSON.stringify([weekend, evening, evening, evening, evening, evening, weekend]);

/** Evenings and weekends, with the night quiet. */
export const EMPTY_AGENDA: Agenda = {
  id: 'agenda',
  version: 4,
  weekly: [weekend, evening, evening, evening, evening, evening, weekend],
  hoursSaid: false,
  days: {},
  quiet: { fromMinute: 22 * 60, untilMinute: 7 * 60 },
  busy: [],
  busyFrom: null,
  helpers: [],
  places: { bench: 2, rack: 4, oven: 1 },
  shelf: { widthMm: 900, depthMm: 600 },
  mode: 'earliest',
  reserveHours: 24,
  alarmMinutes: 10,
  starts: {},
  pins: {},
  notBefore: {},
  who: {},
  shared: [],
  partly: {},
  running: null,
  aside: [],
  putAway: [],
  revision: 0,
};

const span = () => item<DaySpan>({ fromMinute: whole(0, MINUTES_PER_DAY), untilMinute: whole(0, MINUTES_PER_DAY) });
const spans = () => list(span(), MOST_SPANS);
const singleDays = () => Joi.object<Agenda['days']>().pattern(day().optional(), spans()).required();
const byStep = () => Joi.object<Record<string, number>>().pattern(Joi.string().max(200), instant()).required();
const step = () => Joi.string().max(200).required();

const agendaSchema = atFirstUse(() =>
  section<Agenda>({
    id: oneOf('agenda'),
    version: Joi.number().valid(AGENDA_VERSION).required(),
    weekly: list(spans(), 7).length(7),
    hoursSaid: Joi.boolean().required(),
    days: singleDays(),
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
    helpers: list(
      item<HelperHands>({
        id: Joi.string().max(80).required(),
        name: words(80),
        weekly: list(spans(), 7).length(7),
        days: singleDays(),
        can: list(oneOf(...WORKS), WORKS.length),
      }),
      MOST_HELPERS,
    ),
    shelf: section<Shelf>({ widthMm: figure(SHELF_MM.min, SHELF_MM.max), depthMm: figure(SHELF_MM.min, SHELF_MM.max) }),
    mode: oneOf('earliest', 'latest'),
    reserveHours: figure(0, 1000),
    alarmMinutes: figure(0, MINUTES_PER_DAY),
    starts: byStep(),
    pins: byStep(),
    notBefore: byStep(),
    who: Joi.object<Record<string, number>>()
      .pattern(Joi.string().max(200), whole(1, 2 ** MOST_HANDS - 1))
      .required(),
    shared: list(Joi.string().max(200), 20_000),
    partly: Joi.object<Record<string, number>>().pattern(Joi.string().max(200), figure(0, 1)).required(),
    running: maybe(item<NonNullable<Agenda['running']>>({ step: step(), startedAt: instant() })),
    aside: list(Joi.string().max(80), 2000),
    putAway: list(Joi.string().max(80), 20_000),
    revision: whole(0, Number.MAX_SAFE_INTEGER),
  }),
);

export const checkAgenda = (data: unknown): Result<Agenda, 'record-invalid'> => checkRecord(agendaSchema(), data);

const MIGRATIONS: readonly Migration[] = [
  {
    from: 1,
    to: 2,
    name: 'hours-said-added',
    migrate: (data) => ({ ...data, hoursSaid: JSON.stringify(data.weekly) !== ASSUMED_IN_VERSION_1 }),
  },
  {
    from: 2,
    to: 3,
    name: 'helpers-shelf-and-parts-added',
    migrate: (data) => {
      const { helpers, shelf, who, shared, partly, putAway } = EMPTY_AGENDA;
      return { ...data, helpers, shelf, who, shared, partly, putAway };
    },
  },
  {
    from: 3,
    to: 4,
    name: 'single-days-of-helpers-added',
    migrate: (data) => ({
      ...data,
      helpers: ((data.helpers ?? []) as object[]).map((helper) => ({ days: {}, ...helper })),
    }),
  },
];

/** Reads a stored agenda. */
/** Whatever an agenda holds of a step that is over, its parts' too. */
export const agendaWithout = ({ pins, notBefore, partly, running }: Agenda, key: string): Partial<Agenda> => {
  const isIts = (id: string) => stepOfPart(id) === key;
  const without = (record: Record<string, number>) =>
    Object.fromEntries(Object.entries(record).filter(([id]) => !isIts(id)));
  return {
    pins: without(pins),
    notBefore: without(notBefore),
    partly: without(partly),
    running: running && isIts(running.step) ? null : running,
  };
};

export function readAgenda(data: unknown): Result<Agenda, VersionCode> {
  const current = migrateToCurrent(data, AGENDA_VERSION, MIGRATIONS);
  return current.ok ? checkAgenda(current.value) : current;
}

const freeHoursOf = ({ weekly, days, quiet, busy }: Agenda): FreeHours => ({ weekly, days, quiet, busy });

type FromAgenda = 'hours' | 'helpers' | 'places' | 'pins' | 'notBefore' | 'partly' | 'safest';

/** What the agenda gives to the scheduling problem. */
export const buildInputOf = (agenda: Agenda): Pick<BuildInput, FromAgenda> => ({
  hours: freeHoursOf(agenda),
  helpers: agenda.helpers,
  places: agenda.places,
  pins: agenda.pins,
  notBefore: agenda.notBefore,
  partly: agenda.partly,
  safest: agenda.mode === 'latest',
});
