'use client';
import { useDrag } from '@use-gesture/react';
import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';
import { addDays, startOfDay } from 'date-fns';
import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import type { PlanEntry, Schedule } from '@/features/agenda';
import { useNow, dated } from '@/ui';
import { rowsOf, type Row, type RowsBy } from './timeline-rows';
import css from './timeline.module.css';
import { lowerFirst, stepTitle } from '@/words';
import { say } from '@/words/say';

export const ZOOMS = [
  { id: 'hours', name: '12 h', hours: 12 },
  { id: 'days', name: say`2 days`, hours: 48 },
  { id: 'week', name: say`Week`, hours: 168 },
  { id: 'weeks', name: say`4 weeks`, hours: 672 },
] as const;
export type ZoomId = (typeof ZOOMS)[number]['id'];

const ROW = 46;
const HEAD = 44;
const NAME = 168;
const SNAP_MS = 5 * MS_PER_MINUTE;
/** Under this a day's name gets in the way of the next. */
const DAY_NAME_PX = 44;
/** With the weekday. */
const WHOLE_NAME_PX = 90;
/** Under this an hour’s name gets in the way of the next. */
const HOUR_NAME_PX = 52;

/**
 * Hands-on blocks and waits of all pieces against the clock. A block is dragged to another time and stays pinned there.
 */
export function Timeline({
  schedule,
  zoom,
  by,
  fromAt,
  onPan,
  chosen,
  onChoose,
  onGroup,
  onDrop,
}: {
  schedule: Schedule;
  zoom: ZoomId;
  by: RowsBy;
  fromAt: number;
  onPan: (ms: number) => void;
  chosen: string | null;
  onChoose: (key: string) => void;
  /** Steps too near each other to be pressed one by one. */
  onGroup: (keys: string[]) => void;
  onDrop: (key: string, at: number) => void;
}) {
  const now = useNow(MS_PER_MINUTE);
  const holder = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(900);
  useLayoutEffect(() => {
    const element = holder.current;
    if (!element) return;
    const watch = new ResizeObserver(([entry]) => setWidth(Math.max(280, entry!.contentRect.width)));
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  const hours = ZOOMS.find(({ id }) => id === zoom)?.hours ?? 48;
  const name = width < 600 ? 92 : NAME;
  const untilAt = fromAt + hours * MS_PER_HOUR;
  const x = useMemo(
    (): Scale => (at) => name + ((Number(at) - fromAt) / (untilAt - fromAt)) * (width - 8 - name),
    [fromAt, untilAt, width, name],
  );
  const all = useMemo(() => rowsOf(schedule, by), [schedule, by]);
  // What lies outside takes no part in drawing and dragging.
  const rows = useMemo(
    () =>
      all.map((row) => ({
        ...row,
        entries: row.entries.filter(
          ({ startAt, ripeAt }) => startAt !== null && shown(startAt, ripeAt ?? startAt + 1, fromAt, untilAt),
        ),
      })),
    [all, fromAt, untilAt],
  );
  const height = HEAD + rows.length * ROW + 6;
  const msPerPx = (hours * MS_PER_HOUR) / Math.max(1, width - name - 8);
  const pan = useDrag(({ delta: [dx] }) => onPan(-dx * msPerPx), { filterTaps: true });
  const free = (schedule.built.instance.hands[0] ?? [])
    .map((window) => ({
      from: schedule.built.originAt + window.from * MS_PER_MINUTE,
      until: schedule.built.originAt + window.until * MS_PER_MINUTE,
    }))
    .filter((window) => window.until > fromAt && window.from < untilAt);
  return (
    <div ref={holder} className={css.holder}>
      <svg
        width={width}
        height={height}
        className={css.timeline}
        role="group"
        aria-label={say`Timeline of all pieces`}
        data-testid="timeline"
      >
        <defs>
          <pattern id="wait" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line x1="0" y1="0" x2="0" y2="5" stroke="var(--marigold)" strokeWidth="1.6" />
          </pattern>
          <clipPath id="plot">
            <rect x={name} y={0} width={Math.max(0, width - name - 8)} height={height} />
          </clipPath>
        </defs>
        <g clipPath="url(#plot)">
          <rect
            {...pan()}
            x={name}
            y={0}
            width={Math.max(0, width - name - 8)}
            height={height}
            fill="transparent"
            className={css.pan}
          />
          {free.map((window) => (
            <rect
              key={window.from}
              x={x(window.from)}
              y={HEAD}
              width={Math.max(1, x(window.until) - x(window.from))}
              height={rows.length * ROW}
              className={css.free}
              pointerEvents="none"
            />
          ))}
          <Axis x={x} fromAt={fromAt} untilAt={untilAt} height={HEAD + rows.length * ROW} zoom={zoom} />
        </g>
        {rows.map((row, index) => (
          <g key={row.id} transform={`translate(0 ${HEAD + index * ROW})`}>
            <line x1={0} x2={width - 8} y1={ROW} y2={ROW} className={css.rule} />
            <g clipPath="url(#plot)">
              {row.pending && (
                <Drying
                  fromAt={x(Math.max(fromAt, row.pending.fromAt))}
                  untilAt={x(row.pending.untilAt)}
                  name={row.pending.name}
                />
              )}
              {row.entries.map((entry) => (
                <Wait key={entry.key} entry={entry} row={row} x={x} fromAt={fromAt} untilAt={untilAt} />
              ))}
              {(row.waits === 'all' || row.waits === 'none') &&
                groupsOf(row.entries, x).map((group) =>
                  group.length > 1 ? (
                    <Group
                      key={group[0]!.key}
                      group={group}
                      x={x}
                      chosen={group.some(({ key }) => key === chosen)}
                      onGroup={onGroup}
                    />
                  ) : (
                    group.map((entry) => (
                      <Block
                        key={entry.key}
                        entry={entry}
                        x={x}
                        fromAt={fromAt}
                        untilAt={untilAt}
                        chosen={chosen === entry.key}
                        onChoose={onChoose}
                        onDrop={onDrop}
                        msPerPx={msPerPx}
                        named={by === 'hands'}
                      />
                    ))
                  ),
                )}
              {row.sure && <Sure fromAt={row.sure.fromAt} untilAt={row.sure.untilAt} x={x} />}
              {row.dueAt !== null && row.dueAt > fromAt && row.dueAt < untilAt && (
                <Due at={x(row.dueAt)} late={row.lateMs > 0} />
              )}
            </g>
            <foreignObject x={0} y={0} width={name - 8} height={ROW}>
              <div className={css.name} data-late={row.lateMs > 0}>
                {row.name}
              </div>
            </foreignObject>
          </g>
        ))}
        {now > fromAt && now < untilAt && (
          <g pointerEvents="none">
            <line x1={x(now)} x2={x(now)} y1={HEAD - 12} y2={HEAD + rows.length * ROW} className={css.now} />
            <text x={x(now) - 4} y={HEAD - 2} textAnchor="end" className={css.nowText}>{say`now`}</text>
          </g>
        )}
      </svg>
    </div>
  );
}

/** Hours between marks on the time line; none where days are narrow. */
const TICK_HOURS: Readonly<Record<ZoomId, number>> = { hours: 1, days: 3, week: 12, weeks: 24 };

/** Every so many hours by the clock, from midnight on, also over a change of the clock. */
function hoursBetween(fromAt: number, untilAt: number, every: number): Date[] {
  const first = startOfDay(fromAt);
  const count = Math.ceil((untilAt - first.getTime()) / MS_PER_HOUR / every) + 1;
  const marks = Array.from({ length: count }, (_, index) => {
    const day = addDays(first, Math.floor((index * every) / 24));
    return new Date(new Date(day).setHours((index * every) % 24));
  });
  return marks.filter((mark) => mark.getTime() >= fromAt && mark.getTime() <= untilAt);
}

type Scale = (at: Date | number) => number;

function Axis({
  x,
  fromAt,
  untilAt,
  height,
  zoom,
}: {
  x: Scale;
  fromAt: number;
  untilAt: number;
  height: number;
  zoom: ZoomId;
}) {
  const days: Date[] = [];
  for (
    let day = new Date(fromAt);
    day.getTime() < untilAt;
    day = new Date(day.getFullYear(), day.getMonth(), day.getDate() + 1)
  )
    days.push(day);
  const dayPx = x(fromAt + MS_PER_DAY) - x(fromAt);
  const every = Math.max(1, Math.ceil(DAY_NAME_PX / dayPx));
  // On a narrow screen the hours would run into each other.
  const hourNames = (dayPx * TICK_HOURS[zoom]) / 24 > HOUR_NAME_PX;
  // Late in the evening what is left of the day has no room for its name.
  const namePx = dayPx > WHOLE_NAME_PX ? WHOLE_NAME_PX : DAY_NAME_PX;
  const isNamed = (day: Date, index: number) =>
    index % every === 0 &&
    x(day) < x(untilAt) - DAY_NAME_PX &&
    (index > 0 || !days[1] || x(days[1]) - x(fromAt) > namePx);
  return (
    <g pointerEvents="none">
      {days.map((day, index) => (
        <g key={day.getTime()}>
          {index > 0 && <line x1={x(day)} x2={x(day)} y1={4} y2={height} className={css.day} />}
          {isNamed(day, index) && (
            <text x={Math.max(x(day), x(fromAt)) + 5} y={16} className={css.dayName}>
              {dated(day, dayPx > WHOLE_NAME_PX ? 'EEE d MMM' : 'd MMM')}
            </text>
          )}
        </g>
      ))}
      {zoom !== 'weeks' &&
        hoursBetween(fromAt, untilAt, TICK_HOURS[zoom]).map((tick) => (
          <g key={tick.getTime()}>
            <line x1={x(tick)} x2={x(tick)} y1={HEAD} y2={height} className={css.tick} />
            {hourNames && (tick.getHours() !== 0 || zoom === 'hours') && x(tick) > x(fromAt) + 20 && (
              <text x={x(tick)} y={34} textAnchor="middle" className={css.hour}>
                {dated(tick, 'HH:mm')}
              </text>
            )}
          </g>
        ))}
    </g>
  );
}

const shown = (from: number, until: number, fromAt: number, untilAt: number) => until > fromAt && from < untilAt;

function Wait({
  entry,
  row,
  x,
  fromAt,
  untilAt,
}: {
  entry: PlanEntry;
  row: Row;
  x: Scale;
  fromAt: number;
  untilAt: number;
}) {
  const { endAt, ripeAt } = entry;
  if (
    endAt === null ||
    ripeAt === null ||
    ripeAt <= endAt ||
    row.waits === 'none' ||
    !shown(endAt, ripeAt, fromAt, untilAt)
  )
    return null;
  const lane = row.waits !== 'all';
  return (
    <g>
      <rect
        x={x(endAt)}
        y={lane ? 9 : 19}
        width={Math.max(1, x(ripeAt) - x(endAt))}
        height={lane ? 26 : 8}
        fill="url(#wait)"
        stroke="var(--marigold)"
        strokeWidth={0.6}
      >
        <title>{say`${entry.piece.name}: waiting after ${lowerFirst(stepTitle(entry.step.title))}, until ${dated(ripeAt, 'EEE HH:mm')}`}</title>
      </rect>
      {!lane && entry.step.wait.place === 'rack' && <Ring at={x(ripeAt)} />}
      {lane && x(ripeAt) - x(endAt) > 90 && (
        <text x={Math.max(x(endAt), x(fromAt)) + 6} y={27} className={css.laneText}>
          {entry.piece.name}
        </text>
      )}
    </g>
  );
}

/** A piece that is drying already, with the ring that stands for dry at its end. */
function Drying({ fromAt, untilAt, name }: { fromAt: number; untilAt: number; name: string }) {
  if (untilAt <= fromAt) return null;
  return (
    <g pointerEvents="none">
      <rect
        x={fromAt}
        y={name ? 9 : 19}
        width={untilAt - fromAt}
        height={name ? 26 : 8}
        fill="url(#wait)"
        stroke="var(--marigold)"
        strokeWidth={0.6}
      />
      {name ? (
        untilAt - fromAt > 90 && (
          <text x={fromAt + 6} y={27} className={css.laneText}>
            {name}
          </text>
        )
      ) : (
        <Ring at={untilAt} />
      )}
    </g>
  );
}

/** From when a piece is finished as planned to when at the latest. */
function Sure({ fromAt, untilAt, x }: { fromAt: number; untilAt: number; x: Scale }) {
  return (
    <g className={css.sure}>
      <title>{say`Finished ${dated(fromAt, 'EEE d MMM')} as planned, at the latest ${dated(untilAt, 'EEE d MMM')}`}</title>
      <line x1={x(fromAt)} x2={x(untilAt)} y1={40} y2={40} />
      <path d={`M${x(untilAt)} 35 v10`} />
    </g>
  );
}

/** Steps in clock order, those together that are too narrow to be pressed beside each other. */
function groupsOf(entries: readonly PlanEntry[], x: Scale): PlanEntry[][] {
  const groups: { list: PlanEntry[]; right: number; narrow: boolean }[] = [];
  for (const entry of [...entries].sort((a, b) => (a.startAt ?? 0) - (b.startAt ?? 0))) {
    if (entry.startAt === null || entry.endAt === null) continue;
    const [left, right] = [x(entry.startAt), x(entry.endAt)];
    const narrow = right - left < LEAST_PX;
    const last = groups.at(-1);
    const meets = last && left < last.right && (narrow || last.narrow);
    if (meets) {
      last.list.push(entry);
      last.right = Math.max(last.right, right);
      last.narrow = true;
    } else groups.push({ list: [entry], right: Math.max(right, left + LEAST_PX), narrow });
  }
  return groups.map(({ list }) => list);
}

/** Several steps as one block with their count: pressed, it lists them. */
function Group({
  group,
  x,
  chosen,
  onGroup,
}: {
  group: readonly PlanEntry[];
  x: Scale;
  chosen: boolean;
  onGroup: (keys: string[]) => void;
}) {
  const [first] = group;
  const startAt = first?.startAt ?? 0;
  const left = x(startAt);
  const width = Math.max(LEAST_PX, x(Math.max(...group.map(({ endAt }) => endAt ?? 0))) - left);
  const open = () => onGroup(group.map(({ key }) => key));
  return (
    <g
      className={css.block}
      data-chosen={chosen}
      data-group={group.length}
      data-steps={group.map(({ key }) => key).join(' ')}
      role="button"
      tabIndex={0}
      aria-label={say`${group.length} steps from ${dated(startAt, 'EEE d MMM HH:mm')}: ${group.map(({ piece, step }) => `${piece.name}, ${lowerFirst(stepTitle(step.title))}`).join('; ')}`}
      onClick={open}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        open();
      }}
    >
      <rect x={left} y={8} width={width} height={28} rx={1.5} />
      <text x={left + width / 2} y={27} textAnchor="middle" className={css.blockText}>
        {group.length}
      </text>
    </g>
  );
}

/** A finger, or an unsteady hand, hits nothing smaller. */
const LEAST_PX = 25;

const Ring = ({ at }: { at: number }) => <circle cx={at} cy={23} r={5} className={css.dry} />;

const PX_PER_LETTER = 6.6;

function Block({
  entry,
  x,
  fromAt,
  untilAt,
  chosen,
  onChoose,
  onDrop,
  msPerPx,
  named,
}: {
  entry: PlanEntry;
  x: Scale;
  fromAt: number;
  untilAt: number;
  chosen: boolean;
  onChoose: (key: string) => void;
  onDrop: (key: string, at: number) => void;
  msPerPx: number;
  named: boolean;
}) {
  const [shift, setShift] = useState(0);
  const { startAt, endAt } = entry;
  const drag = useDrag(
    ({ movement: [mx], last, tap }) => {
      if (tap) {
        onChoose(entry.key);
        return;
      }
      setShift(last ? 0 : mx);
      if (last && startAt !== null && Math.abs(mx * msPerPx) >= SNAP_MS)
        onDrop(entry.key, Math.round((startAt + mx * msPerPx) / SNAP_MS) * SNAP_MS);
    },
    { filterTaps: true },
  );
  if (startAt === null || endAt === null || !shown(startAt, endAt, fromAt, untilAt)) return null;
  const left = x(startAt) + shift;
  const width = Math.max(LEAST_PX, x(endAt) - x(startAt));
  const words = named ? `${entry.piece.name}: ${lowerFirst(stepTitle(entry.step.title))}` : stepTitle(entry.step.title);
  return (
    <g
      {...drag()}
      className={css.block}
      data-chosen={chosen}
      data-pinned={entry.pinned}
      role="button"
      tabIndex={0}
      aria-label={
        entry.pinned
          ? say`${entry.piece.name}: ${stepTitle(entry.step.title)}, ${dated(startAt, 'EEE d MMM HH:mm')}, pinned`
          : say`${entry.piece.name}: ${stepTitle(entry.step.title)}, ${dated(startAt, 'EEE d MMM HH:mm')}`
      }
      data-step={entry.key}
      onKeyDown={(event) => {
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault();
          onChoose(entry.key);
        }
      }}
    >
      <rect x={left} y={8} width={width} height={28} rx={1.5} />
      {entry.pinned && <circle cx={left + 5} cy={8} r={4.5} className={css.pin} />}
      {width > 40 && (
        <text x={left + 6} y={27} className={css.blockText}>
          {words.slice(0, Math.floor((width - 10) / PX_PER_LETTER))}
        </text>
      )}
      {shift !== 0 && (
        <text x={left} y={5} className={css.dragText}>
          {dated(Math.round((startAt + shift * msPerPx) / SNAP_MS) * SNAP_MS, 'EEE HH:mm')}
        </text>
      )}
    </g>
  );
}

const Due = ({ at, late }: { at: number; late: boolean }) => (
  <g className={css.due} data-late={late}>
    <line x1={at} x2={at} y1={2} y2={ROW - 3} />
    <path d={`M${at} 3 h-11 l3 5 l-3 5 h11 z`} />
  </g>
);
