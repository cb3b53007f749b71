'use client';
import { dayBetween } from '@/core/cure';
import { useStash } from '@/features/at-hand';
import { Fold, PercentField, TemperatureField, TextButton } from '@/ui';
import css from './cure.module.css';
import { say } from '@/words/say';
import { remarks } from '@/words';

/** The room hour by hour, typed over the usual day's curve. */
export function HoursTable({ day }: { day: { coldestC: number; warmestC: number; humidityPercent: number } }) {
  const { room, changeRoom } = useStash();
  const hours = room.hours ?? dayBetween(day.coldestC, day.warmestC, day.humidityPercent);
  const set = (hour: number, patch: Partial<(typeof hours)[number]>) =>
    changeRoom((now) => ({
      hours: (now.hours ?? hours).map((air, index) => (index === hour ? { ...air, ...patch } : air)),
    }));
  return (
    <Fold summary={remarks(say`Hour by hour`, room.hours && say`typed`)}>
      <div className={css.hourGrid}>
        {hours.map((air, hour) => (
          <div key={hour}>
            <span>{String(hour).padStart(2, '0')}</span>
            <TemperatureField
              label=""
              value={air.temperatureC}
              onCommit={(temperatureC) => temperatureC !== null && set(hour, { temperatureC })}
              testId={`hour-${hour}`}
            />
            <PercentField
              label=""
              value={air.humidityPercent}
              onCommit={(humidityPercent) => humidityPercent !== null && set(hour, { humidityPercent })}
            />
          </div>
        ))}
      </div>
      {room.hours && (
        <TextButton onClick={() => void changeRoom({ hours: null })}>{say`Back to the usual day`}</TextButton>
      )}
    </Fold>
  );
}
