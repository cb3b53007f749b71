import type { CureClock, CureWait } from '@/core/cure';
import { formatDuration } from '@/words/figures';
import { AtShare, ShareBar, Unbroken, WetnessMark, clockTime } from '@/ui';
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
  return (
    <div className={css.scale}>
      <div className={css.track}>
        <ShareBar className={css.fill} share={times?.share ?? 0} />
        {marks.map(({ name, hours }) => (
          <AtShare key={name} className={css.mark} share={hours / wait.safeHours} name={name} />
        ))}
        {times && (
          <AtShare className={css.now} share={times.share}>
            <WetnessMark wetness={times.wetness} size={22} />
          </AtShare>
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
