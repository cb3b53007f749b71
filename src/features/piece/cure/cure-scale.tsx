import type { CureClock, CureWait } from '@/core/cure';
import { formatDuration } from '@/words/figures';
import { Unbroken, WetnessMark, clockTime } from '@/ui';
import css from './cure.module.css';
import { say } from '@/words/say';

/** The wait as a scale from laid to safe, with the earliest and likely marks and how far it has come. */
export function CureScale({ wait, times, now }: { wait: CureWait; times: CureClock | null; now: number }) {
  const single = wait.earliestHours === wait.safeHours;
  const marks = single
    ? [{ name: say`full time`, hours: wait.safeHours, at: times?.safeAt }]
    : [
        { name: say`earliest`, hours: wait.earliestHours, at: times?.earliestAt },
        { name: say`likely`, hours: wait.likelyHours, at: times?.likelyAt },
        { name: say`safe`, hours: wait.safeHours, at: times?.safeAt },
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
            <dd>
              <Unbroken>{at === undefined ? formatDuration(hours) : clockTime(at, now)}</Unbroken>
            </dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
