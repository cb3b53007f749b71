'use client';
import { useStash } from '@/features/at-hand';
import { useSettings } from '@/features/shell';
import { ChoiceField, Fields, Note, PercentField, TemperatureField, dated, TextButton } from '@/ui';
import { useOpenPiece } from '../piece-context';
import { HoursTable } from './hours-table';
import { say } from '@/words/say';
import { remarks } from '@/words';

const USUAL_DAY = { coldestC: 14, warmestC: 20, humidityPercent: 55 };

/**
 * Where the piece's air comes from: one typed figure, or the room's own through time with what is read and a usual day.
 */
export function RoomFields() {
  const { piece, plan, change } = useOpenPiece();
  const { through } = piece.cure;
  return (
    <>
      <ChoiceField
        label={say`Its air`}
        value={through}
        options={[
          { id: 'typed', name: say`One figure` },
          { id: 'room', name: say`The room through time` },
        ]}
        onCommit={(chosen) => change('cure', { through: chosen }, say`air of the piece`)}
      />
      {through === 'room' && (
        <>
          <KnownOfRoom />
          {plan.cure.bridged.map((gap) => (
            <Note
              key={gap.fromAt}
            >{say`No readings from ${dated(gap.fromAt, 'EEE HH:mm')} to ${dated(gap.untilAt, 'EEE HH:mm')}:
              bridged in a straight line.`}</Note>
          ))}
          <UsualDay />
        </>
      )}
    </>
  );
}

/** How far the room is known, and the way to hear of it. */
function KnownOfRoom() {
  const { room } = useStash();
  const { settings, change } = useSettings();
  const last = room.readings.at(-1);
  const known = last !== undefined || room.day !== null || room.hours !== null;
  const afterwards = () => {
    if (room.hours) return say`then the typed hours`;
    if (room.day) return say`then your usual day`;
    return last ? say`then like the day before` : '';
  };
  return (
    <Note>
      {known
        ? `${remarks(
            say`Hour by hour`,
            last && say`read until ${dated(last.at, 'EEE HH:mm')}`,
            afterwards(),
          )}. ${say`A cold night counts as one.`}`
        : say`Nothing is known of the room yet: type a usual day, or listen to the sensor.`}
      {!settings.sensor && (
        <>
          {' '}
          <TextButton onClick={() => change({ sensor: true })}>{say`Listen to the simulated sensor`}</TextButton>
        </>
      )}
    </Note>
  );
}

function UsualDay() {
  const { room, changeRoom } = useStash();
  const { day } = room;
  const setDay = (patch: Partial<typeof USUAL_DAY>) =>
    changeRoom((now) => ({ day: { ...(now.day ?? USUAL_DAY), ...patch } }));
  return (
    <>
      <Fields>
        <TemperatureField
          label={say`Coldest, about six`}
          value={day?.coldestC ?? null}
          computed={say`not typed`}
          onCommit={(coldestC) => (coldestC === null ? changeRoom({ day: null }) : setDay({ coldestC }))}
          testId="day-coldest"
        />
        <TemperatureField
          label={say`Warmest, about fifteen`}
          value={day?.warmestC ?? null}
          computed={say`not typed`}
          onCommit={(warmestC) => (warmestC === null ? changeRoom({ day: null }) : setDay({ warmestC }))}
          testId="day-warmest"
        />
        <PercentField
          label={say`Humidity over the day`}
          value={day?.humidityPercent ?? null}
          computed={say`not typed`}
          onCommit={(humidityPercent) =>
            humidityPercent === null ? changeRoom({ day: null }) : setDay({ humidityPercent })
          }
        />
      </Fields>
      <HoursTable day={day ?? USUAL_DAY} />
    </>
  );
}
