'use client';
import { useDrag } from '@use-gesture/react';
import { useState } from 'react';
import type { PlanEntry } from '@/features/agenda';
import { dated } from '@/ui';
import { lowerFirst, stepTitle } from '@/words';
import { say } from '@/words/say';
import type { Row } from './timeline-rows';
import { ROW, SNAP_MS, isShown, snapped, type TimeScale } from './timeline-scale';
import css from './timeline.module.css';

interface RowProps {
  row: Row;
  scale: TimeScale;
  /** The key of the step that is chosen, in whatever row it stands. */
  chosen: string | null;
  onChoose: (key: string) => void;
  /** Steps too near each other to be pressed one by one. */
  onGroup: (keys: string[]) => void;
  onDrop: (key: string, at: number) => void;
  /** Whether blocks name their piece: the row does not. */
  named: boolean;
}

/** What one piece, one pair of hands or one place of the rack does, from the row's own top. */
export function TimelineRow({ row, scale, chosen, onChoose, onGroup, onDrop, named }: RowProps) {
  const { x, fromAt, untilAt, left, right } = scale;
  return (
    <>
      <line x1={0} x2={right} y1={ROW} y2={ROW} className={css.rule} />
      <g clipPath="url(#plot)">
        {row.pending && (
          <Drying
            fromAt={x(Math.max(fromAt, row.pending.fromAt))}
            untilAt={x(row.pending.untilAt)}
            name={row.pending.name}
          />
        )}
        {row.entries.map((entry) => (
          <Wait key={entry.key} entry={entry} row={row} scale={scale} />
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
                  scale={scale}
                  chosen={chosen === entry.key}
                  onChoose={onChoose}
                  onDrop={onDrop}
                  named={named}
                />
              ))
            ),
          )}
        {row.sure && <Sure fromAt={row.sure.fromAt} untilAt={row.sure.untilAt} x={x} />}
        {row.dueAt !== null && row.dueAt > fromAt && row.dueAt < untilAt && (
          <Due at={x(row.dueAt)} late={row.lateMs > 0} />
        )}
      </g>
      <foreignObject x={0} y={0} width={left - 8} height={ROW}>
        <div className={css.name} data-late={row.lateMs > 0}>
          {row.name}
        </div>
      </foreignObject>
    </>
  );
}

function Wait({ entry, row, scale }: { entry: PlanEntry; row: Row; scale: TimeScale }) {
  const { endAt, ripeAt } = entry;
  const { x } = scale;
  if (endAt === null || ripeAt === null || ripeAt <= endAt || row.waits === 'none' || !isShown(endAt, ripeAt, scale))
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
        <title>{say`${entry.piece.name}: waiting after ${lowerFirst(stepTitle(entry.step.title))}, until
          ${dated(ripeAt, 'EEE HH:mm')}`}</title>
      </rect>
      {!lane && entry.step.wait.place === 'rack' && <Ring at={x(ripeAt)} />}
      {lane && x(ripeAt) - x(endAt) > 90 && (
        <text x={Math.max(x(endAt), scale.left) + 6} y={27} className={css.laneText}>
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
function Sure({ fromAt, untilAt, x }: { fromAt: number; untilAt: number; x: TimeScale['x'] }) {
  return (
    <g className={css.sure}>
      <title>{say`Finished ${dated(fromAt, 'EEE d MMM')} as planned, at the latest ${dated(untilAt, 'EEE d MMM')}`}</title>
      <line x1={x(fromAt)} x2={x(untilAt)} y1={40} y2={40} />
      <path d={`M${x(untilAt)} 35 v10`} />
    </g>
  );
}

/** Steps in clock order, those together that are too narrow to be pressed beside each other. */
function groupsOf(entries: readonly PlanEntry[], x: TimeScale['x']): PlanEntry[][] {
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
  x: TimeScale['x'];
  chosen: boolean;
  onGroup: RowProps['onGroup'];
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
      aria-label={say`${group.length} steps from ${dated(startAt, 'EEE d MMM HH:mm')}:
        ${group.map(({ piece, step }) => `${piece.name}, ${lowerFirst(stepTitle(step.title))}`).join('; ')}`}
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
  scale,
  chosen,
  onChoose,
  onDrop,
  named,
}: Pick<RowProps, 'scale' | 'onChoose' | 'onDrop' | 'named'> & { entry: PlanEntry; chosen: boolean }) {
  const { x, msPerPx } = scale;
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
        onDrop(entry.key, snapped(startAt + mx * msPerPx));
    },
    { filterTaps: true },
  );
  if (startAt === null || endAt === null || !isShown(startAt, endAt, scale)) return null;
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
          {dated(snapped(startAt + shift * msPerPx), 'EEE HH:mm')}
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
