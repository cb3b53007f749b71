'use client';
import { useSettings } from '@/features/shell';
import type { Settings } from '@/records';
import { ChoiceField, Fields, FigureField, Part, PercentField, TemperatureField } from '@/ui';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import { RoomFields } from './room-part';
import { useCoated } from './use-coated';

/** What lengthens or shortens the wait: the air, how it lies, and by which rule one goes. */
export function CureFields() {
  const { piece, plan } = useOpenPiece();
  const coated = useCoated();
  const { wait, kind } = plan.cure;
  const isDriedByAir = coated || wait?.rule === 'open' || kind === null || kind === 'window';
  if (!isDriedByAir) return null;
  const hasChoiceOfRule = wait !== null && wait.floorHours === 0 && kind !== 'window' && wait.safeHours > 0;
  return (
    <Part title={say`Change`}>
      <Fields>
        {piece.cure.through === 'typed' && <AirFields />}
        <LyingFields />
        {hasChoiceOfRule && <RuleField />}
        {coated && <LabelHours />}
      </Fields>
      <RoomFields />
    </Part>
  );
}

/** The room's one temperature and humidity, which the next piece begins with. */
function AirFields() {
  const { piece, change } = useOpenPiece();
  const { change: changeSettings } = useSettings();
  const { temperatureC, humidityPercent } = piece.cure;
  const changeRoom = (patch: Partial<Settings['room']>, label: string) => {
    change('cure', patch, label);
    changeSettings({ room: { temperatureC, humidityPercent, ...patch } });
  };
  return (
    <>
      <TemperatureField
        label={say`Room temperature`}
        value={temperatureC}
        onCommit={(value) => value !== null && changeRoom({ temperatureC: value }, say`room temperature`)}
        testId="temperature"
      />
      <PercentField
        label={say`Relative humidity`}
        value={humidityPercent}
        onCommit={(value) => value !== null && changeRoom({ humidityPercent: value }, say`relative humidity`)}
        testId="humidity"
      />
    </>
  );
}

function LyingFields() {
  const { piece, change } = useOpenPiece();
  return (
    <>
      <ChoiceField
        label={say`It lies`}
        value={piece.cure.cover}
        options={[
          { id: 'open', name: say`Open` },
          { id: 'weighted', name: say`Weighted` },
          { id: 'covered', name: say`Covered` },
        ]}
        onCommit={(cover) => change('cure', { cover }, say`how it lies`)}
      />
      <ChoiceField
        label={say`Air`}
        value={piece.cure.air}
        options={[
          { id: 'still', name: say`Still` },
          { id: 'fan', name: say`Fan` },
        ]}
        onCommit={(air) => change('cure', { air }, say`air`)}
      />
    </>
  );
}

function RuleField() {
  const { piece, change } = useOpenPiece();
  return (
    <ChoiceField
      label={say`Wait`}
      value={piece.cure.waitBy}
      options={[
        { id: 'sign', name: say`By the sign` },
        { id: 'clock', name: say`By the clock` },
      ]}
      onCommit={(waitBy) => change('cure', { waitBy }, say`rule of waiting`)}
    />
  );
}

function LabelHours() {
  const { piece, change } = useOpenPiece();
  const { labelHours } = piece.cure;
  return (
    <FigureField
      label={say`Hours on the label`}
      value={labelHours}
      unit="h"
      min={0.1}
      max={2000}
      computed={say`as computed`}
      onCommit={(hours) => change('cure', { labelHours: hours }, say`label hours`)}
      hint={labelHours !== null ? say`clear to go back to Fobbet’s figure` : say`overrules the computed time`}
      testId="label-hours"
    />
  );
}
