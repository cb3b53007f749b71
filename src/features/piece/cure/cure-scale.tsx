import type { CureClock, CureWait } from '@/core/cure';
import { formatDuration } from '@/core/measure';
import { WetnessMark, clockTime } from '@/ui';
import css from './cure.module.css';

/** The wait as a scale from laid to safe, with the earliest and likely marks and how far it has come. */
export function CureScale({ wait, times, now }: { wait: CureWait; times: CureClock | null; now: number }) {
  const single = wait.earliestHours === wait.safeHours;
  const marks = single
    ? [{ name: 'full time', hours: wait.safeHours, at: times?.safeAt }]
    : [
        { name: 'earliest', hours: wait.earliestHours, at: times?.earliestAt },
        { name: 'likely', hours: wait.likelyHours, at: times?.likelyAt },
        { name: 'safe', hours: wait.safeHours, at: times?.safeAt },
      ];
  const share = (hours: number) => (hours / wait.safeHours) * 100;
  return (
    <div className={css.scale}>
      <div className={css.track}>
        <span className={css.fill} style={{ width: `${(times?.share ?? 0) * 100}%` }} />
        {marks.map(({ name, hours }) => (
          <span key={name} className={css.mark} style={{ left: `${share(hours)}%` }} data-name={name} />
        ))}
        {times && (
          <span className={css.now} style={{ left: `${times.share * 100}%` }}>
            <WetnessMark wetness={times.wetness} size={22} />
          </span>
        )}
      </div>
      <dl className={css.marks} data-testid="cure-times">
        {marks.map(({ name, hours, at }) => (
          <div key={name} data-passed={at !== undefined && now >= at}>
            <dt>{name}</dt>
            <dd>{at === undefined ? formatDuration(hours) : clockTime(at, now)}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
