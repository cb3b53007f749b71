'use client';
import { useDrag } from '@use-gesture/react';
import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '@/core/shared';
import { addDays, startOfDay } from 'date-fns';
import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import type { Schedule } from '@/features/agenda';
import { useNow, dated } from '@/ui';
import { TimelineRow } from './timeline-row';
import { rowsOf, type RowsBy } from './timeline-rows';
import { HEAD, ROW, isShown, scaleOf, type TimeScale } from './timeline-scale';
import { useRowsInSight } from './use-rows-in-sight';
import css from './timeline.module.css';
import { say } from '@/words/say';

export const ZOOMS = [
  { id: 'hours', name: '12 h', hours: 12 },
  { id: 'days', name: say`2 days`, hours: 48 },
  { id: 'week', name: say`Week`, hours: 168 },
  { id: 'weeks', name: say`4 weeks`, hours: 672 },
] as const;
export type ZoomId = (typeof ZOOMS)[number]['id'];

const NAME = 168;
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
  const scale = useMemo(() => scaleOf(fromAt, untilAt, name, width - 8), [fromAt, untilAt, width, name]);
  const { x } = scale;
  const all = useMemo(() => rowsOf(schedule, by), [schedule, by]);
  // What lies outside takes no part in drawing and dragging.
  const [first, end] = useRowsInSight(holder, all.length);
  const rows = useMemo(
    () =>
      all.slice(first, end).map((row) => ({
        ...row,
        entries: row.entries.filter(
          ({ startAt, ripeAt }) => startAt !== null && isShown(startAt, ripeAt ?? startAt + 1, scale),
        ),
      })),
    [all, first, end, scale],
  );
  const rowsEnd = HEAD + all.length * ROW;
  const height = rowsEnd + 6;
  const pan = useDrag(({ delta: [dx] }) => onPan(-dx * scale.msPerPx), { filterTaps: true });
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
              height={all.length * ROW}
              className={css.free}
              pointerEvents="none"
            />
          ))}
          <Axis x={x} fromAt={fromAt} untilAt={untilAt} height={rowsEnd} zoom={zoom} />
        </g>
        {rows.map((row, index) => (
          <g key={row.id} transform={`translate(0 ${HEAD + (first + index) * ROW})`}>
            <TimelineRow
              row={row}
              scale={scale}
              chosen={chosen}
              onChoose={onChoose}
              onGroup={onGroup}
              onDrop={onDrop}
              named={by === 'hands'}
            />
          </g>
        ))}
        {now > fromAt && now < untilAt && (
          <g pointerEvents="none">
            <line x1={x(now)} x2={x(now)} y1={HEAD - 12} y2={rowsEnd} className={css.now} />
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

function Axis({
  x,
  fromAt,
  untilAt,
  height,
  zoom,
}: {
  x: TimeScale['x'];
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
