'use client';
import { useStash } from '@/features/at-hand';
import { useSettings } from '@/features/shell';
import { ChoiceField, Fields, Note, PercentField, TemperatureField, dated, TextButton } from '@/ui';
import { useOpenPiece } from '../piece-context';
import { HoursTable } from './hours-table';

const USUAL_DAY = { coldestC: 14, warmestC: 20, humidityPercent: 55 };

/**
 * Where the piece's air comes from: one typed figure, or the room's own through time with what is read and a usual day.
 */
export function RoomFields() {
  const { piece, plan, change } = useOpenPiece();
  const { room, changeRoom } = useStash();
  const { settings, change: changeSettings } = useSettings();
  const { cure } = piece;
  const day = room.day ?? USUAL_DAY;
  const setDay = (patch: Partial<typeof day>) =>
    changeRoom((now) => ({ day: { ...(now.day ?? USUAL_DAY), ...patch } }));
  const known = room.readings.length > 0 || room.day !== null || room.hours !== null;
  const last = room.readings.at(-1);
  const afterwards = () => {
    if (room.hours) return ', then the typed hours';
    if (room.day) return ', then your usual day';
    return last ? ', then like the day before' : '';
  };
  return (
    <>
      <ChoiceField
        label="Its air"
        value={cure.through}
        options={[
          { id: 'typed', name: 'One figure' },
          { id: 'room', name: 'The room through time' },
        ]}
        onCommit={(through) => change('cure', { through }, 'air of the piece')}
      />
      {cure.through === 'room' && (
        <>
          <Note>
            {known
              ? `Hour by hour${last ? `, read until ${dated(last.at, 'EEE HH:mm')}` : ''}${afterwards()}: a cold night counts as one.`
              : 'Nothing is known of the room yet: type a usual day, or listen to the sensor.'}
            {!settings.sensor && (
              <>
                {' '}
                <TextButton onClick={() => changeSettings({ sensor: true })}>Listen to the simulated sensor</TextButton>
              </>
            )}
          </Note>
          {plan.cure.bridged.map((gap) => (
            <Note key={gap.fromAt}>
              No readings from {dated(gap.fromAt, 'EEE HH:mm')} to {dated(gap.untilAt, 'EEE HH:mm')}: bridged in a
              straight line.
            </Note>
          ))}
          <Fields>
            <TemperatureField
              label="Coldest, about six"
              value={room.day?.coldestC ?? null}
              computed="not typed"
              onCommit={(coldestC) => (coldestC === null ? changeRoom({ day: null }) : setDay({ coldestC }))}
              testId="day-coldest"
            />
            <TemperatureField
              label="Warmest, about fifteen"
              value={room.day?.warmestC ?? null}
              computed="not typed"
              onCommit={(warmestC) => (warmestC === null ? changeRoom({ day: null }) : setDay({ warmestC }))}
              testId="day-warmest"
            />
            <PercentField
              label="Humidity over the day"
              value={room.day?.humidityPercent ?? null}
              computed="not typed"
              onCommit={(humidityPercent) =>
                humidityPercent === null ? changeRoom({ day: null }) : setDay({ humidityPercent })
              }
            />
          </Fields>
          <HoursTable day={day} />
        </>
      )}
    </>
  );
}
